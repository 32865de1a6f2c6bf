import type { PatternChoice } from '../../craft/notation/bind.ts';
import type { BoundMultiple } from '../../craft/patterns/bound.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import { good, type Result } from '../../craft/values/problem.ts';
import { type BookFacts, bookFacts, type EndingRows } from '../../plan/book/bookFacts.ts';
import { multipleText, shortMultiple } from '../en/arithmetic.ts';
import { foundationWords, turningChainWords } from '../en/foundations.ts';
import { techniqueWords } from '../en/techniques.ts';
import type { Terms } from '../terms/termed.ts';
import { termed } from '../terms/termed.ts';

interface MultipleWords {
  readonly stitches: string;
  readonly chains: string;
}

/** What a pattern states of itself, as its page in the book shows it. */
export interface BookEntry {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly technique: string;
  readonly made: string;
  readonly stitches: readonly string[];
  readonly colours: string;
  /** For stitches and for chains, as it can be worked and as it looks whole; of the usual way to begin. */
  readonly multiples: { readonly works: MultipleWords; readonly alike: MultipleWords };
  /** Stitches of the least multiple, to put patterns in order. */
  readonly multiple: number;
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

function coloursOf({ colours, fewestColours, mostColours }: StitchPattern): string {
  return fewestColours === mostColours ? colours.join(' ') : `${colours.join(' ')}, ${fewestColours} to ${mostColours}`;
}

function rowWords(rows: BoundMultiple): string {
  return rows.multiple === 1 ? `any from ${Math.max(1, rows.extra)}` : multipleText(rows);
}

function endingWords(rows: EndingRows | undefined): string {
  if (!rows) return 'none: it ends whole instead';
  const { period, remainders, least } = rows;
  if (period === 1) return `any from ${least}`;
  if (period === 2) return remainders[0] === 1 ? 'any odd number' : 'any even number';
  const last = remainders.at(-1);
  const extra = remainders.length > 1 ? `${remainders.slice(0, -1).join(', ')} or ${last}` : last;
  return `a multiple of ${period}${extra ? ` + ${extra}` : ''}`;
}

function edgesOf({ alwaysAlike, alike, pattern }: BookFacts): string {
  const own = techniqueWords(pattern.technique).edges;
  if (own) return own;
  return alwaysAlike ? 'both edges match on every count' : `both edges match on ${shortMultiple(alike)}`;
}

/** What a pattern states: multiples, true repeat, ways to begin, edges, what ends it well, who should be careful. */
export function bookEntry(pattern: StitchPattern, choice: PatternChoice = {}, terms: Terms = 'US'): Result<BookEntry> {
  const read = bookFacts(pattern, choice);
  if (!read.ok) return read;
  const facts = read.value;
  const words = techniqueWords(pattern.technique);
  const { works, alike } = facts.multiples;
  const told = (text: string) => termed(text, terms);
  return good({
    key: pattern.key,
    name: told(pattern.name),
    about: told(pattern.about),
    technique: told(words.name),
    made: pattern.made,
    stitches: pattern.stitches,
    colours: coloursOf(pattern),
    multiples: {
      works: { stitches: multipleText(works.stitches), chains: shortMultiple(works.chains) },
      alike: { stitches: multipleText(alike.stitches), chains: shortMultiple(alike.chains) },
    },
    multiple: works.stitches.multiple,
    rows: { works: rowWords(facts.rows.works), alike: endingWords(facts.rows.alike) },
    idle: told(words.idle),
    trueRepeat: facts.trueRepeat,
    foundations: facts.foundations.map((way) => ({
      key: way.key,
      name: told(foundationWords(way)),
      turningChain: turningChainWords(way),
    })),
    edges: told(edgesOf(facts)),
    ends: told(pattern.ends),
    careful: told(pattern.careful),
    change: told(words.change),
    lookOver: told(words.lookOver),
    gaugeDerived: facts.gaugeDerived,
  });
}
