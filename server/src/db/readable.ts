import type { Problem } from '@puntada/core/craft';
import { readShape } from '@puntada/core/records';
import type { z } from 'zod';
import type { Db } from './database.ts';

/** A stored row that this version cannot read: it is kept as it is, and shown as such where it stands. */
export interface UnreadRow {
  readonly row: Readonly<Record<string, unknown>>;
  readonly problem: Problem;
}

/** Why a shape does not fit, and where. @returns nothing where it fits */
export function whyUnread(schema: z.ZodType, value: unknown): Problem | undefined {
  const read = readShape(schema, value);
  if (read.ok) return undefined;
  const [first] = read.problems;
  return {
    code: 'cannot-be-read',
    path: first?.path ?? '',
    facts: { ...first?.facts, why: first?.code, at: first?.path || undefined },
  };
}

/** Runs a query and reads every row that can be read; one that cannot never takes the others with it. */
export async function readable<S extends z.ZodType>(
  db: Db,
  schema: S,
  sql: string,
  values: readonly unknown[] = [],
): Promise<{ readonly read: z.output<S>[]; readonly unread: UnreadRow[] }> {
  const { rows } = await db.query(sql, values);
  const read: z.output<S>[] = [];
  const unread: UnreadRow[] = [];
  for (const row of rows) {
    const problem = whyUnread(schema, row);
    if (problem) unread.push({ row, problem });
    else read.push(schema.parse(row));
  }
  return { read, unread };
}
