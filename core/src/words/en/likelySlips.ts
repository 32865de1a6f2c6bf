import type { LikelySlip } from '../../craft/notation/slips.ts';

/** A likely slip in a pattern of the maker's own, where it is and what speaks for it. */
export function likelySlipWords({ row, run, wanted, count, colour }: LikelySlip): string {
  return wanted === undefined
    ? `Row ${row} is not the same from both ends, unlike the rows above and below: check run ${run}.`
    : `Row ${row}: run ${run} is ${count}${colour}, but the rows around it lead to ${wanted}${colour}.`;
}
