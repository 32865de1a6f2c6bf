import { sampleIn, sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { patternBook } from '../../craft/book/book.ts';
import { makingsOf } from '../../craft/techniques/register.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../piece/plan.ts';
import { comparePolicies } from '../piece/policies.ts';
import { largestFromStash, savings } from '../piece/stash.ts';
import { cautionsFor } from '../wish/cautions.ts';
import { prepare } from '../wish/prepare.ts';
import { coverFor, techniquesFor } from './items.ts';
import { itemKinds, itemNamed } from './register.ts';

/** The rounds that a technique is worked in, where it is not always. */
function roundOf(technique: string) {
  const made = makingsOf(technique).find((each) => each === 'turned-rounds' || each === 'rounds');
  return made === undefined ? {} : { made: made as 'rounds' };
}

describe('every item in every technique it is made in', () => {
  const cases = itemKinds.flatMap((preset) =>
    techniquesFor(preset.item).map((technique) => [preset.item, technique, preset] as const),
  );
  it.each(cases)('%s in %s is planned whole from its preset', (item, technique, preset) => {
    const pattern =
      patternBook.find((each) => each.technique === technique && each.made !== 'turned-rounds') ??
      patternBook.find((each) => each.technique === technique);
    const small = item === 'strap' && (technique === 'chain-space' || technique === 'wide-hdc');
    const wish = sampleIn(pattern as (typeof patternBook)[number], {
      item,
      width: { by: 'length', length: `${small ? 12 : Math.max(preset.width, 4)} cm` },
      height: { by: 'length', length: `${preset.height} cm` },
      edges: 'whole',
      ending: 'whole',
      ...preset.wish,
      // What goes round something is made in rounds.
      ...(preset.measure === 'flat' ? {} : { pattern: { key: pattern?.key, ...roundOf(technique) } }),
    });
    const plan = planWish(wish);
    if (!plan.ok && item === 'strap') {
      expect(plan.problems[0]?.code).toBe('narrower-than-repeat');
      return;
    }
    const { piece, width } = must(plan);
    expect(piece.yarn.every((need) => need.metres.mid > 0)).toBe(true);
    expect(
      width.width.mid / (wish.width.by === 'length' ? 10 * Number.parseFloat(wish.width.length) : 1),
    ).toBeGreaterThan(0.5);
    expect(piece.time.mid).toBeGreaterThan(600);
  });

  it('a cover is a little smaller than its insert', () => {
    expect(coverFor(40)).toBeCloseTo(38.4, 9);
    expect(itemNamed('bag').wish.pieces).toBe(2);
  });
});

describe('what a border, a closing row and washing do to a size', () => {
  it('the cloth is fitted to the wish less the border, two rounds on each side', () => {
    const plain = must(
      planWish(sampleWish({ width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 } })),
    );
    const bordered = must(
      planWish(
        sampleWish({ width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 }, border: { rounds: 2 } }),
      ),
    );
    // Four rows of sc of 100/18 mm.
    expect(bordered.width.width.mid - plain.width.width.mid).toBeCloseTo((4 * 100) / 18, 9);
    const wished = must(planWish(sampleWish({ border: { rounds: 2 } })));
    // 24 cm less 22.2 mm is 217.8 mm: 34.8 stitches, of 28, 36 and 44 the nearest is 36.
    expect(wished.width.stitches).toBe(36);
    expect(wished.width.difference).toBeCloseTo(36 * 6.25 + 400 / 18 - 240, 9);
  });

  it('the border takes its yarn and its two ends in its own colour', () => {
    const plain = must(planWish(sampleWish())).piece.yarn;
    const bordered = must(
      planWish(sampleWish({ border: { rounds: 2, colour: 'B', by: 'rule' }, choice: { stitches: 36, rows: 44 } })),
    ).piece.yarn;
    expect(bordered[0]?.metres.mid).toBeCloseTo(plain[0]?.metres.mid ?? 0, 9);
    const part = bordered[1]?.parts.find((each) => each.part === 'border')?.metres.mid ?? 0;
    // 168 + 176 sc of 2·6.25 + 4·5.5556 + 4·1.9174 mm, and two rounds of one chain and one join.
    const d = 25 / Math.sqrt(170);
    const sc = 12.5 + 400 / 18 + 4 * d;
    expect(part).toBeCloseTo((344 * sc + 2 * (3 * 6.25 + d + 12.5 + 3 * d)) / 1000, 6);
    expect(bordered[1]?.ends).toBe((plain[1]?.ends ?? 0) + 2);
  });

  it('a closing row adds its height, and a row of sc in A', () => {
    const plan = must(planWish(sampleWish({ closing: true, choice: { stitches: 36, rows: 44 } })));
    expect(plan.height.height.mid).toBeCloseTo((45 * 100) / 18, 9);
    expect(plan.piece.finish.map((part) => [part.part, part.stitches])).toEqual([['closing', 36]]);
  });

  it('washing changes the size told, and not the yarn', () => {
    const choice = { stitches: 36, rows: 44 };
    const dry = must(planWish(sampleWish({ choice })));
    const washed = must(planWish(sampleWish({ choice, wash: 'cotton-hot' })));
    expect(washed.width.width.mid).toBeCloseTo(dry.width.width.mid * 0.965, 9);
    expect(washed.piece.yarn[0]?.metres.mid).toBeCloseTo(dry.piece.yarn[0]?.metres.mid ?? 0, 9);
  });
});

