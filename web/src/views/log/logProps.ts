import type { Work, WorkLog } from '@puntada/core/records';
import type { WorkCosts } from '@puntada/core/work';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

/** What every part of the log is made from. */
export interface LogProps {
  readonly work: Work;
  readonly log: WorkLog;
  readonly cloth: WorkCloth;
  readonly costs: WorkCosts;
}
