import fc from 'fast-check';
import { patternBook } from '../../craft/book/book.ts';
import { cellsIn, type Fabric, isRoundMaking, runsForward } from '../../craft/fabric/fabric.ts';
import { makingsOf } from '../../craft/techniques/register.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { workCourse } from '../../plan/steps/course.ts';
import { endingOfCloth } from '../../plan/steps/ending.ts';
import { StrandBook } from '../../plan/steps/strandBook.ts';
import { type WishInput, wishSchema } from '../../records/wish.ts';
import { endingWords } from '../en/ending.ts';
import { besideCarrying } from '../rows/strandWords.ts';
import { idleWords } from './idle.ts';

/*
 * A maker with balls and a hook, who follows Make run by run and knows nothing of the plan: which color is worked, and what
 * each idle yarn is said to do. A yarn is where it was last left; it can be taken up only there, worked over only from
 * there, and joined only where it is not attached. Whatever cannot be done is an error, and so is a yarn that is not spoken of.
 */

class Stuck extends Error {}

function must(holds: boolean, what: string): asserts holds {
  if (!holds) throw new Stuck(what);
}

/** What Make says while one run is worked. */
interface Told {
  readonly colour: string;
  readonly cells: number;
  readonly idle: readonly string[];
}

/** What it says of one row. */
interface ToldRow {
  readonly runs: readonly Told[];
  /** Beside the run: climbing, hanging, cutting, fastening off, bringing across. */
  readonly others: readonly string[];
  readonly forward: boolean;
}

/** Where the cells of a row begin and end across the piece, 0 to 1 from the edge where row 1 begins. */
type Edges = readonly number[];

class Hands {
  /** Where each attached yarn hangs, across the piece. */
  private readonly at = new Map<string, number>();
  private readonly round: boolean;
  /** How far off a place may be: rows of clusters and blocks lie half a cell beside those below. */
  private readonly near: number;
  joins = 0;
  cuts = 0;

  constructor(round: boolean, near: number) {
    this.round = round;
    this.near = near;
  }

  private same(a: number, b: number): boolean {
    const apart = Math.abs(a - b);
    return apart <= this.near || (this.round && Math.abs(1 - apart) <= this.near);
  }

  row({ runs, others, forward }: ToldRow, edges: Edges, number: number): void {
    const place = (cell: number) => (forward ? (edges[cell] as number) : (edges[edges.length - 1 - cell] as number));
    let done = 0;
    for (const { colour, cells, idle } of runs) {
      const [from, to] = [place(done), place(done + cells)];
      this.takeUp(colour, from, others, number);
      for (const words of idle) this.idle(words, done, cells, place, number);
      for (const [yarn] of this.at) {
        if (yarn === colour || idle.some((words) => words.startsWith(`${yarn}:`))) continue;
        must(this.isCut(yarn, others), `row ${number}: nothing is said of ${yarn} while ${colour} is worked`);
        this.leave(yarn);
      }
      this.at.set(colour, to);
      done += cells;
    }
    for (const words of others) {
      const off = /^(?:fasten off|cut) ([A-H])\b/.exec(words)?.[1];
      if (off && this.at.has(off) && !/ at its next /.test(words)) this.leave(off);
    }
  }

  /** Whether a yarn that is cut in this row is joined again in it. */
  private again(yarn: string, others: readonly string[]): boolean {
    return others.some((words) => words.startsWith(`cut ${yarn} `) && / at its next /.test(words));
  }

  private isCut(yarn: string, others: readonly string[]): boolean {
    return others.some((words) => new RegExp(`^(?:cut|fasten off) ${yarn}\\b`).test(words));
  }

  private leave(yarn: string): void {
    this.at.delete(yarn);
    this.cuts++;
  }

  private takeUp(colour: string, from: number, others: readonly string[], number: number): void {
    const hangs = this.at.get(colour);
    if (hangs === undefined) {
      this.joins++;
      return;
    }
    if (this.same(hangs, from)) return;
    if (others.some((words) => words.startsWith(`bring ${colour} across the back`))) return;
    // A yarn that is cut after every use in this row is joined again where it is wanted.
    must(
      this.again(colour, others),
      `row ${number}: ${colour} hangs at ${hangs.toFixed(3)}, and is wanted at ${from.toFixed(3)}`,
    );
    this.cuts++;
    this.joins++;
  }

  private idle(words: string, done: number, cells: number, place: (cell: number) => number, number: number): void {
    const read =
      /^([A-H]): (?:leave it hanging(?: for (\d+) stitch(?:es)?)?)?(?:, (?:then )?)?(carry it inside(?: (\d+) stitch(?:es)?)?)?(?:, leave it there)?$/.exec(
        words,
      );
    must(read !== null, `row ${number}: “${words}” is no order`);
    const [, yarn = '', waits, carry, over] = read;
    if (!carry) {
      must(this.at.has(yarn), `row ${number}: ${yarn} is to be left hanging, and is not attached`);
      return;
    }
    const begins = done + Number(waits ?? 0);
    const ends = over === undefined ? done + cells : begins + Number(over);
    const hangs = this.at.get(yarn);
    if (hangs === undefined) this.joins++;
    else
      must(
        this.same(hangs, place(begins)),
        `row ${number}: ${yarn} is to be worked over from ${place(begins).toFixed(3)}, and hangs at ${hangs.toFixed(3)}`,
      );
    this.at.set(yarn, place(ends));
  }

  /** What is still attached when the last row is done, and where. */
  attached(): ReadonlyMap<string, number> {
    return this.at;
  }
}

