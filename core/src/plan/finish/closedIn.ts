import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import type { Wish } from '../../records/wish.ts';
import { type EndPlace, endsOf } from '../route/ends.ts';
import type { StrandWay } from '../route/strands.ts';

/** A cloth and what is to go round it. */
interface Bordered {
  readonly wish: Pick<Wish, 'border'>;
  readonly technique: Pick<Technique, 'circle'>;
  readonly bound: BoundPattern;
}

/** Whether an end hangs at one of the two edges where rows begin and end. */
export function isAtEdge({ boundary }: Pick<EndPlace, 'boundary'>, { chart }: Pick<StrandWay, 'chart'>): boolean {
  return boundary === 0 || boundary === chart.columns;
}

/**
 * Whether a border closes in what hangs at the edges: the two layers of an envelope, around a cloth in rows. What goes round
 * has no such edges. docs/craft.md, “Borders”.
 */
export function closesEdges({ wish, technique, bound }: Bordered): boolean {
  return wish.border?.envelope === true && !technique.circle && !isRoundMaking(bound.pattern.made);
}

/**
 * Ends of each colour of one cloth that its border closes in, so that nobody weaves them in.
 * @param ends of the way, as they were counted: where it does not tell the place of each, none is known to be closed in
 */
export function closedIn(cloth: Bordered, way: StrandWay, ends: number): number[] {
  const found = cloth.bound.colours.map(() => 0);
  const places = closesEdges(cloth) ? endsOf(way) : [];
  if (places.length !== ends) return found;
  for (const end of places) {
    const colour = way.colourOf[end.strand] ?? 0;
    if (isAtEdge(end, way)) found[colour] = (found[colour] ?? 0) + 1;
  }
  return found;
}
