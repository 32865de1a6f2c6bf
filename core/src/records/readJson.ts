import type { z } from 'zod';
import { type Facts, good, type Problem, type Result, refused } from '../craft/values/problem.ts';

type Issue = z.core.$ZodIssue;

/** A value as it was given, short enough to be shown. */
function shown(value: unknown): string {
  const text = typeof value === 'string' ? `“${value}”` : JSON.stringify(value);
  return text && text.length > 40 ? `${text.slice(0, 40)}…` : (text ?? '');
}

/** What a schema has against a value: its kind, and the bounds or choices that hold there. */
export function issueFacts(issue: Issue): Facts {
  switch (issue.code) {
    case 'too_small':
      return { kind: issue.code, of: issue.origin, limit: Number(issue.minimum), open: issue.inclusive === false };
    case 'too_big':
      return { kind: issue.code, of: issue.origin, limit: Number(issue.maximum) };
    case 'invalid_type':
      return { kind: issue.code, expected: issue.expected };
    case 'invalid_value':
      return { kind: issue.code, options: issue.values.map(String) };
    case 'custom':
      return { kind: issue.code, rule: issue.message };
    default:
      return { kind: issue.code };
  }
}

function toProblems(issue: Issue, whole: unknown): Problem[] {
  const path = issue.path.map(String).join('.');
  if (issue.code === 'unrecognized_keys') {
    return issue.keys.map((key) => ({
      code: 'field-unknown',
      path: path ? `${path}.${key}` : key,
      facts: { key },
    }));
  }
  if (issue.code === 'custom' && issue.params) return [{ code: issue.message, path, facts: issue.params as Facts }];
  const value = issue.path.reduce<unknown>((from, key) => (from as Record<PropertyKey, unknown>)?.[key], whole);
  if (value === undefined) return [{ code: 'field-missing', path, facts: { field: path } }];
  return [{ code: 'field-wrong', path, facts: { ...issueFacts(issue), field: path, value: shown(value) } }];
}

/** Checks a value against a schema and turns what is wrong into problems. */
export function readShape<S extends z.ZodType>(schema: S, value: unknown): Result<z.output<S>> {
  const read = schema.safeParse(value);
  if (read.success) return good(read.data);
  return refused(...read.error.issues.flatMap((issue) => toProblems(issue, value)));
}

/** Reads JSON text and checks it against a schema. */
export function readJson<S extends z.ZodType>(schema: S, text: string): Result<z.output<S>> {
  try {
    return readShape(schema, JSON.parse(text));
  } catch (error) {
    return refused({ code: 'not-json', path: '', facts: { found: (error as Error).message } });
  }
}
