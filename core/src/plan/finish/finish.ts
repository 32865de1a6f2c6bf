import { usualIncrease } from '../../craft/fabric/base.ts';
import type { StitchKey } from '../../craft/stitches/kinds.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import type { Told } from '../../craft/values/problem.ts';
import { carriedEase, climbLength, type StitchSize, yarnInStitch } from '../../craft/yarn/yarnPerStitch.ts';
import { flattestIncrease } from '../fit/circle.ts';
import { type Handwork, handworkOfFinish } from '../pace/hours.ts';
import { type Border, border, borderMetres, sideByGauge, sideByRule } from './border.ts';
import {
  type BorderPatternKey,
  borderPatterns,
  changesIn,
  countsOf,
  holding,
  type PatternedRound,
  patternedCircle,
  patternedRounds,
} from './borderPattern.ts';
import { mouthPart } from './mouth.ts';
import { type SeamKind, seamMetres, sewingLength } from './seam.ts';
import { type StrapKind, strapJoining, strapStretch, strapToMake, strapWanted } from './strap.ts';

/** What is done when the cloth is off the hook. */
export type FinishKind = 'closing' | 'border' | 'envelope' | 'seam' | 'mouth' | 'strap' | 'ring';

/** Yarn of one colour that a part takes. */
export interface YarnOfPart {
  /** Number of the colour. */
  readonly colour: number;
  /** m, without tails. */
  readonly metres: number;
  readonly ends: number;
}

