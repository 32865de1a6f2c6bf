import fc from 'fast-check';
import { countOf, kindsOf } from '../../../test/samplePiece.ts';
import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { patternBook } from '../../craft/book/book.ts';
import { baseFor } from '../../craft/fabric/base.ts';
import { baseCourses, cellsIn, courseCells, stitchesMade } from '../../craft/fabric/fabric.ts';
import { findFoundation, tubeBegins } from '../../craft/foundation/foundation.ts';
import { makingsOf, techniqueOf } from '../../craft/techniques/register.ts';
import { must, type Result } from '../../craft/values/problem.ts';
import { type WishInput, wishSchema } from '../../records/wish.ts';
import { planDocument } from '../../words/document/planDocument.ts';
import { hookWords } from '../../words/en/advice.ts';
import { arithmeticWords } from '../../words/en/arithmetic.ts';
import { cautionWords } from '../../words/en/cautions.ts';
import { techniquesFor } from '../items/items.ts';
import { itemKinds } from '../items/register.ts';
import { cautionsFor } from '../wish/cautions.ts';
import { prepare } from '../wish/prepare.ts';
import { hookAdvice } from './hookAdvice.ts';
import { type Plan, planWish } from './plan.ts';

const at = (stitches: number, rows = stitches) =>
  ({
    from: 'counted',
    stitches: { count: stitches, over: '10 cm' },
    rows: { count: rows, over: '10 cm' },
  }) as const;

function wished(key: string, change: Partial<WishInput>): Result<Plan> {
  const pattern = patternBook.find((each) => each.key === key);
  const [yarn] = sampleWish().yarns;
  const yarns = (pattern?.colours ?? []).map((letter) => ({ ...yarn, letter }));
  return planWish(wishSchema.parse({ ...sampleWish({ gauge: at(16) }), pattern: { key }, yarns, ...change }));
}

describe('a tube lies double', () => {
  it('mosaic of unit 6, 30 cm flat at 16 stitches: 96 round, 16 units, 8 on each face', () => {
    const wish = {
      item: 'cushion cover',
      pattern: { key: 'tide-marks', made: 'rounds' },
      width: { by: 'length', length: '30 cm' },
      finish: { seam: 'slip stitch' },
    } as const;
    const around = must(wished('tide-marks', wish));
    expect(around.width).toMatchObject({ stitches: 96, chains: 49, alike: true });
    expect(around.width.tube?.flat.mid).toBeCloseTo(300, 6);
    expect(around.width.tube?.around.mid).toBeCloseTo(600, 6);
    expect(around.width.why.map(arithmeticWords)[0]).toBe('16 waves × 6 = 96 stitches');
    expect(around.width.why.map(arithmeticWords)[1]).toBe(
      '96 per round ÷ 2 = 48 on each face: each begins a repeat at its side fold',
    );
    // 48 pairs at the top; the chain is the bottom.
    const seam = (plan: Plan) => plan.piece.finish.find(({ part }) => part === 'seam')?.stitches;
    expect(seam(around)).toBe(48);
    expect(planDocument(around).rows[0]?.text).toContain('48 stitches along the chain, then 48 along its other side');
    const ring = must(wished('tide-marks', { ...wish, foundation: 'ring-sc' }));
    expect([ring.width.chains, seam(ring)]).toEqual([96, 96]);
    expect(planDocument(ring).size.tube?.text).toBe('30.0 cm flat, 60.0 cm around');
  });

  it('houndstooth around a chain of 25, dc first: 23 dc and 23 sc, first a dc, last an sc, 23 pairs', () => {
    const plan = must(
      wished('houndstooth', {
        item: 'potholder',
        pattern: { key: 'houndstooth', made: 'turned-rounds' },
        foundation: 'both-sides-dc',
        width: { by: 'chain', count: 25 },
        edges: 'whole',
        finish: { seam: 'slip stitch' },
      }),
    );
    const { fabric, finish } = plan.piece;
    for (const course of [0, 1, 2]) {
      expect([countOf(fabric, course, 'dc'), countOf(fabric, course, 'sc')]).toEqual([23, 23]);
    }
    const first = kindsOf(fabric, 0);
    expect([first[0], first.at(-1)]).toEqual(['dc', 'sc']);
    expect(finish.find(({ part }) => part === 'seam')?.stitches).toBe(23);
  });

  it('a potholder 20 cm flat at 14 stitches: 28 a face, 56 a round', () => {
    for (const key of ['coil-linen', 'round-teeth']) {
      const plan = must(wished(key, { item: 'potholder', gauge: at(14), width: { by: 'length', length: '20 cm' } }));
      expect([key, plan.width.stitches]).toEqual([key, 56]);
    }
    // Blocks of 2 make units of 4, and 28 a face are 7 of them.
    const chest = must(
      wished('sea-chest', {
        item: 'potholder',
        gauge: at(14),
        pattern: { key: 'sea-chest', numbers: { b: 2 } },
        width: { by: 'length', length: '20 cm' },
      }),
    );
    expect([chest.width.stitches, chest.width.tube?.flat.mid]).toEqual([56, 200]);
  });

  it('a cushion cover 40 cm at 16 stitches in any round pattern: 64 a face, 128 a round', () => {
    for (const key of ['rope-coil', 'mast-rings', 'coil-linen', 'round-teeth']) {
      const plan = must(wished(key, { item: 'cushion cover', width: { by: 'length', length: '40 cm' } }));
      expect([key, plan.width.stitches, plan.width.width.mid]).toEqual([key, 128, 400]);
    }
  });

  it('what the maker says of the width comes before what the item says', () => {
    const by = (across: 'flat' | 'round' | 'diameter') =>
      must(wished('mast-rings', { item: 'bag', across, width: { by: 'length', length: '40 cm' } })).width.stitches;
    expect([by('flat'), by('round')]).toEqual([128, 64]);
    // A circle 40 cm across is 125.7 cm around: 201 stitches, of which 208 is the nearest multiple of 16.
    expect(by('diameter')).toBe(208);
  });

  it('each half begins a repeat at its fold, or it is said', () => {
    const whole = (count: number) => wished('mast-rings', { edges: 'whole', width: { by: 'stitches', count } });
    const odd = must(whole(120));
    expect(odd.width.alike).toBe(false);
    expect(odd.warnings.map((problem) => told(problem).message).join()).toContain(
      'the second face will not begin a repeat at its side fold',
    );
    expect(odd.warnings[0]?.instead).toEqual([112, 128]);
    expect(must(whole(112)).warnings).toEqual([]);
  });
});