/** Cells of a row across the piece: as wide as the stitches they make, beside those below by half a cell where they do so. */
function edgesOf(fabric: Fabric, course: number): Edges {
  const cells = cellsIn(fabric, course);
  if (fabric.making === 'diagonals') {
    // Blocks of a diagonal, by their distance from the other diagonal through the corner.
    const wide = fabric.count;
    const high = fabric.courses + 1 - wide;
    const first = Math.max(0, course - high + 1);
    return Array.from({ length: cells + 1 }, (_, n) => (2 * (first + n) - course + high - 1) / (wide + high));
  }
  const [a, b] = [cellsIn(fabric, 0), fabric.courses > 1 ? cellsIn(fabric, 1) : cellsIn(fabric, 0)];
  const halves = a !== b && !isRoundMaking(fabric.making) && fabric.making === 'flat';
  if (halves && cells === Math.max(a, b)) {
    // Half a cluster at either edge.
    return Array.from({ length: cells + 1 }, (_, n) => Math.min(1, Math.max(0, (n - 0.5) / (cells - 1))));
  }
  return Array.from({ length: cells + 1 }, (_, n) => n / cells);
}

const made = patternBook.flatMap((pattern) => {
  const rounds = makingsOf(pattern.technique).filter((each) => each === 'rounds' || each === 'turned-rounds');
  return [undefined, ...rounds.filter((each) => each !== pattern.made)].map((round) => ({ pattern, round }));
});

const anyWork = fc.record({
  which: fc.nat({ max: made.length - 1 }),
  wide: fc.integer({ min: 1, max: 4 }),
  high: fc.integer({ min: 1, max: 3 }),
  policy: fc.constantFrom('carry-always' as const, 'as-needed' as const, 'cut-always' as const, 'side-only' as const),
  floats: fc.boolean(),
  locked: fc.boolean(),
  closing: fc.boolean(),
});

/** Projects that are worked: some on every run, a thousand with PUNTADA_HANDS=1000. */
const worked = Number(process.env.PUNTADA_HANDS ?? 120);

/** The same projects on every run, others each time when their number is named; a named seed wins. */
const seed = process.env.PUNTADA_SEED ?? (process.env.PUNTADA_HANDS ? undefined : '20261202');
const seeded = seed === undefined ? {} : { seed: Number(seed) };

it('every order for an idle yarn in Make can be done, and the ends come out as planned', () => {
  let count = 0;
  fc.assert(
    fc.property(anyWork, ({ which, wide, high, policy, floats, locked, closing }) => {
      const { pattern, round } = made[which] as (typeof made)[number];
      const wish: WishInput = {
        title: pattern.name,
        item: 'mat',
        width: { by: 'repeats', count: wide },
        height: { by: 'repeats', count: pattern.technique === 'mesh' ? high + 2 : high },
        pattern: { key: pattern.key, ...(round ? { made: round } : {}) },
        edges: 'whole',
        ending: 'any',
        policy,
        floats,
        closing,
        ...(locked ? { lastLoop: 'locked' as const } : {}),
        gauge: { from: 'typical' },
        yarns: pattern.colours.map((letter) => ({
          letter,
          name: letter,
          shade: '#888888',
          weight: 4,
          fibre: 'cotton',
        })),
      };
      const plan = planWish(wishSchema.parse(wish));
      if (!plan.ok || count >= worked) return;
      count++;
      const { bound, foundation } = plan.value.prepared;
      const { fabric, strands } = plan.value.piece;
      // Nets and rows that are each fastened off are joined row by row, and their loops wait on markers.
      if (fabric.making === 'right-side' || fabric.making === 'netted' || fabric.making === 'paired') return;
      const ending = endingOfCloth(plan.value.prepared, { fabric, strands });
      const book = new StrandBook(strands, bound, ending);
      const uneven =
        fabric.making === 'diagonals' || cellsIn(fabric, 0) !== cellsIn(fabric, Math.min(1, fabric.courses - 1));
      const widest = cellsIn(fabric, fabric.courses - 1);
      const hands = new Hands(
        isRoundMaking(fabric.making),
        uneven ? 0.75 / Math.max(1, Math.min(widest, fabric.count)) : 1e-6,
      );
      for (let row = 0; row < fabric.courses; row++) {
        const course = workCourse(fabric, bound, foundation, row);
        const runs = course.runs.map((run, i) => ({
          colour: run.colour,
          cells: run.count,
          idle: idleWords(book.during(fabric, course, i), run.count),
        }));
        const others = book.orders(row).flatMap((order) => besideCarrying(order));
        try {
          hands.row({ runs, others, forward: runsForward(row, fabric.making) }, edgesOf(fabric, row), row + 1);
        } catch (error) {
          throw new Stuck(
            `${pattern.key} ${round ?? ''}: ${(error as Error).message} — ${JSON.stringify({ runs, others })}`,
          );
        }
      }
      const end = endingWords(ending);
      const left = hands.attached();
      const locks = /lay ([A-H]) across it/.exec(end)?.[1];
      if (locks) must(left.has(locks), `${locks} is to lock the last loop, and is not there`);
      for (const yarn of left.keys()) {
        const kept = new RegExp(`(?:cut|in) ${yarn}\\b|lay ${yarn} across|cut ${yarn} and`).test(end);
        must(kept, `${yarn} is still attached at the end, and nothing is said of it: ${end}`);
      }
      // Every yarn that was joined has two ends, whatever became of it.
      expect([pattern.key, round, 2 * hands.joins]).toEqual([pattern.key, round, plan.value.piece.ends]);
    }),
    { numRuns: worked * 3, ...seeded },
  );
  expect(count).toBeGreaterThanOrEqual(worked / 2);
}, 600_000);
