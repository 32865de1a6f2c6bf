import { z } from 'zod';

/** One look at a scale, as its driver tells it. */
export const scaleReadingSchema = z.strictObject({
  /** g, rounded as the scale rounds. */
  grams: z.number().min(-10_000).max(10_000),
  /** It has stood still long enough to be believed. */
  settled: z.boolean(),
  /** It reads to ± so much, g. */
  bound: z.number().positive().max(10),
  /** 0 empty to 1 full. */
  battery: z.number().min(0).max(1),
  /** Counted up by the scale with every look, from 1 when it is switched on. */
  look: z.number().int().min(1),
});

export type ScaleReading = z.infer<typeof scaleReadingSchema>;
