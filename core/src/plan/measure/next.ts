import { type Belief, driftSd, firstBelief, learn } from '../../craft/values/belief.ts';
import { ninety } from '../../craft/values/estimate.ts';

/** One thing a maker could measure, and how sure of the yarn they would then be. */
export interface NextMeasure {
  readonly what: 'swatch-to-gram' | 'swatch-to-tenth' | 'balls-at-quarter' | 'count-swatch';
  /** g; of the swatch, where it is one. */
  readonly grams: number;
  /** Relative sd of the yarn still to be used. */
  readonly sd: number;
  /** The range that holds nine times out of ten, as a part of the middle: 0.2 is ± 20 %. */
  readonly within: number;
}

/** A scale's bound, evenly spread. */
function evenly(bound: number): number {
  return bound / Math.sqrt(3);
}

const swatchError = 0.04;
const doneError = 0.02;

/**
 * What to measure next, the surest first: each with the sd that remains by the model, never a flat percentage.
 * @param grams the whole piece is expected to weigh @param gauge where the gauge is from now
 * @param known what is known of the hand already; once a swatch was weighed, another tells nothing new
 */
export function measureNext(grams: number, gauge: 'measured' | 'typical', known?: Belief): NextMeasure[] {
  const now = known ?? firstBelief(gauge);
  const weighed = now.sd < firstBelief('measured').sd;
  const counted = firstBelief('measured');
  const after = (error: number) => Math.hypot(learn(weighed ? now : counted, { ratio: 0, error }).sd, driftSd);
  const swatchGrams = Math.min(13, grams);
  const quarter = grams / 4;
  const swatches: [NextMeasure['what'], number][] = [
    ['swatch-to-gram', after(Math.hypot(evenly(1) / swatchGrams, swatchError))],
    ['swatch-to-tenth', after(Math.hypot(evenly(0.1) / swatchGrams, swatchError))],
  ];
  const options: [NextMeasure['what'], number][] = [
    ...(weighed ? [] : swatches),
    ['balls-at-quarter', after(Math.hypot((Math.SQRT2 * evenly(1)) / quarter, doneError))],
  ];
  if (gauge === 'typical') options.push(['count-swatch', Math.hypot(counted.sd, driftSd)]);
  const before = Math.hypot(now.sd, driftSd);
  return options
    .filter(([, sd]) => sd < before)
    .sort((a, b) => a[1] - b[1])
    .map(([what, sd]) => ({ what, grams: Math.round(swatchGrams), sd, within: Math.exp(ninety * sd) - 1 }));
}
