import { type DecimalMark, decimalMarkOf, type Facts, type Problem, type Result } from '@puntada/core/craft';
import { readShape } from '@puntada/core/records';
import { problemWords } from '@puntada/core/words';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { z } from 'zod';
import { faultCodeOf } from './faultCode.ts';

/** A refusal on its way to the client. */
export class Refusal extends Error {
  readonly status: number;
  readonly problems: readonly Problem[];
  /** The state as it is now, where the client's was stale. */
  readonly fresh: unknown;

  constructor(status: number, problems: readonly Problem[], fresh?: unknown) {
    super(problems[0]?.code ?? 'refused');
    this.status = status;
    this.problems = problems;
    this.fresh = fresh;
  }
}

/** The value of a result, or a refusal of the whole request. */
export function accept<T>(result: Result<T>, status = 422): T {
  if (result.ok) return result.value;
  throw new Refusal(status, result.problems);
}

/** How the reader of an answer writes numbers, by the first language that the browser asks for. */
export function decimalsFor(request: Request): DecimalMark {
  return decimalMarkOf(request.acceptsLanguages()[0] ?? 'en');
}

/** Where the reader of an answer lives, by the same language; nothing where it does not say. */
export function regionFor(request: Request): string | undefined {
  try {
    return new Intl.Locale(request.acceptsLanguages()[0] ?? 'en').maximize().region;
  } catch {
    return undefined;
  }
}

/** The body of a request in its declared shape. */
export function bodyOf<S extends z.ZodType>(schema: S, request: Request): z.output<S> {
  return accept(readShape(schema, request.body ?? {}));
}

/** What stands behind the question mark of an address, in its declared shape. */
export function shapedQuery<S extends z.ZodType>(schema: S, request: Request): z.output<S> {
  return accept(readShape(schema, request.query));
}

/** Express answers a refused promise by itself; this only types the handler. */
export function handler(
  work: (request: Request, response: Response, next: NextFunction) => Promise<void> | void,
): RequestHandler {
  return (request, response, next) => work(request, response, next);
}

/** Problems as they are answered: with their words beside their facts, for whoever reads the answer itself. */
function told(problems: readonly Problem[]) {
  return problems.map((problem) => ({ ...problem, ...problemWords(problem) }));
}

/** One problem with no place of its own. */
function bare(code: string, facts: Facts = {}) {
  return { problems: told([{ code, path: '', facts }]) };
}

interface KnownError extends Error {
  /** Of the reader of bodies. */
  readonly type?: string;
  readonly limit?: number;
  /** Of the database. */
  readonly code?: string;
}

/** What the database says of text it cannot keep: NUL, and half of a pair of surrogates. */
const unstorable = ['22P05', '22021', '22P02'];

/** What the database says of a number that is larger than any it keeps. */
const outOfRange = '22003';

/** Turns whatever went wrong into problems. Nothing of the inside is told to the client. */
export function answerErrors(log: (error: unknown) => void) {
  return (error: unknown, _request: Request, response: Response, _next: NextFunction): void => {
    if (error instanceof Refusal) {
      const fresh = error.fresh === undefined ? {} : { fresh: error.fresh };
      response.status(error.status).json({ problems: told(error.problems), ...fresh });
      return;
    }
    const { type, message, limit, code } = error as KnownError;
    if (type === 'entity.parse.failed') {
      response.status(400).json(bare('not-json', { found: message }));
      return;
    }
    if (type === 'entity.too.large') {
      response.status(413).json(bare('request-too-large', { limit: Math.round((limit ?? 0) / 1024) }));
      return;
    }
    if (code && unstorable.includes(code)) {
      response.status(422).json(bare('text-unstorable'));
      return;
    }
    if (code === outOfRange) {
      response.status(422).json(bare('number-unstorable'));
      return;
    }
    const fault = faultCodeOf(error);
    if (fault) {
      log(error);
      response.status(fault === 'disk-full' ? 507 : 500).json(bare(fault));
      return;
    }
    const { status } = error as { readonly status?: unknown };
    // A body or an address that cannot be read at all: an unknown charset, a bad percent sign, brackets without end.
    if (typeof status === 'number' && status >= 400 && status < 500) {
      response.status(status).json(bare(status === 404 ? 'no-address' : 'request-unreadable'));
      return;
    }
    log(error);
    response.status(500).json(bare('server-broke'));
  };
}
