import { cellWorked, type Fabric, isRoundMaking } from '../../craft/fabric/fabric.ts';
import { onHook } from '../../craft/fabric/onHook.ts';
import { chainsFor, type Foundation } from '../../craft/foundation/foundation.ts';
import { type StitchKey, stitchKind, stitchKinds } from '../../craft/stitches/kinds.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { tailMetres } from '../../craft/values/forecast.ts';
import {
  carriedEase,
  cellPaths,
  climbLength,
  fleckClosing,
  floatLength,
  type StitchSize,
  yarnAlong,
  yarnInStitch,
} from '../../craft/yarn/yarnPerStitch.ts';
import { behindLast, type Chart, firstOf, stitchesBetween } from '../route/chart.ts';
import { CARRY, CUT, FLOAT, FLOAT_RISING } from '../route/moves.ts';
import type { Strands, StrandWay } from '../route/strands.ts';

/** Where the metres of one colour go; all in m. */
export interface YarnParts {
  readonly stitches: number;
  readonly carried: number;
  /** Climbed at the edge or floated on the back. */
  readonly bridged: number;
  /** Foundation and turning chains, and the slip stitches that join rounds. */
  readonly chains: number;
  readonly tails: number;
}

export interface PartsRequest extends CourseRequest {
  readonly strands: Strands;
}

/** What measuring a course needs: of the strands their way is enough. */
export interface CourseRequest {
  readonly fabric: Fabric;
  readonly strands: StrandWay;
  readonly foundation: Foundation;
  readonly technique: Technique;
  /** mm; the cloth as worked. */
  readonly stitchWidth: number;
  readonly rowHeight: number;
  /** Diameter of each colour's yarn, mm. */
  readonly diameters: readonly number[];
}

const strandsCounted = 4;

/** Counts stitches by colour, kind and idle strands inside (three and more together), in one pass. */
function countStitches(fabric: Fabric, { inside, chart }: Strands): Int32Array {
  const kinds = stitchKinds.length;
  const counts = new Int32Array(fabric.colourCount * kinds * strandsCounted);
  const { kinds: kind, colours: colour } = fabric;
  const { cellOf } = chart;
  for (let i = 0; i < kind.length; i++) {
    const strands = inside[cellOf ? (cellOf[i] as number) : i] as number;
    const key = ((colour[i] as number) * kinds + (kind[i] as number)) * strandsCounted;
    (counts[key + (strands < strandsCounted ? strands : strandsCounted - 1)] as number)++;
  }
  return counts;
}

/** Yarn of every colour in its stitches, m. The ground colour closes the flecks of the others. */
function stitchMetres(request: PartsRequest, sizes: readonly StitchSize[]): number[] {
  const counts = countStitches(request.fabric, request.strands);
  const metres = sizes.map(() => 0);
  sizes.forEach((size, colour) => {
    stitchKinds.forEach((kind, code) => {
      const path = request.technique.paths?.[kind.key] ?? cellPaths[kind.key];
      for (let strands = 0; strands < strandsCounted; strands++) {
        const n = counts[(colour * stitchKinds.length + code) * strandsCounted + strands] as number;
        if (!n) continue;
        (metres[colour] as number) += (n * yarnAlong(path, size, strands * kind.posts)) / 1000;
        if (kind.key === 'fleck') {
          (metres[0] as number) += (n * yarnAlong(fleckClosing, sizes[0] as StitchSize)) / 1000;
        }
      }
    });
  });
  return metres;
}

/** Metres of every move of a strand, told with its colour and course. */
export function bridgesByCourse(
  request: CourseRequest,
  sizes: readonly StitchSize[],
  add: (colour: number, course: number, part: 'carried' | 'bridged', metres: number) => void,
): void {
  const { moves, chart, colourOf } = request.strands;
  const pickedUp = pickUps(request.strands);
  for (let i = 0; i < moves.length; i++) {
    const strand = moves.colour[i] as number;
    const kind = moves.kind[i];
    const colour = colourOf[strand] as number;
    const course = moves.row[i] as number;
    const size = sizes[colour] as StitchSize;
    if (kind !== CUT) {
      const across = stitchesBetween(chart, course, moves.from[i] as number, moves.to[i] as number);
      if (kind === CARRY) add(colour, course, 'carried', (across * carriedEase * size.width) / 1000);
      else add(colour, course, 'bridged', bridgeLength(kind as number, across, pickedUp[i] === 1, size) / 1000);
    }
  }
}

/**
 * The moves with which a strand is picked up, one in each gap between two of its uses in which it climbs or floats: the
 * first of them. docs/strand-routing.md, “Metres”.
 */
function pickUps({ moves, chart }: StrandWay): Uint8Array {
  const first = new Uint8Array(moves.length);
  const last = new Int32Array(chart.colourCount).fill(-1);
  for (let i = 0; i < moves.length; i++) {
    const kind = moves.kind[i];
    if (kind === CUT || kind === CARRY) continue;
    // Within a row each float bridges a gap of its own; the other moves go up within one gap.
    if (kind === FLOAT) {
      first[i] = 1;
      continue;
    }
    const strand = moves.colour[i] as number;
    const row = moves.row[i] as number;
    const before = last[strand] as number;
    if (before < 0 || isUsedBetween(chart, strand, before, row)) first[i] = 1;
    last[strand] = row;
  }
  return first;
}

