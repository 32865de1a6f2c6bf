import fc from 'fast-check';
import { sampleIn, sampleWish } from '../../../test/sampleWish.ts';
import { patternBook } from '../../craft/book/book.ts';
import { must } from '../../craft/values/problem.ts';
import type { WishInput } from '../../records/wish.ts';
import { itemKinds } from '../items/register.ts';
import { type Plan, planWish } from '../piece/plan.ts';
import type { Working } from './working.ts';
import { pieceWorkings, sizeWorkings } from './workings.ts';

/** Every working of a plan, by its name. */
function workingsOf(plan: Plan): [string, Working][] {
  const { yarn, ...piece } = pieceWorkings(plan.prepared, plan.piece);
  const ofYarn = yarn.flatMap(({ letter, ...own }) =>
    Object.entries(own).map(([name, working]) => [`${name} ${letter}`, working] as const),
  );
  return [...Object.entries(sizeWorkings(plan)), ...Object.entries(piece), ...ofYarn].filter(
    (each): each is [string, Working] => each[1] !== undefined,
  );
}

/** The area under the bell curve below z, added up strip by strip: no series and no table of the program's own. */
function below(z: number): number {
  const [from, strips] = [-9, 20000];
  if (z <= from) return 0;
  const wide = (Math.min(z, 9) - from) / strips;
  let area = 0;
  for (let i = 0; i < strips; i++) area += Math.exp(-((from + (i + 0.5) * wide) ** 2) / 2) * wide;
  return area / Math.sqrt(2 * Math.PI);
}

function addsUp({ by, parts, total }: Working): boolean {
  const near = (a: number, b: number) => Math.abs(a - b) <= 1e-9 * Math.max(1, Math.abs(b));
  if (by === 'sum') {
    return (['low', 'mid', 'high'] as const).every((end) =>
      near(
        parts.reduce((sum, { amount }) => sum + amount[end], 0),
        total[end],
      ),
    );
  }
  const of = (code: string) => parts.find((part) => part.code === code)?.amount.mid ?? Number.NaN;
  const usable = of('yarn-wound') + of('less-tails') + of('less-joins');
  if (!near(usable, of('yarn-usable'))) return false;
  const chance = usable <= 0 ? 0 : below(Math.log(usable / of('yarn-needed')) / of('give-or-take'));
  return Math.abs(chance - total.mid) < 1e-5;
}

const label = { ballMetres: 85, ballGrams: 50, balls: 2, partGrams: 20 };

describe('the working of every number', () => {
  it('adds up to the number, for any wish in any pattern of the book', () => {
    const wishes = fc
      .record({
        pattern: fc.constantFrom(...patternBook),
        item: fc.constantFrom(...itemKinds.map(({ item }) => item)),
        width: fc.integer({ min: 12, max: 40 }).map((n) => ({ by: 'length' as const, length: `${n} cm` })),
        height: fc.integer({ min: 12, max: 30 }).map((n) => ({ by: 'length' as const, length: `${n} cm` })),
        closing: fc.boolean(),
        pieces: fc.integer({ min: 1, max: 3 }),
        border: fc.option(fc.record({ rounds: fc.integer({ min: 1, max: 3 }) }), { nil: undefined }),
        typical: fc.boolean(),
        labelled: fc.boolean(),
      })
      .map(({ pattern, typical, labelled, ...rest }) => {
        const wish = sampleIn(pattern, { ...rest, ...(typical ? { gauge: { from: 'typical' } } : {}) });
        return labelled ? { ...wish, yarns: wish.yarns.map((yarn) => ({ ...yarn, ...label })) } : wish;
      });
    let planned = 0;
    fc.assert(
      fc.property(wishes, (wish) => {
        const plan = planWish(wish);
        if (!plan.ok) return;
        planned++;
        for (const [name, working] of workingsOf(plan.value)) {
          expect([name, working.parts.length > 0, addsUp(working)]).toEqual([name, true, true]);
        }
      }),
      { numRuns: 150 },
    );
    expect(planned).toBeGreaterThan(60);
  });

  it('comes to the very numbers that are shown', () => {
    const plan = must(planWish({ ...sampleWish(), yarns: sampleWish().yarns.map((yarn) => ({ ...yarn, ...label })) }));
    const { width, height, piece } = plan;
    const totals = Object.fromEntries(workingsOf(plan).map(([name, { total }]) => [name, total.mid]));
    expect(totals).toMatchObject({
      chains: width.chains,
      stitches: width.stitches,
      rows: height.rows,
      width: width.width.mid,
      height: height.height.mid,
      ends: piece.yarn.reduce((sum, need) => sum + need.ends, 0),
      time: piece.time.mid,
      'metres A': piece.yarn[0]?.metres.mid,
      'grams B': piece.yarn[1]?.grams.mid,
      'balls A': piece.yarn[0]?.balls?.count,
      'chance A': piece.yarn[0]?.balls?.chance,
      'drawer A': piece.yarn[0]?.drawer?.chance,
    });
  });

  it('is told in its parts: 9 blocks of 4 and a chain to turn, 36 stitches of 6.25 mm, and a border of its own', () => {
    const parts = (change: Partial<WishInput> = {}) => {
      const plan = must(planWish(sampleWish(change)));
      return Object.fromEntries(
        workingsOf(plan).map(([name, { parts: own }]) => [name, own.map(({ code, amount }) => [code, amount.mid])]),
      );
    };
    const plain = parts();
    expect(plain.chains).toEqual([
      ['chains-under', 36],
      ['chains-beyond', 1],
    ]);
    expect(plain.stitches).toEqual([['repeats', 36]]);
    expect(plain.rows).toEqual([['repeats', 44]]);
    // 16 stitches and 18 rows in 10 cm: 6.25 mm and 5.5̅ mm each.
    expect(plain.width).toEqual([['widths', 225]]);
    expect(plain.height?.[0]?.[1]).toBeCloseTo((44 * 100) / 18, 9);
    const [cloth, border] = parts({ border: { rounds: 2 } }).width ?? [];
    expect([cloth?.[0], border?.[0]]).toEqual(['widths', 'border-sides']);
    // Two rounds of sc on both sides are some 2 cm.
    expect(border?.[1]).toBeGreaterThan(12);
    expect(border?.[1]).toBeLessThan(32);
  });

  it('says where each part comes from', () => {
    const sources = (gauge: WishInput['gauge']) => {
      const plan = must(planWish(sampleWish({ gauge })));
      return sizeWorkings(plan).width.parts.map(({ source }) => source);
    };
    expect(sources({ from: 'typical' })).toEqual(['typical']);
    const counted = {
      from: 'counted' as const,
      stitches: { count: 16, over: '10 cm' },
      rows: { count: 18, over: '10 cm' },
    };
    expect(sources(counted)).toEqual(['typed']);
    expect(sources({ ...counted, swatch: '11111111-1111-4111-8111-111111111111' })).toEqual(['swatch']);
  });
});
