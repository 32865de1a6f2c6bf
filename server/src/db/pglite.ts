import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { type PGlite, type Transaction, types } from '@electric-sql/pglite';
import type { Database, Db } from './database.ts';
import { openDurable } from './durable.ts';

/** Reads what it would else read in a way of its own: days stay text, and no number is more than a number holds. */
const parsers = { [types.DATE]: (day: string) => day, [types.INT8]: Number, [types.NUMERIC]: Number };

function queriesOf(pglite: PGlite | Transaction): Db {
  return {
    async query(sql, values = []) {
      const { rows, affectedRows = 0 } = await pglite.query<Record<string, unknown>>(sql, [...values], { parsers });
      return { rows, changed: affectedRows };
    },
    async exec(sql) {
      await pglite.exec(sql);
    },
  };
}

/** PostgreSQL inside this process, in a folder. @param folder which it has to itself */
export async function openPglite(folder: string): Promise<Database> {
  const pglite = await openDurable(folder, !existsSync(join(folder, 'PG_VERSION')));
  return {
    ...queriesOf(pglite),
    transaction: (body) => pglite.transaction((tx) => body(queriesOf(tx))),
    close: () => pglite.close(),
  };
}
