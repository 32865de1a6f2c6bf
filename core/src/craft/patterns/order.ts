import { type Facts, good, type Result, refused } from '../values/problem.ts';

/**
 * Colours row by row in the maker's own order: the opening is worked once, the repeat as often as the height asks, the
 * closing once. docs/craft.md, “Orders of rows”.
 */
export interface RowOrder {
  readonly opening: readonly string[];
  readonly repeat: readonly string[];
  readonly closing: readonly string[];
}

/** No order is longer; a slip of the keyboard is. */
const longest = 500;

function wrong(code: string, facts: Facts = {}): Result<never> {
  return refused({ code, path: 'order', facts });
}

/**
 * Reads `A A A | B A | A A`: opening, repeat, closing; without bars all of it repeats. Spaces and commas may be left out.
 *
 * @example readOrder('A | BA | A') // opening A, repeat B A, closing A
 */
export function readOrder(text: string): Result<RowOrder> {
  const parts = text.split('|').map((part) => part.replace(/[\s,]+/g, '').toUpperCase());
  const strange = /[^A-H]/.exec(parts.join(''))?.[0];
  if (strange !== undefined) {
    return wrong('order-letter', { letter: strange });
  }
  if (parts.length === 2 || parts.length > 3) {
    return wrong('order-bars', { bars: parts.length - 1 });
  }
  const [opening, repeat, closing] =
    parts.length === 1 ? ['', parts[0] as string, ''] : (parts as [string, string, string]);
  if (!repeat) return wrong('order-empty');
  if (opening.length + repeat.length + closing.length > longest) {
    return wrong('order-too-long', { most: longest });
  }
  return good({ opening: [...opening], repeat: [...repeat], closing: [...closing] });
}

/** An order as it is written. `readOrder(printOrder(o))` is `o` again. */
export function printOrder({ opening, repeat, closing }: RowOrder): string {
  if (!opening.length && !closing.length) return repeat.join(' ');
  return [opening, repeat, closing]
    .map((part) => part.join(' '))
    .join(' | ')
    .trim();
}

/** The colour of a row. @param course from 0 @param courses of the whole cloth */
export function colourInOrder({ opening, repeat, closing }: RowOrder, course: number, courses: number): string {
  if (course < opening.length) return opening[course] as string;
  const fromEnd = course - (courses - closing.length);
  if (fromEnd >= 0 && courses >= opening.length + closing.length) return closing[fromEnd] as string;
  return repeat[(course - opening.length) % repeat.length] as string;
}

/** The letters that an order names, in the order of the alphabet. */
export function lettersIn({ opening, repeat, closing }: RowOrder): string[] {
  return [...new Set([...opening, ...repeat, ...closing])].sort();
}
