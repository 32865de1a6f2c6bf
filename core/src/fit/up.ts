import { added, type Estimate, times } from '../estimate.ts';
import type { BoundMultiple, BoundPattern } from '../patterns/bind.ts';
import { evaluate } from '../patterns/count.ts';
import { good, type Problem, type Result, refused } from '../problem.ts';
import type { Technique } from '../techniques/technique.ts';
import { oneOf } from './arithmetic.ts';
import { admits, around, nearest, neighbours, type Progression, progression } from './progression.ts';

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
  readonly why: readonly string[];
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
  readonly technique?: Technique | undefined;
  /** What border and closing row add, mm. */
  readonly beside?: Estimate | undefined;
  readonly wish: WishedHeight;
}

/** Courses that are worked once: set-up and closing rows. */
function onceCourses(bound: BoundPattern): number {
  const once = bound.pattern.rows.filter((row) => row.role !== 'row');
  return once.reduce((sum, row) => sum + evaluate(row.courses, bound.numbers), 0);
}

/** The row counts that an ending admits. */
export function heightRule(bound: BoundPattern, ending: EndRule): Progression {
  const { works, alike } = bound.up;
  const least = onceCourses(bound) + 1;
  // A closing row comes after a whole repeat, whatever the ending.
  if (ending === 'any' && !bound.pattern.rows.some((row) => row.role === 'close')) return progression(1, 0, least);
  const { multiple, extra } = ending === 'as-begun' ? alike : works;
  return progression(multiple, extra, least);
}

/** `11 bands × 4 = 44 rows`, where the count is so many repeats and the extra. */
function repeatsLine(word: string, { multiple, extra }: BoundMultiple, rows: number, unit: string): string | undefined {
  const k = (rows - extra) / multiple;
  if (!Number.isInteger(k) || k < 1) return undefined;
  if (multiple === 1 && !extra && word === unit) return `${rows} ${unit}`;
  return `${k} ${k === 1 ? oneOf(word) : word} × ${multiple}${extra ? ` + ${extra}` : ''} = ${rows} ${unit}`;
}

/** What a height counts: rows, rounds, or blocks on the diagonal. */
function unitOf({ pattern }: BoundPattern): string {
  if (pattern.made === 'diagonals') return 'blocks';
  return pattern.made === 'rounds' || pattern.made === 'turned-rounds' ? 'rounds' : 'rows';
}

function why(bound: BoundPattern, rows: number): string[] {
  const { works, alike, word } = bound.up;
  const unit = unitOf(bound);
  const lines = [repeatsLine(word, works, rows, unit) ?? repeatsLine(word, alike, rows, unit) ?? `${rows} ${unit}`];
  if (admits(heightRule(bound, 'as-begun'), rows)) {
    lines.push(
      alike.multiple === 2 * works.multiple
        ? `an odd number of ${word}: it ends in the colour it began with`
        : 'it ends in the colour it began with',
    );
  }
  return lines;
}

function finishedHeight({ rowHeight, technique, beside }: UpRequest, rows: number): Estimate {
  const cloth = times(rowHeight, technique?.heights?.(rows) ?? rows);
  return beside ? added(cloth, beside) : cloth;
}

/** The offer of one height; it is for the caller to know that the height is admitted. */
export function offerHeight(request: UpRequest, rows: number): HeightOffer {
  const { bound } = request;
  const height = finishedHeight(request, rows);
  const wished = request.wish.by === 'length' ? request.wish.mm : height.mid;
  return {
    rows,
    height,
    difference: height.mid - wished,
    whole: admits(heightRule(bound, 'whole'), rows),
    asBegun: admits(heightRule(bound, 'as-begun'), rows),
    why: why(bound, rows),
  };
}

/**
 * Every height that the ending allows near a wish.
 * @returns a problem with the nearest legal row counts when a typed count does not end as asked
 */
export function fitUp(request: UpRequest): Result<UpFit> {
  const { bound, wish, ending } = request;
  const rule = heightRule(bound, ending);
  if (wish.by === 'length') {
    const each = request.rowHeight.mid * (request.technique?.heights?.(1) ?? 1);
    const wished = (wish.mm - (request.beside?.mid ?? 0)) / each;
    const offers = around(rule, wished).map((n) => offerHeight(request, n));
    return good({ offers, chosen: offerHeight(request, nearest(rule, wished)), warnings: [] });
  }
  const asked = wish.by === 'rows' ? wish.count : wish.count * bound.up.works.multiple + bound.up.works.extra;
  if (!admits(rule, asked)) {
    const instead = neighbours(rule, asked);
    const ends = ending === 'whole' ? `whole ${bound.up.word}` : 'the colour it began with';
    return refused({
      code: 'rows-illegal',
      path: 'count',
      message: `${asked} rows do not end with ${ends}.`,
      hint: `Take ${instead.join(' or ')} rows, or let it end anywhere.`,
      instead,
    });
  }
  return good({
    offers: around(rule, asked).map((n) => offerHeight(request, n)),
    chosen: offerHeight(request, asked),
    warnings: [],
  });
}
