import { handBelief } from '../../plan/piece/piece.ts';
import type { Sequence } from '../../plan/steps/sequence.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import { type LogEntry, weighingsIn } from '../../records/logEntry.ts';
import { metresToEnd, type WorkCosts } from './inHand.ts';
import type { ColourQuestion } from './weighed.ts';

/** What is asked of the balls of each colour of a work, at whatever row it stands; in the order of its yarns. */
export function colourQuestions(
  prepared: Prepared,
  costs: WorkCosts & { readonly sequence?: Sequence },
  entries: readonly LogEntry[],
): Omit<ColourQuestion, 'now' | 'part'>[] {
  const belief = handBelief(prepared);
  const weighings = weighingsIn(entries);
  return prepared.yarns.map((yarn, colour) => ({
    yarn,
    metres: metresToEnd(costs, colour),
    units: costs.sequence?.units,
    belief,
    weighings: weighings.filter(({ letter }) => letter === yarn.letter),
  }));
}
