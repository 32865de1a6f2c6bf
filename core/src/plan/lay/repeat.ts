import { courseCells, type Fabric, runsForward } from '../../craft/fabric/fabric.ts';
import { type Foundation, findFoundation } from '../../craft/foundation/foundation.ts';
import { type BoundPattern, leastCommonMultiple } from '../../craft/patterns/bound.ts';
import { evaluate } from '../../craft/patterns/count.ts';
import { onceRows, repeatedRows } from '../../craft/patterns/rows.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { lay } from './lay.ts';

function divisorsOf(n: number): number[] {
  return Array.from({ length: n }, (_, i) => i + 1).filter((each) => n % each === 0);
}

/** Rows of a pattern that has no plain grid, as text: blocks and wedges are compared as they are drawn. */
function drawnRepeat(bound: BoundPattern): number {
  const rows = repeatedRows(bound.pattern).flatMap((row) =>
    new Array<string>(evaluate(row.courses, bound.numbers)).fill(
      JSON.stringify([row.unit, row.start, row.end, row.colour]),
    ),
  );
  return (
    divisorsOf(rows.length).find((p) => rows.every((row, i) => row === rows[(i + p) % rows.length])) ?? rows.length
  );
}

function sameCourse(fabric: Fabric, a: number, b: number): boolean {
  if (runsForward(a, fabric.making) !== runsForward(b, fabric.making)) return false;
  const [one, two] = [courseCells(fabric, a), courseCells(fabric, b)];
  return (
    one.kinds.length === two.kinds.length &&
    one.kinds.every((kind, x) => kind === two.kinds[x]) &&
    one.colours.every((colour, x) => colour === two.colours[x])
  );
}

/** First rows differ by what they stand on: the chain, a ring, two rows of set-up. */
const unlike = 3;

/**
 * Courses after which stitch, colour and working direction have all come back, found in a laid cloth and not from the
 * number of rows that were written. docs/craft.md, “Whole patterns and like edges”.
 */
export function trueRepeat(bound: BoundPattern, technique: Technique): number {
  if (technique.courses || technique.circle) return drawnRepeat(bound);
  const { order } = bound.pattern;
  const setup = onceRows(bound.pattern, 'setup').reduce((sum, row) => sum + evaluate(row.courses, bound.numbers), 0);
  const close = onceRows(bound.pattern, 'close').reduce((sum, row) => sum + evaluate(row.courses, bound.numbers), 0);
  const written = leastCommonMultiple(bound.repeatCourses, 4);
  const from = setup + unlike + (order?.opening.length ?? 0);
  const { works } = bound.across;
  const stitches = works.multiple * Math.max(2, Math.ceil((2 * bound.repeatStitches) / works.multiple)) + works.extra;
  const foundation = findFoundation(technique.foundations(bound)[0] as string) as Foundation;
  const courses = from + 2 * written + close + (order?.closing.length ?? 0) + unlike;
  const fabric = lay({ bound, foundation, edges: 'whole', stitches, courses });
  const rows = Array.from({ length: written }, (_, i) => from + i);
  return divisorsOf(written).find((p) => rows.every((row) => sameCourse(fabric, row, row + p))) ?? written;
}
