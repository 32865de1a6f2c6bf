import { spawnSync } from 'node:child_process';
import { randomBytes, randomUUID } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { entryLabel } from '@puntada/core/records';
import { freshFolder } from '../../test/freshFolder.ts';
import { galleyCloth } from '../../test/sampleWorks.ts';
import { Copies } from '../copies/copies.ts';
import { addEntry } from '../log/queries.ts';
import { putBack } from '../putBack.ts';
import { addWork, listWorks } from '../works/queries.ts';
import { CannotStart, faultOf } from './fault.ts';
import { openDatabase } from './open.ts';
import { readPhotosThrough } from './whole.ts';

/** All files of a folder with what is in them. */
function contentsOf(folder: string): Map<string, string> {
  const files = readdirSync(folder, { recursive: true, withFileTypes: true }).filter((each) => each.isFile());
  return new Map(
    files.map((each) => [join(each.parentPath, each.name), readFileSync(join(each.parentPath, each.name), 'base64')]),
  );
}

async function whyNot(folder: string): Promise<string> {
  try {
    await (await openDatabase(folder)).close();
    return 'opens';
  } catch (error) {
    return error instanceof CannotStart ? error.why : `${error}`;
  }
}

describe('data that cannot be opened', () => {
  let folder: string;
  beforeEach(async () => {
    folder = await freshFolder();
  });
  afterEach(() => rmSync(folder, { recursive: true, force: true }));
  const inDatabase = (name: string) => join(folder, 'database', name);

  it.each([
    ['no version', () => rmSync(inDatabase('PG_VERSION'))],
    ['a control file of nothing', () => truncateSync(inDatabase('global/pg_control'), 0)],
    ['no tables', () => rmSync(inDatabase('base'), { recursive: true })],
    ['a control file that is cut short', () => truncateSync(inDatabase('global/pg_control'), 100)],
    ['a control file of noise', () => writeFileSync(inDatabase('global/pg_control'), Buffer.alloc(8192, 0x5a))],
  ])('with %s is told as damaged, and not a byte of it is changed', async (_what, damage) => {
    damage();
    const before = contentsOf(join(folder, 'database'));
    expect(await whyNot(folder)).toBe('database-damaged');
    // A server that tried may leave a note of itself; what a maker made is as it was.
    const after = contentsOf(join(folder, 'database'));
    for (const [name, bytes] of before)
      if (!/postmaster\.pid$/.test(name)) expect([name, after.get(name)]).toEqual([name, bytes]);
    expect(existsSync(join(folder, 'held-by'))).toBe(false);
  });

  it('with a damaged page inside a table is told as damaged, with the copy that can be put back', async () => {
    const db = await openDatabase(folder);
    await addWork(db, galleyCloth, null);
    const name = await new Copies(db, join(folder, 'copies'), () => new Date()).make('day');
    const { rows } = await db.query("select pg_relation_filepath('works') as path");
    await db.exec('checkpoint');
    await db.close();
    const path = inDatabase(String(rows[0]?.path));
    const page = readFileSync(path);
    // One bit, in the middle of what stands in the row.
    page[8192 - 60] = (page[8192 - 60] as number) ^ 1;
    writeFileSync(path, page);
    expect(await whyNot(folder)).toBe('database-damaged');
    expect(readFileSync(path).equals(page)).toBe(true);
    expect(new CannotStart('database-damaged', folder).message).toContain(`npm run put-back -- ${name}`);
  });

  it('with a damaged page among the photos opens, and is told soon after', async () => {
    const db = await openDatabase(folder);
    await addWork(db, galleyCloth, null);
    const [{ id = '' } = {}] = await listWorks(db);
    const entry = { ...entryLabel, id: randomUUID(), at: 1, kind: 'photo', row: 3 } as const;
    // Noise, so that it is kept as it is; far more than a page.
    const image = `data:image/jpeg;base64,${randomBytes(90_000).toString('base64')}`;
    await addEntry(db, id, { ...entry, image, small: image });
    await readPhotosThrough(db);
    const { rows } = await db.query(
      "select pg_relation_filepath(reltoastrelid::regclass) as path from pg_class where relname = 'photos'",
    );
    await db.exec('checkpoint');
    await db.close();
    const path = inDatabase(String(rows[0]?.path));
    const pages = readFileSync(path);
    pages[8192 * 5 + 4000] = (pages[8192 * 5 + 4000] as number) ^ 1;
    writeFileSync(path, pages);
    const again = await openDatabase(folder);
    const copies = new Copies(again, join(folder, 'copies'), () => new Date());
    await expect(copies.lookAtPhotos()).rejects.toThrow();
    expect(copies.trouble).toEqual({ code: 'data-damaged', path: '' });
    expect(await listWorks(again)).toHaveLength(1);
    await again.close();
  });

  it('is never taken for a new bench: copies but no database', async () => {
    const db = await openDatabase(folder);
    await addWork(db, galleyCloth, null);
    const name = await new Copies(db, join(folder, 'copies'), () => new Date()).make('day');
    await db.close();
    rmSync(join(folder, 'database'), { recursive: true });
    expect(await whyNot(folder)).toBe('database-gone');
    expect(existsSync(join(folder, 'database'))).toBe(false);
    // The command that the message names puts it back.
    const { message } = new CannotStart('database-gone', folder);
    expect(message).toContain(`npm run put-back -- ${name}`);
    expect(await putBack(folder, name, new Date())).toContain('1 project, 0 yarns and 0 swatches');
    const again = await openDatabase(folder);
    expect(await listWorks(again)).toHaveLength(1);
    await again.close();
  });

  it('is put back only whole: a damaged copy leaves the database as it is', async () => {
    const db = await openDatabase(folder);
    await addWork(db, galleyCloth, null);
    const name = await new Copies(db, join(folder, 'copies'), () => new Date()).make('day');
    await addWork(db, { ...galleyCloth, title: 'Later' }, null);
    await db.close();
    truncateSync(join(folder, 'copies', name), 900);
    await expect(putBack(folder, name, new Date())).rejects.toThrow();
    const again = await openDatabase(folder);
    expect(await listWorks(again)).toHaveLength(2);
    await again.close();
  });

  it('tells a lock that is a folder, a folder that is a file, and what the disk says', async () => {
    mkdirSync(join(folder, 'held-by'));
    expect(await whyNot(folder)).toBe('lock');
    const file = join(mkdtempSync(join(tmpdir(), 'puntada-file-')), 'data');
    writeFileSync(file, 'a letter');
    expect(await whyNot(file)).toBe('not-a-folder');
    expect(readFileSync(file, 'utf8')).toBe('a letter');
    const told = ['ENOSPC', 'EROFS', 'EACCES', 'ENOENT'].map((code) => faultOf(Object.assign(new Error(), { code })));
    expect(told).toEqual(['disk-full', 'not-mine', 'not-mine', undefined]);
  });

  it('takes over a lock whose process number belongs to somebody else by now', async () => {
    // Process 1 runs, and did not start then.
    writeFileSync(join(folder, 'held-by'), '1 999999999999\n');
    expect(await whyNot(folder)).toBe('opens');
  });

  it('is one plain message, without a trace of the inside', () => {
    rmSync(inDatabase('PG_VERSION'));
    const main = new URL('../main.ts', import.meta.url).pathname;
    const env = { ...process.env, NODE_OPTIONS: '', PUNTADA_DATA: folder, PUNTADA_PORT: '0', PUNTADA_PAGES: '' };
    const { status, stderr } = spawnSync(process.execPath, ['--import', 'tsx', main], { env, encoding: 'utf8' });
    expect(status).toBe(1);
    expect(
      stderr
        .trim()
        .split('\n')
        .map((line) => line.split(':')[0]),
    ).toEqual([`Puntada cannot open its data in ${folder}.`, 'Found', 'Safe', 'To do']);
  });
});
