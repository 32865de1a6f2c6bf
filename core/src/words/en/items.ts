import { upper } from './lists.ts';

/** The name of an item, as a choice shows it: `Bag panel`. */
export function itemName(item: string): string {
  return upper(item);
}
