import type { Plan } from '../../plan/piece/plan.ts';
import { type Ending, endingOf } from '../../plan/steps/ending.ts';
import { StrandBook } from '../../plan/steps/strandBook.ts';
import type { Terms } from '../terms/termed.ts';
import type { Hand } from '../terms/terms.ts';
import type { WriteRequest } from './rows.ts';

/** What `writeRow` needs of a plan. */
export function writing(plan: Plan, terms: Terms, hand: Hand): WriteRequest & { readonly ending: Ending } {
  const { bound, foundation, wish } = plan.prepared;
  const { fabric, strands, finish } = plan.piece;
  const ending = endingOf({ fabric, strands, bound, finish, lastLoop: wish.lastLoop });
  return {
    fabric,
    bound,
    foundation,
    ending,
    strands: new StrandBook(strands, bound, ending),
    terms,
    hand,
    units: plan.prepared.told,
  };
}
