import type { Estimate } from '../../craft/values/estimate.ts';
import { good, type Result } from '../../craft/values/problem.ts';
import { planWork } from '../../plan/begun/made.ts';
import { wovenIn } from '../../plan/measure/measure.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { Wish } from '../../records/wish.ts';

/** What a whole plan comes to, from its first row to the last end: one piece. */
export interface PlanFigures {
  readonly rows: number;
  /** mm */
  readonly width: Estimate;
  readonly height: Estimate;
  /** Its size is one figure. */
  readonly circle: boolean;
  /** m, tails included. */
  readonly yarn: readonly { readonly letter: string; readonly metres: Estimate }[];
  readonly ends: number;
  /** Seconds, by the pace of its wish. */
  readonly time: Estimate;
}

/** What a begun plan comes to, for setting it beside another one of the same work: one cloth by it, whatever was made before. */
export function planFigures(wish: Wish, begun: FrozenWork): Result<PlanFigures> {
  const plan = planWork({ wish: { ...wish, pieces: 1 }, begun: { ...begun, before: undefined } });
  if (!plan.ok) return plan;
  const { piece, width, height, prepared } = plan.value;
  return good({
    rows: piece.rows,
    width: width.width,
    height: height.height,
    circle: prepared.technique.circle === true,
    yarn: piece.yarn.map(({ letter, metres }) => ({ letter, metres })),
    ends: wovenIn(piece.yarn),
    time: piece.time,
  });
}
