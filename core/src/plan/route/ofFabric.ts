import { blocksHigh, diagonalSpan } from '../../craft/fabric/diagonals.ts';
import { cellsIn, courseCells, type Fabric, isRoundMaking, stitchesMade } from '../../craft/fabric/fabric.ts';
import type { Chart, Construction } from './chart.ts';
import { EMPTY } from './chart.ts';

const constructionOf: Readonly<Record<Fabric['making'], Construction>> = {
  flat: 'flat',
  'right-side': 'right-side',
  rounds: 'rounds',
  'turned-rounds': 'turned-rounds',
  paired: 'paired',
  netted: 'netted',
  diagonals: 'flat',
};

/**
 * A chart of half columns: every cell is two of them wide, the first of a course beginning at its offset, and what
 * would stand out at either side is cut off.
 */
function halfColumns(fabric: Fabric, columns: number, offsetOf: (course: number) => number) {
  const colours = new Uint8Array(fabric.courses * columns).fill(EMPTY);
  const spans = new Int32Array(2 * fabric.courses);
  const cellOf = new Uint32Array(fabric.kinds.length);
  for (let course = 0; course < fabric.courses; course++) {
    const start = fabric.starts[course] as number;
    const cells = cellsIn(fabric, course);
    const base = course * columns;
    const offset = offsetOf(course);
    for (let x = 0; x < cells; x++) {
      const from = Math.max(0, offset + 2 * x);
      const to = Math.min(columns, offset + 2 * x + 2);
      const colour = fabric.colours[start + x] as number;
      cellOf[start + x] = base + from;
      colours[base + from] = colour;
      colours[base + to - 1] = colour;
    }
    spans[2 * course] = Math.max(0, offset);
    spans[2 * course + 1] = Math.min(columns, offset + 2 * cells);
  }
  return { columns, colours, spans, cellOf, scale: new Float64Array(fabric.courses).fill(0.5) };
}

/** Blocks on the diagonal lie half a block beside those of the diagonal below. */
function diagonalColumns(fabric: Fabric) {
  const wide = fabric.count;
  const high = blocksHigh(fabric.courses, wide);
  return halfColumns(
    fabric,
    wide + high,
    (diagonal) => 2 * diagonalSpan(diagonal, wide, high).from - diagonal + high - 1,
  );
}

/** Rows of clusters lie half a cluster beside one another; an edge stitch is half as wide. */
function clusterColumns(fabric: Fabric) {
  const everyRow = cellsIn(fabric, 0) === fabric.count + 1;
  return halfColumns(fabric, 2 * fabric.count + (everyRow ? 1 : 0), (course) => (course % 2 ? -1 : 0));
}

/** A round of wedges: one column a wedge, as many stitches in it as the wedge is wide. */
function wedgeColumns(fabric: Fabric) {
  const { count, courses } = fabric;
  const colours = new Uint8Array(courses * count);
  const scale = new Float64Array(courses);
  const cellOf = new Uint32Array(fabric.kinds.length);
  for (let course = 0; course < courses; course++) {
    const start = fabric.starts[course] as number;
    const inWedge = cellsIn(fabric, course) / count;
    scale[course] = stitchesMade(courseCells(fabric, course)) / count;
    for (let x = 0; x < cellsIn(fabric, course); x++) {
      const at = course * count + Math.floor(x / inWedge);
      cellOf[start + x] = at;
      colours[at] = fabric.colours[start + x] as number;
    }
  }
  return { columns: count, colours, scale, cellOf };
}

/** Rounds of straight sides on a circle: a round of the circle lies under as many columns as its sides have. */
function basedColumns(fabric: Fabric) {
  const { count, courses } = fabric;
  const colours = new Uint8Array(courses * count);
  const scale = new Float64Array(courses);
  const cellOf = new Uint32Array(fabric.kinds.length);
  for (let course = 0; course < courses; course++) {
    const start = fabric.starts[course] as number;
    const cells = cellsIn(fabric, course);
    scale[course] = cells / count;
    for (let x = 0; x < cells; x++) cellOf[start + x] = course * count + Math.floor((x * count) / cells);
    for (let column = 0; column < count; column++) {
      colours[course * count + column] = fabric.colours[start + Math.floor((column * cells) / count)] as number;
    }
  }
  return { columns: count, colours, scale, cellOf };
}

/** The chart that routing reads from a fabric. */
export function chartOf(fabric: Fabric): Chart {
  const { making, courses: rows, colourCount } = fabric;
  const whole = { rows, colourCount, construction: constructionOf[making] };
  if (making === 'diagonals') return { ...whole, ...diagonalColumns(fabric) };
  if (fabric.kinds.length === rows * fabric.stitches && fabric.stitches === fabric.count) {
    return { ...whole, columns: fabric.stitches, colours: fabric.colours };
  }
  if (making === 'paired' || making === 'netted')
    return { ...whole, columns: fabric.stitches, colours: fabric.colours };
  if (isRoundMaking(making)) {
    return { ...whole, ...(cellsIn(fabric, rows - 1) === fabric.count ? basedColumns(fabric) : wedgeColumns(fabric)) };
  }
  return { ...whole, ...clusterColumns(fabric) };
}
