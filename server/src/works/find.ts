import type { Work } from '@puntada/core/records';
import type { Request } from 'express';
import type { Db } from '../db/database.ts';
import { Refusal } from '../http/answers.ts';
import { findWork } from './queries.ts';
import { workId } from './schema.ts';

/** The work a request names. @throws Refusal 404 */
export async function workOf(db: Db, request: Request): Promise<Work> {
  const id = workId.safeParse(request.params.id);
  const work = id.success ? await findWork(db, id.data) : undefined;
  if (work) return work;
  throw new Refusal(404, [
    {
      code: 'not-found',
      path: 'id',
      facts: { what: 'project' },
    },
  ]);
}
