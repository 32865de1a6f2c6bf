import type { DrawerYarn } from '../../records/drawerYarn.ts';

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
