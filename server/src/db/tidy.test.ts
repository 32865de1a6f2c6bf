import { rmSync } from 'node:fs';
import { freshFolder } from '../../test/freshFolder.ts';
import { galleyCloth } from '../../test/sampleWorks.ts';
import { addWork } from '../works/queries.ts';
import { openDatabase } from './open.ts';
import { count, isUncounted, tidy } from './tidy.ts';

describe('housekeeping in the database', () => {
  it('counts what was never counted, and clears away what rows were before', async () => {
    const folder = await freshFolder();
    const db = await openDatabase(folder);
    const id = await addWork(db, galleyCloth, null);
    await db.query(
      'insert into progress (work_id, rows_worked, runs_worked, last_place, last_id, steps) values ($1, 0, 0, 0, $1, 0)',
      [id],
    );
    expect(await isUncounted(db)).toBe(true);
    await count(db);
    expect(await isUncounted(db)).toBe(false);
    const pages = async () =>
      Number((await db.query("select pg_relation_size('progress') / 8192 as pages")).rows[0]?.pages);
    // Changed again and again, one row takes many pages until somebody clears them; afterwards their room is used again.
    const change = async () => {
      for (let i = 0; i < 600; i++)
        await db.query('update progress set steps = steps + 1, last_id = gen_random_uuid()');
    };
    await change();
    await tidy(db);
    const tidied = await pages();
    await change();
    await tidy(db);
    expect(await pages()).toBeLessThanOrEqual(tidied + 1);
    await db.close();
    rmSync(folder, { recursive: true, force: true });
  });
});
