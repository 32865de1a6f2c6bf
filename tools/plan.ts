import { readFileSync } from 'node:fs';
import { must, type Problem, patternBook, type Result, readPattern, reviewPattern } from '@puntada/core/craft';
import { largestFromStash, planWish, prepare } from '@puntada/core/plan';
import { anyVersion, patternLabel, readJson, readPatternJson, type Wish, wishRecord } from '@puntada/core/records';
import {
  bookEntry,
  type Hand,
  likelySlipWords,
  type Manner,
  planDocument,
  problemWords,
  proofSheet,
  type Terms,
} from '@puntada/core/words';

/** The headless door: a wish as JSON in, its plan as JSON out, or a list of problems and exit code 2. */
/** What is to be printed, and the exit code: thrown to the end of the script, which alone writes and lets the process end. */
class Printed extends Error {
  readonly text: string;
  readonly code: number;

  constructor(text: string, code: number) {
    super('printed');
    this.text = text;
    this.code = code;
  }
}

function refuse(problems: readonly Problem[]): never {
  throw new Printed(
    JSON.stringify({ problems: problems.map((problem) => ({ ...problem, ...problemWords(problem) })) }, null, 2),
    2,
  );
}

function accept<T>(result: Result<T>): T {
  return result.ok ? result.value : refuse(result.problems);
}

function readText(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (error) {
    return refuse([
      {
        code: 'file-unreadable',
        path,
        facts: { found: (error as Error).message },
      },
    ]);
  }
}

const usage =
  'npm run --silent plan -- [--proof | --largest | --pattern] [--uk] [--left] [--as-printed] wish.json, or - for standard input; --list shows the pattern book.';
const known = ['--list', '--pattern', '--proof', '--largest', '--uk', '--left', '--as-printed'];
const given = process.argv.slice(2);
const flags = new Set(given.filter((word) => word.startsWith('--')));
const [path] = given.filter((word) => !word.startsWith('--'));

function print(text: string): never {
  throw new Printed(text, 0);
}

/** The wish with the largest size chosen that its drawer makes. */
function asLargeAsCanBe(wish: Wish): Wish {
  const { width, height } = accept(largestFromStash(accept(prepare(wish))));
  return { ...wish, choice: { stitches: width.stitches, rows: height.rows } };
}

function run(): never {
  const stray = [...flags].find((flag) => !known.includes(flag));
  if (stray) {
    refuse([{ code: 'option-unknown', path: stray, facts: { option: stray, usage } }]);
  }
  if (flags.has('--list')) {
    print(JSON.stringify({ patterns: patternBook.map((pattern) => must(bookEntry(pattern))) }, null, 2));
  }
  if (path === undefined) {
    refuse([
      {
        code: 'no-file',
        path: '',
        facts: { usage },
      },
    ]);
  }

  if (flags.has('--pattern')) {
    const text = readText(path);
    const pattern = accept(text.trimStart().startsWith('{') ? readPatternJson(text) : readPattern(text));
    const slips = accept(reviewPattern(pattern));
    const told = slips.map((slip) => ({ ...slip, message: likelySlipWords(slip) }));
    print(JSON.stringify({ pattern: { ...patternLabel, ...pattern }, slips: told }, null, 2));
  }
  const terms: Terms = flags.has('--uk') ? 'UK' : 'US';
  const hand: Hand = flags.has('--left') ? 'left' : 'right';
  const manner: Manner = flags.has('--as-printed') ? 'printed' : 'compact';
  const maker = { terms, hand, manner };
  const read = accept(readJson(anyVersion(wishRecord), readText(path)));
  const plan = accept(planWish(flags.has('--largest') ? asLargeAsCanBe(read) : read));
  print(flags.has('--proof') ? proofSheet(plan, maker) : JSON.stringify(planDocument(plan, maker), null, 2));
}

try {
  run();
} catch (done) {
  if (!(done instanceof Printed)) throw done;
  // The process ends by itself once all of it is read, however slow the reader is.
  process.exitCode = done.code;
  process.stdout.write(`${done.text}\n`);
}
