import { type DecimalMark, good, type Result, tellDecimals } from '@puntada/core/craft';
import { freeze, type MadeWork, type OtherSide, planWish, planWork, sideOf, withLastLoop } from '@puntada/core/plan';
import type { FrozenWork, PlanDocument, Wish } from '@puntada/core/records';
import { planDocument } from '@puntada/core/words';
import { backOf, type Position, proveRest, touchedOf } from '@puntada/core/work';
import { printLabels } from '../labels/labels.ts';
import { printPlan } from '../print/print.ts';
import { moved } from '../swatches/moved.ts';

/** A begun work, and where its counter stands. */
interface Begun {
  readonly begun: FrozenWork;
  readonly wish: Wish;
  readonly at: Position;
}

/** What takes too long for the thread that answers. Everything goes in and comes out as plain data. */
export const tasks = {
  /** Whether a wish can be planned. */
  check(wish: Wish): Result<true> {
    const plan = planWish(wish);
    return plan.ok ? good(true) : plan;
  },
  /** A wish with the size that was chosen for it, and its cloth as it is begun. */
  begin(wish: Wish): Result<{ readonly wish: Wish; readonly begun: FrozenWork }> {
    const plan = planWish(wish);
    if (!plan.ok) return plan;
    const { stitches, rows } = plan.value.piece;
    return good({ wish: { ...wish, choice: { stitches, rows } }, begun: freeze(plan.value) });
  },
  /** Whether another plan for the rest of a work leaves alone what is worked. */
  onward({ from, to }: { from: Begun; to: FrozenWork }): ReturnType<typeof proveRest> {
    return proveRest(from, to);
  },
  /** How many items of a begun work are begun, and of how many cloths each is. */
  touched({ begun, wish, at }: Begun): ReturnType<typeof touchedOf> {
    return touchedOf(begun, wish, at);
  },
  /** The other side of a work, as its front is planned. */
  back({ front, own }: { front: Wish; own: Wish }): ReturnType<typeof backOf> {
    const { key, text } = own.pattern;
    return backOf(front, { ...(key ? { key } : {}), ...(text ? { text } : {}) }, own);
  },
  /** What a work is as the other side of what is joined. */
  side(work: MadeWork): Result<OtherSide> {
    const plan = planWork(work);
    return plan.ok ? good(sideOf(plan.value)) : plan;
  },
  /** A begun cloth whose last loop is fastened another way. */
  lastLoop({ begun, wish }: { begun: FrozenWork; wish: Wish }): ReturnType<typeof withLastLoop> {
    return withLastLoop(begun, wish);
  },
  /** A wish with another gauge of its swatch. */
  moved,
  /** A work on paper. */
  print: printPlan,
  /** Its labels. */
  labels: printLabels,
  /** The whole plan of a wish. */
  document(wish: Wish): Result<PlanDocument> {
    const plan = planWish(wish);
    return plan.ok ? good(planDocument(plan.value)) : plan;
  },
};

export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
export type Given<Name extends TaskName> = Parameters<Tasks[Name]>[0];

/** What a thread is asked. */
export interface Asked {
  readonly name: TaskName;
  readonly given: Given<TaskName>;
  /** How numbers are told in what comes of it. */
  readonly decimals: DecimalMark;
}

/** The thread's side. */
export default function answer({ name, given, decimals }: Asked): ReturnType<Tasks[TaskName]> {
  tellDecimals(decimals);
  return tasks[name](given as never);
}
