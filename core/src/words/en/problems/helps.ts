import type { ToldUnit } from '../../../craft/units/length.ts';
import type { Estimate } from '../../../craft/values/estimate.ts';
import type { Fact } from '../../../craft/values/problem.ts';
import { lengthText } from '../../figures/figures.ts';

export function length(fact: Fact, units: Fact): string {
  return lengthText(fact as Estimate, units as ToldUnit);
}

export const again = 'Nothing was changed.';
