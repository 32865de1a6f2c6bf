import { chainsFor, type Foundation } from '../fit/foundation.ts';
import { cellWorked, type Fabric, isRoundMaking } from '../lay/fabric.ts';
import { stitchesBetween } from '../route/chart.ts';
import { CARRY, CLIMB, CUT, FLOAT, FLOAT_RISING, FLOAT_UP } from '../route/moves.ts';
import type { Strands } from '../route/route.ts';
import { type StitchKey, stitchKind, stitchKinds } from '../stitches/kinds.ts';
import type { Technique } from '../techniques/technique.ts';
import { tailMetres } from './forecast.ts';
import {
  carriedEase,
  cellPaths,
  climbLength,
  fleckClosing,
  floatLength,
  type StitchSize,
  yarnAlong,
  yarnInStitch,
} from './yarnPerStitch.ts';

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

export interface PartsRequest {
  readonly fabric: Fabric;
  readonly strands: Strands;
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
        (metres[colour] as number) += (n * yarnAlong(path, size, strands)) / 1000;
        if (kind.key === 'fleck') {
          (metres[0] as number) += (n * yarnAlong(fleckClosing, sizes[0] as StitchSize)) / 1000;
        }
      }
    });
  });
  return metres;
}

function bridgeMetres(request: PartsRequest, colour: number, size: StitchSize): { carried: number; bridged: number } {
  const { moves, chart, colourOf } = request.strands;
  let carried = 0;
  let bridged = 0;
  const climbing = new Uint8Array(chart.colourCount);
  for (let i = 0; i < moves.length; i++) {
    const strand = moves.colour[i] as number;
    if (colourOf[strand] !== colour) continue;
    const kind = moves.kind[i];
    if (kind === CUT) {
      climbing[strand] = 0;
      continue;
    }
    const across = stitchesBetween(chart, moves.row[i] as number, moves.from[i] as number, moves.to[i] as number);
    if (kind === CARRY) carried += across * carriedEase * size.width;
    else if (kind === CLIMB || kind === FLOAT_UP) {
      bridged += climbLength(size.height, climbing[strand] ? 0 : 1, size.diameter);
    } else if (kind === FLOAT) bridged += floatLength(across, size);
    else if (kind === FLOAT_RISING) bridged += Math.hypot(floatLength(across, size), size.height);
    climbing[strand] = kind === CLIMB || kind === FLOAT_UP ? 1 : 0;
  }
  return { carried: carried / 1000, bridged: bridged / 1000 };
}

/** Chains that a course begins with and that are no cell of it: those to turn, unless they count. */
export function turningChains(first: StitchKey, foundation: Foundation): number {
  const kind = stitchKinds.find((each) => each.key === first);
  if (kind?.opens || first === 'block') return 0;
  if (foundation.counted) return kind?.standsFor === 'dc' ? 2 : 1;
  return foundation.turn;
}

/** Foundation chains that are cells of the first course. */
function chainsInRow1(first: StitchKey): number {
  if (first === 'dc-ch3' || first === 'cluster-ch3') return 3;
  return first === 'hdc-ch2' || first === 'dc-ch2' || first === 'linen-edge' || first === 'cluster-ch2' ? 2 : 0;
}

/** Chains in each colour: the foundation in the colour of the first stitch, each turn in that of its row. In m. */
function chainMetres(request: PartsRequest, sizes: readonly StitchSize[]): number[] {
  const { fabric, foundation, technique } = request;
  const metres = sizes.map(() => 0);
  // In clusters the gauge's width is that of three stitches.
  const inWidth = technique.key === 'granny' ? 1 / 3 : 1;
  const narrow = sizes.map((size) => ({ ...size, width: size.width * inWidth }));
  const round = isRoundMaking(fabric.making);
  const add = (colour: number, mm: number) => {
    metres[colour] = (metres[colour] as number) + mm / 1000;
  };
  const joined = fabric.making === 'right-side';
  for (let course = 0; course < fabric.courses; course++) {
    const at = cellWorked(fabric, course, 0);
    const colour = fabric.colours[at] as number;
    const size = narrow[colour] as StitchSize;
    const first = stitchKind(fabric.kinds[at] as number).key;
    const chains =
      course === 0
        ? foundation.each === 0 && technique.key === 'corner-to-corner'
          ? 0
          : chainsFor(foundation, fabric.count) - (foundation.each ? chainsInRow1(first) : 0)
        : joined
          ? 1
          : turningChains(first, foundation);
    add(colour, chains * yarnInStitch('ch', size));
    if (round) add(colour, yarnInStitch('join', size));
  }
  return metres;
}

/** Predicted metres of each colour by part. docs/craft.md, “Yarn in a piece”. */
export function measureParts(request: PartsRequest): YarnParts[] {
  const sizes = request.diameters.map((diameter) => ({
    width: request.stitchWidth,
    height: request.rowHeight,
    diameter,
  }));
  const stitches = stitchMetres(request, sizes);
  const chains = chainMetres(request, sizes);
  const { totals, colourOf } = request.strands;
  return sizes.map((size, colour) => ({
    stitches: stitches[colour] as number,
    ...bridgeMetres(request, colour, size),
    chains: chains[colour] as number,
    tails: totals.reduce((sum, total, i) => sum + (colourOf[i] === colour ? total.ends : 0), 0) * tailMetres,
  }));
}
