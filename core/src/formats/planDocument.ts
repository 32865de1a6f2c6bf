import { z } from 'zod';
import type { Estimate } from '../estimate.ts';
import { ballsText, differenceText, gramsText, lengthText, metresText } from '../figures.ts';
import type { Plan } from '../plan/plan.ts';
import { writing } from '../plan/plan.ts';
import { rowLine, writeRow } from '../write/rows.ts';
import type { Hand, Terms } from '../write/terms.ts';

/** A figure with its unit, range and source. A typical figure has no `mid`: it is never to be read as one number. */
const figureSchema = z.strictObject({
  low: z.number(),
  high: z.number(),
  mid: z.number().optional(),
  unit: z.enum(['mm', 'm', 'g']),
  source: z.enum(['typical', 'label', 'typed', 'swatch', 'piece']),
  text: z.string(),
});
type Figure = z.infer<typeof figureSchema>;

const multipleSchema = z.strictObject({ stitches: z.string(), chains: z.string() });
const problemSchema = z.strictObject({
  code: z.string(),
  path: z.string(),
  message: z.string(),
  hint: z.string(),
  instead: z.array(z.number()).readonly().optional(),
});

/** What the headless door prints for a plan. */
export const planDocumentSchema = z.strictObject({
  format: z.literal('puntada-plan'),
  version: z.literal(1),
  title: z.string(),
  item: z.string(),
  pattern: z.strictObject({
    key: z.string(),
    name: z.string(),
    technique: z.string(),
    stitch: z.string(),
    numbers: z.record(z.string(), z.number()),
    multiple: multipleSchema.describe('counts on which the pattern can be worked'),
    alike: multipleSchema.describe('counts on which both edges look alike'),
  }),
  gauge: z.strictObject({ stitchWidth: figureSchema, rowHeight: figureSchema }),
  foundation: z.strictObject({
    key: z.string(),
    chains: z.number().int(),
    firstInto: z.number().int(),
    turningChains: z.number().int(),
    turningChainCounts: z.boolean(),
  }),
  size: z.strictObject({
    stitches: z.number().int(),
    rows: z.number().int(),
    width: figureSchema,
    height: figureSchema,
    differenceWidth: z.string(),
    differenceHeight: z.string(),
    edgesAlike: z.boolean(),
    endsAsBegun: z.boolean(),
    why: z.array(z.string()),
  }),
  widths: z.array(
    z.strictObject({
      stitches: z.number().int(),
      chains: z.number().int(),
      width: figureSchema,
      difference: z.string(),
      edgesAlike: z.boolean(),
    }),
  ),
  heights: z.array(
    z.strictObject({
      rows: z.number().int(),
      height: figureSchema,
      difference: z.string(),
      whole: z.boolean(),
      endsAsBegun: z.boolean(),
    }),
  ),
  colours: z.array(
    z.strictObject({
      letter: z.string(),
      name: z.string(),
      stitches: z.number().int(),
      metres: figureSchema,
      grams: figureSchema,
      parts: z.record(z.string(), figureSchema),
      ends: z.number().int(),
      balls: z.strictObject({ text: z.string(), chance: z.number() }).optional(),
    }),
  ),
  strands: z.strictObject({
    policy: z.string(),
    floats: z.boolean(),
    ends: z.number().int(),
    carriedStitches: z.number().int(),
    rowsClimbed: z.number().int(),
  }),
  rows: z.array(
    z.strictObject({
      number: z.number().int(),
      side: z.enum(['RS', 'WS']),
      text: z.string(),
      strands: z.array(z.string()),
    }),
  ),
  warnings: z.array(problemSchema),
});
export type PlanDocument = z.infer<typeof planDocumentSchema>;

function figure(estimate: Estimate, unit: Figure['unit'], text: string): Figure {
  const round = (value: number) => Math.round(value * 1000) / 1000;
  const range = { low: round(estimate.low), high: round(estimate.high) };
  const mid = estimate.source === 'typical' ? {} : { mid: round(estimate.mid) };
  return { ...range, ...mid, unit, source: estimate.source, text };
}

/** A plan as an open document: every figure with unit, range and source, every row in words. */
export function planDocument(plan: Plan, terms: Terms = 'US', hand: Hand = 'right'): PlanDocument {
  const { prepared, sizes, width, height, piece } = plan;
  const { bound, foundation, gauge, wish } = prepared;
  const { units } = wish;
  const mm = (estimate: Estimate) => figure(estimate, 'mm', lengthText(estimate, units));
  const m = (estimate: Estimate) => figure(estimate, 'm', metresText(estimate, units));
  const request = writing(plan, terms, hand);
  const { totals } = piece.strands;
  return {
    format: 'puntada-plan',
    version: 1,
    title: wish.title,
    item: wish.item,
    pattern: {
      key: bound.pattern.key,
      name: bound.pattern.name,
      technique: bound.pattern.technique,
      stitch: bound.stitch,
      numbers: { ...bound.numbers },
      multiple: sizes.across.multiples.works,
      alike: sizes.across.multiples.alike,
    },
    gauge: { stitchWidth: mm(gauge.stitchWidth), rowHeight: mm(gauge.rowHeight) },
    foundation: {
      key: foundation.key,
      chains: width.chains,
      firstInto: foundation.firstInto,
      turningChains: foundation.turn,
      turningChainCounts: foundation.counted,
    },
    size: {
      stitches: width.stitches,
      rows: height.rows,
      width: mm(width.width),
      height: mm(height.height),
      differenceWidth: differenceText(width.width, width.difference, units),
      differenceHeight: differenceText(height.height, height.difference, units),
      edgesAlike: width.alike,
      endsAsBegun: height.asBegun,
      why: [...width.why, ...height.why],
    },
    widths: sizes.across.offers.map((offer) => ({
      stitches: offer.stitches,
      chains: offer.chains,
      width: mm(offer.width),
      difference: differenceText(offer.width, offer.difference, units),
      edgesAlike: offer.alike,
    })),
    heights: sizes.up.offers.map((offer) => ({
      rows: offer.rows,
      height: mm(offer.height),
      difference: differenceText(offer.height, offer.difference, units),
      whole: offer.whole,
      endsAsBegun: offer.asBegun,
    })),
    colours: piece.yarn.map((need, i) => ({
      letter: need.letter,
      name: prepared.yarns[i]?.name ?? '',
      stitches: piece.share[i] ?? 0,
      metres: m(need.metres),
      grams: figure(need.grams, 'g', gramsText(need.grams, units)),
      parts: Object.fromEntries(need.parts.map((part) => [part.name, m(part.metres)])),
      ends: need.ends,
      ...(need.balls
        ? { balls: { text: ballsText(need.balls), chance: Math.round(need.balls.chance * 1000) / 1000 } }
        : {}),
    })),
    strands: {
      policy: wish.policy,
      floats: wish.floats,
      ends: piece.ends,
      carriedStitches: totals.reduce((sum, total) => sum + total.carried, 0),
      rowsClimbed: totals.reduce((sum, total) => sum + total.climbedRows, 0),
    },
    rows: Array.from({ length: piece.rows }, (_, i) => {
      const row = writeRow(request, i + 1);
      return { number: row.number, side: row.side, text: rowLine(row), strands: [...row.strands] };
    }),
    warnings: plan.warnings.map((problem) => ({ ...problem })),
  };
}
