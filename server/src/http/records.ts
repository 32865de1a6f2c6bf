import type { Problem } from '@puntada/core/craft';
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
  return new Refusal(404, [told('id', `There is no such ${what} here.`, 'Go back and open it from the list.')]);
}

/** It was changed elsewhere meanwhile; the fresh record is brought along and nothing was overwritten. */
export function staleRecord(what: string, fresh: unknown): Refusal {
  const message = `This ${what} was changed elsewhere meanwhile. Nothing was overwritten.`;
  return new Refusal(409, [told('revision', message, 'Look at the fresh one, then make your change again.')], fresh);
}

function told(path: string, message: string, hint: string): Problem {
  return { code: 'field-wrong', path, message, hint };
}
