import { type Estimate, markedText, type Printed } from '../../craft/values/estimate.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { Figure } from '../../records/planDocument.ts';
import { differenceText, gramsFigure, lengthFigure, metresFigure } from '../figures/figures.ts';

/** A number as it stands in the document. */
export function rounded(value: number, digits = 3): number {
  return Math.round(value * 10 ** digits) / 10 ** digits;
}

/** A figure of the document; a typical one has no middle. */
export function figure(estimate: Estimate, unit: Figure['unit'], shown: Printed): Figure {
  const range = { low: rounded(estimate.low), high: rounded(estimate.high) };
  const mid = estimate.source === 'typical' ? {} : { mid: rounded(estimate.mid) };
  return { ...range, ...mid, unit, source: estimate.source, text: markedText(shown), short: shown.text };
}

/** How lengths and yarn of a plan are told: in the units it was planned for. */
export function tellers(plan: Plan) {
  const { told: units } = plan.prepared;
  return {
    mm: (estimate: Estimate) => figure(estimate, 'mm', lengthFigure(estimate, units)),
    m: (estimate: Estimate) => figure(estimate, 'm', metresFigure(estimate, units)),
    g: (estimate: Estimate) => figure(estimate, 'g', gramsFigure(estimate, units)),
    off: (size: Estimate, difference: number) => differenceText(size, difference, units),
  };
}
