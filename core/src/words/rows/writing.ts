import type { Plan } from '../../plan/piece/plan.ts';
import { StrandBook } from '../../plan/steps/strandBook.ts';
import type { Terms } from '../terms/termed.ts';
import type { Hand } from '../terms/terms.ts';
import type { WriteRequest } from './rows.ts';

/** What `writeRow` needs of a plan. */
export function writing(plan: Plan, terms: Terms, hand: Hand): WriteRequest {
  const { bound, foundation } = plan.prepared;
  const { fabric, strands } = plan.piece;
  return {
    fabric,
    bound,
    foundation,
    strands: new StrandBook(strands, bound),
    terms,
    hand,
  };
}
