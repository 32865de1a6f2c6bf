/** One look at a scale. */
export interface ScaleReading {
  /** g, rounded as the scale rounds. */
  readonly grams: number;
  /** It has stood still long enough to be believed. */
  readonly settled: boolean;
  /** It reads to ± so much, g. */
  readonly bound: number;
  /** 0 empty to 1 full. */
  readonly battery: number;
}

/** What Puntada asks of a scale; a real one on a cable would answer the same. */
export interface ScaleDriver {
  /** @returns nothing where it does not answer */
  read(): ScaleReading | undefined;
  /** What lies on it now counts as nothing. */
  tare(): void;
}
