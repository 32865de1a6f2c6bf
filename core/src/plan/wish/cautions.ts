import { lightnessOf } from '../../craft/shades/colour.ts';
import type { Wish } from '../../records/wish.ts';
import type { Caution } from '../items/caution.ts';
import { itemNamed } from '../items/register.ts';

/** What the maker is warned of with a plan. Local rules and professionals come first. */
export function cautionsFor(wish: Wish): Caution[] {
  const strap = wish.finish?.strap !== undefined;
  const found: Caution[] = [];
  if (wish.smallChildren) found.push({ about: 'small children', code: 'small-fingers' });
  found.push(...(itemNamed(wish.item).cautions?.(wish) ?? []));
  if (wish.smallChildren && strap) found.push({ about: 'small children', code: 'strap-and-child' });
  if (strap) found.push({ about: 'load', code: 'strap-bears-load' });
  if (contrasty(wish)) found.push({ about: 'dye', code: 'dye-bleeds' });
  if (wish.pieces > 2) found.push({ about: 'selling', code: 'labels-for-sale' });
  return found.filter(({ code }, i) => found.findIndex((each) => each.code === code) === i);
}

/** Whether a dark shade meets a light one. */
function contrasty(wish: Wish): boolean {
  const lightness = wish.yarns.map(({ shade }) => lightnessOf(shade));
  return Math.max(...lightness) - Math.min(...lightness) > 45;
}
