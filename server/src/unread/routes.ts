import { nameless } from '@puntada/core/words';
import { Router } from 'express';
import type { Copies } from '../copies/copies.ts';
import type { Database } from '../db/database.ts';
import type { UnreadRow } from '../db/readable.ts';
import { unreadYarns } from '../drawer/queries.ts';
import { handler } from '../http/answers.ts';
import { unreadEntries } from '../log/queries.ts';
import { unreadPatterns } from '../patterns/queries.ts';
import { unreadSwatches } from '../swatches/queries.ts';
import { unreadWorks } from '../works/queries.ts';

/** The name by which a maker knows a stored document, as far as it has one. */
function titleOf(document: unknown): string {
  const { title, name, line } = (document ?? {}) as Record<string, unknown>;
  return [title, line, name].find((each): each is string => typeof each === 'string') ?? nameless;
}

function told(document: string) {
  return ({ row, problem }: UnreadRow) => ({ id: String(row.id), title: titleOf(row[document]), problem });
}

/** What is stored and cannot be read by this version: shown where it stands, and kept as it is. */
export function unreadRoutes(db: Database, copies: Copies): Router {
  const router = Router();

  router.get(
    '/',
    handler(async (_request, response) => {
      response.json({
        works: await unreadWorks(db),
        yarns: (await unreadYarns(db)).map(told('yarn')),
        swatches: (await unreadSwatches(db)).map(told('swatch')),
        patterns: (await unreadPatterns(db)).map(told('pattern')),
        entries: (await unreadEntries(db)).map((unread) => ({
          ...told('entry')(unread),
          work: String(unread.row.work_id),
        })),
        copy: copies.trouble ?? null,
      });
    }),
  );

  return router;
}
