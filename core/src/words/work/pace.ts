import type { Act } from '../../craft/stitches/acts.ts';
import { decimal } from '../../craft/values/decimal.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import type { Terms } from '../terms/termed.ts';
import { stitchWord } from '../terms/terms.ts';

/** What a hand does, in words. */
export function actWords(act: Act, terms: Terms): string {
  if (act === 'change') return 'a change of colour';
  if (act === 'turn') return 'a turn';
  if (act === 'end') return 'an end';
  return stitchWord(act, terms);
}

/** `2.6–3.4 s` */
export function secondsWords({ low, high }: Estimate): string {
  const digits = high < 10 ? 1 : 0;
  return `${decimal(low, digits)}–${decimal(high, digits)} s`;
}

/** `38 min` or `2 h 47 min` */
export function timeWords(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 90 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
