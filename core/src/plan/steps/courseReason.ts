import { cellsIn, type Fabric, facesRight, isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { type StitchKey, stitchKind } from '../../craft/stitches/kinds.ts';
import type { Told } from '../../craft/values/problem.ts';

/** Cells side by side that are alike. */
export interface CellRun {
  readonly count: number;
  readonly kind: StitchKey;
  /** Its letter. */
  readonly colour: string;
}

/** Why a course has just its runs, read off the laid fabric. Its words: `words/rows/explain.ts`. */
export interface CourseReason {
  readonly cells: number;
  /** What comes again in it; nothing where the whole course is one repeat. */
  readonly repeats:
    | {
        /** The first and the last cell are edges of their own. */
        readonly edges: boolean;
        readonly unit: readonly CellRun[];
        readonly period: number;
        readonly times: number;
        /** What stands over behind the last whole repeat. */
        readonly over: readonly CellRun[];
        readonly cellsOver: number;
        /** Cells between the edges. */
        readonly inner: number;
      }
    | undefined;
  /** How it stands to the courses below; nothing where it is like none of them. */
  readonly stands: Told | undefined;
  /** In which order the hand meets it, and with what it begins where the work was turned. */
  readonly meets: 'always alike' | 'right side' | 'turned';
  readonly first: readonly CellRun[];
}

/** One cell of a course in numbers: kind and colour together. */
function cellAt(fabric: Fabric, course: number, x: number): number {
  const at = (fabric.starts[course] as number) + x;
  return (fabric.kinds[at] as number) * 16 + (fabric.colours[at] as number);
}

function same(fabric: Fabric, a: number, b: number, take: (cell: number) => number = (cell) => cell): boolean {
  const count = cellsIn(fabric, a);
  if (count !== cellsIn(fabric, b)) return false;
  for (let x = 0; x < count; x++) {
    if (take(cellAt(fabric, a, x)) !== cellAt(fabric, b, x)) return false;
  }
  return true;
}

/** The least number of cells after which a course comes again, or all of it. @param edge cells left out at either end */
function periodOf(fabric: Fabric, course: number, edge: number): number {
  const count = cellsIn(fabric, course) - edge;
  for (let period = 1; period < count - edge; period++) {
    let holds = true;
    for (let x = edge; holds && x + period < count; x++) {
      holds = cellAt(fabric, course, x) === cellAt(fabric, course, x + period);
    }
    if (holds) return period;
  }
  return count - edge;
}

function runsIn(fabric: Fabric, bound: BoundPattern, course: number, from: number, to: number): CellRun[] {
  const runs: CellRun[] = [];
  for (let x = from; x < to; ) {
    const cell = cellAt(fabric, course, x);
    const start = x;
    while (x < to && cellAt(fabric, course, x) === cell) x++;
    runs.push({ count: x - start, kind: stitchKind(cell >> 4).key, colour: bound.colours[cell & 15] ?? '' });
  }
  return runs;
}

/** Cells by which the row above has moved against the one below, none where it has not simply moved. */
function shiftOf(fabric: Fabric, course: number, period: number): number | undefined {
  const count = cellsIn(fabric, course);
  if (count !== cellsIn(fabric, course - 1) || period >= count - 2) return undefined;
  for (let shift = 1; shift < period; shift++) {
    let holds = true;
    for (let x = 1; holds && x + shift < count - 1; x++) {
      holds = cellAt(fabric, course, x) === cellAt(fabric, course - 1, x + shift);
    }
    if (holds) return shift;
  }
  return undefined;
}

/** So far back a like course is looked for. */
const farthest = 200;

/** How a course stands to those before it. */
function standing(fabric: Fabric, course: number, period: number): Told | undefined {
  if (course === 0) return undefined;
  if (same(fabric, course, course - 1)) return { code: 'same-as', facts: { row: course } };
  const exchanged = (cell: number) => (fabric.colourCount === 2 ? cell ^ 1 : cell);
  if (fabric.colourCount === 2 && same(fabric, course, course - 1, exchanged)) {
    return { code: 'swapped', facts: { row: course } };
  }
  for (let before = course - 2; before >= Math.max(0, course - farthest); before--) {
    if (same(fabric, course, before)) {
      return { code: 'comes-again', facts: { row: before + 1, every: course - before } };
    }
  }
  const shift = shiftOf(fabric, course, period);
  if (shift === undefined) return undefined;
  const by = Math.min(shift, period - shift);
  return { code: 'shifted', facts: { row: course, by, towards: shift <= period / 2 } };
}

function repeatsOf(
  fabric: Fabric,
  bound: BoundPattern,
  course: number,
  edge: number,
  period: number,
): CourseReason['repeats'] {
  const count = cellsIn(fabric, course);
  const inner = count - 2 * edge;
  const times = Math.floor(inner / period);
  if (times < 2) return undefined;
  const cellsOver = inner - times * period;
  return {
    edges: edge > 0,
    unit: runsIn(fabric, bound, course, edge, edge + period),
    period,
    times,
    over: runsIn(fabric, bound, course, count - edge - cellsOver, count - edge),
    cellsOver,
    inner,
  };
}

function meeting(fabric: Fabric, bound: BoundPattern, course: number): Pick<CourseReason, 'meets' | 'first'> {
  if (isRoundMaking(fabric.making) || fabric.making === 'right-side') return { meets: 'always alike', first: [] };
  if (facesRight(course, fabric.making)) return { meets: 'right side', first: [] };
  const count = cellsIn(fabric, course);
  let from = count - 1;
  while (from > 0 && cellAt(fabric, course, from - 1) === cellAt(fabric, course, count - 1)) from--;
  return { meets: 'turned', first: runsIn(fabric, bound, course, from, count) };
}

/**
 * Why a course has just these runs: what in it repeats and how often, how it stands to the courses below, and why the
 * hand meets it in this order. It holds in every technique. @param course from 0
 */
export function reasonOf(fabric: Fabric, bound: BoundPattern, course: number): CourseReason {
  const cells = cellsIn(fabric, course);
  const whole = periodOf(fabric, course, 0);
  // The first and the last stitch may be edges of their own.
  const edge = whole < cells || cells < 4 ? 0 : 1;
  const period = edge ? periodOf(fabric, course, edge) : whole;
  return {
    cells,
    repeats: repeatsOf(fabric, bound, course, edge, period),
    stands: standing(fabric, course, period),
    ...meeting(fabric, bound, course),
  };
}
