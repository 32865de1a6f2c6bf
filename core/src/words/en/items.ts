import { upper } from './lists.ts';

/** Names that say more than the word by itself. */
const names: Readonly<Record<string, string>> = { 'bag panel': 'One panel for a bag' };

/** The name of an item, as a choice shows it: `Cushion cover`. */
export function itemName(item: string): string {
  return names[item] ?? upper(item);
}
