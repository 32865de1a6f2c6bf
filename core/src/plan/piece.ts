import { checkFabric } from '../check/fabric.ts';
import { checkStrands } from '../check/strands.ts';
import { type Fabric, stitchesByColour } from '../lay/fabric.ts';
import { lay } from '../lay/lay.ts';
import { measure, type YarnNeed } from '../measure/measure.ts';
import { good, type Result } from '../problem.ts';
import { costsFor } from '../route/costs.ts';
import { route, type Strands } from '../route/route.ts';
import { chartOf } from '../write/strandOrders.ts';
import type { Prepared } from './prepare.ts';

/** One size, laid, proved, routed and measured. */
export interface Piece {
  readonly stitches: number;
  readonly rows: number;
  readonly fabric: Fabric;
  readonly strands: Strands;
  readonly yarn: readonly YarnNeed[];
  /** Stitches of each colour, in the order of the pattern's colours. */
  readonly share: readonly number[];
  /** Ends to weave in, all colours. */
  readonly ends: number;
}

/** The way of the strands through a fabric under the wish's policy. */
export function routePiece(prepared: Prepared, fabric: Fabric): Strands {
  const { wish, gauge } = prepared;
  const size = { stitchWidth: gauge.stitchWidth.mid, rowHeight: gauge.rowHeight.mid };
  const costs = costsFor(wish.policy, wish.floats, size);
  return route(chartOf(fabric), costs, wish.policy === 'carry-always' ? 'carry-always' : 'least-cost');
}

/**
 * Lays, proves, routes and measures one size. A piece that fails its proof is refused, never shown.
 * Linear in stitches.
 */
export function makePiece(prepared: Prepared, stitches: number, rows: number): Result<Piece> {
  const { bound, technique, foundation, wish } = prepared;
  const fabric = lay({ bound, foundation, edges: wish.edges, stitches, courses: rows });
  const laid = checkFabric(fabric, bound, technique);
  if (!laid.ok) return laid;
  const strands = routePiece(prepared, fabric);
  const routed = checkStrands(chartOf(fabric), strands);
  if (!routed.ok) return routed;
  const yarn = measure({ fabric, strands, foundation, gauge: prepared.gauge, yarns: prepared.yarns });
  return good({
    stitches,
    rows,
    fabric,
    strands,
    yarn,
    share: stitchesByColour(fabric),
    ends: strands.totals.reduce((sum, total) => sum + total.ends, 0),
  });
}
