import type { Problem, Result } from '@puntada/core/craft';
import { readShape } from '@puntada/core/records';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { z } from 'zod';

/** A refusal on its way to the client. */
export class Refusal extends Error {
  readonly status: number;
  readonly problems: readonly Problem[];
  /** The state as it is now, where the client's was stale. */
  readonly fresh: unknown;

  constructor(status: number, problems: readonly Problem[], fresh?: unknown) {
    super(problems[0]?.message ?? 'refused');
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

/** The body of a request in its declared shape. */
export function bodyOf<S extends z.ZodType>(schema: S, request: Request): z.output<S> {
  return accept(readShape(schema, request.body ?? {}));
}

/** Express answers a refused promise by itself; this only types the handler. */
export function handler(work: (request: Request, response: Response) => Promise<void> | void): RequestHandler {
  return (request, response) => work(request, response);
}

function problem(code: Problem['code'], message: string, hint: string): Problem {
  return { code, path: '', message, hint };
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

/** Turns whatever went wrong into problems. Nothing of the inside is told to the client. */
export function answerErrors(log: (error: unknown) => void) {
  return (error: unknown, _request: Request, response: Response, _next: NextFunction): void => {
    if (error instanceof Refusal) {
      const fresh = error.fresh === undefined ? {} : { fresh: error.fresh };
      response.status(error.status).json({ problems: error.problems, ...fresh });
      return;
    }
    const { type, message, limit, code } = error as KnownError;
    if (type === 'entity.parse.failed') {
      const told = problem(
        'json-malformed',
        `The request is not JSON: ${message}.`,
        'Check brackets, commas and quotes.',
      );
      response.status(400).json({ problems: [told] });
      return;
    }
    if (type === 'entity.too.large') {
      const told = problem(
        'out-of-range',
        `The request is larger than ${Math.round((limit ?? 0) / 1024)} KiB, more than any plan needs.`,
        'Send a smaller one.',
      );
      response.status(413).json({ problems: [told] });
      return;
    }
    if (code && unstorable.includes(code)) {
      const told = problem(
        'field-wrong',
        'A text holds a sign that cannot be stored, such as NUL or half of a pair of signs.',
        'Type that text anew; nothing was changed.',
      );
      response.status(422).json({ problems: [told] });
      return;
    }
    log(error);
    const told = problem(
      'field-wrong',
      'Something broke inside Puntada; nothing was changed.',
      'Try again; if it stays, look at the log.',
    );
    response.status(500).json({ problems: [told] });
  };
}
