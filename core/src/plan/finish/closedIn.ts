import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import { type EndPlace, endsOf } from '../route/ends.ts';
import type { StrandWay } from '../route/strands.ts';
import type { Prepared } from '../wish/prepare.ts';

/** Whether an end hangs at one of the two edges where rows begin and end. */
export function isAtEdge({ boundary }: Pick<EndPlace, 'boundary'>, { chart }: Pick<StrandWay, 'chart'>): boolean {
  return boundary === 0 || boundary === chart.columns;
}

/**
 * Whether a border closes in what hangs at the edges: the two layers of an envelope, around a cloth in rows. What goes round
 * has no such edges. docs/craft.md, “Borders”.
 */
export function closesEdges({ wish, technique, bound }: Pick<Prepared, 'wish' | 'technique' | 'bound'>): boolean {
  return wish.border?.envelope === true && !technique.circle && !isRoundMaking(bound.pattern.made);
}

/**
 * Ends of each colour of one cloth that its border closes in, so that nobody weaves them in.
 * @param ends of the way, as they were counted: where it does not tell the place of each, none is known to be closed in
 */
export function closedIn(prepared: Prepared, way: StrandWay, ends: number): number[] {
  const found = prepared.bound.colours.map(() => 0);
  const places = closesEdges(prepared) ? endsOf(way) : [];
  if (places.length !== ends) return found;
  for (const end of places) {
    const colour = way.colourOf[end.strand] ?? 0;
    if (isAtEdge(end, way)) found[colour] = (found[colour] ?? 0) + 1;
  }
  return found;
}