/** Whether a strand is worked in one of the rows from one up to another. */
function isUsedBetween(chart: Chart, strand: number, from: number, to: number): boolean {
  for (let row = from; row < to; row++) {
    const base = row * chart.columns;
    if (chart.colours.subarray(base + firstOf(chart, row), base + behindLast(chart, row)).includes(strand)) return true;
  }
  return false;
}

/** Length of a climb or a float, mm. @param pickedUp whether the strand is picked up with it */
function bridgeLength(kind: number, across: number, pickedUp: boolean, size: StitchSize): number {
  const pickUp = pickedUp ? 2 * size.diameter : 0;
  if (kind === FLOAT) return floatLength(across, size) + pickUp;
  if (kind === FLOAT_RISING) return Math.hypot(floatLength(across, size), size.height) + pickUp;
  return climbLength(size.height, 0, size.diameter) + pickUp;
}

/** Chains that a course begins with and that are no cell of it: those to turn, unless they count. */
export function turningChains(first: StitchKey, foundation: Foundation): number {
  const kind = stitchKinds.find((each) => each.key === first);
  if (kind?.opens || first === 'block' || first === 'ch') return 0;
  if (foundation.counted) return kind?.standsFor === 'dc' ? 2 : 1;
  // Where a round begins with another stitch than the first round did, its chain is as high as that stitch.
  const high = kind?.height ?? 1;
  if (high >= 2 && foundation.stitch !== 'dc') return 2;
  return high <= 1 && foundation.stitch !== 'sc' ? 1 : foundation.turn;
}

/** Foundation chains that are cells of the first course. */
function chainsInRow1(first: StitchKey): number {
  if (first === 'dc-ch3' || first === 'cluster-ch3') return 3;
  return first === 'hdc-ch2' || first === 'dc-ch2' || first === 'linen-edge' || first === 'cluster-ch2' ? 2 : 0;
}

/** Chains before a course, in number: the foundation before the first, those to turn before the others. */
function chainsBefore(
  { fabric, foundation, technique }: Omit<CourseRequest, 'strands'>,
  course: number,
  first: StitchKey,
): number {
  if (course > 0) return fabric.making === 'right-side' ? 1 : turningChains(first, foundation);
  if (technique.chainsInCells) return 0;
  return chainsFor(foundation, fabric.count) - (foundation.each ? chainsInRow1(first) : 0);
}

/** Metres of foundation, turning chains and joins, told with their colour and course: that of its first stitch. */
export function chainsByCourse(
  request: CourseRequest,
  sizes: readonly StitchSize[],
  add: (colour: number, course: number, metres: number) => void,
): void {
  const { fabric, technique } = request;
  // In clusters the gauge's width is that of three stitches.
  const inWidth = 1 / (technique.perWidth ?? 1);
  const narrow = sizes.map((size) => ({ ...size, width: size.width * inWidth }));
  const round = isRoundMaking(fabric.making);
  for (let course = 0; course < fabric.courses; course++) {
    const at = cellWorked(fabric, course, 0);
    const colour = onHook(fabric, at);
    const size = narrow[colour] as StitchSize;
    const first = stitchKind(fabric.kinds[at] as number).key;
    // A row that bridges a group ends with a slip stitch into the edge stitch.
    const slips = course > 0 && technique.slipsOntoEdge && first === 'ch';
    const joins = round ? yarnInStitch('join', size) : slips ? yarnInStitch('sl', size) : 0;
    const mm = chainsBefore(request, course, first) * yarnInStitch('ch', size) + joins;
    add(colour, course, mm / 1000);
  }
}

/** The foundation chain, as far as it is no stitch of the first course: m, with its colour. */
export function foundationMetres(request: Omit<CourseRequest, 'strands'>): {
  readonly colour: number;
  readonly metres: number;
} {
  const { fabric, technique, stitchWidth, rowHeight, diameters } = request;
  const at = cellWorked(fabric, 0, 0);
  const colour = onHook(fabric, at);
  const width = stitchWidth / (technique.perWidth ?? 1);
  const chain = yarnInStitch('ch', { width, height: rowHeight, diameter: diameters[colour] as number });
  const chains = chainsBefore(request, 0, stitchKind(fabric.kinds[at] as number).key);
  return { colour, metres: (chains * chain) / 1000 };
}

/** Predicted metres of each colour by part. docs/craft.md, “Yarn in a piece”. */
export function measureParts(request: PartsRequest): YarnParts[] {
  const sizes = request.diameters.map((diameter) => ({
    width: request.stitchWidth,
    height: request.rowHeight,
    diameter,
  }));
  const stitches = stitchMetres(request, sizes);
  const chains = sizes.map(() => 0);
  const carried = sizes.map(() => 0);
  const bridged = sizes.map(() => 0);
  chainsByCourse(request, sizes, (colour, _course, metres) => {
    (chains[colour] as number) += metres;
  });
  bridgesByCourse(request, sizes, (colour, _course, part, metres) => {
    ((part === 'carried' ? carried : bridged)[colour] as number) += metres;
  });
  const { totals, colourOf } = request.strands;
  return sizes.map((_, colour) => ({
    stitches: stitches[colour] as number,
    carried: carried[colour] as number,
    bridged: bridged[colour] as number,
    chains: chains[colour] as number,
    tails: totals.reduce((sum, total, i) => sum + (colourOf[i] === colour ? total.ends : 0), 0) * tailMetres,
  }));
}
