import type { EdgeRule } from '../fit/across.ts';
import type { Foundation } from '../fit/foundation.ts';
import type { BoundPattern } from '../patterns/bind.ts';
import { evaluate } from '../patterns/count.ts';
import type { PatternRow, Run } from '../patterns/model.ts';
import { repeatedRows } from '../patterns/rows.ts';
import { stitchCode } from '../stitches/kinds.ts';
import { type Fabric, runsForward } from './fabric.ts';

export interface LayRequest {
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  readonly edges: EdgeRule;
  readonly stitches: number;
  readonly courses: number;
}

/** One row of a pattern, its runs spread out to single cells. */
interface Cells {
  readonly kinds: Uint8Array;
  readonly colours: Uint8Array;
}

function spreadRuns(bound: BoundPattern, runs: readonly Run[], rowColour: string | undefined): Cells {
  const kinds: number[] = [];
  const colours: number[] = [];
  for (const run of runs) {
    const kind = stitchCode(run.stitch ?? bound.stitch);
    const colour = bound.pattern.colours.indexOf(run.colour ?? rowColour ?? 'A');
    if (kind === undefined) throw new Error(`${bound.pattern.key} names ${run.stitch}, which is no stitch`);
    for (let n = evaluate(run.count, bound.numbers); n > 0; n--) {
      kinds.push(kind);
      colours.push(colour);
    }
  }
  return { kinds: Uint8Array.from(kinds), colours: Uint8Array.from(colours) };
}

/** Where in the unit the first column falls: a centred cloth cuts the repeat alike on both sides. */
function phase(request: LayRequest, unit: number): number {
  if (request.edges !== 'centred') return 0;
  const { works, alike } = request.bound.across;
  if (alike.multiple === works.multiple && alike.extra === works.extra) return 0;
  const cut = (request.stitches - alike.extra) / 2;
  return ((-cut % unit) + unit) % unit;
}

/** One pattern row across the whole width, in the order in which the pattern writes it. */
function layRow(request: LayRequest, row: PatternRow): Cells {
  const { bound, stitches } = request;
  const start = spreadRuns(bound, row.start, row.colour);
  const unit = spreadRuns(bound, row.unit, row.colour);
  const end = spreadRuns(bound, row.end, row.colour);
  const kinds = new Uint8Array(stitches);
  const colours = new Uint8Array(stitches);
  const first = start.kinds.length;
  const last = stitches - end.kinds.length;
  const width = unit.kinds.length;
  const shift = phase(request, width);
  kinds.set(start.kinds);
  colours.set(start.colours);
  for (let x = first; x < last; x++) {
    const cell = (x - first + shift) % width;
    kinds[x] = unit.kinds[cell] as number;
    colours[x] = unit.colours[cell] as number;
  }
  kinds.set(end.kinds, last);
  colours.set(end.colours, last);
  return { kinds, colours };
}

/** The pattern's repeated rows, one entry a course of the repeat. */
function courseRows(bound: BoundPattern): PatternRow[] {
  return repeatedRows(bound.pattern).flatMap((row) =>
    new Array<PatternRow>(evaluate(row.courses, bound.numbers)).fill(row),
  );
}

/**
 * Lays the fabric: every stitch of every course, from the pattern and the chosen size.
 * The size is one that `fit` has admitted. Time and memory are linear in the number of stitches.
 */
export function lay(request: LayRequest): Fabric {
  const { bound, stitches, courses, foundation } = request;
  const rows = courseRows(bound);
  const laid = new Map<PatternRow, { forward: Cells; backward: Cells }>();
  for (const row of new Set(rows)) {
    const forward = layRow(request, row);
    const asWorked = bound.pattern.read === 'worked';
    const backward = asWorked ? { kinds: forward.kinds.toReversed(), colours: forward.colours.toReversed() } : forward;
    laid.set(row, { forward, backward });
  }
  const kinds = new Uint8Array(courses * stitches);
  const colours = new Uint8Array(courses * stitches);
  const counted = foundation.counted ? stitchCode('hdc-ch2') : undefined;
  for (let course = 0; course < courses; course++) {
    const forward = runsForward(course);
    const cells = laid.get(rows[course % rows.length] as PatternRow) as { forward: Cells; backward: Cells };
    const { kinds: k, colours: c } = forward ? cells.forward : cells.backward;
    kinds.set(k, course * stitches);
    colours.set(c, course * stitches);
    if (counted !== undefined) kinds[course * stitches + (forward ? 0 : stitches - 1)] = counted;
  }
  return { making: 'flat', courses, stitches, kinds, colours, colourCount: bound.pattern.colours.length };
}
