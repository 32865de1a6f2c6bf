import type { Request } from 'express';
import { z } from 'zod';
import { Refusal } from './answers.ts';

const recordId = z.uuid();

/** The id a request names. @throws Refusal 404 where it is none */
export function idOf(request: Request, what: string): string {
  const id = recordId.safeParse(request.params.id);
  if (id.success) return id.data;
  throw missing(what);
}

/** There is no such record. */
export function missing(what: string): Refusal {
  return new Refusal(404, [{ code: 'not-found', path: 'id', facts: { what } }]);
}

/** It was changed elsewhere meanwhile; the fresh record is brought along and nothing was overwritten. */
export function staleRecord(what: string, fresh: unknown): Refusal {
  return new Refusal(409, [{ code: 'stale', path: 'revision', facts: { what } }], fresh);
}
