import { itemsIn, measureOf } from '../../plan/items/items.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { arithmeticWords } from '../en/arithmetic.ts';
import { tubeText } from '../figures/figures.ts';
import { tellers } from './figures.ts';

/** Gauge and size, and the widths and heights that the pattern allows beside them. */
export function sizesOf(plan: Plan): Pick<PlanDocument, 'gauge' | 'size' | 'widths' | 'heights'> {
  const { prepared, sizes, width, height, piece } = plan;
  const { gauge, technique, wish } = prepared;
  const { mm, off } = tellers(plan);
  return {
    gauge: { stitchWidth: mm(gauge.stitchWidth), rowHeight: mm(gauge.rowHeight) },
    size: {
      stitches: width.stitches,
      counts: technique.width.word,
      shape: technique.circle ? 'circle' : technique.diagonal ? 'diagonal' : width.tube ? 'tube' : 'flat',
      stitchesInRow: width.inRow,
      rows: height.rows,
      courses: piece.fabric.courses,
      pieces: wish.pieces,
      items: itemsIn(wish, width.tube !== undefined),
      width: mm(width.width),
      ...(width.tube
        ? {
            tube: {
              flat: mm(width.tube.flat),
              around: mm(width.tube.around),
              diameter: mm(width.tube.diameter),
              text: tubeText(width.tube, measureOf(wish), prepared.told),
            },
          }
        : {}),
      height: mm(height.height),
      differenceWidth: off(width.width, width.difference),
      differenceHeight: off(height.height, height.difference),
      edgesAlike: width.alike,
      endsAsBegun: height.asBegun,
      why: [...width.why, ...height.why].map(arithmeticWords),
    },
    widths: sizes.across.offers.map((offer) => ({
      stitches: offer.stitches,
      chains: offer.chains,
      width: mm(offer.width),
      difference: off(offer.width, offer.difference),
      edgesAlike: offer.alike,
    })),
    heights: sizes.up.offers.map((offer) => ({
      rows: offer.rows,
      height: mm(offer.height),
      difference: off(offer.height, offer.difference),
      whole: offer.whole,
      endsAsBegun: offer.asBegun,
    })),
  };
}