describe('the three beginnings, in every technique that is worked in rounds', () => {
  const round = patternBook.flatMap((pattern) =>
    makingsOf(pattern.technique)
      .filter((made) => (made === 'rounds' || made === 'turned-rounds') && pattern.technique !== 'wedge-circle')
      .map((made) => [pattern.key, made as 'rounds' | 'turned-rounds'] as const),
  );

  it('hold in every pattern of it, laid, proved, routed and measured', () => {
    for (const [key, made] of round) {
      const pattern = patternBook.find((each) => each.key === key);
      const stitches = pattern?.stitches.length ? pattern.stitches : [undefined];
      for (const stitch of stitches) {
        const begun = new Set<string>();
        const base = { item: 'mat', edges: 'mirrored', ending: 'any', height: { by: 'rows', count: 8 } } as const;
        const own = { key, ...(pattern?.made === made ? {} : { made }), ...(stitch ? { stitch } : {}) };
        const none = wished(key, { ...base, pattern: own, width: { by: 'repeats', count: 8 }, foundation: 'none' });
        const ways = none.ok
          ? []
          : (/Choose one of: (.+)\./.exec(told(none.problems[0]).hint ?? '')?.[1]?.split(', ') ?? []);
        for (const foundation of ways) {
          const plan = wished(key, { ...base, pattern: own, width: { by: 'repeats', count: 8 }, foundation });
          expect([key, made, stitch, foundation, plan.ok ? '' : told(plan.problems[0]).message]).toEqual([
            key,
            made,
            stitch,
            foundation,
            '',
          ]);
          const way = findFoundation(foundation);
          if (way) begun.add(tubeBegins(way) ?? '');
        }
        expect([key, made, [...begun].sort()]).toEqual([key, made, ['chain', 'circle', 'ring']]);
      }
    }
  });
});

