import { z } from 'zod';
import { labelOf, type RecordKind } from './record.ts';
import { yarnSchema } from './wish.ts';

const { weight, fibre, blend, ballMetres, ballGrams, shade } = yarnSchema.shape;
const words = (most: number) => z.string().trim().max(most);

/** A yarn of the drawer: what its label says, and how much of it there is. */
export const drawerYarnSchema = z.strictObject({
  ...labelOf('puntada-yarn', 1),
  /** The line as the maker calls it. */
  line: words(60).min(1),
  /** The name of the shade. */
  name: words(60).min(1),
  shade,
  lot: words(40).default(''),
  weight,
  fibre,
  blend,
  ballMetres,
  ballGrams,
  balls: z.number().int().min(0).max(1000),
  /** What is left of each ball begun, g. */
  parts: z.array(z.number().positive().max(2000)).max(40).default([]),
  /** Of one ball, in the maker's money. */
  price: z.number().min(0).max(10000).optional(),
});

export const drawerYarnRecord = { format: 'puntada-yarn', schema: drawerYarnSchema, steps: [] } satisfies RecordKind;

export type DrawerYarn = z.output<typeof drawerYarnSchema>;
