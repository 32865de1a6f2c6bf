/** What stands before the tenths of a number. */
export type DecimalMark = '.' | ',';

/**
 * One maker reads what this program tells, so it is said once, where the program begins: by the pages for themselves
 * and their workers, by the server for the browser that asks.
 */
let mark: DecimalMark = '.';

/** From here on numbers are told with this mark. */
export function tellDecimals(next: DecimalMark): void {
  mark = next;
}

/** How the people of a language write it. @param language such as `en-GB` or `es` */
export function decimalMarkOf(language: string): DecimalMark {
  try {
    return new Intl.NumberFormat(language).format(0.5).includes(',') ? ',' : '.';
  } catch {
    // No language that is known here.
    return '.';
  }
}

/** A number to so many digits behind the mark, as the maker writes it. */
export function decimal(value: number, digits: number): string {
  return value.toFixed(digits).replace('.', mark);
}

/** A number with the digits that it has, as the maker writes it. @param most digits behind the mark, at most */
export function figure(value: number, most = 3): string {
  return String(Number(value.toFixed(most))).replace('.', mark);
}
