import { begun, comparePositions, type Position, placeOf, reached, type Tick } from '@puntada/core/work';
import { z } from 'zod';
import { type Db, row, rows } from '../db/database.ts';
import { breathing } from '../http/breathing.ts';
import { remembered } from '../memory.ts';
import { progressRow } from './schema.ts';

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

/** Ticks as one text, a line each: a hundred thousand of them are read in a tenth of the time that their rows take. */
const packed = `string_agg(concat_ws(' ', ${tickColumns}), E'\\n' order by place, id)`;

function unpacked(text: string | null): Tick[] {
  if (!text) return [];
  return text.split('\n').map((line) => {
    const [id = '', ...numbers] = line.split(' ');
    const [at, place, fromRows, fromRuns, toRows, toRuns] = numbers.map(Number) as [
      number,
      number,
      number,
      number,
      number,
      number,
    ];
    return { id, at, place, from: { rows: fromRows, runs: fromRuns }, to: { rows: toRows, runs: toRuns } };
  });
}

const packedRow = z.object({ ticks: z.string().nullable() });

/** The ticks of a work in their order; those made after a moment only, ms since 1970. */
export async function ticksOf(db: Db, workId: string, after = -1): Promise<Tick[]> {
  const sql = `select ${packed} as ticks from ticks where work_id = $1 and at > $2`;
  return unpacked((await row(db, packedRow, sql, [workId, after]))?.ticks ?? null);
}

/** So many ticks of a work behind one of them, in their order. @param last the one before; from the first on without it */
export async function nextTicks(db: Db, workId: string, last: Tick | undefined, limit: number): Promise<Tick[]> {
  const sql = `select ${packed} as ticks from
    (select * from ticks where work_id = $1 and (place, id) > ($2, $3::uuid) order by place, id limit $4) as next`;
  const behind = last ? [placeOf(last), last.id] : [-1, '00000000-0000-0000-0000-000000000000'];
  return unpacked((await row(db, packedRow, sql, [workId, ...behind, limit]))?.ticks ?? null);
}

/** The ticks of a work from one place up to another, in their order. */
async function ticksBetween(db: Db, workId: string, from: number, to = Number.MAX_SAFE_INTEGER): Promise<Tick[]> {
  const sql = `select ${packed} as ticks from ticks where work_id = $1 and place between $2 and $3`;
  return unpacked((await row(db, packedRow, sql, [workId, from, to]))?.ticks ?? null);
}

/** Steps that the database gives at once: others are answered between two such parts. */
const part = 10_000;
const linesRow = z.object({ work_id: z.uuid(), lines: z.string(), last_place: z.number(), last_id: z.uuid() });
const nobody = '00000000-0000-0000-0000-000000000000';

/**
 * The steps of some works as lines of text, in their order, part by part. @param columns of each line
 * @param last of one work only what stands behind this step of it
 */
async function* linesOf(
  db: Db,
  works: readonly string[],
  columns: string,
  last?: readonly [place: number, id: string],
): AsyncGenerator<{ readonly work: string; readonly lines: string }> {
  const sql = `select work_id, string_agg(concat_ws(' ', ${columns}), E'\\n' order by place, id) as lines,
      max(place) as last_place, (array_agg(id order by place desc, id desc))[1] as last_id
    from (
      select * from ticks where work_id = any($1::uuid[]) and (work_id, place, id) > ($2::uuid, $3, $4::uuid)
      order by work_id, place, id limit ${part}
    ) as next group by work_id order by work_id`;
  const breathe = breathing();
  for (let behind: readonly unknown[] = last ? [works[0], ...last] : [nobody, -1, nobody]; ; ) {
    const found = await rows(db, linesRow, sql, [works, ...behind]);
    for (const { work_id: work, lines } of found) yield { work, lines };
    const end = found.at(-1);
    if (!end) return;
    behind = [end.work_id, end.last_place, end.last_id];
    await breathe();
  }
}

/** The steps of a work as they were last read. */
interface ReadSteps {
  readonly steps: number;
  readonly last: readonly [place: number, id: string];
  readonly text: string;
}
const readSteps = remembered<ReadSteps>();
/** Works of so many steps are remembered, and so many of them, the latest read. */
const long = { steps: 5000, works: 4 };

/** The steps of a work as one text, a line each, as pages read them. Of many only the new ones are read. */
export async function stepLines(db: Db, workId: string): Promise<string> {
  const stands = await row(db, progressRow, 'select * from progress where work_id = $1', [workId]);
  if (!stands) return '';
  const { steps, last_place: place, last_id: id } = stands;
  const known = readSteps.get(workId);
  if (known?.steps === steps) return known.text;
  const read = async (behind?: ReadSteps['last']) => {
    const parts: string[] = [];
    const columns = 'at, place, from_rows, from_runs, to_rows, to_runs';
    for await (const { lines } of linesOf(db, [workId], columns, behind)) parts.push(lines);
    return parts.join('\n');
  };
  const more = known && (await read(known.last));
  // Steps that came late stand among those that are known.
  const onlyMore = more !== undefined && known && known.steps + linesIn(more) === steps;
  const text = onlyMore ? [known.text, more].filter(Boolean).join('\n') : await read();
  readSteps.delete(workId);
  // Read while others are added, it may already hold more than it was asked for.
  if (steps >= long.steps && linesIn(text) === steps) readSteps.set(workId, { steps, last: [place, id], text });
  for (const old of [...readSteps.keys()].slice(0, -long.works)) readSteps.delete(old);
  return text;
}

