import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import { turnRows } from '../../craft/fabric/rows.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { colourPeriod } from '../../craft/technique/bands.ts';
import type { Policy } from '../../craft/technique/policy.ts';
import type { Technique } from '../../craft/technique/technique.ts';

/** The colours of each course, over two true repeats. */
function coloursByCourse(bound: BoundPattern): string[][] {
  return turnRows(bound, 2 * colourPeriod(bound) + 2).map(({ row, colour }) => [
    ...new Set([...row.start, ...row.unit, ...row.end].map((run) => run.colour ?? colour)),
  ]);
}

/**
 * Whether idle strands will lie inside the stitches, which widens the cloth: in rows of several colours, and in flat
 * one-colour rows where a colour comes again after an even number of rows and so hangs at the other edge.
 */
export function carriesInside(bound: BoundPattern, technique: Technique, wished: Policy): boolean {
  const policy = technique.policy ?? wished;
  const { made } = bound.pattern;
  if (bound.colours.length < 2 || policy === 'cut-always' || policy === 'side-only') return false;
  if (technique.neverCarried) return false;
  if (policy === 'carry-always') return true;
  const courses = coloursByCourse(bound);
  if (courses.some((colours) => colours.length > 1)) return true;
  if (isRoundMaking(made)) return false;
  const last = new Map<string, number>();
  return courses.some(([colour = 'A'], course) => {
    const before = last.get(colour);
    last.set(colour, course);
    return before !== undefined && (course - before) % 2 === 0;
  });
}
