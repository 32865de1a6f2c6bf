import { sampleIn, sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { findPattern } from '../../craft/book/book.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { lightnessOf } from '../../craft/shades/colour.ts';
import { type Policy, policies } from '../../craft/technique/policy.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { must } from '../../craft/values/problem.ts';
import type { WishInput } from '../../records/wish.ts';
import { bookEntry } from '../../words/book/bookEntry.ts';
import { policyOf } from '../items/items.ts';
import { policyWorkings } from '../workings/strandWorkings.ts';
import type { Working } from '../workings/working.ts';
import { planWish } from './plan.ts';
import { comparePolicies } from './policies.ts';

const pattern = (key: string) => must(findPattern(key));

const planned = (key: string, change: Partial<WishInput> = {}) =>
  must(planWish(sampleIn(pattern(key), { ending: 'any', ...change })));

const compared = (key: string, change: Partial<WishInput> = {}) => {
  const plan = planned(key, change);
  const figures = comparePolicies(plan.prepared, plan.piece.fabric);
  return (policy: Policy) => figures.find((each) => each.policy === policy) as (typeof figures)[number];
};

const yarns = (letters: string): WishInput['yarns'] =>
  [...letters].map((letter, i) => ({
    letter,
    name: `Scrap ${letter}`,
    shade: ['#e9dfc4', '#24476b', '#8d2f3b'][i] ?? '#888888',
    weight: 4,
    fibre: 'cotton',
  }));

const small = { width: { by: 'stitches', count: 20 }, height: { by: 'rows', count: 12 } } as const;

describe('the five ways with the idle colour', () => {
  it('cut always fastens off at every change: one-row stripes in three colours, 12 rows, 24 ends', () => {
    const plan = planned('houndstooth', {
      ...small,
      pattern: { key: 'houndstooth', order: 'A B C' },
      yarns: yarns('ABC'),
      policy: 'cut-always',
    });
    expect(plan.piece.ends).toBe(24);
  });

  it('two rows a colour: cut has two ends a stripe, up the side none but the first and the last', () => {
    // Stripes of two rows come back to the edge they began at, where the other colour waits: 6 stripes of 12 rows.
    const of = compared('back-teeth', small);
    expect(of('cut-always').ends).toBe(12);
    expect(of('side-only').ends).toBe(4);
    expect(of('side-only').carried).toBe(0);
    // B comes in with row 3: 10 rows of 20 stitches, less none, have the other colour inside where all is carried … of A
    // from the first row in which B lies, and of B from its own; counted here by the rows in which both are there.
    expect(of('carry-always').thickness[1]).toBe(of('carry-always').carried);
  });

  it('tell how their yarn, ends and minutes come about: 24 tails, six stripes of each colour woven in one by one', () => {
    const { prepared } = planned('back-teeth', small);
    const cut = policyWorkings(prepared, compared('back-teeth', small)('cut-always'));
    const told = ({ parts }: Working) => parts.map(({ amount }) => amount.mid);
    // Six stripes of two rows, three of each colour, two ends each of 15 cm.
    expect(told(cut.ends)).toEqual([6, 6]);
    expect(told(cut.extra)).toEqual([expect.closeTo(12 * 0.15, 6)]);
    const woven = cut.time.parts[0];
    expect(woven?.facts).toMatchObject({ does: 'weave', count: 12 });
    for (const policy of policies) {
      const figures = compared('back-teeth', small)(policy);
      const { ends, extraMetres, minutes } = figures;
      const workings = policyWorkings(prepared, figures);
      const sum = (own: Working) => told(own).reduce((all, each) => all + each, 0);
      expect([sum(workings.ends), workings.ends.total.mid]).toEqual([ends, ends]);
      expect(sum(workings.extra)).toBeCloseTo(extraMetres, 9);
      expect(sum(workings.time)).toBeCloseTo(60 * minutes, 9);
    }
  });

  it('that come to the same say so, under the name of the first', () => {
    const of = compared('back-teeth', small);
    expect([of('as-needed').sameAs, of('bobbins').sameAs, of('side-only').sameAs]).toEqual([
      undefined,
      'as-needed',
      'as-needed',
    ]);
    const one = compared('houndstooth', small);
    // Of one row a colour the other never waits at the edge: up the side there is nothing to take up.
    expect([one('side-only').sameAs, one('side-only').ends]).toEqual(['cut-always', 24]);
  });

  it('a strand inside its own colour shows nothing, whatever its policy', () => {
    const alike = yarns('AB').map((yarn) => ({ ...yarn, shade: '#24476b' }));
    expect(lightnessOf('#24476b')).toBeGreaterThan(0);
    for (const policy of ['carry-always', 'as-needed', 'bobbins'] as const) {
      const of = compared('block-check', { yarns: alike });
      expect([policy, of(policy).show]).toEqual([policy, 0]);
    }
  });

  it('stripes of one row on a blanket are carried unless the maker says otherwise; on a scarf as needed', () => {
    const of = (item: Parameters<typeof policyOf>[0], key: string) =>
      policyOf(item, must(bindPattern(pattern(key))), must(techniqueOf(pattern(key))));
    expect([of('blanket', 'houndstooth'), of('blanket', 'quay-linen'), of('scarf', 'houndstooth')]).toEqual([
      'carry-always',
      // Two rows a colour: the other one waits at the very edge where it is wanted.
      'as-needed',
      'as-needed',
    ]);
    expect([of('blanket', 'block-check'), of('dishcloth', 'houndstooth')]).toEqual(['as-needed', 'carry-always']);
  });
});

describe('many ends', () => {
  const throwOf = (weaving: WishInput['weaving']) =>
    planned('houndstooth', {
      item: 'blanket',
      policy: 'as-needed',
      weaving,
      width: { by: 'stitches', count: 78 },
      height: { by: 'rows', count: 79 },
      gauge: { from: 'counted', stitches: { count: 13, over: '10 cm' }, rows: { count: 10, over: '10 cm' } },
    });

  it('are chosen by one who likes to weave them in, and then it is said what carrying costs instead', () => {
    const { piece, warnings } = throwOf('easy');
    // Each of 79 rows is joined anew: 158 ends on 0.60 × 0.79 m, which is 333 to a square metre.
    expect(piece.ends).toBe(158);
    expect(warnings.map((problem) => [problem.code, told(problem).message])).toEqual([
      ['many-ends', '“Carry where needed” leaves 158 ends to weave in, 333 per square metre.'],
    ]);
    expect(told(warnings[0]).hint).toMatch(
      /^“Carry all the way” leaves 4: it takes about \d+ m more yarn and saves \d+ minutes\.$/,
    );
  });

  it('are not where the maker would rather not', () => {
    for (const weaving of [undefined, 'hate'] as const) {
      const { piece, warnings } = throwOf(weaving);
      expect([piece.ends, warnings]).toEqual([4, []]);
    }
  });
});

describe('what the book states of rows', () => {
  const rows = (key: string) => must(bookEntry(pattern(key))).rows.alike;

  it('ends as begun where the laid cloth does', () => {
    // One row a colour: A on every odd row. Bands of four: an odd number of bands. Three colours of one row: A again
    // after every third. Two nets close in A over B, and began in A with a base row: no row ends so.
    expect(['houndstooth', 'block-check', 'landing-steps', 'two-nets'].map(rows)).toEqual([
      'any odd number',
      'a multiple of 8 + 4',
      'a multiple of 3 + 1',
      'none: it ends whole instead',
    ]);
  });

  it('diamonds in three colours: a plain row of A after every sixth', () => {
    expect(rows('lantern-diamonds')).toBe('a multiple of 6 + 1');
    expect(must(bookEntry(pattern('lantern-diamonds'))).trueRepeat).toBe(12);
  });
});

it('a blend that was typed into the sample is read as its label says it', () => {
  const wish = sampleWish({
    yarns: [
      { ...(yarns('A')[0] as WishInput['yarns'][number]) },
      {
        ...(yarns('AB')[1] as WishInput['yarns'][number]),
        blend: [
          { fibre: 'cotton', percent: 80 },
          { fibre: 'acrylic', percent: 20 },
        ],
      },
    ],
    item: 'potholder',
  });
  // A fifth that melts is treated as all of it: near heat it stops the plan.
  const plan = planWish(wish);
  expect(plan.ok ? [] : plan.problems.map(({ code }) => code)).toContain('melts-near-heat');
});
