import pg from 'pg';
import type { Database, Db } from './database.ts';

const { builtins, getTypeParser } = pg.types;

/** Reads what it would else read in a way of its own: days stay text, and a bigint is a number. */
const own: Readonly<Record<number, (text: string) => unknown>> = {
  [builtins.DATE]: (day) => day,
  [builtins.INT8]: Number,
  [builtins.NUMERIC]: Number,
};

const types = {
  getTypeParser: ((oid: number, format?: 'text' | 'binary') =>
    own[oid] ?? getTypeParser(oid, format as 'text')) as typeof getTypeParser,
};

function queriesOf(client: pg.Pool | pg.PoolClient): Db {
  return {
    async query(sql, values = []) {
      const { rows, rowCount } = await client.query<Record<string, unknown>>(sql, [...values]);
      return { rows, changed: rowCount ?? 0 };
    },
    async exec(sql) {
      await client.query(sql);
    },
  };
}

/** A PostgreSQL server. @param address such as `postgres://puntada@localhost/puntada` */
export function openPostgres(address: string): Database {
  const pool = new pg.Pool({ connectionString: address, types });
  // An idle connection that breaks is replaced by the pool; the next query tells whether the server is gone.
  pool.on('error', () => undefined);
  return {
    ...queriesOf(pool),
    async transaction(body) {
      const client = await pool.connect();
      try {
        await client.query('begin');
        const answer = await body(queriesOf(client));
        await client.query('commit');
        return answer;
      } catch (error) {
        await client.query('rollback').catch(() => undefined);
        throw error;
      } finally {
        client.release();
      }
    },
    close: () => pool.end(),
  };
}
