import type { z } from 'zod';

/** A schema typed by what it gives: what it is given is the answer of a server, of which nothing is known. */
export function giving<S extends z.ZodType>(schema: S) {
  return schema as unknown as z.ZodType<z.output<S>, z.output<S>>;
}
