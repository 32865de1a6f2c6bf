/** A count in a pattern: a number, a named number, or a sum of such terms (`2b + 1`). */
export interface Count {
  readonly terms: readonly CountTerm[];
}

export interface CountTerm {
  readonly times: number;
  /** The named number that is multiplied, or undefined for a plain one. */
  readonly of?: string;
}

export type Numbers = Readonly<Record<string, number>>;

/** What a count comes to once the maker has chosen the numbers. @throws Error on a name that was not given */
export function evaluate(count: Count, numbers: Numbers): number {
  let sum = 0;
  for (const term of count.terms) {
    const value = term.of === undefined ? 1 : numbers[term.of];
    if (value === undefined) throw new Error(`the pattern uses ${term.of}, which has no value`);
    sum += term.times * value;
  }
  return sum;
}

/** A count as written: `2b+1`. */
export function printCount(count: Count): string {
  return count.terms
    .map((term, i) => {
      const size = Math.abs(term.times);
      const body = term.of === undefined ? String(size) : `${size === 1 ? '' : size}${term.of}`;
      const sign = term.times < 0 ? '-' : i > 0 ? '+' : '';
      return sign + body;
    })
    .join('');
}

/** The names a count uses. */
export function namesIn(count: Count): string[] {
  return count.terms.flatMap((term) => (term.of === undefined ? [] : [term.of]));
}
