import { chainsFor, countFor, type Foundation } from '../foundation/foundation.ts';
import { evaluate } from '../patterns/count.ts';
import type { PatternRow, Run } from '../patterns/model.ts';
import { good, type Result, refused } from '../values/problem.ts';
import { readTypedRow } from './read.ts';

/** A pattern as it stands elsewhere: `multiple of 9 + 2`, a chain, a row. */
export interface GivenPattern {
  readonly multiple?: { readonly multiple: number; readonly extra: number } | undefined;
  readonly chain?: number | undefined;
  readonly row?: string | undefined;
}

/** What can be said of it, as it stands. */
export interface GivenVerdict {
  /** Whether the multiple can be meant of chains, of stitches, of both, or of neither; unknown without a chain. */
  readonly multipleOf: 'chains' | 'stitches' | 'both' | 'neither' | 'unknown';
  /** Stitches of the row on that chain. */
  readonly stitches?: number | undefined;
  /** Whether the row comes out on that chain. */
  readonly rowFits?: boolean | undefined;
  /** Whether the row looks the same from both ends. */
  readonly edgesMatch?: boolean | undefined;
  /** Stitches on which the row would fit, and their chains, where it does not. */
  readonly fits?: readonly { readonly stitches: number; readonly chains: number }[] | undefined;
}

/** Numbers that have a name: an even number is a multiple of 2. */
const named: readonly (readonly [RegExp, { multiple: number; extra: number }])[] = [
  [/^(?:an?\s+)?even(?:\s+number)?$/, { multiple: 2, extra: 0 }],
  [/^(?:an?\s+)?odd(?:\s+number)?$/, { multiple: 2, extra: 1 }],
  [/^any(?:\s+number)?$/, { multiple: 1, extra: 0 }],
];

/** What may stand behind a number, and says no more. */
const counted = /\s+(?:of\s+)?(?:stitches|stitch|sts|st|chains|chain|chs|ch)\b\.?/g;

/**
 * Reads a multiple as people write it: `multiple of 9 + 2`, `multiples of 6 sts plus 5`, `5n+1`, `n × 10 + 6`,
 * `multiple of 8 less 1`, `an even number`. More than one number behind it is added up.
 */
export function readMultiple(text: string): Result<{ multiple: number; extra: number }> {
  const plain = text.trim().toLowerCase().replace(counted, '').replace(/\.$/, '').trim();
  const word = named.find(([name]) => name.test(plain));
  if (word) return good(word[1]);
  const match = /^(?:(?:an?\s+)?multiples?\s+of\s+(\d+)|(\d+)\s*[x×*]?\s*n|n\s*[x×*]\s*(\d+))(.*)$/.exec(plain);
  const multiple = Number(match?.[1] ?? match?.[2] ?? match?.[3] ?? 0);
  const rest = (match?.[4] ?? '').trim();
  if (multiple > 0 && /^(?:(?:\+|plus|-|−|less|minus)\s*\d+\s*)*$/.test(rest)) {
    let extra = 0;
    for (const [, sign = '', number] of rest.matchAll(/(\+|plus|-|−|less|minus)\s*(\d+)/g)) {
      extra += sign === '+' || sign === 'plus' ? Number(number) : -Number(number);
    }
    // One less than a multiple of 8 is seven more than one.
    return good({ multiple, extra: extra < 0 ? ((extra % multiple) + multiple) % multiple : extra });
  }
  return refused({ code: 'multiple-unreadable', path: 'multiple', facts: { text } });
}

function sumOf(runs: readonly Run[]): number {
  return runs.reduce((sum, run) => sum + evaluate(run.count, {}), 0);
}

/** The row over so many stitches, a letter or stitch each, or nothing where it does not come out. */
function spreadOver(row: PatternRow, stitches: number): string[] | undefined {
  const spell = (runs: readonly Run[]) =>
    runs.flatMap((run) => new Array<string>(evaluate(run.count, {})).fill(`${run.stitch ?? ''}${run.colour ?? ''}`));
  const fixed = sumOf(row.start) + sumOf(row.end);
  const times = (stitches - fixed) / sumOf(row.unit);
  if (!Number.isInteger(times) || times < 1) return undefined;
  return [...spell(row.start), ...Array.from({ length: times }, () => spell(row.unit)).flat(), ...spell(row.end)];
}

