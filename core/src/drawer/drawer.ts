import { z } from 'zod';
import { yarnSchema } from '../formats/wish.ts';

const { weight, fibre, ballMetres, ballGrams, shade } = yarnSchema.shape;
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

/** What one work has set aside of a yarn. */
export interface SetAside {
  readonly work: string;
  readonly title: string;
  readonly balls: number;
  readonly grams: number;
}

interface DrawnYarn {
  readonly balls?: number | undefined;
  readonly partGrams?: number | undefined;
  readonly drawer?: string | undefined;
}

/** Works as far as the drawer asks them. */
export interface DrawnWork {
  readonly id: string;
  readonly state: 'wished' | 'begun' | 'finished';
  readonly wish: { readonly title: string; readonly yarns: readonly DrawnYarn[] };
}

/** What is set aside of a yarn for works that are not yet finished. */
export function setAside(id: string, works: readonly DrawnWork[]): SetAside[] {
  return works
    .filter((work) => work.state !== 'finished')
    .flatMap((work) =>
      work.wish.yarns
        .filter((yarn) => yarn.drawer === id && (yarn.balls || yarn.partGrams))
        .map((yarn) => ({
          work: work.id,
          title: work.wish.title,
          balls: yarn.balls ?? 0,
          grams: yarn.partGrams ?? 0,
        })),
    );
}

/** What is free of a yarn; under 0 where more was set aside than there is. */
export function freeOf(yarn: DrawerYarn, aside: readonly SetAside[]): { balls: number; grams: number } {
  return {
    balls: yarn.balls - aside.reduce((sum, each) => sum + each.balls, 0),
    grams: yarn.parts.reduce((sum, grams) => sum + grams, 0) - aside.reduce((sum, each) => sum + each.grams, 0),
  };
}

/** Metres of a yarn, whole balls and parts; nothing where its label is lost. */
export function metresInDrawer({ balls, parts, ballMetres, ballGrams }: DrawerYarn): number | undefined {
  if (ballMetres === undefined || ballGrams === undefined) return undefined;
  const grams = balls * ballGrams + parts.reduce((sum, part) => sum + part, 0);
  return (grams * ballMetres) / ballGrams;
}
