import { type Foundation, findFoundation } from '../../craft/foundation/foundation.ts';
import { isDerived } from '../../craft/gauge/typical.ts';
import { bindPattern, type PatternChoice } from '../../craft/notation/bind.ts';
import type { BoundMultiple, BoundPattern } from '../../craft/patterns/bound.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { good, type Result } from '../../craft/values/problem.ts';
import { type Multiples, multiplesOf } from '../fit/arithmetic.ts';
import { canEndAsBegun, heightRule } from '../fit/up.ts';
import { trueRepeat } from '../lay/repeat.ts';

/** Rows that end as begun: `period · k` and one of some remainders, from the least on; nothing where none does. */
export interface EndingRows {
  readonly period: number;
  readonly remainders: readonly number[];
  readonly least: number;
}

/** What a pattern states of itself, with its numbers put in. */
export interface BookFacts {
  readonly pattern: StitchPattern;
  /** For stitches and for chains, as it can be worked and as it looks whole; of the usual way to begin. */
  readonly multiples: Multiples;
  /** Rows as they can be worked, and as they end as begun. */
  readonly rows: { readonly works: BoundMultiple; readonly alike: EndingRows | undefined };
  /** Courses after which stitch, colour and direction have come back. */
  readonly trueRepeat: number;
  /** The ways to begin, the usual one first. */
  readonly foundations: readonly Foundation[];
  /** Both edges are alike on every count that can be worked. */
  readonly alwaysAlike: boolean;
  /** Counts whose edges are alike. */
  readonly alike: BoundMultiple;
  /** Whether its typical gauge is derived from that of other stitches. */
  readonly gaugeDerived: boolean;
}

/** What a pattern states: multiples, true repeat, ways to begin, edges. */
export function bookFacts(pattern: StitchPattern, choice: PatternChoice = {}): Result<BookFacts> {
  const bound = bindPattern(pattern, choice);
  if (!bound.ok) return bound;
  const technique = techniqueOf(pattern);
  if (!technique.ok) return technique;
  const foundations = technique.value.foundations(bound.value).map((key) => findFoundation(key) as Foundation);
  const foundation = foundations[0] as Foundation;
  const { works, alike } = bound.value.across;
  return good({
    pattern,
    multiples: multiplesOf({ bound: bound.value, technique: technique.value, foundation }),
    rows: { works: bound.value.up.works, alike: endingRows(bound.value, technique.value) },
    trueRepeat: trueRepeat(bound.value, technique.value),
    foundations,
    alwaysAlike: works.multiple === alike.multiple && works.extra === alike.extra,
    alike,
    gaugeDerived: isDerived(technique.value.gaugeKey(bound.value)),
  });
}

/** The rows that end as begun, read off the laid cloth. */
function endingRows(bound: BoundPattern, technique: Technique): EndingRows | undefined {
  if (!canEndAsBegun(bound, technique)) return undefined;
  const { step, offset, least, remainders } = heightRule(bound, technique, 'as-begun');
  if (!remainders) return { period: step, remainders: [offset % step], least };
  const period = shortestPeriod(step, remainders);
  return { period, remainders: [...new Set(remainders.map((each) => each % period))], least };
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
