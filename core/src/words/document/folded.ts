import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { foldedBand } from '../../plan/finish/finish.ts';
import { itemNamed } from '../../plan/items/register.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { sizeFigure } from '../figures/figures.ts';
import { tellers } from './figures.ts';

/** So many pieces folded as their item is, laid on one another, and the paper band round them, mm. */
export function bandOf(plan: Plan, pieces: number, size: 'low' | 'mid' | 'high'): ReturnType<typeof foldedBand> {
  const { width, height, prepared } = plan;
  const folds = itemNamed(prepared.wish.item).folds ?? { across: 2, up: 2 };
  const diameter = Math.max(...prepared.yarns.map((yarn) => yarnFigures(yarn).diameter));
  const whole = { width: (width.tube?.flat ?? width.width)[size], height: height.height[size] };
  return foldedBand(whole, folds, pieces, diameter);
}

/** How a piece or a set is folded for a drawer or a stall: cloths in four, blankets in twelve. */
export function foldedOf(plan: Plan): PlanDocument['folded'] {
  const { width, prepared } = plan;
  const { mm } = tellers(plan);
  const { pieces } = prepared.wish;
  const [low, mid, high] = [bandOf(plan, pieces, 'low'), bandOf(plan, pieces, 'mid'), bandOf(plan, pieces, 'high')];
  const told = (part: 'width' | 'height' | 'band') =>
    mm({ low: low[part], mid: mid[part], high: high[part], source: width.width.source });
  const folded = (part: 'width' | 'height') => ({
    low: low[part],
    mid: mid[part],
    high: high[part],
    source: width.width.source,
  });
  return {
    width: told('width'),
    height: told('height'),
    band: told('band'),
    short: sizeFigure(folded('width'), folded('height'), prepared.told).text,
  };
}
