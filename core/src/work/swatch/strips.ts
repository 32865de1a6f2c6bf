import type { Policy } from '../../craft/technique/policy.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { widthRule, widthsAcross } from '../../plan/fit/across.ts';
import { progression } from '../../plan/fit/progression.ts';
import { heightRule } from '../../plan/fit/up.ts';
import { type Plan, planWish } from '../../plan/piece/plan.ts';
import { prepare } from '../../plan/wish/prepare.ts';
import type { Wish } from '../../records/wish.ts';

/** The ways with the idle strand that are tried beside one another. */
export const stripPolicies = ['carry-always', 'cut-always', 'side-only'] as const satisfies readonly Policy[];

/** mm */
const stripWidth = 100;
const stripHeight = 50;

/** One strip: what is made, and what it says of the whole piece. */
export interface Strip {
  readonly policy: Policy;
  readonly chains: number;
  readonly stitches: number;
  readonly rows: number;
  readonly ends: number;
  /** Predicted, g. */
  readonly grams: number;
  /** Weighed, g. */
  readonly weighed: number | undefined;
  /** Used against predicted: 1.1 is a tenth more. */
  readonly ratio: number | undefined;
  /** The whole piece worked in this way: m, corrected by the weight where there is one. */
  readonly pieceMetres: number;
  readonly pieceEnds: number;
  /** Seconds. */
  readonly pieceTime: Estimate;
}

function gramsOf({ piece, prepared }: Plan): number {
  return piece.yarn.reduce((sum, need, i) => {
    const yarn = prepared.yarns[i];
    return yarn ? sum + need.metres.mid / yarnFigures(yarn).metresPerGram : sum;
  }, 0);
}

/** A strip of a wish in one way: 10 cm wide and 5 cm high at least, whole at its edges, two repeats high. */
export function planStrip(wish: Wish, policy: Policy): Result<Plan> {
  const { choice: _size, border: _border, finish: _finish, closing: _closing, ...plain } = wish;
  const bare: Wish = { ...plain, closing: false, pieces: 1, edges: 'whole', ending: 'any', policy };
  const prepared = prepare(bare);
  if (!prepared.ok) return prepared;
  const { technique, bound, gauge } = prepared.value;
  if (technique.policy) {
    const problem: Problem = {
      code: 'one-policy',
      path: 'policy',
      facts: { technique: technique.key },
    };
    return refused(problem);
  }
  const across = widthRule(prepared.value, 'whole');
  const up = heightRule(bound, technique, 'any');
  const first = (rule: typeof across, least: number) =>
    progression(rule.step, rule.offset, Math.max(Math.ceil(least), rule.least)).least;
  let stitches = first(across, bound.repeatStitches);
  while (widthsAcross({ bound, technique }, stitches) * gauge.stitchWidth.mid < stripWidth) stitches += across.step;
  const rows = first(up, Math.max(2 * bound.repeatCourses, stripHeight / gauge.rowHeight.mid));
  const [width, height] = [
    { by: 'stitches', count: stitches },
    { by: 'rows', count: rows },
  ] as const;
  return planWish({ ...bare, width, height });
}

/**
 * The strips of a wish beside one another, with what the weighed ones say of the whole piece.
 * @param weighed grams by policy, tails and all
 */
export function compareStrips(wish: Wish, weighed: Partial<Record<Policy, number>> = {}): Result<Strip[]> {
  const strips: Strip[] = [];
  for (const policy of stripPolicies) {
    const strip = planStrip(wish, policy);
    if (!strip.ok) return strip;
    const whole = planWish({ ...wish, policy });
    if (!whole.ok) return whole;
    const grams = gramsOf(strip.value);
    const used = weighed[policy];
    const ratio = used === undefined ? undefined : used / grams;
    const { piece, width, height } = strip.value;
    strips.push({
      policy,
      chains: width.chains,
      stitches: width.stitches,
      rows: height.rows,
      ends: piece.ends,
      grams,
      weighed: used,
      ratio,
      pieceMetres: whole.value.piece.yarn.reduce((sum, need) => sum + need.metres.mid, 0) * (ratio ?? 1),
      pieceEnds: whole.value.piece.yarn.reduce((sum, need) => sum + need.ends, 0),
      pieceTime: whole.value.piece.time,
    });
  }
  return good(strips);
}
