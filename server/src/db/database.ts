import type { z } from 'zod';

/** What a statement answered: its rows, and how many rows it changed. */
export interface Answered {
  readonly rows: readonly Record<string, unknown>[];
  readonly changed: number;
}

/**
 * What queries need: a database or a transaction in it. Every driver answers alike: numbers as numbers (a bigint too),
 * moments as `Date`, days as `2026-11-23`, JSON as values.
 */
export interface Db {
  query(sql: string, values?: readonly unknown[]): Promise<Answered>;
  /** Runs statements without values, such as those of a migration. */
  exec(sql: string): Promise<void>;
}

/** A database, whichever driver is behind it. */
export interface Database extends Db {
  /** All of it or nothing. */
  transaction<T>(body: (tx: Db) => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** Runs a query and checks every row against its schema. @throws ZodError on a row that is not what the code expects */
export async function rows<S extends z.ZodType>(
  db: Db,
  schema: S,
  sql: string,
  values: readonly unknown[] = [],
): Promise<z.output<S>[]> {
  return (await db.query(sql, values)).rows.map((row) => schema.parse(row));
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

/** Runs a statement that is to change one row. @returns whether it did */
export async function changedOne(db: Db, sql: string, values: readonly unknown[]): Promise<boolean> {
  return (await db.query(sql, values)).changed === 1;
}

/** Rows of several works, gathered by the work that each belongs to, in their order. */
export function byWork<R extends { readonly work_id: string }, T>(
  found: readonly R[],
  read: (row: R) => T,
): Map<string, T[]> {
  const all = new Map<string, T[]>();
  for (const each of found) {
    const own = all.get(each.work_id);
    if (own) own.push(read(each));
    else all.set(each.work_id, [read(each)]);
  }
  return all;
}
