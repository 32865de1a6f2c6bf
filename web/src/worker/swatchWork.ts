import type { Result } from '@puntada/core/craft';
import type { YarnNeed } from '@puntada/core/plan';
import type { Swatch } from '@puntada/core/records';
import { type Maker, planDocument, upWord } from '@puntada/core/words';
import { leastRepeats, planSwatch, swatchReading } from '@puntada/core/work';

/** A count and what is counted, in the plural. */
export interface Counted {
  readonly count: number;
  readonly word: string;
}

/** How a swatch is made. */
export interface SwatchPlan {
  readonly chains: number;
  /** How large, as it is counted: `36 stitches`, `30 rows`. */
  readonly across: Counted;
  readonly up: Counted;
  /** Of the pattern, at least. */
  readonly repeats: number;
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
export function swatchWork(swatch: Swatch, maker: Maker): SwatchWork {
  const plan = planSwatch(swatch);
  const reading = swatch.weight ? swatchReading(swatch) : undefined;
  if (!plan.ok) return { plan, reading };
  const { width, height, piece, prepared } = plan.value;
  const { technique, bound } = prepared;
  const value: SwatchPlan = {
    chains: width.chains,
    across: { count: width.stitches, word: technique.width.word },
    up: { count: height.rows, word: upWord(bound.pattern.made) },
    repeats: leastRepeats(technique),
    yarn: piece.yarn,
    grouped: planDocument(plan.value, maker).grouped,
  };
  return { plan: { ok: true, value }, reading };
}

/** What the weights of some swatches tell, in their order; nothing for one that was not weighed. */
export function swatchReadings(swatches: readonly Swatch[]): (ReturnType<typeof swatchReading> | undefined)[] {
  return swatches.map((swatch) => (swatch.weight ? swatchReading(swatch) : undefined));
}
