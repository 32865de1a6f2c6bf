import { pino } from 'pino';
import { freshFolder } from '../../test/freshFolder.ts';
import { openDatabase } from '../db/open.ts';
import { withoutText } from './withoutText.ts';

describe('an error in the log', () => {
  it('says what kind it is and where it came from, and nothing of what a maker wrote', async () => {
    const db = await openDatabase(await freshFolder());
    const secret = 'For Aunt Ona, whose roof leaks';
    const error = await db
      .query('insert into drafts (id, title, form) values ($1, $2, $3)', [secret, secret, secret])
      .then(
        () => undefined,
        (failed: unknown) => failed,
      );
    await db.close();
    // The database tells the whole of it.
    expect(JSON.stringify({ ...(error as object), message: (error as Error).message })).toContain(secret);
    let written = '';
    const log = pino(
      {},
      {
        write: (line: string) => {
          written += line;
        },
      },
    );
    log.error({ err: withoutText(error) }, 'broke');
    expect(written).not.toContain('Aunt');
    expect(JSON.parse(written)).toMatchObject({ msg: 'broke', err: { code: '22P02', at: expect.any(Array) } });
  });
});
