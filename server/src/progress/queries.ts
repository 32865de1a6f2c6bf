import { begun, type Position, placeOf, reached, type Tick } from '@puntada/core/work';
import { z } from 'zod';
import { byWork, type Db, row, rows } from '../db/database.ts';
import { progressRow, tickRow } from './schema.ts';

/** Stores ticks, each once. @returns the ids that were new */
async function insertTicks(db: Db, workId: string, ticks: readonly Tick[]): Promise<Set<string>> {
  const list = <T>(pick: (tick: Tick) => T) => ticks.map(pick);
  const stored = await rows(
    db,
    z.object({ id: z.uuid() }),
    `insert into ticks (work_id, id, at, place, from_rows, from_runs, to_rows, to_runs)
     select $1, * from unnest(
       $2::uuid[], $3::bigint[], $4::bigint[], $5::integer[], $6::integer[], $7::integer[], $8::integer[])
     on conflict do nothing
     returning id`,
    [
      workId,
      list((tick) => tick.id),
      list((tick) => tick.at),
      list(placeOf),
      list((tick) => tick.from.rows),
      list((tick) => tick.from.runs),
      list((tick) => tick.to.rows),
      list((tick) => tick.to.runs),
    ],
  );
  return new Set(stored.map((each) => each.id));
}

/** The revision of a work: its cloth stays the same as long as that does. Nothing where there is no such work. */
export async function revisionOf(db: Db, workId: string): Promise<number | undefined> {
  const sql = 'select revision from works where id::text = $1';
  return (await row(db, z.object({ revision: z.number() }), sql, [workId]))?.revision;
}

const tickColumns = 'id, at, place, from_rows, from_runs, to_rows, to_runs';

export function tickOf(found: z.output<typeof tickRow>): Tick {
  return {
    id: found.id,
    at: found.at,
    place: found.place,
    from: { rows: found.from_rows, runs: found.from_runs },
    to: { rows: found.to_rows, runs: found.to_runs },
  };
}

/** All ticks of a work, in no particular order. */
export async function ticksOf(db: Db, workId: string): Promise<Tick[]> {
  return (await rows(db, tickRow, `select ${tickColumns} from ticks where work_id = $1`, [workId])).map(tickOf);
}

/** All ticks of some works, by the work. */
export async function ticksOfWorks(db: Db, works: readonly string[]): Promise<Map<string, Tick[]>> {
  const sql = `select work_id, ${tickColumns} from ticks where work_id = any($1::uuid[])`;
  return byWork(await rows(db, tickRow.extend({ work_id: z.uuid() }), sql, [works]), tickOf);
}

function isAfter(tick: Tick, last: z.output<typeof progressRow>): boolean {
  const place = placeOf(tick);
  return place > last.last_place || (place === last.last_place && tick.id > last.last_id);
}

/** The place of the last step of a work; 0 before the first. */
export async function lastPlaceOf(db: Db, workId: string): Promise<number> {
  const found = await row(db, progressRow, 'select * from progress where work_id = $1', [workId]);
  return found?.last_place ?? 0;
}

/**
 * Stores ticks and where they lead, in the transaction given. Ticks that come late are put in their order:
 * then the whole way is walked again, else it goes on from where it stood.
 */
export async function addTicks(db: Db, workId: string, ticks: readonly Tick[]): Promise<Position> {
  // The row of the work is the lock: whoever else folds steps into it waits, in this process or in another.
  await db.query('select 1 from works where id = $1 for update', [workId]);
  const last = await row(db, progressRow, 'select * from progress where work_id = $1', [workId]);
  const fresh = await insertTicks(db, workId, ticks);
  const added = ticks.filter((tick) => fresh.has(tick.id));
  const stood = last ? { rows: last.rows_worked, runs: last.runs_worked } : begun;
  if (added.length === 0) return stood;
  const inOrder = !last || added.every((tick) => isAfter(tick, last));
  const position = inOrder ? reached(added, stood) : reached(await ticksOf(db, workId));
  await db.query(
    `insert into progress (work_id, rows_worked, runs_worked, last_place, last_id)
     select $1, $2, $3, place, id from ticks where work_id = $1 order by place desc, id desc limit 1
     on conflict (work_id) do update
     set rows_worked = excluded.rows_worked, runs_worked = excluded.runs_worked,
         last_place = excluded.last_place, last_id = excluded.last_id`,
    [workId, position.rows, position.runs],
  );
  await db.query('update works set changed_at = now() where id = $1', [workId]);
  return position;
}
