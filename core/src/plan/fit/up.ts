import { type BoundPattern, leastCommonMultiple } from '../../craft/patterns/bound.ts';
import { evaluate } from '../../craft/patterns/count.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import type { RowOrder } from '../../craft/patterns/order.ts';
import { colourPeriod, endsAsBegun, endsInColours, rowColours } from '../../craft/technique/bands.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { added, type Estimate, times } from '../../craft/values/estimate.ts';
import { good, type Problem, type Result, refused, type Told } from '../../craft/values/problem.ts';
import { repeatsStep } from './arithmetic.ts';
import { admits, around, nearest, neighbours, type Progression, progression, remainders } from './progression.ts';

/** How the last row is to come out. */
export type EndRule = 'any' | 'whole' | 'as-begun';

export type WishedHeight =
  | { readonly by: 'length'; readonly mm: number }
  | { readonly by: 'rows'; readonly count: number }
  | { readonly by: 'repeats'; readonly count: number };

/** One height the ending allows. */
export interface HeightOffer {
  readonly rows: number;
  /** mm */
  readonly height: Estimate;
  /** Finished less wished, mm. */
  readonly difference: number;
  /** The last row ends a whole block. */
  readonly whole: boolean;
  /** The cloth ends in the colour it began with. */
  readonly asBegun: boolean;
  /** The arithmetic, a step each. */
  readonly why: readonly Told[];
}

export interface UpFit {
  readonly offers: readonly HeightOffer[];
  readonly chosen: HeightOffer;
  readonly warnings: readonly Problem[];
}

export interface UpRequest {
  readonly bound: BoundPattern;
  readonly ending: EndRule;
  /** mm, of the finished piece. */
  readonly rowHeight: Estimate;
  readonly technique: Technique;
  /** What border and closing row add, mm. */
  readonly beside?: Estimate | undefined;
  readonly wish: WishedHeight;
}

/** Courses that are worked once: set-up and closing rows. */
function onceCourses(bound: BoundPattern): number {
  const once = bound.pattern.rows.filter((row) => row.role !== 'row');
  return once.reduce((sum, row) => sum + evaluate(row.courses, bound.numbers), 0);
}

/** Rows of so many whole repeats, with what is worked once. */
function rowsOfRepeats(bound: BoundPattern, technique: Technique, repeats: number): number {
  const own = technique.endings?.(bound)?.whole;
  const { order } = bound.pattern;
  if (own) return own.step * repeats + own.offset;
  if (order) return order.repeat.length * repeats + order.opening.length + order.closing.length;
  return repeats * bound.up.works.multiple + bound.up.works.extra;
}

/** Rows that end a whole repeat, or the maker's own order of rows whole. */
function wholeRule(bound: BoundPattern, least: number): Progression {
  const { order } = bound.pattern;
  const { multiple, extra } = order
    ? { multiple: order.repeat.length, extra: order.opening.length + order.closing.length }
    : bound.up.works;
  return progression(multiple, extra, least);
}

/** Whether so many rows end as they began, read off the colours of the rows. */
export function isAsBegun(bound: BoundPattern, technique: Technique, rows: number): boolean {
  return endsAsBegun(rowColours(bound, technique, rows));
}

/** How the rows of a pattern end: by their remainder, once opening, closing and first band are behind. */
interface Endings {
  readonly from: number;
  readonly period: number;
  /** Remainders that end as begun. */
  readonly asBegun: readonly number[];
}

/** Reads off, over one period, which rows end as begun. @param among the rows that can be worked at all */
function readEndings(bound: BoundPattern, technique: Technique, among: Progression): Endings {
  const period = leastCommonMultiple(colourPeriod(bound), among.step);
  const from = among.least + period + onceCourses(bound) + orderedOnce(bound);
  const asBegun: number[] = [];
  for (let rows = from; rows < from + period; rows++) {
    if (admits(among, rows) && isAsBegun(bound, technique, rows)) asBegun.push(rows % period);
  }
  return { from, period, asBegun };
}

