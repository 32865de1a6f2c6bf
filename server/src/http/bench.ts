import type { RequestHandler } from 'express';
import { z } from 'zod';
import { type Database, row } from '../db/database.ts';
import { handler, Refusal } from './answers.ts';

/** The header by which a page and the server tell one another of which bench they speak. */
export const benchHeader = 'x-puntada-bench';

const bench = z.object({ id: z.uuid() });

interface Replaced {
  readonly replacing: boolean;
}

/**
 * Tells which bench this is, and refuses what a page of another would change: of one that was replaced by a copy since.
 */
export function ofThisBench(db: Database, copies: Replaced): RequestHandler {
  return handler(async (request, response, next) => {
    // How far something is can be told while the whole database is held by it.
    if (request.path.startsWith('/copies/jobs/')) return next();
    const changes = !['GET', 'HEAD'].includes(request.method);
    if (changes && copies.replacing) throw new Refusal(503, [{ code: 'busy', path: '' }]);
    const id = (await row(db, bench, 'select id from bench'))?.id ?? '';
    response.setHeader(benchHeader, id);
    const meant = request.headers[benchHeader];
    if (changes && meant !== undefined && meant !== id) throw new Refusal(409, [{ code: 'bench-other', path: '' }]);
    next();
  });
}
