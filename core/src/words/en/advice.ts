import { figure } from '../../craft/values/decimal.ts';
import type { NextMeasure } from '../../plan/measure/next.ts';
import type { HookAdvice } from '../../plan/piece/hookAdvice.ts';
import type { Saving } from '../../plan/piece/stash.ts';
import type { SizeReason } from '../../plan/sizes/choices.ts';
import { counted } from './lists.ts';

const hookReasons = {
  supple: 'yarn carried inside stiffens the fabric, and a larger hook keeps it supple',
  hidden: 'in rounds of {dc} the yarn inside shows between the stitches, and a smaller hook hides it',
  thin: 'in a thin yarn the strand inside shows, and a smaller hook hides it',
} as const;

/** What to know of the hook, a sentence each. */
export function hookWords({ usual, used, moves, try: other }: HookAdvice): string[] {
  const words = [`${figure(usual)} mm is the usual hook for this weight.`];
  if (used !== undefined && used !== usual && moves) {
    words.push(`Until you count a swatch, the typical size is adjusted to a ${figure(used)} mm hook.`);
  }
  if (other) words.push(`Try ${figure(other.hook)} mm: ${hookReasons[other.why]}. Make a new swatch with it.`);
  return words;
}

/** What a smaller size saves. */
export function savingWords({ step, balls }: Saving): string {
  return `One step ${step} saves ${balls === 1 ? 'a ball' : counted(balls, 'ball')}.`;
}

/** What speaks for a size. @param circle whether it is a circle, which has one size */
export function sizeReason(reason: SizeReason, circle: boolean): string {
  const words: Readonly<Record<SizeReason, string>> = {
    nearest: 'Closest to what you asked',
    asked: 'What you asked',
    matching: circle ? 'Same colour first and last' : 'Matching edges, same colour first and last',
    squarest: 'Closest to square, matching edges',
    narrower: 'One step narrower',
    wider: 'One step wider',
    shorter: circle ? 'One step smaller' : 'One step shorter',
    longer: circle ? 'One step larger' : 'One step longer',
  };
  return words[reason];
}

/** What to measure next. */
export function nextMeasureWords({ what, grams }: NextMeasure): string {
  switch (what) {
    case 'swatch-to-gram':
      return `weigh a swatch of about ${grams} grams on a kitchen scale`;
    case 'swatch-to-tenth':
      return `weigh a swatch of about ${grams} grams to a tenth of a gram`;
    case 'balls-at-quarter':
      return 'weigh the balls when a quarter is done';
    default:
      return 'count stitches and rows on a swatch';
  }
}

/** How to undo so many half-twists of the balls. */
export function untwistWords(twists: number): string {
  if (twists === 0) return 'The balls are not twisted.';
  return `${counted(twists, 'half-twist')}: turn the work ${counted(twists, 'time')} the other way, or swap the balls as often.`;
}