describe('a circle, then straight sides', () => {
  it.each([
    // A base of 8: six rounds make 48, eight repeats of a unit of 6.
    [48, 8, [8, 16, 24, 32, 40, 48], 0],
    // A unit of 5 takes 40 by one round less …
    [40, 8, [8, 16, 24, 32, 40], 0],
    // … or 50 by one round more with two increases.
    [50, 8, [8, 16, 24, 32, 40, 48, 50], 2],
    [7, 8, [8], 0],
  ])('%i stitches on a base of %i', (stitches, increases, rounds, adjusting) => {
    expect(baseFor(stitches, increases)).toEqual({ increases, rounds, adjusting });
  });

  it('ends in the stitches of its sides, each round by its own increases, whatever the numbers', () => {
    fc.assert(
      fc.property(fc.integer({ min: 6, max: 200 }), fc.integer({ min: 4, max: 16 }), (half, increases) => {
        const wish = { item: 'basket', ending: 'any', width: { by: 'stitches', count: 2 * half }, increases } as const;
        const plan = wished('round-teeth', { ...wish, edges: 'whole', height: { by: 'rows', count: 3 } });
        if (!plan.ok) return;
        const { fabric } = plan.value.piece;
        const base = baseCourses(fabric);
        expect(fabric.courses - base).toBe(3);
        expect(stitchesMade(courseCells(fabric, base - 1))).toBe(2 * half);
        for (let round = 1; round < base; round++) {
          const added = stitchesMade(courseCells(fabric, round)) - cellsIn(fabric, round);
          expect(round < base - 1 ? added === increases : added >= 1 && added <= increases).toBe(true);
          expect(cellsIn(fabric, round)).toBe(stitchesMade(courseCells(fabric, round - 1)));
        }
      }),
      { numRuns: 60 },
    );
  });

  it('a basket 18 cm across and 14 cm high says all three of its widths, and where it lies flat', () => {
    const plan = must(
      wished('mast-rings', {
        item: 'basket',
        gauge: at(14, 16),
        width: { by: 'length', length: '18 cm' },
        height: { by: 'length', length: '14 cm' },
        ending: 'any',
      }),
    );
    // 18 cm across are 56.5 cm around, 79 stitches of 7.1 mm: 80 are five repeats a face.
    expect(plan.width.stitches).toBe(80);
    expect(plan.prepared.increases).toBe(6);
    // 6 a round: 13 rounds make 78, and 2 more in one more round.
    expect(plan.width.why.map(arithmeticWords).at(-1)).toBe(
      'a circle: 6 per round × 13 rounds = 78, + 2 spread over one more round = 80 stitches',
    );
    expect(plan.height.rows).toBe(22);
    expect(plan.piece.fabric.courses).toBe(14 + 22);
    const document = planDocument(plan);
    expect(document.size.tube?.text).toBe('18.2 cm across, 57.1 cm around');
    expect(document.foundation.circle).toEqual({
      increases: 6,
      rounds: [6, 12, 18, 24, 30, 36, 42, 48, 54, 60, 66, 72, 78, 80],
      adjusting: 2,
    });
    expect(plan.warnings.filter(({ code }) => code === 'stitches-illegal')).toEqual([]);
  });

  it('says how the bottom lies where its increases are other than flat ones', () => {
    const plan = must(
      wished('mast-rings', { item: 'basket', gauge: at(14, 16), increases: 8, width: { by: 'stitches', count: 80 } }),
    );
    // 8 for the 5.5 that are flat: 1.46.
    expect(plan.warnings.map((problem) => told(problem).message)).toContain(
      'With 8 increases per round the bottom will ruffle for good: at this gauge it lies flat with 5.5.',
    );
  });

  it('a cosy is wished for around, and is no potholder', () => {
    const wish = sampleWish({
      item: 'cosy',
      pattern: { key: 'mast-rings' },
      width: { by: 'length', length: '48 cm' },
      gauge: at(16),
    });
    const plan = must(planWish(wish));
    // 48 cm around are 76.8 stitches: 80 are the nearest of 16s.
    expect(plan.width).toMatchObject({ stitches: 80, width: { mid: 500 } });
    expect(
      cautionsFor(wish)
        .map(({ code }) => cautionWords[code])
        .join(),
    ).toContain('lift a hot pot with a potholder');
  });

  it('a blanket may be a circle, and its border goes on from its last round', () => {
    const plan = must(
      wished('windlass', {
        item: 'blanket',
        gauge: at(14, 8),
        border: { rounds: 2 },
        width: { by: 'length', length: '60 cm' },
        height: { by: 'length', length: '60 cm' },
        ending: 'any',
      }),
    );
    const { fabric, finish } = plan.piece;
    const round = stitchesMade(courseCells(fabric, fabric.courses - 1));
    const border = finish.find(({ part }) => part === 'border');
    expect(border?.steps[0]).toEqual({ code: 'border-round-1', facts: { stitches: round, on: round } });
    // Rounds of 12.5 mm: 2 × (22 × 12.5) = 550 mm, and two rounds of sc on either side.
    expect(plan.width.width.mid).toBeGreaterThan(2 * plan.piece.rows * 12.5);
  });
});

