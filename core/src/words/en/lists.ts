import type { Fact } from '../../craft/values/problem.ts';

/** Several things in a row: `A, B`, or `A or B` with its own word between. */
export function list(fact: Fact, between = ', '): string {
  return Array.isArray(fact) ? fact.join(between) : String(fact ?? '');
}

/** With its first letter small, to stand within a sentence. */
export function lower(fact: Fact): string {
  return String(fact ?? '').replace(/^./, (letter) => letter.toLowerCase());
}

/** With its first letter large, to begin one. */
export function upper(text: string): string {
  return text.replace(/^./, (letter) => letter.toUpperCase());
}

/** `1 ball`, `2 balls`. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count} ${count === 1 ? one : many}`;
}

/** One of a plural: `pairs of blocks` is `pair of blocks`. */
export function oneOf(plural: string): string {
  return plural.replace(/^stitches\b/, 'stitch').replace(/^(\w+)s\b/, '$1');
}

/** `1st`, `12th`. */
export function ordinal(n: number): string {
  const teen = n % 100 >= 11 && n % 100 <= 13;
  const end = teen ? 'th' : ({ 1: 'st', 2: 'nd', 3: 'rd' }[n % 10] ?? 'th');
  return `${n}${end}`;
}