function admits({ multiple, extra }: { multiple: number; extra: number }, n: number): boolean {
  return n >= extra && (n - extra) % multiple === 0;
}

function multipleWord(given: GivenPattern, stitches: number | undefined): GivenVerdict['multipleOf'] {
  const { multiple, chain } = given;
  if (!multiple || chain === undefined || stitches === undefined) return 'unknown';
  const chains = admits(multiple, chain);
  const ofStitches = admits(multiple, stitches);
  if (chains && ofStitches) return 'both';
  return chains ? 'chains' : ofStitches ? 'stitches' : 'neither';
}

/**
 * Checks a pattern as it is given elsewhere: whether its multiple is of chains or of stitches, whether its row comes
 * out on its chain, and whether both edges match. @param foundation how its first row begins
 */
export function checkGiven(given: GivenPattern, foundation: Foundation): Result<GivenVerdict> {
  const read = given.row === undefined ? undefined : readTypedRow(given.row);
  if (read && !read.ok) return read;
  const row = read?.value;
  const stitches = given.chain === undefined ? undefined : countFor(foundation, given.chain);
  const multipleOf = multipleWord(given, stitches);
  if (!row) return good({ multipleOf, stitches });
  const whole =
    stitches === undefined
      ? spreadOver(row, sumOf(row.start) + sumOf(row.unit) + sumOf(row.end))
      : spreadOver(row, stitches);
  const rowFits = stitches === undefined ? undefined : whole !== undefined;
  const edgesMatch = whole?.every((cell, i) => cell === whole[whole.length - 1 - i]);
  const fits = rowFits === false ? nearestFits(row, stitches as number, foundation) : undefined;
  return good({ multipleOf, stitches, rowFits, edgesMatch, fits });
}

/** What several rows that were read say of a pattern as it is given. */
export interface RowsVerdict {
  /** Stitches of every row; nothing where they differ. */
  readonly stitches?: number | undefined;
  /** Whether the rows come out on the chain that is given, and the chains that they need. */
  readonly chainFits?: boolean | undefined;
  readonly chains?: number | undefined;
  /** Whether the multiple that is given is that of the rows, counted in stitches or in chains. */
  readonly multiple?: 'stitches' | 'chains' | 'other' | undefined;
}

/**
 * Checks several rows against the chain and the multiple that are given with them.
 * @param counts stitches of each row @param works what the rows can be worked on, as they repeat
 */
export function checkGivenRows(
  { multiple, chain }: Pick<GivenPattern, 'multiple' | 'chain'>,
  counts: readonly number[],
  works: { readonly multiple: number; readonly extra: number } | undefined,
  foundation: Foundation,
): RowsVerdict {
  const [stitches] = counts;
  if (stitches === undefined || counts.some((each) => each !== stitches)) return {};
  const chains = chainsFor(foundation, stitches);
  const onChain = chain === undefined ? {} : { chainFits: chain === chains };
  if (!multiple || !works) return { stitches, chains, ...onChain };
  const alike = (extra: number) =>
    multiple.multiple === works.multiple && (multiple.extra - extra) % works.multiple === 0;
  const turning = chains - stitches;
  const as = alike(works.extra) ? 'stitches' : alike(works.extra + turning) ? 'chains' : 'other';
  return { stitches, chains, ...onChain, multiple: as };
}

/** The stitches nearest to so many on which a row fits. */
function nearestFits(row: PatternRow, stitches: number, foundation: Foundation) {
  const unit = sumOf(row.unit);
  const fixed = sumOf(row.start) + sumOf(row.end);
  const under = fixed + Math.max(1, Math.floor((stitches - fixed) / unit)) * unit;
  const near = under > stitches ? [under] : [under, under + unit];
  return near.map((count) => ({ stitches: count, chains: chainsFor(foundation, count) }));
}