/** Whether so many rows end as begun, among those that can be worked: read off where they are few, else by their remainder. */
function asBegunAt(bound: BoundPattern, technique: Technique, rows: number): boolean {
  const { from, period, asBegun } = knownOf(bound, technique).endings;
  return rows < from ? isAsBegun(bound, technique, rows) : asBegun.includes(rows % period);
}

/** The rows that end as begun; nothing where none does. */
function asBegunRule(bound: BoundPattern, technique: Technique, { any, endings }: Known): Progression | undefined {
  const { period, asBegun } = endings;
  if (!asBegun.length) return undefined;
  let { least } = any;
  while (!(admits(any, least) && asBegun.includes(least % period) && isAsBegun(bound, technique, least))) least++;
  return remainders(period, asBegun, least);
}

/** Rows of an order that are worked once. */
function orderedOnce({ pattern: { order } }: BoundPattern): number {
  return order ? order.opening.length + order.closing.length : 0;
}

/** What is known of a pattern with its choices, so that it is read off its rows only once. */
interface Known {
  readonly whole: Progression;
  readonly any: Progression;
  readonly endings: Endings;
  asBegun?: Progression;
}

const known = new WeakMap<BoundPattern, Known>();
/** A pattern is bound anew with every keystroke: by its choices it is known again. */
const knownByChoice = new WeakMap<StitchPattern, Map<string, Known>>();

function knownOf(bound: BoundPattern, technique: Technique): Known {
  const found = known.get(bound) ?? readOnce(bound, technique);
  known.set(bound, found);
  return found;
}

function readOnce(bound: BoundPattern, technique: Technique): Known {
  const { pattern, numbers, stitch, colours } = bound;
  const own = knownByChoice.get(pattern) ?? new Map<string, Known>();
  knownByChoice.set(pattern, own);
  const key = `${stitch} ${colours.join('')} ${JSON.stringify(numbers)}`;
  const found = own.get(key) ?? read(bound, technique);
  own.set(key, found);
  return found;
}

function read(bound: BoundPattern, technique: Technique): Known {
  const own = technique.endings?.(bound);
  const { order } = bound.pattern;
  // The maker's own order is worked once at least, from its opening to its closing.
  const ordered = order ? orderedOnce(bound) + order.repeat.length : 0;
  const least = own?.least ?? Math.max(ordered, onceCourses(bound) + 1);
  const whole = own ? progression(own.whole.step, own.whole.offset, least) : wholeRule(bound, least);
  // A closing row comes after a whole repeat, whatever the ending.
  const closes = bound.pattern.rows.some((row) => row.role === 'close');
  const any = own ? progression(own.any.step, own.any.offset, least) : closes ? whole : progression(1, 0, least);
  return { whole, any, endings: readEndings(bound, technique, any) };
}

/**
 * The row counts that an ending admits. Where no row ends as begun, as with a closing row in the other colour, a wish to
 * end so is a wish to end whole.
 */
export function heightRule(bound: BoundPattern, technique: Technique, ending: EndRule): Progression {
  const own = knownOf(bound, technique);
  if (ending === 'whole') return own.whole;
  if (ending === 'any') return own.any;
  own.asBegun ??= asBegunRule(bound, technique, own) ?? own.whole;
  return own.asBegun;
}

/** Whether a cloth can end as it began at any height. */
export function canEndAsBegun(bound: BoundPattern, technique: Technique): boolean {
  return knownOf(bound, technique).endings.asBegun.length > 0;
}

/** What a height counts: rows, rounds, or blocks on the diagonal. */
function unitOf({ pattern }: BoundPattern): string {
  if (pattern.made === 'diagonals') return 'blocks';
  return pattern.made === 'rounds' || pattern.made === 'turned-rounds' ? 'rounds' : 'rows';
}

