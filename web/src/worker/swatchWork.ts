import {
  type Hand,
  planDocument,
  planSwatch,
  type Result,
  type Swatch,
  swatchReading,
  type Terms,
  type YarnNeed,
} from '@puntada/core';

/** How a swatch is made. */
export interface SwatchPlan {
  readonly chains: number;
  readonly stitches: number;
  readonly rows: number;
  readonly yarn: readonly YarnNeed[];
  /** Its rows in words, like ones together. */
  readonly grouped: readonly string[];
}

/** What a swatch comes to: how it is made, and what its weight tells, where it was weighed. */
export interface SwatchWork {
  readonly plan: Result<SwatchPlan>;
  readonly reading: ReturnType<typeof swatchReading> | undefined;
}

/** Plans a swatch and reads its weight. */
export function swatchWork(swatch: Swatch, terms: Terms, hand: Hand): SwatchWork {
  const plan = planSwatch(swatch);
  const reading = swatch.weight ? swatchReading(swatch) : undefined;
  if (!plan.ok) return { plan, reading };
  const { width, height, piece } = plan.value;
  const { grouped } = planDocument(plan.value, terms, hand);
  const value = { chains: width.chains, stitches: width.stitches, rows: height.rows, yarn: piece.yarn, grouped };
  return { plan: { ok: true, value }, reading };
}

/** What the weights of some swatches tell, in their order; nothing for one that was not weighed. */
export function swatchReadings(swatches: readonly Swatch[]): (ReturnType<typeof swatchReading> | undefined)[] {
  return swatches.map((swatch) => (swatch.weight ? swatchReading(swatch) : undefined));
}
