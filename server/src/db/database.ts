import type { PGlite, Transaction } from '@electric-sql/pglite';
import type { z } from 'zod';

/** What queries need: the database itself or a transaction in it. */
export type Db = PGlite | Transaction;

/** Runs a query and checks every row against its schema. @throws ZodError on a row that is not what the code expects */
export async function rows<S extends z.ZodType>(
  db: Db,
  schema: S,
  sql: string,
  values: readonly unknown[] = [],
): Promise<z.output<S>[]> {
  const result = await db.query(sql, [...values]);
  return result.rows.map((row) => schema.parse(row));
}

/** The only row of a query, or undefined. */
export async function row<S extends z.ZodType>(
  db: Db,
  schema: S,
  sql: string,
  values: readonly unknown[] = [],
): Promise<z.output<S> | undefined> {
  return (await rows(db, schema, sql, values))[0];
}
