import { good, type Problem, type Result, refused } from '../values/problem.ts';

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

function wrong(message: string, hint: string): Result<never> {
  const problem: Problem = { code: 'text-unreadable', path: 'order', message, hint };
  return refused(problem);
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
    return wrong(
      `“${strange}” is no colour of an order of rows.`,
      'Write the letters A to H, such as A A | B A | A A.',
    );
  }
  if (parts.length === 2 || parts.length > 3) {
    return wrong(
      `An order has two bars or none, and this one has ${parts.length - 1}.`,
      'Write opening | repeat | closing; the opening or the closing may be empty.',
    );
  }
  const [opening, repeat, closing] =
    parts.length === 1 ? ['', parts[0] as string, ''] : (parts as [string, string, string]);
  if (!repeat) return wrong('The part that repeats is empty.', 'Name at least one row between the two bars.');
  if (opening.length + repeat.length + closing.length > longest) {
    return wrong(`An order has ${longest} rows at most.`, 'Write the part that comes again only once.');
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
