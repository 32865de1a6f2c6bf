import type { Work, WorkLog } from '@puntada/core/records';
import type { ProjectCosts } from '@puntada/core/work';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

/** What every part of the log is made from. */
export interface LogProps {
  readonly work: Work;
  readonly log: WorkLog;
  readonly cloth: WorkCloth;
  readonly costs: ProjectCosts;
  /** Where an entry stands, by the units that were done: `row 5`, `dishcloth 2, row 5`. */
  readonly placeOf: (done: number) => string;
}
