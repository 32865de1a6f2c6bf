import { courseCells, type Fabric } from '../../craft/fabric/fabric.ts';
import type { Foundation } from '../../craft/foundation/foundation.ts';
import type { BoundMultiple, BoundPattern } from '../../craft/patterns/bound.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { lay } from '../lay/lay.ts';

/** Rows that are looked at: patterns with more repeat nothing at their edges that these do not show. */
const mostRows = 60;

/** Whether every row of a cloth has the same colours from either end. */
function readsAlike(fabric: Fabric): boolean {
  for (let course = 0; course < fabric.courses; course++) {
    const { colours } = courseCells(fabric, course);
    if (!colours.every((colour, x) => colour === colours[colours.length - 1 - x])) return false;
  }
  return true;
}

/** What is read off the cloth of a pattern: it is asked with every keystroke. */
const known = new WeakMap<StitchPattern, Map<string, BoundMultiple>>();

function alikeKnown(bound: BoundPattern, foundation: Foundation): BoundMultiple {
  const { pattern, numbers, stitch, colours } = bound;
  const own = known.get(pattern) ?? new Map<string, BoundMultiple>();
  known.set(pattern, own);
  const key = `${foundation.key} ${stitch} ${colours.join('')} ${JSON.stringify(numbers)}`;
  const alike = own.get(key) ?? alikeOn(bound, foundation);
  own.set(key, alike);
  return alike;
}

/** The counts whose two edges are alike, read off the laid cloth: all that can be worked where none are, or all are. */
function alikeOn(bound: BoundPattern, foundation: Foundation): BoundMultiple {
  const { works } = bound.across;
  const rows = Math.min(mostRows, 2 * bound.repeatCourses);
  const least = works.multiple * Math.ceil((2 * bound.repeatStitches) / works.multiple) + works.extra;
  const counts = [least, least + works.multiple].filter((stitches) =>
    readsAlike(lay({ bound, foundation, edges: 'whole', stitches, courses: rows })),
  );
  const [only] = counts;
  if (counts.length !== 1 || only === undefined) return works;
  return { multiple: 2 * works.multiple, extra: only % (2 * works.multiple) };
}

/**
 * A pattern whose matching edges are read off its cloth, where its rows have not all the same number of cells: with an edge
 * stitch in every second row only, an even number of clusters has alternating rows that begin and end alike.
 * docs/craft.md, “Whole patterns and like edges”.
 */
export function withReadEdges(bound: BoundPattern, technique: Technique, foundation: Foundation): BoundPattern {
  if (!technique.unevenRows) return bound;
  const alike = alikeKnown(bound, foundation);
  const written = bound.across.alike;
  if (alike.multiple === written.multiple && alike.extra === written.extra) return bound;
  return { ...bound, across: { ...bound.across, alike } };
}
