import { writeFileSync } from 'node:fs';
import { bundled } from '../../test/bundled.ts';
import { type Listening, listen } from '../../test/listening.ts';
import { begunCloth } from '../../test/sampleWorks.ts';
import type { Db } from '../db/database.ts';
import { forgetAll } from '../memory.ts';
import { reckoningFrom } from './reckoning.ts';
import { inOwnThread } from './thread.ts';

const week = [60, 60, 60, 60, 60, 120, 120];

describe('reckoning in a thread of its own', () => {
  let built: Awaited<ReturnType<typeof bundled>>;
  let server: Listening;
  beforeAll(async () => {
    built = await bundled('schedule/reckoning.worker.ts');
    server = await listen();
    for (const rows of [2, 7]) await begunCloth(server, rows);
  }, 60_000);
  afterAll(async () => {
    await server.close();
    built.remove();
  });

  it('tells what this thread would tell, also after another bench has come', async () => {
    const [here, reckoner] = [reckoningFrom(server.database), inOwnThread(built.file)];
    const there = reckoner.from(server.database);
    const pending = await here.pending();
    expect(pending).toHaveLength(2);
    expect(await there.pending()).toEqual(pending);
    expect(await there.pace()).toEqual(await here.pace());
    expect(await there.calendar(week, '2026-11-30')).toContain('BEGIN:VCALENDAR');
    forgetAll();
    expect(await there.pending()).toEqual(pending);
    await reckoner.close();
  }, 60_000);

  it('that ends in the middle of a question is asked once more, and the question is answered', async () => {
    const reckoner = inOwnThread(built.file);
    let ended = false;
    const database: Db = {
      exec: server.database.exec,
      query: async (sql, values) => {
        if (!ended) {
          ended = true;
          forgetAll();
        }
        return server.database.query(sql, values);
      },
    };
    expect(await reckoner.from(database).pending()).toHaveLength(2);
    expect(ended).toBe(true);
    await reckoner.close();
  }, 60_000);

  it('that breaks takes nobody with it, and whoever asked is told', async () => {
    const broken = new URL('broken.mjs', built.file);
    writeFileSync(broken, "throw new Error('no such thing');\n");
    const reckoner = inOwnThread(broken);
    await expect(reckoner.from(server.database).pace()).rejects.toThrow('reckoning thread ended');
    await reckoner.close();
  }, 60_000);
});
