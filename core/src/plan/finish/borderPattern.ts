import type { borderPatternKeys } from '../../records/wish.ts';

export type BorderPatternKey = (typeof borderPatternKeys)[number];

/** A pattern in the rounds of a border, in its own colour and a second one that is carried inside. */
interface BorderPattern {
  /** Stitches of one repeat. */
  readonly multiple: number;
  /** Stitches that a side has beyond whole repeats in its first round, so that both its ends are alike. */
  readonly more: number;
  /** One repeat of each round, from the cloth outwards; `x` is the second colour. After the last it begins again. */
  readonly rounds: readonly string[];
}

/**
 * Every one of them reads the same from either end of a side, so that it meets its like at each corner. Each round a side
 * is a stitch longer at either end: what is above a stitch stays above it.
 */
export const borderPatterns: Readonly<Record<BorderPatternKey, BorderPattern>> = {
  bands: { multiple: 1, more: 0, rounds: ['.', 'x'] },
  dots: { multiple: 4, more: 3, rounds: ['....', '.x..', '....'] },
  checks: { multiple: 4, more: 2, rounds: ['xx..', '..xx'] },
  teeth: { multiple: 4, more: 3, rounds: ['.x..', 'xxx.', 'xxxx'] },
};

/** Whole rounds that a pattern takes before all of it is seen. */
export function leastRounds(key: BorderPatternKey): number {
  return borderPatterns[key].rounds.length;
}

/** The number nearest to a count that holds whole repeats and what is beyond them; of two the greater. */
export function holding(count: number, multiple: number, more: number): number {
  const repeats = Math.max(0, Math.floor((count - more) / multiple + 0.5));
  return repeats * multiple + more || multiple;
}

/** One round of a patterned border, stitch by stitch; `x` is the second colour. */
export interface PatternedRound {
  /** A long side, and an upright one, between the corners; of a circle the whole round, and nothing. */
  readonly across: string;
  readonly up: string;
  /** Every corner stitch. */
  readonly corner: string;
}

/** So many stitches of a round, of which the first one of its first round is now a few further in. */
function stretch(repeat: string, count: number, further: number): string {
  const { length } = repeat;
  return Array.from({ length: count }, (_, i) => repeat[(((i - further) % length) + length) % length]).join('');
}

/** Rounds of sides that grow by a stitch at either end each round. @param across @param up of the first round, holding the pattern */
export function patternedRounds(key: BorderPatternKey, across: number, up: number, rounds: number): PatternedRound[] {
  const { rounds: repeats } = borderPatterns[key];
  return Array.from({ length: rounds }, (_, n) => {
    const repeat = repeats[n % repeats.length] as string;
    return {
      across: stretch(repeat, across + 2 * n, n),
      up: stretch(repeat, up + 2 * n, n),
      corner: repeat.includes('.') ? '.' : 'x',
    };
  });
}

/** Rounds about a circle, each of whole repeats. @param counts stitches that keep each flat */
export function patternedCircle(key: BorderPatternKey, counts: readonly number[]): PatternedRound[] {
  const { multiple, rounds: repeats } = borderPatterns[key];
  return counts.map((count, n) => {
    const repeat = repeats[n % repeats.length] as string;
    return { across: stretch(repeat, holding(count, multiple, 0), 0), up: '', corner: '' };
  });
}

/** How many stitches of a round are of its own colour, and how many of the second. */
export function countsOf({ across, up, corner }: PatternedRound): readonly [own: number, second: number] {
  const whole = up ? across.repeat(2) + up.repeat(2) + corner.repeat(4 * 3) : across;
  const second = whole.split('x').length - 1;
  return [whole.length - second, second];
}

/** Changes of colour in a round. */
export function changesIn({ across, up, corner }: PatternedRound): number {
  const corners = corner.repeat(3);
  const whole = up ? [across, up, across, up].map((side) => side + corners).join('') : across;
  return [...whole].filter((letter, i) => i > 0 && letter !== whole[i - 1]).length;
}
