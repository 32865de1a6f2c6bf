import { type StitchSize, yarnInStitch } from '../measure/yarnPerStitch.ts';
import type { StitchKey } from '../stitches/kinds.ts';
import type { Technique } from '../techniques/technique.ts';
import { printLength, type ToldUnit } from '../units/length.ts';
import { yarnLengthNumber, yarnLengthUnit } from '../units/yarn.ts';
import { border, borderMetres, sideByGauge, sideByRule } from './border.ts';
import { type SeamKind, seamMetres, sewingLength } from './seam.ts';
import { type StrapKind, strapJoining, strapStretch, strapToMake, strapWanted } from './strap.ts';

/** One thing that is done when the cloth is off the hook, with the yarn it takes. */
export interface FinishPart {
  readonly name: string;
  /** Number of the colour. */
  readonly colour: number;
  /** m, without tails. */
  readonly metres: number;
  readonly ends: number;
  /** Stitches worked in it, for the time it takes. */
  readonly stitches: number;
  /** What to do, a sentence each. */
  readonly steps: readonly string[];
}

export interface BorderWish {
  readonly rounds: number;
  readonly colour: number;
  readonly by: 'gauge' | 'rule';
  readonly envelope: boolean;
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
  /** How lengths are told. */
  readonly told: ToldUnit;
  /** How many of it are made, and whether they are joined in pairs. */
  readonly pieces: number;
  readonly border?: BorderWish | undefined;
  readonly closing: boolean;
  /** Inside length of a hanging ring, mm. */
  readonly ring?: number | undefined;
  readonly strap?: StrapWish | undefined;
  /** Panels are joined at three sides, a tube is closed through both tops. */
  readonly seam?: SeamWish | undefined;
}

/** How panels or a tube are closed. */
export interface SeamWish {
  readonly kind: SeamKind;
  readonly of: 'panels' | 'tube';
  /** The face that is outside; not yet decided where it is absent. */
  readonly outside?: 'RS' | 'WS' | undefined;
}

/** Stitches in each bottom corner of joined panels. */
const cornerOfPanels = 3;

function borderPart(request: FinishRequest, wish: BorderWish): FinishPart {
  const size = request.sc[wish.colour] as StitchSize;
  const byRule = wish.by === 'rule';
  const across = byRule ? request.stitches - 2 : sideByGauge(request.width, size.width);
  const up = byRule ? Math.round(sideByRule(request.stitch, request.courses)) : sideByGauge(request.height, size.width);
  const made = border(across, up, wish.rounds);
  const layers = wish.envelope ? 2 : 1;
  const first = made.rounds[0] as number;
  return {
    name: wish.envelope ? 'envelope border' : 'border',
    colour: wish.colour,
    metres: layers * borderMetres(made, size),
    ends: 2 * layers,
    stitches: layers * made.stitches,
    steps: [
      `Round 1: ${across} sc along the top and the bottom, ${up} up each side, 3 in each corner: ${first} in all.`,
      ...(wish.rounds > 1
        ? [`Every further round has 8 more, 3 in each corner stitch: ${made.rounds.slice(1).join(', ')}.`]
        : []),
      'At the foundation edge the corner 3 go into the corner stitch or the corner space of the chain, never both.',
      'Mark the corners.',
      ...(wish.envelope
        ? ['Work a second layer behind the first and close both over the ends with the last round.']
        : []),
    ],
  };
}

function closingPart({ stitches, sc }: FinishRequest): FinishPart {
  const size = sc[0] as StitchSize;
  return {
    name: 'closing row',
    colour: 0,
    metres: (stitches * yarnInStitch('sc', size) + yarnInStitch('tch1', size)) / 1000,
    ends: 2,
    stitches,
    steps: [`Close with a plain row of ${stitches} sc in A: the upper edge becomes as firm as the lower.`],
  };
}

