import type { Problem } from '@puntada/core/craft';
import { readShape } from '@puntada/core/records';
import { z } from 'zod';
import { remembered } from '../memory.ts';
import { type Db, rows } from './database.ts';

/** A stored row that this version cannot read: it is kept as it is, and shown as such where it stands. */
export interface UnreadRow {
  readonly row: Readonly<Record<string, unknown>>;
  readonly problem: Problem;
}

/** Why what is stored cannot be read, and where, from what is wrong with its shape. */
function unreadProblem([first]: readonly Problem[]): Problem {
  return {
    code: 'cannot-be-read',
    path: first?.path ?? '',
    facts: { ...first?.facts, why: first?.code, at: first?.path || undefined },
  };
}

/** Why a shape does not fit, and where. @returns nothing where it fits */
export function whyUnread(schema: z.ZodType, value: unknown): Problem | undefined {
  const read = readShape(schema, value);
  return read.ok ? undefined : unreadProblem(read.problems);
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
    const found = readShape(schema, row);
    if (found.ok) read.push(found.value);
    else unread.push({ row, problem: unreadProblem(found.problems) });
  }
  return { read, unread };
}

/** Where documents lie that may be unreadable. All of it is SQL of ours. */
interface Shelf {
  readonly columns: string;
  /** From which tables, and which of their rows. */
  readonly from: string;
  /** What the schema may refuse of a row, as a text. */
  readonly document: string;
  readonly order: string;
}

const marked = z.object({ mark: z.string() });

/**
 * Finds what this version cannot read. Each wording of a document is looked at once: what could be read is known again by
 * its mark, so that a drawer of thousands is not read anew for each page.
 */
export function unreadOf(
  schema: z.ZodType,
  { columns, from, document, order }: Shelf,
): (db: Db) => Promise<UnreadRow[]> {
  const known = remembered<true>();
  const mark = `md5(${document})`;
  return async (db) => {
    const fresh = new Set((await rows(db, marked, `select ${mark} as mark ${from}`)).map((each) => each.mark));
    for (const each of fresh) if (known.has(each)) fresh.delete(each);
    if (!fresh.size) return [];
    const sql = `select ${columns}, ${mark} as mark ${from} and ${mark} = any($1::text[]) order by ${order}`;
    const unread: UnreadRow[] = [];
    for (const row of (await db.query(sql, [[...fresh]])).rows) {
      const problem = whyUnread(schema, row);
      if (problem) unread.push({ row, problem });
      else known.set(String(row.mark), true);
    }
    return unread;
  };
}