function linesIn(text: string): number {
  if (!text) return 0;
  let lines = 1;
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) lines++;
  return lines;
}

/** How many steps some works have, by the work. */
export async function stepsOfWorks(db: Db, works: readonly string[]): Promise<Map<string, number>> {
  const found = z.object({ work_id: z.uuid(), steps: z.number().int() });
  const sql = 'select work_id, steps from progress where work_id = any($1::uuid[])';
  return new Map((await rows(db, found, sql, [works])).map(({ work_id, steps }) => [work_id, steps]));
}

/** All ticks of some works, by the work. */
export async function ticksOfWorks(db: Db, works: readonly string[]): Promise<Map<string, Tick[]>> {
  const found = new Map<string, Tick[]>(works.map((id) => [id, []]));
  for await (const { work, lines } of linesOf(db, works, tickColumns)) {
    const own = found.get(work);
    for (const tick of unpacked(lines)) own?.push(tick);
  }
  return found;
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

/** Where a work stood on the way, after the last step of a place. */
interface Milestone {
  readonly place: number;
  readonly position: Position;
}

/** Steps between two milestones. */
const apart = 250;
/** They hold as long as nobody else, such as another process, has added steps. */
const milestones = remembered<{ readonly steps: number; readonly passed: readonly Milestone[] }>();

/** Where a walk through ticks leads, and where it came by. @param ticks in their order */
function walk(ticks: readonly Tick[], from: Position): { position: Position; passed: Milestone[] } {
  let position = from;
  const passed: Milestone[] = [];
  for (let i = 0; i < ticks.length; i += apart) {
    const part = ticks.slice(i, i + apart);
    position = reached(part, position);
    const [last, next] = [part.at(-1) as Tick, ticks[i + apart]];
    // Of several steps at one place some may still be to come.
    if (next && placeOf(next) > placeOf(last)) passed.push({ place: placeOf(last), position });
  }
  return { position, passed };
}

/** Milestones behind a late step at which it is tried whether the way is the old one again. */
const tried = 4;

/**
 * Ticks came late: the way is walked again from the last milestone before the first of them, until it comes by a milestone
 * as it did before; from there on it is the old way.
 * @param before how many steps there were without them @param stood where the old way led
 */
async function walkedAgain(
  db: Db,
  workId: string,
  added: readonly Tick[],
  before: number,
  stood: Position,
): Promise<Position> {
  const places = added.map(placeOf);
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const known = milestones.get(workId);
  const old = known?.steps === before ? known.passed : [];
  const stand = old.filter(({ place }) => place < first);
  const ahead = old.filter(({ place }) => place >= last).slice(0, tried);
  const [start, end] = [stand.at(-1), ahead.at(-1)];
  const steps = before + added.length;
  let from = start?.position ?? begun;
  let place = start ? start.place + 1 : 0;
  if (end) {
    const ticks = await ticksBetween(db, workId, place, end.place);
    for (const mark of ahead) {
      from = reached(
        ticks.filter((tick) => placeOf(tick) >= place && placeOf(tick) <= mark.place),
        from,
      );
      stand.push({ place: mark.place, position: from });
      place = mark.place + 1;
      if (comparePositions(from, mark.position) === 0) {
        milestones.set(workId, { steps, passed: [...stand, ...old.filter((each) => each.place > mark.place)] });
        return stood;
      }
    }
  }
  const { position, passed } = walk(await ticksBetween(db, workId, place), from);
  milestones.set(workId, { steps, passed: [...stand, ...passed] });
  return position;
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
  const before = last?.steps ?? 0;
  const known = milestones.get(workId);
  if (inOrder && known?.steps === before) milestones.set(workId, { ...known, steps: before + added.length });
  const position = inOrder ? reached(added, stood) : await walkedAgain(db, workId, added, before, stood);
  await db.query(
    `insert into progress (work_id, rows_worked, runs_worked, last_place, last_id, steps)
     select $1, $2, $3, place, id, $4::integer from ticks where work_id = $1 order by place desc, id desc limit 1
     on conflict (work_id) do update
     set rows_worked = excluded.rows_worked, runs_worked = excluded.runs_worked,
         last_place = excluded.last_place, last_id = excluded.last_id, steps = progress.steps + $4`,
    [workId, position.rows, position.runs, added.length],
  );
  await db.query('update works set changed_at = now() where id = $1', [workId]);
  return position;
}
