/** One item, or a group of items worked several times. */
export type Compressed = { readonly items: readonly string[]; readonly times: number };

/** Longest group looked for; a unit of the book has no more runs than this. */
const longestGroup = 32;

function repeats(words: readonly string[], a: number, b: number, length: number): boolean {
  for (let i = 0; i < length; i++) if (words[a + i] !== words[b + i]) return false;
  return true;
}

/** How often the group that begins at `start` follows itself. */
function timesFrom(words: readonly string[], start: number, length: number): number {
  let times = 1;
  while (start + (times + 1) * length <= words.length && repeats(words, start, start + times * length, length)) {
    times++;
  }
  return times;
}

/** Words that come again and again, gathered into groups; spelled out again they are the same words in the same order. */
export function compress(words: readonly string[]): Compressed[] {
  const found: Compressed[] = [];
  for (let i = 0; i < words.length; ) {
    let best = { length: 1, times: 1 };
    for (let length = 1; length <= longestGroup; length++) {
      const times = timesFrom(words, i, length);
      if (times > 1 && length * times > best.length * best.times) best = { length, times };
    }
    const open = found.at(-1);
    if (best.times === 1 && open?.times === 1) {
      found[found.length - 1] = { items: [...open.items, words[i] as string], times: 1 };
    } else found.push({ items: words.slice(i, i + best.length), times: best.times });
    i += best.length * best.times;
  }
  return found;
}

/** Groups as a compact row of words: `(4 A, 4 B) × 4, 4 A`. */
export function printCompressed(groups: readonly Compressed[]): string {
  return groups
    .map(({ items, times }) => (times === 1 ? items.join(', ') : `(${items.join(', ')}) × ${times}`))
    .join(', ');
}

/** Several times, as printed patterns say it: `[1 sc, 1 dc] 9 times`. */
export function bracketed(items: readonly string[], times: number): string {
  return `[${items.join(', ')}] ${times} ${times === 1 ? 'time' : 'times'}`;
}

/**
 * Groups as printed patterns are written: one repeat in a row stands after an asterisk, `*4 sc in B, 4 sc in A; repeat
 * from * 3 more times`, several stand in brackets.
 */
export function printStarred(groups: readonly Compressed[]): string {
  const starred = groups.filter(({ times }) => times > 1).length === 1;
  return groups
    .map(({ items, times }) => {
      if (times === 1) return items.join(', ');
      if (!starred) return bracketed(items, times);
      const more = times - 1;
      return `*${items.join(', ')}; repeat from * ${more === 1 ? 'once more' : `${more} more times`}`;
    })
    .join(', ');
}