/** One thing that is done when the cloth is off the hook, with the yarn it takes. */
export interface FinishPart {
  readonly part: FinishKind;
  /** Number of the colour. */
  readonly colour: number;
  /** m, without tails. */
  readonly metres: number;
  readonly ends: number;
  /** What a border in a pattern takes of its second colour. */
  readonly second?: YarnOfPart | undefined;
  /** Stitches worked in it, for the time it takes. */
  readonly stitches: number;
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

/** The rounds of a border in a pattern, as its steps tell them; none where it is plain. */
export function roundsInPattern(steps: readonly Told[]): PatternedRound[] {
  return steps.flatMap(({ code, facts: f = {} }) =>
    code === 'border-pattern-round' ? [{ across: String(f.across), up: String(f.up), corner: String(f.corner) }] : [],
  );
}

/** What hands do in a part of the finishing. */
export function handworkOfPart({ stitches, ends, second, changes }: FinishPart): Handwork {
  return handworkOfFinish(stitches, ends + (second?.ends ?? 0), changes);
}

export interface BorderWish {
  readonly rounds: number;
  readonly colour: number;
  readonly by: 'gauge' | 'rule';
  readonly envelope: boolean;
  /** Its rounds in a pattern. `colour`: number of the second colour. */
  readonly pattern?: { readonly key: BorderPatternKey; readonly colour: number } | undefined;
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
  /** Stitches of a whole row, and courses. */
  readonly stitches: number;
  readonly courses: number;
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
  /** Number of the colour that the last row ends in. */
  readonly inHand: number;
  /** Of a cover in one cloth, mm. */
  readonly flap?: number | undefined;
  readonly border?: BorderWish | undefined;
  readonly closing: boolean;
  /** Inside length of a hanging ring, mm. */
  readonly ring?: number | undefined;
  readonly strap?: StrapWish | undefined;
  /** Rounds about the mouth, where it has one. */
  readonly edge?: { readonly eyelets: boolean } | undefined;
  /** Panels are joined at their sides, a tube is closed where it is open. */
  readonly seam?: SeamWish | undefined;
}

/** How panels or a tube are closed. */
export interface SeamWish {
  readonly kind: SeamKind;
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

/** Stitches that keep the rounds of a border on a circle flat, each round. */
function addedAround(size: StitchSize): number {
  return flattestIncrease(usualIncrease('sc'), size.width, size.height);
}

/** Rounds of sc on a circle: one in each stitch, then as many more a round as keep it flat. */
function borderOnCircle(round: number, wish: BorderWish, size: StitchSize): Border {
  const rounds = Array.from({ length: wish.rounds }, (_, i) => round + i * addedAround(size));
  return { across: 0, up: 0, rounds, stitches: rounds.reduce((sum, count) => sum + count, 0) };
}

function borderOf(request: FinishRequest, wish: BorderWish, size: StitchSize): Border {
  if (request.round !== undefined) return borderOnCircle(request.round, wish, size);
  const byRule = wish.by === 'rule';
  // Along top and bottom each stitch between the corners takes one, whatever the gauge; clusters and blocks have none to count.
  const counted = request.technique.width.word === 'stitches';
  const across = byRule || counted ? request.stitches - 2 : sideByGauge(request.width, size.width);
  const up = byRule ? Math.round(sideByRule(request.stitch, request.courses)) : sideByGauge(request.height, size.width);
  return border(across, up, wish.rounds);
}

/** How the rounds about a circle are counted. @param on stitches of its last round @param added each round, where that is always the same */
function circleSteps(on: number, [first = 0, ...more]: readonly number[], added?: number): Told[] {
  return [
    { code: 'border-round-1', facts: { stitches: first, on } },
    ...(more.length ? [{ code: 'border-rounds', facts: { more: added, counts: more } }] : []),
  ];
}

/** How the rounds of a border are counted, side by side. */
function sidesSteps({ across, up, rounds: [first = 0, ...more] }: Pick<Border, 'across' | 'up' | 'rounds'>): Told[] {
  return [
    { code: 'border-sides', facts: { across, up, corner: 3, first } },
    ...(more.length ? [{ code: 'border-more', facts: { more: 8, counts: more } }] : []),
    { code: 'border-corners' },
    { code: 'mark-corners' },
  ];
}

/** Rounds of sc in a pattern: what each of its colours takes, worked and carried inside. */
function patternedPart(
  request: FinishRequest,
  wish: BorderWish,
  { key, colour }: NonNullable<BorderWish['pattern']>,
): FinishPart {
  const sizes = [request.sc[wish.colour], request.sc[colour]] as readonly StitchSize[];
  const plain = borderOf(request, wish, sizes[0] as StitchSize);
  const { multiple, more } = borderPatterns[key];
  const [across, up] = [plain.across, plain.up].map((count) => holding(count, multiple, more)) as [number, number];
  const circle = request.round !== undefined;
  const rounds = circle ? patternedCircle(key, plain.rounds) : patternedRounds(key, across, up, wish.rounds);
  const [own, second] = sizes.map((size, i) => ({
    colour: i === 0 ? wish.colour : colour,
    metres: patternedMetres(rounds, i as 0 | 1, size),
    ends: 2,
  })) as [YarnOfPart, YarnOfPart];
  const counts = rounds.map((round) => countsOf(round).reduce((a, b) => a + b));
  const letters = { own: request.letters[wish.colour] ?? '', second: request.letters[colour] ?? '' };
  const fitted = circle ? counts[0] !== plain.rounds[0] : across !== plain.across || up !== plain.up;
  const first = { across: plain.across, up: plain.up, around: plain.rounds[0], to: counts[0], circle };
  return {
    part: 'border',
    ...own,
    second,
    stitches: counts.reduce((sum, count) => sum + count, 0),
    changes: rounds.reduce((sum, round) => sum + changesIn(round), 0),
    times: request.pieces,
    steps: [
      ...(circle ? circleSteps(request.round ?? 0, counts) : sidesSteps({ across, up, rounds: counts })),
      ...(fitted ? [{ code: 'border-fitted', facts: { ...first, acrossTo: across, upTo: up, multiple, more } }] : []),
      { code: 'border-pattern', facts: { key, ...letters } },
      ...rounds.map(({ across, up, corner }, n) => ({
        code: 'border-pattern-round',
        facts: { n: n + 1, across, up, corner, ...letters },
      })),
    ],
  };
}

/** Metres of one of the two colours: its stitches, over the other one where that goes along, and where it goes along itself. */
function patternedMetres(rounds: readonly PatternedRound[], which: 0 | 1, size: StitchSize): number {
  const worked = rounds.map(countsOf);
  const used = worked.flatMap((counts, n) => (counts[which] > 0 ? [n] : []));
  const [first = 0, last = -1] = [used[0], used.at(-1)];
  let mm = 0;
  for (const [n, counts] of worked.entries()) {
    const [stitches, others] = [counts[which], counts[1 - which] as number];
    if (stitches > 0) {
      mm += stitches * yarnInStitch('sc', size, others > 0 ? 1 : 0) + others * carriedEase * size.width;
    } else if (n > first && n < last) mm += climbLength(size.height, 1, size.diameter);
    // The round begins with a chain and is closed in the colour of its first stitch.
    const begins = rounds[n]?.across.startsWith('x') ? 1 : 0;
    if (begins === which) mm += yarnInStitch('ch', size) + yarnInStitch('join', size);
  }
  return mm / 1000;
}

function borderPart(request: FinishRequest, wish: BorderWish): FinishPart {
  const { pattern } = wish;
  if (pattern) return patternedPart(request, wish, pattern);
  const size = request.sc[wish.colour] as StitchSize;
  const made = borderOf(request, wish, size);
  const layers = wish.envelope ? 2 : 1;
  return {
    part: wish.envelope ? 'envelope' : 'border',
    colour: wish.colour,
    metres: layers * borderMetres(made, size),
    ends: 2 * layers,
    stitches: layers * made.stitches,
    times: request.pieces,
    steps: [
      ...(request.round === undefined ? sidesSteps(made) : circleSteps(request.round, made.rounds, addedAround(size))),
      ...(wish.envelope ? [{ code: 'border-second-layer' }] : []),
    ],
  };
}

function closingPart({ stitches, sc, inHand, pieces }: FinishRequest): FinishPart {
  const size = sc[0] as StitchSize;
  return {
    part: 'closing',
    colour: 0,
    metres: (stitches * yarnInStitch('sc', size) + yarnInStitch('tch1', size)) / 1000,
    // The colour on the hook goes on: nothing is cut and joined again.
    ends: inHand === 0 ? 0 : 2,
    stitches,
    times: pieces,
    steps: [{ code: 'closing-row', facts: { goesOn: inHand === 0, stitches } }],
  };
}

function ringPart(inside: number, size: StitchSize, { items }: FinishRequest): FinishPart {
  const chains = Math.max(4, Math.round(inside / size.width));
  return {
    part: 'ring',
    colour: 0,
    metres: (chains * yarnInStitch('ch', size) + yarnInStitch('join', size)) / 1000,
    ends: 2,
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

/** Panels: one stitch a row end and a stitch of the bottom, three in each corner; a cover is closed at its fourth side. */
function panelSeam({ stitches, courses, sides }: FinishRequest): SeamPlan {
  const three = stitches + 2 * courses + 2 * (cornerOfPanels - 1);
  const first = { code: 'join-panels', facts: { courses, stitches, corner: cornerOfPanels, all: three } };
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
  return { stitches: pairs * ends.length, steps };
}

function seamPart(request: FinishRequest, seam: SeamWish): FinishPart | undefined {
  const { kind } = seam;
  const size = request.sc[0] as StitchSize;
  const of = seamedIn(request);
  const { stitches, steps } =
    of === 'tube' ? tubeSeam(request) : of === 'panels' ? panelSeam(request) : flapSeam(request);
  // What stands on a circle and keeps its mouth has nothing to be closed.
  if (!stitches && request.tube === 'circle') return undefined;
  const sewn = kind === 'whipped' || kind === 'mattress';
  const cut = sewingLength((stitches * size.width) / 1000);
  return {
    part: 'seam',
    colour: 0,
    metres: stitches ? seamMetres(kind, stitches, size) : 0,
    ends: stitches ? 2 : 0,
    stitches,
    times: request.items,
    steps: [
      ...(stitches ? [holdStep(seam, of)] : []),
      ...steps,
      ...(sewn && stitches ? [{ code: 'cut-to-sew', facts: { metres: cut } }] : []),
    ],
  };
}

/** Everything that is done when the cloth is off the hook, in the order of doing. docs/craft.md, “Borders, seams, straps”. */
export function finishParts(request: FinishRequest): FinishPart[] {
  const size = request.sc[0] as StitchSize;
  const parts: FinishPart[] = [];
  if (request.closing) parts.push(closingPart(request));
  if (request.border) parts.push(borderPart(request, request.border));
  const seam = request.seam && seamPart(request, request.seam);
  if (seam) parts.push(seam);
  if (request.edge && request.mouth) parts.push(mouthPart(request, request.edge));
  if (request.strap) parts.push(strapPart(request.strap, request.sc[request.strap.colour] ?? size, request));
  if (request.ring !== undefined) parts.push(ringPart(request.ring, size, request));
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