describe('rounds, tubes, circles and diagonals', () => {
  it('a tube is as wide as it lies flat, or all the way round', () => {
    const chest = patternBook.find((pattern) => pattern.key === 'sea-chest') as (typeof patternBook)[number];
    const base = { edges: 'whole', ending: 'whole', item: 'potholder', gauge: sampleWish().gauge } as const;
    const flat = must(planWish(sampleIn(chest, { ...base, width: { by: 'length', length: '20 cm' } })));
    const round = must(
      planWish(sampleIn(chest, { ...base, width: { by: 'length', length: '40 cm' }, across: 'round' })),
    );
    // 20 cm of 6.25 mm are 32 a face, 64 round; of 60 and 80 the nearer is 60: 31 chains.
    expect([flat.width.stitches, flat.width.chains]).toEqual([60, 31]);
    expect(round.width.stitches).toBe(60);
    expect(flat.width.width.mid).toBeCloseTo(30 * 6.25, 9);
  });

  it('a round mat of 30 cm: rounds of the diameter, and a word on how it lies', () => {
    const windlass = patternBook.find((pattern) => pattern.key === 'windlass') as (typeof patternBook)[number];
    const plan = must(
      planWish(
        sampleIn(windlass, {
          item: 'round mat',
          ending: 'any',
          width: { by: 'length', length: '30 cm' },
          height: { by: 'length', length: '30 cm' },
          gauge: { from: 'counted', stitches: { count: 14, over: '10 cm' }, rows: { count: 7.7, over: '10 cm' } },
        }),
      ),
    );
    // A round is 100/7.7 = 12.99 mm: 300 / 26 = 11.6, so 12 rounds of 311.7 mm.
    expect(plan.height.rows).toBe(12);
    expect(plan.width.width.mid).toBeCloseTo((24 * 100) / 7.7, 9);
    expect(plan.warnings).toEqual([]);
    const cups = must(
      planWish(
        sampleIn(windlass, {
          item: 'round mat',
          ending: 'any',
          pattern: { key: 'windlass', numbers: { n: 8 } },
          gauge: { from: 'counted', stitches: { count: 14, over: '10 cm' }, rows: { count: 7.7, over: '10 cm' } },
        }),
      ),
    );
    expect(told(cups.warnings[0]).message).toContain('With 8 wedges it will cup');
  });

  it('a C2C blanket counts blocks both ways', () => {
    const flag = patternBook.find((pattern) => pattern.key === 'signal-flag') as (typeof patternBook)[number];
    const plan = must(
      planWish(
        sampleIn(flag, {
          item: 'blanket',
          edges: 'whole',
          ending: 'whole',
          width: { by: 'length', length: '100 cm' },
          height: { by: 'length', length: '150 cm' },
        }),
      ),
    );
    // Blocks of 100/4.5 mm, typical, with a strand inside; 6 blocks a flag across and 4 up.
    expect(plan.width.stitches % 6).toBe(0);
    expect(plan.height.rows % 4).toBe(0);
    expect(plan.piece.fabric.courses).toBe(plan.width.stitches + plan.height.rows - 1);
  });
});

