import { z } from 'zod';
import { yarnSchema } from './wish.ts';

const { weight, fibre, blend, ballMetres, ballGrams, shade } = yarnSchema.shape;
const words = (most: number) => z.string().trim().max(most, `That has ${most} letters at most.`);

/** A yarn of the drawer: what its label says, and how much of it there is. */
export const drawerYarnSchema = z.strictObject({
  /** The line as the maker calls it. */
  line: words(60).min(1, 'Give the yarn a name.'),
  /** The name of the shade. */
  name: words(60).min(1, 'Give the shade a name.'),
  shade,
  lot: words(40).default(''),
  weight,
  fibre,
  blend,
  ballMetres,
  ballGrams,
  balls: z
    .number('The number of balls must be a number.')
    .int('Whole balls only; weigh what is left of one begun.')
    .min(0, 'No drawer has less than none.')
    .max(1000, 'That is more than any drawer holds.'),
  /** What is left of each ball begun, g. */
  parts: z
    .array(
      z.number('Grams must be a number.').positive('A part ball weighs more than 0 g.').max(2000, '2000 g at most.'),
    )
    .max(40, 'Forty part balls at most.')
    .default([]),
  /** Of one ball, in the maker's money. */
  price: z.number('The price must be a number.').min(0).max(10000).optional(),
});

export type DrawerYarn = z.output<typeof drawerYarnSchema>;
