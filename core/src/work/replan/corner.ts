import { widthRule } from '../../plan/fit/across.ts';
import { admits } from '../../plan/fit/progression.ts';
import { heightRule } from '../../plan/fit/up.ts';
import { acrossRequest } from '../../plan/sizes/sizes.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';

/** What a piece of blocks on the diagonal comes to if it begins to shrink after so many diagonals. */
export interface Corner {
  readonly diagonals: number;
  /** Blocks. */
  readonly wide: number;
  readonly high: number;
}

/**
 * The diagonals after which a piece could begin to shrink, sooner than planned, so that both sides are as the pattern
 * allows: each side ends as long as it is by then. Nothing but for blocks on the diagonal. @param wide, high as planned
 */
export function cornersOf(prepared: Prepared, wide: number, high: number): Corner[] {
  const { technique, bound, wish } = prepared;
  if (!technique.diagonal) return [];
  const [across, up] = [widthRule(acrossRequest(prepared), wish.edges), heightRule(bound, technique, wish.ending)];
  const found: Corner[] = [];
  for (let diagonals = 2; diagonals < Math.max(wide, high); diagonals++) {
    const corner = { diagonals, wide: Math.min(wide, diagonals), high: Math.min(high, diagonals) };
    if (admits(across, corner.wide) && admits(up, corner.high)) found.push(corner);
  }
  return found;
}
