import type { Step } from './tick.ts';

const [nought, lineEnd] = ['0', '\n'].map((each) => each.charCodeAt(0)) as [number, number];
/** Numbers on a line. */
const onLine = 6;
/** The shortest line has a digit for each, and what parts them. */
const shortest = 2 * onLine;

/**
 * Steps as lines of numbers, each `when place row run row run`, from where and to where: a third of what JSON takes. Read
 * digit by digit into one long column, since there may be a hundred thousand of them.
 */
function numbersIn(lines: string): Float64Array {
  const numbers = new Float64Array(onLine * Math.ceil((lines.length + 1) / shortest));
  let [count, number] = [0, 0];
  for (let i = 0; i < lines.length; i++) {
    const code = lines.charCodeAt(i);
    if (code >= nought) {
      number = number * 10 + code - nought;
    } else {
      numbers[count++] = number;
      number = 0;
    }
  }
  if (lines.length && lines.charCodeAt(lines.length - 1) !== lineEnd) numbers[count++] = number;
  return numbers.subarray(0, count);
}

/** Each step as it is asked for: nothing of it stays. */
function* stepsOf(numbers: Float64Array): Generator<Step, undefined> {
  for (let i = 0; i < numbers.length; i += onLine) {
    yield {
      at: numbers[i] as number,
      place: numbers[i + 1] as number,
      from: { rows: numbers[i + 2] as number, runs: numbers[i + 3] as number },
      to: { rows: numbers[i + 4] as number, runs: numbers[i + 5] as number },
    };
  }
  return undefined;
}

/** Steps from their lines, in the order of these. */
export function stepsIn(lines: string): Step[] {
  return [...stepsOf(numbersIn(lines))];
}

/** By their times; those that come in order, as most do, are only looked at. */
export function byTime<Each extends { readonly at: number }>(steps: readonly Each[]): readonly Each[] {
  const torn = steps.some(({ at }, n) => n > 0 && at < (steps[n - 1] as Each).at);
  return torn ? [...steps].sort((a, b) => a.at - b.at) : steps;
}

/** The same by their times, as often as they are asked for. */
export function stepsByTime(lines: string): Iterable<Step> {
  const numbers = numbersIn(lines);
  for (let i = onLine; i < numbers.length; i += onLine) {
    if ((numbers[i] as number) < (numbers[i - onLine] as number)) return byTime([...stepsOf(numbers)]);
  }
  return { [Symbol.iterator]: () => stepsOf(numbers) };
}
