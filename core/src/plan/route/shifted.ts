import { blocksHigh } from '../../craft/fabric/diagonals.ts';
import type { Fabric } from '../../craft/fabric/fabric.ts';
import { CUT, MoveList } from './moves.ts';
import { chartOf } from './ofFabric.ts';

/**
 * The moves of a fabric as the chart of another one counts them, whose first courses are the same: on the diagonal the
 * columns of a chart begin elsewhere when the piece becomes less high. Edges stay edges.
 */
export function shifted(moves: MoveList, before: Fabric, after: Fabric): MoveList {
  if (before.making !== 'diagonals') return moves;
  const by = blocksHigh(after.courses, after.count) - blocksHigh(before.courses, before.count);
  const [columns, next] = [chartOf(before).columns, chartOf(after).columns];
  const place = (boundary: number) => (boundary === 0 ? 0 : boundary === columns ? next : boundary + by);
  const found = new MoveList();
  for (let i = 0; i < moves.length; i++) {
    const [kind, to] = [moves.kind[i] as number, moves.to[i] as number];
    const at = place(moves.from[i] as number);
    found.add(kind, moves.colour[i] as number, moves.row[i] as number, at, kind === CUT ? to : place(to));
  }
  return found;
}
