import {
  type Estimate,
  findPattern,
  isWritten,
  makingsOf,
  patternBook,
  type Result,
  sourceOf,
} from '@puntada/core/craft';
import { type PatternFacts, patternFacts, planWish, wovenIn } from '@puntada/core/plan';
import { readShape, wishSchema } from '@puntada/core/records';
import { type Maker, planDocument } from '@puntada/core/words';
import { compareStrips, type Strip } from '@puntada/core/work';

/** A wish in one pattern, for setting beside another. */
export interface PatternFigures {
  readonly key: string;
  readonly name: string;
  /** mm */
  readonly width: Estimate;
  readonly height: Estimate;
  /** m, all colours. */
  readonly metres: number;
  readonly balls: number | undefined;
  readonly ends: number;
  /** Seconds. */
  readonly time: Estimate;
}

/** A pattern as a wish holds it. @param source its key in the book, or all of it in the notation */
function named(source: string, key: string): { key: string; text?: string } {
  return isWritten(source) ? { key, text: source } : { key };
}

/** The same wish in other patterns: the best size of each, in figures. A pattern that it cannot be made in is left out. */
export function comparePatterns(wish: unknown, keys: readonly string[]): PatternFigures[] {
  const read = readShape(wishSchema, wish);
  if (!read.ok) return [];
  return keys.flatMap((key) => {
    const pattern = findPattern(key);
    if (!pattern.ok) return [];
    // In rounds if it is in rounds and the pattern can be.
    const { made } = read.value.pattern;
    const own =
      sourceOf(read.value.pattern) === key
        ? read.value.pattern
        : {
            ...named(key, pattern.value.key),
            ...(made && makingsOf(pattern.value.technique).includes(made) ? { made } : {}),
          };
    const { yarns } = read.value;
    const spare = yarns[yarns.length - 1];
    const needed = pattern.value.colours.map(
      (letter) => yarns.find((yarn) => yarn.letter === letter) ?? { ...spare, letter },
    );
    const asked = readShape(wishSchema, {
      ...read.value,
      pattern: own,
      yarns: needed,
      foundation: sourceOf(read.value.pattern) === key ? read.value.foundation : undefined,
      choice: undefined,
    });
    const plan = asked.ok ? planWish(asked.value) : asked;
    if (!plan.ok) return [];
    const { piece, width, height } = plan.value;
    const balls = piece.yarn.map((need) => need.balls?.count);
    return [
      {
        key,
        name: pattern.value.name,
        width: width.width,
        height: height.height,
        metres: piece.yarn.reduce((sum, need) => sum + need.metres.mid, 0),
        balls: balls.every((count) => count !== undefined)
          ? balls.reduce((sum, count) => sum + (count ?? 0), 0)
          : undefined,
        ends: wovenIn(piece.yarn),
        time: piece.time,
      },
    ];
  });
}

/** The test strips of a wish, with what the weighed ones say. */
export function strips(wish: unknown): Result<Strip[]> {
  const read = readShape(wishSchema, wish);
  return read.ok ? compareStrips(read.value, read.value.strips) : read;
}

/** What can be said of every pattern of the book, and of some written out, beside the others. */
export function bookFacts(written: readonly string[]): PatternFacts[] {
  const own = written.flatMap((text) => {
    const found = findPattern(text);
    return found.ok ? [found.value] : [];
  });
  return [...own, ...patternBook].flatMap((pattern) => {
    const facts = patternFacts(pattern);
    return facts.ok ? [facts.value] : [];
  });
}

/** How one repeat of a pattern is worked, in words; of the smallest cloth that shows it. */
export function oneRepeat(key: string, maker: Maker): string[] {
  const pattern = findPattern(key);
  if (!pattern.ok) return [];
  const yarn = { shade: '#888888', weight: 4, fibre: 'cotton' } as const;
  const made = readShape(wishSchema, {
    title: pattern.value.name,
    item: 'mat',
    width: { by: 'repeats', count: 2 },
    height: { by: 'repeats', count: 2 },
    pattern: named(key, pattern.value.key),
    gauge: { from: 'typical' },
    edges: 'whole',
    ending: 'any',
    yarns: pattern.value.colours.map((letter) => ({ ...yarn, letter, name: letter })),
  });
  const plan = made.ok ? planWish(made.value) : made;
  if (!plan.ok) return [];
  const { grouped } = planDocument(plan.value, maker);
  return [...grouped];
}