describe('the drawer', () => {
  it('tells the largest whole cloth with like edges that it makes nine times in ten', () => {
    const base = sampleWish();
    const drawer = { ...base, yarns: base.yarns.map((yarn) => ({ ...yarn, balls: 2 })) };
    const largest = must(largestFromStash(must(prepare(drawer))));
    expect(largest.width.alike && largest.height.asBegun).toBe(true);
    expect(largest.chance).toBeGreaterThanOrEqual(0.9);
    // The next size up is not sure enough.
    const more = must(
      planWish({ ...drawer, choice: { stitches: largest.width.stitches + 8, rows: largest.height.rows + 8 } }),
    );
    expect(Math.min(...more.piece.yarn.map((need) => need.drawer?.chance ?? 1))).toBeLessThan(0.9);
  });

  it('says when it does not know, and when it is too little', () => {
    const base = sampleWish();
    const unknown = largestFromStash(must(prepare(base)));
    expect(unknown.ok ? '' : told(unknown.problems[0]).message).toContain('does not say how much');
    const scraps = { ...base, yarns: base.yarns.map((yarn) => ({ ...yarn, balls: 0, partGrams: 0.5 })) };
    const little = largestFromStash(must(prepare(scraps)));
    expect(little.ok ? '' : little.problems[0]?.code).toBe('drawer-too-little');
  });

  it('says where one step smaller saves a ball', () => {
    let said = 0;
    for (let k = 1; k < 14; k++) {
      const wish = sampleWish({ choice: { stitches: 12 + 8 * k, rows: 12 + 8 * k } });
      const plan = must(planWish(wish));
      for (const saving of savings(plan.prepared, plan.width, plan.height, plan.piece)) {
        const smaller = must(
          planWish({ ...wish, choice: { stitches: saving.width.stitches, rows: saving.height.rows } }),
        );
        const balls = (each: typeof plan) => each.piece.yarn.reduce((sum, need) => sum + (need.balls?.count ?? 0), 0);
        expect(balls(plan) - balls(smaller)).toBe(saving.balls);
        said++;
      }
    }
    expect(said).toBeGreaterThan(0);
  });
});

describe('the policies side by side', () => {
  const plan = must(planWish(sampleWish()));
  const figures = comparePolicies(plan.prepared, plan.piece.fabric);
  const of = (policy: string) => figures.find((each) => each.policy === policy) as (typeof figures)[number];

  it('are the five, under their names', () => {
    expect(figures.map((each) => each.policy)).toEqual([
      'carry-always',
      'as-needed',
      'cut-always',
      'bobbins',
      'side-only',
    ]);
  });

  it('carrying always has the fewest ends and the most strands inside; cutting has none inside and the most ends', () => {
    // Every one of 1584 stitches has the other colour inside.
    expect(of('carry-always').thickness).toEqual([0, 1584, 0, 0]);
    expect(of('carry-always').ends).toBe(4);
    expect(of('cut-always').carried).toBe(0);
    expect(of('cut-always').ends).toBeGreaterThan(of('as-needed').ends);
    expect(of('as-needed').carried).toBeLessThan(of('carry-always').carried);
    expect(of('cut-always').minutes).toBeGreaterThan(of('as-needed').minutes);
    expect(of('cut-always').show).toBe(0);
  });
});

describe('cautions', () => {
  it('acrylic near heat stops the plan with the reason', () => {
    const chest = patternBook.find((pattern) => pattern.key === 'sea-chest') as (typeof patternBook)[number];
    const wish = sampleIn(chest, {
      item: 'potholder',
      yarns: sampleIn(chest).yarns.map((yarn, i) => (i ? { ...yarn, fibre: 'acrylic' } : yarn)),
    });
    const plan = planWish(wish);
    expect(plan.ok ? '' : plan.problems[0]).toMatchObject({ code: 'melts-near-heat', path: 'yarns.1.fibre' });
    expect(plan.ok ? '' : told(plan.problems[0]).message).toContain('melts');
  });

  it('small children: no floats are routed, and the reasons are told', () => {
    const wish = sampleWish({ item: 'blanket', smallChildren: true, floats: true });
    const plan = must(planWish(wish));
    expect(plan.piece.strands.totals.every((total) => total.floats === 0)).toBe(true);
    expect(cautionsFor(wish).map((caution) => caution.about)).toEqual(['small children', 'small children', 'dye']);
  });
});
