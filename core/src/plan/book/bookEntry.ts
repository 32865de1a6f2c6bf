import { type Foundation, findFoundation } from '../../craft/foundation/foundation.ts';
import { isDerived } from '../../craft/gauge/typical.ts';
import { type BoundMultiple, type BoundPattern, bindPattern, type PatternChoice } from '../../craft/patterns/bind.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { good, type Result } from '../../craft/values/problem.ts';
import { type MultipleWords, multipleWords } from '../fit/arithmetic.ts';
import { canEndAsBegun, heightRule } from '../fit/up.ts';
import { trueRepeat } from '../lay/repeat.ts';

/** What a pattern states of itself, with its numbers put in. */
export interface BookEntry {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly technique: string;
  readonly made: string;
  readonly stitches: readonly string[];
  readonly colours: string;
  /** For stitches and for chains, as it can be worked and as it looks whole; of the usual way to begin. */
  readonly multiples: MultipleWords;
  /** Rows as they can be worked, and as they end as begun: `a multiple of 8 + 4`. */
  readonly rows: { readonly works: string; readonly alike: string };
  /** What the idle colour does. */
  readonly idle: string;
  /** Courses after which stitch, colour and direction have come back. */
  readonly trueRepeat: number;
  /** The ways to begin, and what the turning chain is in each. */
  readonly foundations: readonly { readonly key: string; readonly name: string; readonly turningChain: string }[];
  /** Stitches at the edges, as far as they are others than those of the ground. */
  readonly edges: string;
  readonly ends: string;
  readonly careful: string;
  readonly change: string;
  readonly lookOver: string;
  /** Whether its typical gauge is derived from that of other stitches. */
  readonly gaugeDerived: boolean;
}

function turningChain({ turn, counted }: Foundation): string {
  if (turn > 3) return `ch ${turn} opens a block`;
  return `ch ${turn}, ${counted ? 'counts as the first stitch' : 'not a stitch'}`;
}

const edgeWords: Readonly<Record<string, string>> = {
  mosaic: 'the first and the last stitch are plain sc through both loops',
  linen: 'ch 2 stands for the first stitch and space; the last sc goes into that space',
  granny: 'ch 3 or ch 2 opens each row; single edge dc as the foundation has them',
  mesh: 'an sc of its own mesh at either edge',
  'step-check': 'a row that begins with a dc begins with ch 3',
  'chain-space':
    'a row on a gap begins with ch 3; a row on a group begins with a bridge of chains and ends in the edge stitch',
  'wide-hdc': 'the ch 2 is the first post; the last stitch goes between the last post and the turning chain',
};

function coloursOf({ colours, fewestColours, mostColours }: StitchPattern): string {
  return fewestColours === mostColours ? colours.join(' ') : `${colours.join(' ')}, ${fewestColours} to ${mostColours}`;
}

/** What a pattern states: multiples, true repeat, ways to begin, edges, what ends it well, who should be careful. */
export function bookEntry(pattern: StitchPattern, choice: PatternChoice = {}): Result<BookEntry> {
  const bound = bindPattern(pattern, choice);
  if (!bound.ok) return bound;
  const technique = techniqueOf(pattern);
  if (!technique.ok) return technique;
  const ways = technique.value.foundations(bound.value).map((key) => findFoundation(key) as Foundation);
  const foundation = ways[0] as Foundation;
  return good({
    key: pattern.key,
    name: pattern.name,
    about: pattern.about,
    technique: technique.value.name,
    made: pattern.made,
    stitches: pattern.stitches,
    colours: coloursOf(pattern),
    multiples: multipleWords({ bound: bound.value, technique: technique.value, foundation }),
    rows: { works: rowWords(bound.value.up.works), alike: asBegunWords(bound.value, technique.value) },
    idle: technique.value.words.idle,
    trueRepeat: trueRepeat(bound.value, technique.value),
    foundations: ways.map((way) => ({ key: way.key, name: way.name, turningChain: turningChain(way) })),
    edges: edgeWords[pattern.technique] ?? edgesOf(bound.value),
    ends: pattern.ends,
    careful: pattern.careful,
    change: technique.value.words.change,
    lookOver: technique.value.words.lookOver,
    gaugeDerived: isDerived(technique.value.gaugeKey(bound.value)),
  });
}

function rowWords({ multiple, extra }: BoundMultiple): string {
  return multiple === 1 ? `any from ${Math.max(1, extra)}` : `a multiple of ${multiple}${extra ? ` + ${extra}` : ''}`;
}

/** The rows that end as begun, read off the laid cloth: `a multiple of 8 + 4`, `any odd number`, or that none does. */
function asBegunWords(bound: BoundPattern, technique: Technique): string {
  if (!canEndAsBegun(bound, technique)) return 'none: it ends whole instead';
  const { step, offset, least, remainders } = heightRule(bound, technique, 'as-begun');
  if (!remainders) return rowWords({ multiple: step, extra: step === 1 ? least : offset % step });
  const period = shortestPeriod(step, remainders);
  const within = [...new Set(remainders.map((each) => each % period))];
  if (period === 1) return `any from ${least}`;
  if (period === 2) return within[0] === 1 ? 'any odd number' : 'any even number';
  const last = within.pop();
  const extra = within.length ? `${within.join(', ')} or ${last}` : last;
  return `a multiple of ${period}${extra ? ` + ${extra}` : ''}`;
}

/** The least step in which remainders by a greater one come again: 1 and 4 by 6 are 1 by 3. */
function shortestPeriod(step: number, remainders: readonly number[]): number {
  for (let period = 1; period < step; period++) {
    if (step % period) continue;
    const within = new Set(remainders.map((each) => each % period));
    if (within.size * (step / period) === remainders.length) return period;
  }
  return step;
}

function edgesOf({ across }: BoundPattern): string {
  const { works, alike } = across;
  return works.multiple === alike.multiple && works.extra === alike.extra
    ? 'both edges are alike on every count'
    : `both edges are alike on ${alike.multiple}k${alike.extra ? ` + ${alike.extra}` : ''}`;
}
