import { z } from 'zod';

/** One step of a migration: pure, from what a version wrote to what the next one writes. Neither holds its label. */
export type Step = (old: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>;

/**
 * A kind of document that is stored or exchanged.
 * The first step brings version 1 to version 2, and so on: the version written is one more than there are steps.
 * @example
 * { format: 'puntada-swatch', schema: swatchSchema, steps: [renamed('hook', 'hookMm')] }
 */
export interface RecordKind<S extends z.ZodType = z.ZodType> {
  /** Stands in each document, as `format`. */
  readonly format: string;
  /** The shape of the newest version, with its `format` and `version`. */
  readonly schema: S;
  readonly steps: readonly Step[];
}

/** The version of a kind that is written today. */
export function newestVersion({ steps }: RecordKind): number {
  return steps.length + 1;
}

/** The fields that say of a document what it is; written where they are left out. */
export function labelOf<F extends string, V extends number>(format: F, version: V) {
  return {
    format: z.literal(format).default(() => format as never),
    version: z.literal(version).default(() => version as never),
  };
}

function isPlain(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/**
 * Reads a document of any version up to the newest, brought to the newest. What bears no version is of the first.
 * A newer one is refused with `record-newer`, one of another kind with `record-other`.
 */
export function anyVersion<S extends z.ZodType>(record: RecordKind<S>) {
  const newest = newestVersion(record);
  return z
    .unknown()
    .transform((value, context): unknown => {
      if (!isPlain(value)) return value;
      const { format = record.format, version = 1, ...own } = value;
      if (format !== record.format) {
        const facts = { format, expected: record.format };
        context.addIssue({ code: 'custom', message: 'record-other', path: ['format'], params: facts });
        return z.NEVER;
      }
      if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) return value;
      if (version > newest) {
        const facts = { format, version, newest };
        context.addIssue({ code: 'custom', message: 'record-newer', path: ['version'], params: facts });
        return z.NEVER;
      }
      const brought = record.steps.slice(version - 1).reduce((old, step) => step(old), own);
      return { ...brought, format: record.format, version: newest };
    })
    .pipe(record.schema);
}
