import type { countedIn } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import type { Terms } from '@puntada/core/words';
import type { Position, WorkCosts } from '@puntada/core/work';
import type { WorkCloth } from '../../../parts/useWorkCloth.ts';

/** What every kind of help at the row is made from. */
export interface HelpProps {
  readonly work: Work;
  readonly cloth: WorkCloth;
  readonly position: Position;
  /** Cells worked in the row in hand. */
  readonly done: number;
  /** What its rows count, in the plural. */
  readonly counted: ReturnType<typeof countedIn>;
  readonly costs: WorkCosts | undefined;
  readonly terms: Terms;
  readonly onGo: (to: Position) => void;
  /** Back to the row. */
  readonly close: () => void;
}