function ringPart(inside: number, size: StitchSize, told: ToldUnit): FinishPart {
  const chains = Math.max(4, Math.round(inside / size.width));
  return {
    name: 'hanging ring',
    colour: 0,
    metres: (chains * yarnInStitch('ch', size) + yarnInStitch('join', size)) / 1000,
    ends: 2,
    stitches: chains,
    steps: [
      `Chain ${chains}, slip stitch into the corner: a ring of ${printLength(inside, told)} inside. Hang it away from flame.`,
    ],
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

function strapPart(wish: StrapWish, size: StitchSize, told: ToldUnit): FinishPart {
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
  const text = `${printLength(length, told)} for ${printLength(wanted, told)} when loaded`;
  return {
    name: 'strap',
    colour: wish.colour,
    metres: stitches ? (stitches * each + foundation) / 1000 : 0,
    ends: stitches ? 2 : 0,
    stitches,
    steps: [
      wish.kind === 'bought'
        ? `Cut the cord ${printLength(wanted, told)}: twice the drop and ${printLength(strapJoining, told)} to sew or knot.`
        : cord
          ? `Chain ${chains}: ${text}.`
          : `Strap: ${rows} rows of ${along} ${stitch}, ${text}.`,
      'After a day under load it is up to a third of that stretch longer still. Eyelets stay narrower than the knot.',
    ],
  };
}

/** How the cloth is held so that the wished face comes outside. A tube is worked with its right side out. */
function holdWords({ kind, of, outside }: SeamWish): string {
  if (!outside) return 'Decide first which face is outside.';
  const face = outside === 'RS' ? 'right' : 'wrong';
  if (of === 'tube') {
    return outside === 'RS'
      ? 'The right side is outside, as you worked it: fold it flat as it is.'
      : 'The wrong side is outside: turn the tube inside out first.';
  }
  const inner = outside === 'RS' ? 'wrong' : 'right';
  const ridge = kind === 'sc' || kind === 'slip stitch' ? ' The seam then shows as a ridge round the edge.' : '';
  return `The ${face} side is outside: hold the panels with their ${inner} sides together.${ridge}`;
}

function seamPart(request: FinishRequest, seam: SeamWish): FinishPart {
  const { kind, of } = seam;
  const size = request.sc[0] as StitchSize;
  const panels = of === 'panels';
  const stitches = panels
    ? request.stitches + 2 * request.courses + 2 * (cornerOfPanels - 1)
    : Math.floor(request.stitches / 2);
  const metres = seamMetres(kind, stitches, size);
  const sewn = kind === 'whipped' || kind === 'mattress';
  const cut = sewingLength((stitches * size.width) / 1000);
  const where = panels
    ? `Join two panels at three sides: 1 stitch a row end, 3 in each bottom corner, ${stitches} in all.`
    : `Close the tube through both tops: ${stitches} pairs.`;
  return {
    name: 'seam',
    colour: 0,
    metres,
    ends: 2,
    stitches,
    steps: [
      holdWords(seam),
      where,
      ...(sewn
        ? [
            `Cut ${yarnLengthNumber(cut, request.told)} ${yarnLengthUnit(request.told)} to sew it, or leave a tail of that length.`,
          ]
        : []),
    ],
  };
}

/** Everything that is done when the cloth is off the hook, in the order of doing. docs/craft.md, “Borders, seams, straps”. */
export function finishParts(request: FinishRequest): FinishPart[] {
  const size = request.sc[0] as StitchSize;
  const parts: FinishPart[] = [];
  if (request.closing) parts.push(closingPart(request));
  if (request.border) parts.push(borderPart(request, request.border));
  if (request.seam) parts.push(seamPart(request, request.seam));
  const { told } = request;
  if (request.strap) parts.push(strapPart(request.strap, request.sc[request.strap.colour] ?? size, told));
  if (request.ring !== undefined) parts.push(ringPart(request.ring, size, told));
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
