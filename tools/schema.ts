import { writeFileSync } from 'node:fs';
import { patternSchema, planDocumentSchema, wishSchema } from '@puntada/core/records';
import { z } from 'zod';

/** Writes the JSON Schemas of the open formats to docs/schema, from the schemas that the doors use. */
const schemas = {
  'wish.schema.json': z.toJSONSchema(wishSchema, { io: 'input' }),
  'plan.schema.json': z.toJSONSchema(planDocumentSchema),
  'pattern.schema.json': z.toJSONSchema(patternSchema),
};

const folder = process.argv[2] ?? 'docs/schema';
for (const [name, schema] of Object.entries(schemas)) {
  writeFileSync(`${folder}/${name}`, `${JSON.stringify(schema, null, 2)}\n`);
}
