import {
  anyVersion,
  type FormerPlan,
  type FrozenWork,
  frozenRecord,
  restKinds,
  type Wish,
  type Work,
  wishRecord,
} from '@puntada/core/records';
import { z } from 'zod';
import { changedOne, type Db } from '../db/database.ts';
import { readable } from '../db/readable.ts';

const formerRow = z.object({
  work_id: z.uuid(),
  revision: z.number().int(),
  wish: anyVersion(wishRecord),
  begun: anyVersion(frozenRecord),
  rows_worked: z.number().int(),
  left_for: z.enum(restKinds),
  left_at: z.date(),
});

function formerPlan(each: z.output<typeof formerRow>): FormerPlan {
  return {
    revision: each.revision,
    wish: each.wish,
    begun: each.begun,
    rowsWorked: each.rows_worked,
    leftFor: each.left_for,
    leftAt: each.left_at.toISOString(),
  };
}

const formerColumns = 'work_id, revision, wish, begun, rows_worked, left_for, left_at';

/** The plans a work has left, the latest first. */
export async function formerPlans(db: Db, workId: string): Promise<FormerPlan[]> {
  const sql = `select ${formerColumns} from former_plans where work_id = $1 order by revision desc`;
  return (await readable(db, formerRow, sql, [workId])).read.map(formerPlan);
}

/** A plan that is left, as it is stored: with a wish and a cloth that need not be read. */
type StoredPlan = Omit<FormerPlan, 'wish' | 'begun'> & { readonly wish: unknown; readonly begun: unknown };

/** Keeps a plan that is left. */
export async function keepFormer(db: Db, workId: string, plan: StoredPlan): Promise<void> {
  const { revision, wish, begun, rowsWorked, leftFor, leftAt } = plan;
  await db.query(
    `insert into former_plans (work_id, revision, wish, begun, rows_worked, left_for, left_at)
     values ($1, $2, $3, $4, $5, $6, $7)`,
    [workId, revision, JSON.stringify(wish), JSON.stringify(begun), rowsWorked, leftFor, leftAt],
  );
}

/** Takes another plan for a begun work, made on this very revision. @returns whether it was; nothing is changed otherwise */
export async function goBy(db: Db, { id }: Work, revision: number, wish: Wish, begun: FrozenWork): Promise<boolean> {
  return changedOne(
    db,
    `update works set wish = $3, begun = $4, revision = revision + 1, changed_at = now()
     where id = $1 and revision = $2 and state = 'begun'`,
    [id, revision, JSON.stringify(wish), JSON.stringify(begun)],
  );
}
