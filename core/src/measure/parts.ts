import type { Foundation } from '../fit/foundation.ts';
import { columnWorked, type Fabric } from '../lay/fabric.ts';
import { CARRY, CLIMB, FLOAT, FLOAT_RISING, FLOAT_UP } from '../route/moves.ts';
import type { Strands } from '../route/route.ts';
import { stitchKinds } from '../stitches/kinds.ts';
import { tailMetres } from './forecast.ts';
import {
  carriedEase,
  climbLength,
  floatLength,
  type StitchSize,
  type YarnPathKey,
  yarnInStitch,
} from './yarnPerStitch.ts';

/** Where the metres of one colour go; all in m. */
export interface YarnParts {
  readonly stitches: number;
  readonly carried: number;
  /** Climbed at the edge or floated on the back. */
  readonly bridged: number;
  /** Foundation and turning chains. */
  readonly chains: number;
  readonly tails: number;
}

export interface PartsRequest {
  readonly fabric: Fabric;
  readonly strands: Strands;
  readonly foundation: Foundation;
  /** mm; the cloth as worked. */
  readonly stitchWidth: number;
  readonly rowHeight: number;
  /** Diameter of each colour's yarn, mm. */
  readonly diameters: readonly number[];
}

const pathOf: Readonly<Record<string, YarnPathKey>> = { sc: 'sc', hdc: 'hdc', dc: 'dc', 'hdc-ch2': 'tch2' };
const strandsCounted = 4;

/** Counts stitches by colour, kind and idle strands inside (three and more together), in one pass. */
function countStitches(fabric: Fabric, inside: Uint8Array): Int32Array {
  const kinds = stitchKinds.length;
  const counts = new Int32Array(fabric.colourCount * kinds * strandsCounted);
  const { kinds: kind, colours: colour } = fabric;
  for (let i = 0; i < kind.length; i++) {
    const strands = inside[i] as number;
    const key = ((colour[i] as number) * kinds + (kind[i] as number)) * strandsCounted;
    (counts[key + (strands < strandsCounted ? strands : strandsCounted - 1)] as number)++;
  }
  return counts;
}

function stitchMetres(counts: Int32Array, colour: number, size: StitchSize): number {
  let mm = 0;
  stitchKinds.forEach((kind, code) => {
    const path = pathOf[kind.key] as YarnPathKey;
    for (let strands = 0; strands < strandsCounted; strands++) {
      const n = counts[(colour * stitchKinds.length + code) * strandsCounted + strands] as number;
      if (n) mm += n * yarnInStitch(path, size, strands);
    }
  });
  return mm / 1000;
}

function bridgeMetres(request: PartsRequest, colour: number, size: StitchSize): { carried: number; bridged: number } {
  const { moves } = request.strands;
  let carried = 0;
  let bridged = 0;
  let climbing = false;
  for (let i = 0; i < moves.length; i++) {
    if (moves.colour[i] !== colour) continue;
    const kind = moves.kind[i];
    const across = Math.abs((moves.to[i] as number) - (moves.from[i] as number));
    if (kind === CARRY) carried += across * carriedEase * size.width;
    else if (kind === CLIMB || kind === FLOAT_UP) bridged += climbLength(size.height, climbing ? 0 : 1, size.diameter);
    else if (kind === FLOAT) bridged += floatLength(across, size);
    else if (kind === FLOAT_RISING) bridged += Math.hypot(floatLength(across, size), size.height);
    climbing = kind === CLIMB || kind === FLOAT_UP;
  }
  return { carried: carried / 1000, bridged: bridged / 1000 };
}

/** Chains in each colour: the foundation in the colour of the first stitch, each turn in that of its row. In m. */
function chainMetres(request: PartsRequest, sizes: readonly StitchSize[]): number[] {
  const { fabric, foundation } = request;
  const metres = sizes.map(() => 0);
  const add = (colour: number, mm: number) => {
    metres[colour] = (metres[colour] as number) + mm / 1000;
  };
  const first = (course: number) =>
    fabric.colours[course * fabric.stitches + columnWorked(fabric, course, 0)] as number;
  const chains = fabric.stitches + foundation.beyond;
  add(first(0), chains * yarnInStitch('ch', sizes[first(0)] as StitchSize));
  if (foundation.counted) {
    // The first stitch of row 1 is made of foundation chains that are counted above.
    add(first(0), -yarnInStitch('tch2', sizes[first(0)] as StitchSize));
    return metres;
  }
  for (let course = 1; course < fabric.courses; course++) {
    add(first(course), yarnInStitch(foundation.turn === 2 ? 'tch2' : 'tch1', sizes[first(course)] as StitchSize));
  }
  return metres;
}

/** Predicted metres of each colour by part. docs/craft.md, “Yarn in a piece”. */
export function measureParts(request: PartsRequest): YarnParts[] {
  const counts = countStitches(request.fabric, request.strands.inside);
  const sizes = request.diameters.map((diameter) => ({
    width: request.stitchWidth,
    height: request.rowHeight,
    diameter,
  }));
  const chains = chainMetres(request, sizes);
  return sizes.map((size, colour) => ({
    stitches: stitchMetres(counts, colour, size),
    ...bridgeMetres(request, colour, size),
    chains: chains[colour] as number,
    tails: (request.strands.totals[colour]?.ends ?? 0) * tailMetres,
  }));
}