describe('seams, straps and panels', () => {
  it('a bag of two panels has one seam and one strap, in yarn, ends and time', () => {
    const finish = { seam: 'sc', strap: { drop: '28 cm', kind: 'sc along' } } as const;
    const bag = must(wished('block-check', { item: 'bag', pieces: 2, finish }));
    const panels = must(wished('block-check', { item: 'bag', pieces: 2 }));
    expect(bag.piece.finish.map(({ part, times }) => [part, times])).toEqual([
      ['seam', 1],
      ['strap', 1],
    ]);
    const [seam, strap] = bag.piece.finish;
    const more = (plan: Plan) => plan.piece.yarn[0]?.metres.mid ?? 0;
    // Four ends of 15 cm more, and the yarn of one seam and of one strap.
    expect(more(bag) - more(panels)).toBeCloseTo((seam?.metres ?? 0) + (strap?.metres ?? 0) + 0.6, 6);
    expect((bag.piece.yarn[0]?.ends ?? 0) - (panels.piece.yarn[0]?.ends ?? 0)).toBe(4);
  });

  it('a cover with a flap is as long as two faces and the flap: 43 + 43 + 12', () => {
    const plan = must(
      wished('block-check', {
        item: 'cushion cover',
        gauge: at(20),
        width: { by: 'length', length: '43 cm' },
        height: { by: 'length', length: '43 cm' },
        finish: { seam: 'sc', flap: '12 cm' },
        ending: 'any',
        edges: 'whole',
      }),
    );
    expect(plan.prepared.height).toEqual({ by: 'length', mm: 980 });
    expect(plan.height.height.mid).toBeCloseTo(980, 6);
    // One cloth; rows of 5 mm, 86 in a face, joined at two sides.
    expect(plan.piece.finish[0]).toMatchObject({ part: 'seam', times: 1, stitches: 172 });
  });
});

describe('what melts near heat', () => {
  const potholder = (yarn: object) =>
    prepare(
      sampleWish({
        item: 'potholder',
        pattern: { key: 'sea-chest' },
        yarns: sampleWish().yarns.map((each) => ({ ...each, ...yarn })),
      }),
    );
  it.each([
    [{ fibre: 'acrylic' }, false],
    [{ fibre: 'polyester' }, false],
    [{ fibre: 'nylon' }, false],
    [{ fibre: 'linen' }, true],
    [{ fibre: 'superwash' }, true],
    [
      {
        fibre: 'cotton',
        blend: [
          { fibre: 'cotton', percent: 80 },
          { fibre: 'nylon', percent: 20 },
        ],
      },
      false,
    ],
    [
      {
        fibre: 'wool',
        blend: [
          { fibre: 'wool', percent: 81 },
          { fibre: 'nylon', percent: 9 },
          { fibre: 'acrylic', percent: 10 },
        ],
      },
      true,
    ],
  ])('%j may be a potholder: %s', (yarn, may) => {
    const read = potholder(yarn);
    expect(read.ok).toBe(may);
    if (!read.ok) expect(read.problems[0]?.code).toBe('melts-near-heat');
  });

  it('a blend comes to a hundred, of two fibres at least, each once', () => {
    const read = (blend: object[]) =>
      wishSchema.safeParse({ ...sampleWish(), yarns: sampleWish().yarns.map((yarn) => ({ ...yarn, blend })) });
    const messages = (blend: object[]) => read(blend).error?.issues.map(({ message }) => message) ?? [];
    expect(
      messages([
        { fibre: 'wool', percent: 70 },
        { fibre: 'silk', percent: 20 },
      ]),
    ).toContain('blend-hundred');
    expect(
      messages([
        { fibre: 'wool', percent: 50 },
        { fibre: 'wool', percent: 50 },
      ]),
    ).toContain('fibre-twice');
    expect(
      read([
        { fibre: 'wool', percent: 70 },
        { fibre: 'silk', percent: 30 },
      ]).success,
    ).toBe(true);
  });
});

