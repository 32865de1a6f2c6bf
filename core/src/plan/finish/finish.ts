import type { StitchKey } from '../../craft/stitches/kinds.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import type { Told } from '../../craft/values/problem.ts';
import { type StitchSize, yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';
import { type Handwork, handworkOfFinish } from '../pace/hours.ts';
import { type BorderWish, borderPart, type YarnOfPart } from './borderPart.ts';
import { type MouthWish, mouthPart } from './mouth.ts';
import { type SeamKind, seamMetres, sewingLength } from './seam.ts';
import { type StrapKind, strapJoining, strapStretch, strapToMake, strapWanted } from './strap.ts';

/** What is done when the cloth is off the hook. */
export type FinishKind = 'closing' | 'border' | 'envelope' | 'seam' | 'mouth' | 'strap' | 'ring';

/** One thing that is done when the cloth is off the hook, with the yarn it takes. */
export interface FinishPart {
  readonly part: FinishKind;
  /** Number of the colour. */
  readonly colour: number;
  /** m, without tails. */
  readonly metres: number;
  readonly ends: number;
  /** The yarn on the hook goes on, without being cut and joined again. */
  readonly goesOn?: boolean | undefined;
  /** What a border in a pattern takes of its second colour. */
  readonly second?: YarnOfPart | undefined;
  /** Stitches worked in it; what is counted of it everywhere. */
  readonly stitches: number;
  /** Chains worked beside those stitches, such as those of eyelets. */
  readonly chains?: number | undefined;
  /** Stitches there are at the end of each of its rounds, where it is worked in rounds. */
  readonly rounds?: readonly number[] | undefined;
  /** Changes of colour in it, likewise. */
  readonly changes?: number | undefined;
  /** How often it is done in the whole wish: once for each cloth, or once for each item that is joined of them. */
  readonly times: number;
  /** What to do; its words: `words/en/finish.ts`. */
  readonly steps: readonly Told[];
}

/** The yarn of a part, colour by colour. */
export function yarnsOfPart({ colour, metres, ends, second }: FinishPart): readonly YarnOfPart[] {
  return [{ colour, metres, ends }, ...(second ? [second] : [])];
}

/** What hands do in a part of the finishing. */
export function handworkOfPart({ stitches, chains = 0, ends, second, changes }: FinishPart): Handwork {
  return handworkOfFinish(stitches + chains, ends + (second?.ends ?? 0), changes);
}

/** What is done with a part, its beginning first: whether the yarn on the hook goes on or is joined. */
export function stepsOfPart(part: FinishPart, letters: readonly string[]): readonly Told[] {
  const { goesOn, steps, colour } = part;
  if (goesOn === undefined) return steps;
  const begins = { code: goesOn ? 'go-on' : 'join-yarn', facts: { letter: letters[colour] ?? '' } };
  // Which face is outside is decided before anything is joined.
  const [first, ...rest] = steps;
  return first?.code === 'hold' ? [first, begins, ...rest] : [begins, ...steps];
}

export interface StrapWish {
  /** mm */
  readonly drop: number;
  readonly width: number;
  readonly kind: 'chain cord' | 'sc along' | 'sc across' | 'hdc' | 'dc' | 'bought';
  /** N */
  readonly load: number;
  readonly colour: number;
}

export interface FinishRequest {
  /** Letters of the colours. */
  readonly letters: readonly string[];
  /** The main stitch of the cloth. */
  readonly stitch: StitchKey;
  readonly technique: Technique;
  /** Stitches of the last course, and courses. */
  readonly stitches: number;
  /** Stitches of the first course, for an edging of the foundation. */
  readonly begun: number;
  readonly courses: number;
  /** The other side of what is joined, where it is a cloth of its own. */
  readonly other?: OtherSide | undefined;
  /** The cloth before its border, mm. */
  readonly width: number;
  readonly height: number;
  /** A plain sc of each colour, mm. */
  readonly sc: readonly StitchSize[];
  /** Height of a row of the cloth, mm. */
  readonly rowHeight: number;
  /** How many cloths are made, and how many items are joined of them. */
  readonly pieces: number;
  readonly items: number;
  /** How it was begun, where it is worked in rounds; nothing where it is flat. */
  readonly tube?: 'ring' | 'chain' | 'circle' | undefined;
  /** The upper end stays open. */
  readonly mouth: boolean;
  /** Sides at which two panels are joined. */
  readonly sides: 3 | 4;
  /** Stitches of the last round of a circle. */
  readonly round?: number | undefined;
  /** Number of the colour that is on the hook when the last row is done; nothing where it is fastened off. */
  readonly inHand: number | undefined;
  /** An insert goes in before the last side is closed. */
  readonly insert: boolean;
  /** Numbers of the colours of the closing row, the seam and the ring. */
  readonly colours: { readonly closing: number; readonly seam: number; readonly ring: number };
  /** Of a cover in one cloth, mm. */
  readonly flap?: number | undefined;
  readonly border?: BorderWish | undefined;
  readonly closing: boolean;
  /** Inside length of a hanging ring, mm. */
  readonly ring?: number | undefined;
  readonly strap?: StrapWish | undefined;
  /** Rounds about the mouth, where it has one. */
  readonly edge?: MouthWish | undefined;
  /** Panels are joined at their sides, a tube is closed where it is open. */
  readonly seam?: SeamWish | undefined;
}

/** How panels or a tube are closed. */
export interface SeamWish {
  readonly kind: SeamKind;
  /** It is sewn with a long end that the last row leaves. */
  readonly longEnd?: boolean | undefined;
  /** The face that is outside; not yet decided where it is absent. */
  readonly outside?: 'RS' | 'WS' | undefined;
}

/** What a seam joins. docs/craft.md, “Borders, seams, straps”. */
type Seamed = 'panels' | 'tube' | 'flap';

function seamedIn({ tube, flap }: FinishRequest): Seamed {
  if (tube) return 'tube';
  return flap === undefined ? 'panels' : 'flap';
}

/** Stitches in each corner of joined panels. */
const cornerOfPanels = 3;

/** The plain row that levels the upper edge: a stitch in each of the last row. */
function closingPart(
  { stitches, sc, pieces, colours: { closing } }: FinishRequest,
  hand: number | undefined,
): FinishPart {
  const size = sc[closing] as StitchSize;
  const goesOn = hand === closing;
  return {
    part: 'closing',
    colour: closing,
    metres: (stitches * yarnInStitch('sc', size) + yarnInStitch('tch1', size)) / 1000,
    ends: goesOn ? 0 : 2,
    goesOn,
    stitches,
    times: pieces,
    steps: [{ code: 'closing-row', facts: { stitches } }],
  };
}

function ringPart(
  inside: number,
  { items, sc, colours: { ring } }: FinishRequest,
  hand: number | undefined,
): FinishPart {
  const size = sc[ring] as StitchSize;
  const chains = Math.max(4, Math.round(inside / size.width));
  const goesOn = hand === ring;
  return {
    part: 'ring',
    colour: ring,
    metres: (chains * yarnInStitch('ch', size) + yarnInStitch('join', size)) / 1000,
    ends: goesOn ? 0 : 2,
    goesOn,
    stitches: chains,
    times: items,
    steps: [{ code: 'ring', facts: { chains, inside } }],
  };
}

/** Stretch of a cord of chains is that of slip stitches. */
const stretchesAs: Readonly<Record<StrapWish['kind'], StrapKind>> = {
  'chain cord': 'slip stitch',
  'sc along': 'sc along',
  'sc across': 'sc across',
  hdc: 'hdc',
  dc: 'dc',
  bought: 'slip stitch',
};
const scHeights = { hdc: 1.45, dc: 2 } as const;

function strapCode(kind: StrapWish['kind']): string {
  if (kind === 'bought') return 'cut-cord';
  return kind === 'chain cord' ? 'chain-cord' : 'strap-rows';
}

function strapPart(wish: StrapWish, size: StitchSize, { items }: FinishRequest): FinishPart {
  const wanted = strapWanted(wish.drop);
  const stretch =
    wish.kind === 'bought' ? 0 : strapStretch(stretchesAs[wish.kind], wish.load, wish.width, size.diameter);
  const length = strapToMake(wanted, stretch);
  const chains = Math.round(length / size.width);
  const stitch = wish.kind === 'hdc' || wish.kind === 'dc' ? wish.kind : 'sc';
  const height = size.height * (stitch === 'sc' ? 1 : scHeights[stitch]);
  const along = wish.kind === 'sc across' ? Math.max(1, Math.round(wish.width / size.width)) : chains;
  const rows =
    wish.kind === 'sc across' ? Math.round(length / size.height) : Math.max(1, Math.round(wish.width / height));
  const cord = wish.kind === 'chain cord';
  const stitches = wish.kind === 'bought' ? 0 : cord ? chains : along * rows;
  const each = cord ? yarnInStitch('ch', size) : yarnInStitch(stitch, { ...size, height });
  const foundation = cord ? 0 : (along + rows) * yarnInStitch('ch', size);
  return {
    part: 'strap',
    colour: wish.colour,
    metres: stitches ? (stitches * each + foundation) / 1000 : 0,
    ends: stitches ? 2 : 0,
    stitches,
    times: items,
    steps: [
      { code: strapCode(wish.kind), facts: { chains, rows, along, stitch, length, wanted, joining: strapJoining } },
      { code: 'strap-stretches' },
    ],
  };
}

/** How the cloth is held so that the wished face comes outside. A tube is worked with its right side out. */
function holdStep({ kind, outside }: SeamWish, of: Seamed): Told {
  const ridge = kind === 'sc' || kind === 'slip stitch';
  return { code: 'hold', facts: { of, outside, ridge } };
}

/** What is joined, in stitches of seam, and how it is told. */
interface SeamPlan {
  readonly stitches: number;
  readonly steps: readonly Told[];
}

/** A cloth to which another is joined: its stitches and courses. */
export interface OtherSide {
  readonly stitches: number;
  readonly courses: number;
}

/** Panels: one stitch a row end and a stitch of the bottom, three in each corner; a cover is closed at its fourth side. */
function panelSeam({ stitches, courses, sides, other }: FinishRequest): SeamPlan {
  const three = stitches + 2 * courses + 2 * (cornerOfPanels - 1);
  const unlike = other && (other.stitches !== stitches || other.courses !== courses);
  const beside = unlike ? { courses2: other.courses, stitches2: other.stitches } : {};
  const first = { code: 'join-panels', facts: { courses, stitches, corner: cornerOfPanels, all: three, ...beside } };
  if (sides === 3) return { stitches: three, steps: [first] };
  const fourth = stitches + 2 * (cornerOfPanels - 1);
  return {
    stitches: three + fourth,
    steps: [first, { code: 'fourth-side', facts: { stitches, all: fourth } }],
  };
}

/** A cloth folded over with a flap is joined at the two sides of its face. */
function flapSeam({ height, flap = 0, rowHeight }: FinishRequest): SeamPlan {
  const face = (height - flap) / 2;
  const rows = Math.round(face / rowHeight);
  return {
    stitches: 2 * rows,
    steps: [
      { code: 'fold-flap', facts: { face, flap } },
      { code: 'join-sides', facts: { rows, all: 2 * rows } },
    ],
  };
}

/** Ends of a tube that are closed: what its beginning left open, less the mouth. docs/craft.md, “Rounds”. */
function tubeEnds({ tube, mouth }: FinishRequest): ('bottom' | 'top')[] {
  const ends: ('bottom' | 'top')[] = tube === 'ring' ? ['bottom', 'top'] : ['top'];
  return mouth ? ends.filter((end) => end !== 'top') : ends;
}

function tubeSeam(request: FinishRequest): SeamPlan {
  const pairs = Math.floor(request.stitches / 2);
  const ends = tubeEnds(request);
  if (!ends.length) {
    return {
      stitches: 0,
      steps: [{ code: 'nothing-to-close', facts: { begins: request.tube ?? 'ring' } }],
    };
  }
  const steps = ends.map((end) => ({ code: end === 'top' ? 'close-top' : 'close-bottom', facts: { pairs } }));
  // The insert goes in before the last end is closed.
  const closed = request.insert ? [...steps.slice(0, -1), { code: 'put-insert-in' }, ...steps.slice(-1)] : steps;
  return { stitches: pairs * ends.length, steps: closed };
}

function isSewn(kind: SeamKind): boolean {
  return kind === 'whipped' || kind === 'mattress';
}

function seamPart(request: FinishRequest, seam: SeamWish, hand: number | undefined): FinishPart | undefined {
  const { kind, longEnd = false } = seam;
  const colour = request.colours.seam;
  const size = request.sc[colour] as StitchSize;
  const of = seamedIn(request);
  const { stitches, steps } =
    of === 'tube' ? tubeSeam(request) : of === 'panels' ? panelSeam(request) : flapSeam(request);
  // What is worked on a circle and keeps its mouth has nothing to be closed.
  if (!stitches && request.tube === 'circle') return undefined;
  const sewn = isSewn(kind);
  const cut = sewingLength((stitches * size.width) / 1000);
  // Two panels are two cloths: the seam of both begins with a yarn of its own. The ring of a chain is closed below first.
  const onHook = of !== 'panels' && hand === colour && !(request.tube === 'ring' && !request.mouth);
  const tail = sewn && longEnd && onHook;
  const goesOn = !sewn && onHook;
  return {
    part: 'seam',
    colour,
    metres: stitches ? seamMetres(kind, stitches, size) : 0,
    ends: stitches && !goesOn && !tail ? 2 : 0,
    ...(stitches && !sewn ? { goesOn } : {}),
    stitches,
    times: request.items,
    steps: [
      ...(stitches ? [holdStep(seam, of)] : []),
      ...steps,
      ...(sewn && stitches ? [{ code: tail ? 'sew-with-end' : 'cut-to-sew', facts: { metres: cut } }] : []),
    ],
  };
}

/** Everything that is done when the cloth is off the hook, in the order of doing. docs/craft.md, “Borders, seams, straps”. */
export function finishParts(request: FinishRequest): FinishPart[] {
  const size = request.sc[0] as StitchSize;
  const parts: FinishPart[] = [];
  // The colour that is on the hook, as long as nothing fastens it off.
  let hand = request.inHand;
  const put = (part: FinishPart | undefined, after: number | undefined) => {
    if (!part) return;
    parts.push(part);
    hand = after;
  };
  if (request.closing) put(closingPart(request, hand), request.colours.closing);
  if (request.border) put(borderPart(request, request.border, hand), request.border.colour);
  const { seam } = request;
  if (seam) {
    const made = seamPart(request, seam, hand);
    if (made) put(made, made.stitches ? (isSewn(seam.kind) ? undefined : made.colour) : hand);
  } else if (request.pieces > request.items) hand = undefined;
  if (request.edge && request.mouth) put(mouthPart(request, request.edge, hand), 0);
  if (request.strap) put(strapPart(request.strap, request.sc[request.strap.colour] ?? size, request), hand);
  if (request.ring !== undefined) put(ringPart(request.ring, request, hand), undefined);
  return parts;
}

/** Yarn diameters in the thickness of one layer of cloth. */
const layerDiameters = 2.2;
const bandOverlap = 30;

/**
 * Folded size of a set, and the paper band that goes round it with 3 cm of overlap, mm.
 * @param folds parts across and up @param pieces laid on one another @param diameter of the yarn, mm
 */
export function foldedBand(
  { width, height }: { width: number; height: number },
  folds: { across: number; up: number },
  pieces: number,
  diameter: number,
): { width: number; height: number; band: number } {
  const thickness = folds.across * folds.up * pieces * layerDiameters * diameter;
  const folded = { width: width / folds.across, height: height / folds.up };
  return { ...folded, band: 2 * (folded.width + thickness) + bandOverlap };
}
