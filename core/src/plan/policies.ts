import type { Fabric } from '../lay/fabric.ts';
import { measureParts } from '../measure/parts.ts';
import { typicalPace } from '../pace/hours.ts';
import { type Policy, policies, policyNames } from '../route/costs.ts';
import { type StrandLedger, strandLedger } from '../route/ledger.ts';
import { lightnessOf } from '../shades/colour.ts';
import { measuringRequest, routePiece } from './piece.ts';
import type { Prepared } from './prepare.ts';

/** What one way of treating the idle colour comes to for one piece. */
export interface PolicyFigures extends StrandLedger {
  readonly policy: Policy;
  readonly name: string;
  /** Yarn that is in no stitch: carried, climbed, floated, and tails; m. */
  readonly extraMetres: number;
  /** Minutes spent on strands and ends alone. */
  readonly minutes: number;
}

/** How far the shades of a work lie apart in lightness, 0 to 1. */
export function contrastOf(prepared: Prepared): number {
  const lightness = prepared.yarns.map((yarn) => lightnessOf(yarn.shade));
  return (Math.max(...lightness) - Math.min(...lightness)) / 100;
}

/** The policies side by side for one laid piece: yarn, ends, minutes, thickness and what shows through. */
export function comparePolicies(prepared: Prepared, fabric: Fabric): PolicyFigures[] {
  const { technique, foundation } = prepared;
  const contrast = contrastOf(prepared);
  const offered = technique.policy ? [technique.policy] : policies;
  return offered.map((policy) => {
    const strands = routePiece({ ...prepared, wish: { ...prepared.wish, policy } }, fabric);
    const ledger = strandLedger(fabric, strands, contrast);
    const parts = measureParts({ ...measuringRequest(prepared, { fabric, strands, foundation }), strands });
    const extraMetres = parts.reduce((sum, part) => sum + part.carried + part.bridged + part.tails, 0);
    const { end, carry, join } = typicalPace;
    const minutes = (ledger.ends * end + ledger.carried * carry + ledger.cuts * join) / 60;
    return { ...ledger, policy, name: policyNames[policy], extraMetres, minutes };
  });
}
