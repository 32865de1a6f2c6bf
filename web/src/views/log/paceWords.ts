import { type Act, type Estimate, stitchKinds } from '@puntada/core/craft';
import type { Terms } from '@puntada/core/words';

/** What a hand does, in words. */
export function actWords(act: Act, terms: Terms): string {
  if (act === 'change') return 'a change of colour';
  if (act === 'turn') return 'a turn';
  if (act === 'end') return 'an end';
  const kind = stitchKinds.find(({ key }) => key === act);
  return kind ? kind[terms === 'UK' ? 'uk' : 'us'] : act;
}

/** `2.6–3.4 s` */
export function secondsWords({ low, high }: Estimate): string {
  const digits = high < 10 ? 1 : 0;
  return `${low.toFixed(digits)}–${high.toFixed(digits)} s`;
}

/** `38 min` or `2 h 47 min` */
export function timeWords(seconds: number): string {
  const minutes = Math.round(seconds / 60);
  return minutes < 90 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60} min`;
}
