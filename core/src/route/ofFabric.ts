import { cellsIn, courseCells, type Fabric, stitchesMade } from '../lay/fabric.ts';
import { blocksHigh, diagonalSpan } from '../techniques/cornerToCorner.ts';
import type { Chart, Construction } from './chart.ts';
import { EMPTY } from './chart.ts';

const constructionOf: Readonly<Record<Fabric['making'], Construction>> = {
  flat: 'flat',
  'right-side': 'right-side',
  rounds: 'rounds',
  'turned-rounds': 'turned-rounds',
  paired: 'paired',
  diagonals: 'flat',
};

/** Fills a chart of half columns: each cell is drawn at a place and a width of its own. */
function placed(fabric: Fabric, columns: number, at: (course: number, x: number) => [from: number, to: number]) {
  const colours = new Uint8Array(fabric.courses * columns).fill(EMPTY);
  const spans = new Int32Array(2 * fabric.courses);
  const cellOf = new Uint32Array(fabric.kinds.length);
  for (let course = 0; course < fabric.courses; course++) {
    const start = fabric.starts[course] as number;
    const cells = cellsIn(fabric, course);
    for (let x = 0; x < cells; x++) {
      const [from, to] = at(course, x);
      cellOf[start + x] = course * columns + from;
      colours.fill(fabric.colours[start + x] as number, course * columns + from, course * columns + to);
      if (x === 0) spans[2 * course] = from;
      if (x === cells - 1) spans[2 * course + 1] = to;
    }
  }
  return { columns, colours, spans, cellOf, scale: new Float64Array(fabric.courses).fill(0.5) };
}

/** Blocks on the diagonal lie half a block beside those of the diagonal below. */
function diagonalColumns(fabric: Fabric) {
  const wide = fabric.count;
  const high = blocksHigh(fabric.courses, wide);
  return placed(fabric, wide + high, (diagonal, i) => {
    const x = diagonalSpan(diagonal, wide, high).from + i;
    const at = x - (diagonal - x) + high - 1;
    return [at, at + 2];
  });
}

/** Rows of clusters lie half a cluster beside one another; an edge stitch is half as wide. */
function clusterColumns(fabric: Fabric) {
  const everyRow = cellsIn(fabric, 0) === fabric.count + 1;
  return placed(fabric, 2 * fabric.count + (everyRow ? 1 : 0), (course, x) => {
    if (everyRow)
      return course % 2 ? [Math.max(0, 2 * x - 1), 2 * x + 1] : [2 * x, Math.min(2 * x + 2, 2 * fabric.count + 1)];
    return course % 2 ? [Math.max(0, 2 * x - 1), Math.min(2 * x + 1, 2 * fabric.count)] : [2 * x, 2 * x + 2];
  });
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

/** The chart that routing reads from a fabric. */
export function chartOf(fabric: Fabric): Chart {
  const { making, courses: rows, colourCount } = fabric;
  const whole = { rows, colourCount, construction: constructionOf[making] };
  if (making === 'diagonals') return { ...whole, ...diagonalColumns(fabric) };
  if (fabric.kinds.length === rows * fabric.stitches && fabric.stitches === fabric.count) {
    return { ...whole, columns: fabric.stitches, colours: fabric.colours };
  }
  if (making === 'paired') return { ...whole, columns: fabric.stitches, colours: fabric.colours };
  return { ...whole, ...(making === 'rounds' ? wedgeColumns(fabric) : clusterColumns(fabric)) };
}
