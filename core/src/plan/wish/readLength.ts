import { parseLength } from '../../craft/units/length.ts';
import { at, type Problem } from '../../craft/values/problem.ts';
import type { Wish } from '../../records/wish.ts';

/** A cloth is between 1 cm and 5 m. */
const shortest = 10;
const longest = 5000;

/** A typed length of a wish, mm; what is wrong with it is added to the problems. */
export function readLength(
  typed: string,
  { units }: Pick<Wish, 'units'>,
  path: string,
  problems: Problem[],
  least = shortest,
): number {
  const read = parseLength(typed, units);
  if (!read.ok) {
    problems.push(...read.problems.map((problem) => at(path, problem)));
    return 0;
  }
  if (read.value < least || read.value > longest) {
    problems.push({
      code: 'length-out-of-range',
      path,
      facts: { typed, short: read.value < least, least: least / 10 },
    });
  }
  return read.value;
}
