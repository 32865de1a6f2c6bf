import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { foldedBand } from '../../plan/finish/finish.ts';
import { itemNamed } from '../../plan/items/register.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { sizeFigure } from '../figures/figures.ts';
import { tellers } from './figures.ts';

/** How a piece or a set is folded for a drawer or a stall: cloths in four, blankets in twelve. */
export function foldedOf(plan: Plan): PlanDocument['folded'] {
  const { width, height, prepared } = plan;
  const folds = itemNamed(prepared.wish.item).folds ?? { across: 2, up: 2 };
  const diameter = Math.max(...prepared.yarns.map((yarn) => yarnFigures(yarn).diameter));
  const { mm } = tellers(plan);
  const of = (size: 'low' | 'mid' | 'high') =>
    foldedBand(
      { width: (width.tube?.flat ?? width.width)[size], height: height.height[size] },
      folds,
      prepared.wish.pieces,
      diameter,
    );
  const [low, mid, high] = [of('low'), of('mid'), of('high')];
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
