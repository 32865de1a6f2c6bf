import type { ScaleReading } from '@puntada/core/records';

/** What Puntada asks of a scale; a real one on a cable would answer the same. */
export interface ScaleDriver {
  /** One look at it. @returns nothing where it does not answer */
  read(): ScaleReading | undefined;
  /** What lies on it now counts as nothing. */
  tare(): void;
}
