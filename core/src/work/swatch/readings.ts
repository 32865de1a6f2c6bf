import type { Technique } from '../../craft/technique/technique.ts';
import type { Reading } from '../../craft/values/belief.ts';
import { tailMetres } from '../../craft/values/forecast.ts';
import { good, type Result, refused } from '../../craft/values/problem.ts';
import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { widthRule, widthsAcross } from '../../plan/fit/across.ts';
import { type Progression, progression } from '../../plan/fit/progression.ts';
import { heightRule } from '../../plan/fit/up.ts';
import { type Plan, planWish } from '../../plan/piece/plan.ts';
import { prepare } from '../../plan/wish/prepare.ts';
import { leastSide, type Swatch, type SwatchCount, swatchSchema, swatchWish } from '../../records/swatch.ts';
import type { Wish } from '../../records/wish.ts';
import { weighedSwatch } from '../calibrate/readings.ts';

type Counted = Extract<Wish['gauge'], { from: 'counted' }>;

function countsOf(counts: readonly SwatchCount[], what: SwatchCount['what'], washed: boolean) {
  return counts
    .filter((each) => each.what === what && each.washed === washed)
    .map(({ count, over }) => ({ count, over }));
}

/** The gauge that a swatch was counted at, without its weight; nothing until stitches and rows were both counted. */
export function countedOn(swatch: Swatch): Counted | undefined {
  const [stitches, ...moreStitches] = countsOf(swatch.counts, 'stitches', false);
  const [rows, ...moreRows] = countsOf(swatch.counts, 'rows', false);
  if (!stitches || !rows) return undefined;
  const washedStitches = countsOf(swatch.counts, 'stitches', true);
  const washedRows = countsOf(swatch.counts, 'rows', true);
  return {
    from: 'counted',
    stitches,
    rows,
    ...(moreStitches.length ? { moreStitches } : {}),
    ...(moreRows.length ? { moreRows } : {}),
    ...(washedStitches.length ? { washedStitches } : {}),
    ...(washedRows.length ? { washedRows } : {}),
  };
}

/** A swatch has so many repeats at least: three, and one of blocks and of rounds, which are large. */
export function leastRepeats({ circle, diagonal }: Pick<Technique, 'circle' | 'diagonal'>): number {
  return circle || diagonal ? 1 : 3;
}

/**
 * The swatch as a wish: 15 × 15 cm or three repeats, whichever is more, whole at its edges; of blocks on the diagonal and
 * of rounds one repeat.
 * Before it is counted the gauge is typical.
 */
export function swatchPiece(swatch: Swatch): Result<Wish> {
  const wish = swatchWish(swatch, { from: 'typical' });
  const prepared = prepare(wish);
  if (!prepared.ok) return prepared;
  const gauge = countedOn(swatch) ?? wish.gauge;
  const { technique, bound, finished } = prepared.value;
  const { circle } = technique;
  const repeats = leastRepeats(technique);
  const stitches = circle
    ? bound.across.works.multiple
    : firstOf(
        widthRule(prepared.value, 'whole'),
        repeats * bound.repeatStitches,
        (n) => widthsAcross(prepared.value, n) * finished.stitchWidth.mid,
      );
  const rows = firstOf(
    heightRule(bound, technique, 'any'),
    repeats * bound.repeatCourses,
    (n) => (technique.heights?.(n) ?? n) * finished.rowHeight.mid,
  );
  const [width, height] = [
    { by: 'stitches', count: stitches },
    { by: 'rows', count: rows },
  ] as const;
  return good({ ...wish, width, height, gauge, choice: { stitches, rows } });
}

/** The swatch that a wish asks for: its pattern in its yarns, with its hook, its strands as in the piece. */
export function swatchOf({ title, units, pattern, foundation, policy, floats, hook, yarns }: Wish): Swatch {
  return swatchSchema.parse({ title, units, pattern, foundation, policy, floats, hook, yarns });
}

/** The swatch as a plan. */
export function planSwatch(swatch: Swatch): Result<Plan> {
  const piece = swatchPiece(swatch);
  return piece.ok ? planWish(piece.value) : piece;
}

/** Width of a stitch, or of what a cell is, against its height as a swatch was counted; nothing where it was not. */
export function proportionOn(swatch: Swatch): number | undefined {
  const gauge = countedOn(swatch);
  const prepared = gauge && prepare(swatchWish(swatch, gauge));
  if (!prepared?.ok) return undefined;
  const { stitchWidth, rowHeight } = prepared.value.gauge;
  return stitchWidth.mid / rowHeight.mid;
}

/** The first member of a rule that is so many at least, and long enough. @param length of so many, mm */
function firstOf(rule: Progression, least: number, length: (n: number) => number): number {
  let n = progression(rule.step, rule.offset, Math.max(least, rule.least)).least;
  while (length(n) < leastSide) n += rule.step;
  return n;
}

/** What the weighed swatch says of the yarn used against the yarn predicted. */
export function swatchReading(swatch: Swatch): Result<Reading> {
  const { weight } = swatch;
  const gauge = countedOn(swatch);
  if (!weight || !gauge) {
    return refused({
      code: 'swatch-unfinished',
      path: weight ? 'counts' : 'weight',
      facts: {
        counted: weight !== undefined && gauge === undefined ? false : gauge !== undefined,
        weighed: weight !== undefined,
      },
    });
  }
  const plan = planSwatch(swatch);
  if (!plan.ok) return plan;
  const { piece, prepared } = plan.value;
  const tails = piece.yarn.reduce((sum, need) => sum + need.ends, 0) * tailMetres;
  // Each colour weighs by its own label; the metres of all of them stand against the grams of all.
  const made = piece.yarn.map((need) => need.metres.mid - need.ends * tailMetres);
  const predicted = made.reduce((sum, metres) => sum + metres, 0);
  const grams = piece.yarn.reduce((sum, need, i) => {
    const yarn = prepared.yarns[i];
    return yarn ? sum + need.metres.mid / yarnFigures(yarn).metresPerGram : sum;
  }, 0);
  const metresPerGram = (predicted + tails) / grams;
  return weighedSwatch({ ...weight, metresPerGram, tails, predicted });
}

/** The gauge of a swatch as a wish takes it over: counts, washed counts and what its weight tells. */
export function swatchGauge(id: string, swatch: Swatch): Counted | undefined {
  const counted = countedOn(swatch);
  if (!counted) return undefined;
  const reading = swatch.weight ? swatchReading(swatch) : undefined;
  return { ...counted, swatch: id, ...(reading?.ok ? { weighed: reading.value } : {}) };
}

/** A wish with the gauge of a swatch in place of the one it has, its hook along. */
export function withSwatch(wish: Wish, id: string, swatch: Swatch): Result<Wish> {
  const gauge = swatchGauge(id, swatch);
  if (!gauge) {
    return refused({
      code: 'swatch-not-counted',
      path: 'gauge',
      facts: { title: swatch.title },
    });
  }
  const { choice: _size, ...rest } = wish;
  return good({ ...rest, gauge, ...(swatch.hook ? { hook: swatch.hook } : {}) });
}
