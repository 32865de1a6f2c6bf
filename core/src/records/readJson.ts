import type { z } from 'zod';
import { good, type Problem, type Result, refused } from '../craft/values/problem.ts';

type Issue = z.core.$ZodIssue;

function pathOf(issue: Issue): string {
  return issue.path.map(String).join('.');
}

function shown(value: unknown): string {
  const text = typeof value === 'string' ? `“${value}”` : JSON.stringify(value);
  return text && text.length > 40 ? `${text.slice(0, 40)}…` : (text ?? 'nothing');
}

function toProblems(issue: Issue, whole: unknown): Problem[] {
  const path = pathOf(issue);
  if (issue.code === 'unrecognized_keys') {
    return issue.keys.map((key) => ({
      code: 'field-unknown' as const,
      path: path ? `${path}.${key}` : key,
      message: `There is no field “${key}” here.`,
      hint: 'Leave it out, or look up its name in docs/plan-format.md.',
    }));
  }
  const value = issue.path.reduce<unknown>((from, key) => (from as Record<PropertyKey, unknown>)?.[key], whole);
  if (value === undefined) {
    const name = path || 'the whole';
    return [{ code: 'field-missing', path, message: `“${name}” is missing.`, hint: `Add ${name}.` }];
  }
  const range = issue.code === 'too_small' || issue.code === 'too_big';
  return [
    {
      code: range ? 'out-of-range' : 'field-wrong',
      path,
      message: `${shown(value)} will not do here: ${issue.message}`,
      hint: range ? 'Change the number.' : 'See docs/plan-format.md for what fits here.',
    },
  ];
}

/** Checks a value against a schema and turns what is wrong into problems with path, sentence and hint. */
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
    return refused({
      code: 'json-malformed',
      path: '',
      message: `The text is not JSON: ${(error as Error).message}.`,
      hint: 'Check brackets, commas and quotes near that place.',
    });
  }
}