/** How so many rows come about: of an order, of repeats, of nets that are closed. */
function countStep({ bound, technique }: UpRequest, rows: number): Told {
  const { works, word } = bound.up;
  const unit = unitOf(bound);
  const { order } = bound.pattern;
  if (technique.endings?.(bound)) return { code: 'rows-with-base', facts: { rows, unit } };
  if (order) return orderStep(order, rows, unit);
  const repeats =
    works.multiple === 1 && !works.extra && word === unit ? undefined : repeatsStep(word, works, rows, unit);
  return repeats ?? { code: 'rows', facts: { rows, unit } };
}

function why(request: UpRequest, rows: number, asBegun: boolean): Told[] {
  const count = countStep(request, rows);
  return asBegun ? [count, { code: 'ends-as-begun' }] : [count];
}

/** 2 opening + 14 × 3 + 1 closing = 45 rows. */
function orderStep({ opening, repeat, closing }: RowOrder, rows: number, unit: string): Told {
  const middle = rows - opening.length - closing.length;
  const times = Math.floor(middle / repeat.length);
  return {
    code: 'order',
    facts: {
      opening: opening.length,
      times,
      repeat: repeat.length,
      over: middle - times * repeat.length,
      closing: closing.length,
      rows,
      unit,
    },
  };
}

function finishedHeight({ rowHeight, technique, beside }: UpRequest, rows: number): Estimate {
  const cloth = times(rowHeight, technique.heights?.(rows) ?? rows);
  return beside ? added(cloth, beside) : cloth;
}

/** The offer of one height; it is for the caller to know that the height is admitted. */
export function offerHeight(request: UpRequest, rows: number): HeightOffer {
  const { bound, technique } = request;
  const asBegun = asBegunAt(bound, technique, rows);
  const height = finishedHeight(request, rows);
  const wished = request.wish.by === 'length' ? request.wish.mm : height.mid;
  return {
    rows,
    height,
    difference: height.mid - wished,
    whole: admits(heightRule(bound, technique, 'whole'), rows),
    asBegun,
    why: why(request, rows, asBegun),
  };
}

/**
 * Every height that the ending allows near a wish.
 * @returns a problem with the nearest legal row counts when a typed count does not end as asked
 */
export function fitUp(request: UpRequest): Result<UpFit> {
  const { bound, technique, wish, ending } = request;
  const rule = heightRule(bound, technique, ending);
  if (wish.by === 'length') {
    const each = request.rowHeight.mid * (technique.heights?.(1) ?? 1);
    const wished = (wish.mm - (request.beside?.mid ?? 0)) / each;
    const offers = around(rule, wished).map((n) => offerHeight(request, n));
    return good({ offers, chosen: offerHeight(request, nearest(rule, wished)), warnings: [] });
  }
  const asked = wish.by === 'rows' ? wish.count : rowsOfRepeats(bound, technique, wish.count);
  const inColour =
    ending === 'as-begun' &&
    admits(heightRule(bound, technique, 'any'), asked) &&
    endsInColours(rowColours(bound, technique, asked));
  // Whole repeats, or the maker's own order to its end, are right where their last row is in the colours of the first.
  const whole = inColour && admits(heightRule(bound, technique, 'whole'), asked);
  if (!admits(rule, asked) && !whole) {
    const instead = neighbours(rule, asked);
    const closed = technique.endings?.(bound) !== undefined && ending !== 'as-begun';
    const anywhere = ending !== 'any' && admits(heightRule(bound, technique, 'any'), asked);
    return refused({
      code: 'rows-illegal',
      path: 'count',
      facts: { asked, unit: unitOf(bound), parts: bound.up.word, ending, closed, anywhere, inColour, instead },
      instead,
      ...(anywhere ? { anywhere: asked } : {}),
    });
  }
  const offered = [...new Set([...around(rule, asked), asked])].sort((a, b) => a - b);
  return good({
    offers: offered.map((n) => offerHeight(request, n)),
    chosen: offerHeight(request, asked),
    warnings: [],
  });
}
