import type { Wish } from '../../records/wish.ts';
import { itemNamed } from '../items/register.ts';

/**
 * A wish as it is counted since it was begun: several fronts of what has two panels were taken for one item before each was
 * one of its own, and those go on so. @param apart whether it was begun since
 */
export function wishAsBegun(wish: Wish, apart: boolean | undefined): Wish {
  const { set, ...rest } = wish;
  if (apart || !set?.part || wish.pieces < 2 || itemNamed(wish.item).panels !== 2) return wish;
  const { part: _part, ...whole } = set;
  return { ...rest, set: whole };
}
