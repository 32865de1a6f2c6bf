import type { Fibre } from '../../craft/gauge/fibres.ts';
import type { WeightClass } from '../../craft/gauge/typical.ts';
import type { Policy } from '../../craft/technique/policy.ts';
import { figure } from '../../craft/values/decimal.ts';
import { counted } from './lists.ts';

/** What is done with the yarn that is not in use. */
export const policyNames: Readonly<Record<Policy, string>> = {
  'carry-always': 'carry all the way',
  'as-needed': 'carry where needed',
  'cut-always': 'cut',
  bobbins: 'bobbins',
  'side-only': 'up the side',
};

const weights: Readonly<Record<WeightClass, string>> = {
  0: 'lace',
  1: 'super fine',
  2: 'fine',
  3: 'light',
  4: 'medium',
  5: 'bulky',
  6: 'super bulky',
  7: 'jumbo',
};

/** A weight class by its name: `medium`. */
export function weightName(weight: WeightClass): string {
  return weights[weight];
}

const fibreNames: Partial<Record<Fibre, string>> = { superwash: 'superwash wool', bamboo: 'bamboo or viscose' };

/** A fibre by its name. */
export function fibreName(fibre: Fibre): string {
  return fibreNames[fibre] ?? fibre;
}

/** What is at hand of a yarn: `2 balls and 31 g opened`. */
export function atHandWords({ balls, grams }: { readonly balls: number; readonly grams: number }): string {
  const parts = [...(balls ? [counted(balls, 'ball')] : []), ...(grams ? [`${figure(grams)} g opened`] : [])];
  return parts.join(' and ') || 'none';
}
