import { lyingOn } from '@puntada/core/craft';
import type { Prepared } from '@puntada/core/plan';
import type { Wish } from '@puntada/core/records';

type Placed = NonNullable<Wish['placed']>;

/** A length as it is typed into a wish, close enough to be the same number of stitches again. */
function typed(mm: number, units: Wish['units']): string {
  return units === 'in' ? `${(mm / 25.4).toFixed(2)} in` : `${(mm / 10).toFixed(1)} cm`;
}

/** Where along one way: in the middle once it is there, else from the edge that it was told from. */
function standing(
  now: Placed[number]['across'],
  first: number,
  size: number,
  whole: number,
  mm: number,
  units: Wish['units'],
): Placed[number]['across'] {
  const middle = Math.floor((whole - size) / 2);
  if (first === middle) return { from: 'middle', margin: now.margin };
  const from = now.from === 'middle' ? (first < middle ? 'begin' : 'end') : now.from;
  const cells = from === 'begin' ? first : whole - first - size;
  return { from, margin: typed(cells * mm, units) };
}

/**
 * The figures of a wish with one of them moved. @param to its first cell and row @returns nothing where it would not lie on
 * the cloth any more
 */
export function placedFrom(
  { bound, wish, finished }: Pick<Prepared, 'bound' | 'wish' | 'finished'>,
  index: number,
  to: { readonly cell: number; readonly row: number },
  wide: number,
  high: number,
): Placed | undefined {
  const figure = bound.placed?.[index];
  const own = wish.placed?.[index];
  if (!figure || !own || !wish.placed) return undefined;
  const { width, height } = lyingOn(figure, wide, high);
  const cell = Math.max(0, Math.min(wide - width, to.cell));
  const row = Math.max(0, Math.min(high - height, to.row));
  if (cell + width > wide || row + height > high) return undefined;
  const { units } = wish;
  return wish.placed.with(index, {
    text: own.text,
    across: standing(own.across, cell, width, wide, finished.stitchWidth.mid, units),
    up: standing(own.up, row, height, high, finished.rowHeight.mid, units),
  });
}