describe('the hook', () => {
  const typical = (change: Partial<WishInput>) => must(prepare(sampleWish({ gauge: { from: 'typical' }, ...change })));

  it('without a swatch 5.5 mm for the usual 5 mm makes stitches wider by 1.1 to the power of 0.45', () => {
    const [usual, larger] = [typical({}), typical({ hook: 5.5 })];
    expect(larger.gauge.stitchWidth.mid / usual.gauge.stitchWidth.mid).toBeCloseTo(1.1 ** 0.45, 9);
    expect(larger.gauge.rowHeight.mid / usual.gauge.rowHeight.mid).toBeCloseTo(1.1 ** 0.55, 9);
  });

  it('moves nothing that was counted', () => {
    const hook = must(prepare(sampleWish({ hook: 9 }))).gauge;
    expect(hook).toEqual(must(prepare(sampleWish())).gauge);
  });

  it('is advised by what is made: one up for carried flat cloth, one down for rounds of dc and for thin yarn', () => {
    expect(hookAdvice(typical({ policy: 'carry-always' })).try).toEqual({ hook: 5.5, why: 'supple' });
    const rounds = { key: 'mast-rings', stitch: 'dc' } as const;
    expect(hookAdvice(typical({ pattern: rounds })).try).toEqual({ hook: 4.5, why: 'hidden' });
    const thin = sampleWish().yarns.map((yarn) => ({ ...yarn, weight: 1 as const }));
    expect(hookAdvice(typical({ yarns: thin })).try).toEqual({ hook: 2.5, why: 'thin' });
    // Nothing lies inside where every strand is cut.
    expect(hookAdvice(typical({ policy: 'cut-always' })).try).toBeUndefined();
    expect(hookWords(hookAdvice(typical({ policy: 'cut-always', hook: 6 })))).toEqual([
      '5 mm is the usual hook for this weight.',
      'Until you count a swatch, the typical size is adjusted to a 6 mm hook.',
    ]);
  });
});

describe('weights of every class, fibres of every kind', () => {
  it('plan, from lace to jumbo', () => {
    for (const weight of [0, 1, 2, 3, 4, 5, 6, 7] as const) {
      const yarns = sampleWish().yarns.map(({ ballMetres: _m, ballGrams: _g, ...yarn }) => ({
        ...yarn,
        weight,
        fibre: 'hemp' as const,
      }));
      const plan = must(planWish(sampleWish({ yarns, gauge: { from: 'typical' } })));
      expect(plan.piece.yarn[0]?.metres.mid).toBeGreaterThan(0);
    }
  });

  it('stitches of a class are narrower than those of the next', () => {
    const width = (weight: 0 | 1 | 2 | 3 | 4 | 5 | 6 | 7) =>
      must(
        prepare(sampleWish({ gauge: { from: 'typical' }, yarns: sampleWish().yarns.map((y) => ({ ...y, weight })) })),
      ).gauge.stitchWidth.mid;
    const widths = ([0, 1, 2, 3, 4, 5, 6, 7] as const).map(width);
    expect(widths).toEqual([...widths].sort((a, b) => a - b));
  });
});

describe('every item', () => {
  it('can be planned in each technique that it is usually made in', () => {
    for (const preset of itemKinds) {
      for (const key of techniquesFor(preset.item)) {
        const pattern = patternBook.find((each) => each.technique === key);
        if (
          !pattern ||
          (preset.begin && preset.rounds && !makingsOf(pattern.technique).some((made) => made.endsWith('rounds')))
        )
          continue;
        const technique = must(techniqueOf(pattern));
        const inRounds =
          preset.rounds && pattern.made === 'flat' && makingsOf(pattern.technique).includes('turned-rounds');
        // Mosaic rows, all from the right side, go round unturned.
        const made = inRounds ? 'turned-rounds' : preset.rounds && pattern.made === 'right-side' ? 'rounds' : undefined;
        const plan = wished(pattern.key, {
          item: preset.item,
          pattern: { key: pattern.key, ...(made ? { made } : {}) },
          width: { by: 'length', length: `${preset.width} cm` },
          height: { by: 'length', length: `${preset.height} cm` },
          edges: 'whole',
          ending: 'any',
          gauge: at(30),
          ...(technique.policy ? {} : { policy: 'as-needed' }),
        });
        expect([preset.item, key, plan.ok ? '' : told(plan.problems[0]).message]).toEqual([preset.item, key, '']);
      }
    }
  });
});
