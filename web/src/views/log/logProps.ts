import type { WorkCosts } from '@puntada/core/work';
import type { Work } from '../../api/api.ts';
import type { WorkLog } from '../../api/records.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';

/** What every part of the log is made from. */
export interface LogProps {
  readonly work: Work;
  readonly log: WorkLog;
  readonly cloth: WorkCloth;
  readonly costs: WorkCosts;
}
