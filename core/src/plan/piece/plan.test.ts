import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { must } from '../../craft/values/problem.ts';
import { frozenSchema } from '../../records/begun.ts';
import { planDocumentSchema } from '../../records/planDocument.ts';
import { readShape } from '../../records/readJson.ts';
import { type WishInput, wishSchema } from '../../records/wish.ts';
import { planDocument } from '../../words/document/planDocument.ts';
import { writeRow } from '../../words/rows/rows.ts';
import { writing } from '../../words/rows/writing.ts';
import { freeze, thaw } from '../begun/frozen.ts';
import { chooseSizes } from '../sizes/choices.ts';
import { fitSizes } from '../sizes/sizes.ts';
import { prepare } from '../wish/prepare.ts';
import { planWish } from './plan.ts';

describe('the galley cloth, 24 × 24 cm', () => {
  const plan = must(planWish(sampleWish()));
  const document = planDocument(plan);

  it('begins with 37 chains: 36 stitches, 44 rows, 22.5 × 24.4 cm', () => {
    expect(document.foundation.chains).toBe(37);
    expect([document.size.stitches, document.size.rows]).toEqual([36, 44]);
    expect(document.size.width.text).toBe('22.5 cm');
    expect(document.size.height.text).toBe('24.4 cm');
    expect([document.size.differenceWidth, document.size.differenceHeight]).toEqual(['−1.5 cm', '+0.4 cm']);
  });

  it('takes 800 A and 784 B', () => {
    expect(document.colours.map((colour) => colour.stitches)).toEqual([800, 784]);
  });

  it('takes the yarn that a sum by hand takes', () => {
    // d = 25/√170 = 1.9174. A: 800 sc of 2·6.25 + 4·5.5556 + 5·1.9174 where a strand lies inside, 4·1.9174 where none does.
    const d = 25 / Math.sqrt(170);
    const { strands, fabric } = plan.piece;
    const inside = Array.from(strands.inside).reduce((sum, n, i) => sum + (fabric.colours[i] === 0 ? n : 0), 0);
    const sc = 800 * (12.5 + 4 * (100 / 18) + 4 * d) + inside * d;
    const carried = (strands.totals[0]?.carried ?? 0) * 1.04 * 6.25;
    // A begins the foundation of 37 chains and turns to rows 2–44 but where B comes first: bands 2, 4, 6, 8, 10.
    const chains = (37 + 43 - 20) * (3 * 6.25 + d);
    const metres = (sc + carried + chains) / 1000 + 2 * 0.15;
    expect(plan.piece.yarn[0]?.metres.mid).toBeCloseTo(metres, 6);
    expect(plan.piece.yarn[0]?.ends).toBe(2);
  });

  it('is never sure of yarn before it was weighed', () => {
    for (const colour of document.colours) expect(colour.metres.text).toMatch(/^\d+–\d+ m$/);
  });

  it('offers the best sizes with their reasons', () => {
    const prepared = must(prepare(sampleWish()));
    const choices = chooseSizes(prepared, must(fitSizes(prepared)));
    expect(choices[0]).toMatchObject({ width: { stitches: 36 }, height: { rows: 44 } });
    expect(choices[0]?.reasons).toEqual(['nearest', 'matching']);
    // 36 × 6.25 = 225 mm against 44 × 5.556 = 244 and 36 × 5.556 = 200; 44 × 6.25 = 275 against 52 × 5.556 = 289.
    const squarest = choices.find((choice) => choice.reasons.includes('squarest'));
    expect([squarest?.width.stitches, squarest?.height.rows]).toEqual([44, 52]);
  });

  it('keeps to its own schema', () => {
    expect(readShape(planDocumentSchema, JSON.parse(JSON.stringify(document))).ok).toBe(true);
  });

  it('a chosen size goes through the same rules as a wish', () => {
    const chosen = must(planWish(sampleWish({ choice: { stitches: 44, rows: 52 } })));
    expect(chosen.width.width.mid).toBe(275);
    expect(chosen.width.difference).toBe(35);
    const wrong = planWish(sampleWish({ choice: { stitches: 41, rows: 44 } }));
    expect(wrong.ok ? '' : wrong.problems[0]).toMatchObject({ path: 'choice.width.count', instead: [40, 44] });
  });
});

describe('a size that is too large', () => {
  it('is refused before it is laid, with the most that can be', () => {
    const size = { width: { by: 'stitches', count: 1300 }, height: { by: 'rows', count: 1300 } } as const;
    const refused = planWish(sampleWish(size));
    // 1300 × 1300 are 1,690,000 of 1,500,000 stitches; 1153 rows of 1300 are 1,498,900.
    expect(refused).toMatchObject({
      ok: false,
      problems: [{ code: 'too-many-stitches', facts: { stitches: 1300, rows: 1300, cells: 1_690_000, most: 1153 } }],
    });
  });
});

describe('typical gauge', () => {
  const document = planDocument(must(planWish(sampleWish({ gauge: { from: 'typical' } }))));

  it('prints every size and yarn figure as a range, marked typical', () => {
    const figures: { text: string; short: string; mid?: number; source: string; low: number; high: number }[] = [];
    const walk = (value: unknown) => {
      if (value === null || typeof value !== 'object') return;
      if ('source' in value && 'text' in value) figures.push(value as (typeof figures)[number]);
      for (const part of Object.values(value)) walk(part);
    };
    walk(document);
    expect(figures.length).toBeGreaterThan(20);
    for (const figure of figures) {
      expect(figure.source).toBe('typical');
      expect(figure.mid).toBeUndefined();
      expect(figure.text).toMatch(/–.*typical$|^about .*typical$/);
      expect(figure.text).toBe(`${figure.short} typical`);
    }
  });

  it('lets no single figure slip through in any sentence', () => {
    // A hook has its size, whatever the yarn. A short figure leaves its mark to what stands beside it.
    const { hook: _hook, workings, ...told } = document;
    const text = JSON.stringify(told, (key, value) => (key === 'short' ? undefined : value));
    const ranges = /[−+]?\d[\d.]*(–| to )[−+]?\d[\d.]* (cm|mm|m|g) typical|about [\d.]+ m\b( typical)?/g;
    expect([...text.matchAll(ranges)].length).toBeGreaterThan(20);
    expect(text.replace(ranges, '').match(/\d (cm|mm|m|g)\b/g)).toBeNull();
    for (const colour of document.colours) expect(colour.balls?.text).toMatch(/^up to \d+ balls? typical$/);
    expect(document.size.differenceWidth).toMatch(/ to .* typical$/);
    // In a working the mark stands in a column of its own.
    const { yarn, ends: _ends, ...ofPiece } = workings;
    const sums = [ofPiece.width, ofPiece.height, ofPiece.time, ...yarn.flatMap((own) => [own.metres, own.balls])];
    const marked = sums.flatMap((sum) => sum?.parts.filter(({ from }) => from === 'typical') ?? []);
    expect(marked.length).toBeGreaterThan(8);
    for (const { amount } of marked) expect(amount).toMatch(/\d–\d|^about /);
  });

  it('never calls a size square', () => {
    const prepared = must(prepare(sampleWish({ gauge: { from: 'typical' } })));
    const reasons = chooseSizes(prepared, must(fitSizes(prepared))).flatMap((choice) => choice.reasons);
    expect(reasons.join()).not.toContain('quare');
  });
});

describe('rows in words', () => {
  const request = writing(must(planWish(sampleWish())), 'US', 'right');
  it('row 1 and row 5', () => {
    const first = writeRow(request, 1);
    expect(first.start).toBe('chain 37 in A; skip 1 chain, first sc in the 2nd chain from the hook');
    expect(first.work).toBe('(4 sc A, 4 sc B) × 4, 4 sc A');
    expect(first.end).toContain('36 sc (20 A, 16 B); last one an sc in A');
    const fifth = writeRow(request, 5);
    expect(fifth.side).toBe('RS');
    expect(fifth.start).toBe('turn; ch 1 in B');
    expect(fifth.work).toBe('(4 sc B, 4 sc A) × 4, 4 sc B');
    expect(writeRow(request, 4).change).toContain('finish the last sc in B');
  });

  it('tells where each strand waits', () => {
    // Row 4 is worked back: A ends at its far block, and row 5 begins with B at this edge.
    const fourth = writeRow(request, 4);
    expect(fourth.strands.join(' ')).toContain('carry B inside between its own stitches');
    expect(fourth.end).toContain('A and B at this edge');
  });

  it('even rows lie the other way on the chart, and all of them for the other hand', () => {
    expect([writeRow(request, 3).direction, writeRow(request, 4).direction]).toEqual([
      'right to left',
      'left to right',
    ]);
    expect(writeRow({ ...request, hand: 'left' }, 3).direction).toBe('left to right');
  });

  it('UK terms change the words and nothing else', () => {
    const uk = writeRow({ ...request, terms: 'UK' }, 1);
    expect(uk.work).toBe('(4 dc A, 4 dc B) × 4, 4 dc A');
    expect(uk.start).toBe('chain 37 in A; skip 1 chain, first dc in the 2nd chain from the hook');
  });

  it('houndstooth says which stitch comes last', () => {
    const wish = sampleWish({ pattern: { key: 'houndstooth' } });
    const row = writeRow(writing(must(planWish(wish)), 'US', 'right'), 2);
    const pairs = must(planWish(wish)).width.stitches / 2;
    expect(row.work).toBe(`(1 sc, 1 dc) × ${pairs} B`);
    expect(row.end).toContain(`${pairs} sc, ${pairs} dc`);
    expect(row.end).toContain('last one a dc in B');
  });

  it('what was written reads back to what was laid', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.integer({ min: 1, max: 5 }),
        fc.constantFrom('whole' as const, 'mirrored' as const, 'centred' as const),
        fc.constantFrom('carry-always' as const, 'as-needed' as const, 'cut-always' as const),
        (b, r, edges, policy) => {
          const wish = sampleWish({ pattern: { key: 'block-check', numbers: { b, r } }, edges, policy, ending: 'any' });
          const plan = must(planWish({ ...wish, height: { by: 'rows', count: 2 * r + 1 } }));
          const words = writing(plan, 'US', 'right');
          const { fabric } = plan.piece;
          for (let number = 1; number <= fabric.courses; number++) {
            const row = fabric.colours.slice((number - 1) * fabric.stitches, number * fabric.stitches);
            const worked = number % 2 ? row : row.reverse();
            expect(spelledOut(writeRow(words, number).work)).toBe(Array.from(worked, (c) => 'AB'[c]).join(''));
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  /** Spells `(4 sc A, 4 sc B) × 2, 4 sc A` out to letters, from the words alone. */
  function spelledOut(work: string): string {
    const flat = work.replace(/\(([^)]*)\) × (\d+)/g, (_, group: string, times: string) =>
      new Array(Number(times)).fill(group).join(', '),
    );
    return flat
      .split(', ')
      .map((run) => {
        const [count, , letter] = run.split(' ');
        return (letter ?? '?').repeat(Number(count));
      })
      .join('');
  }
});

describe('a begun work', () => {
  it('comes back as it was laid, whatever the book says later', () => {
    const kinds: Partial<WishInput>[] = [
      {},
      { pattern: { key: 'houndstooth' } },
      { pattern: { key: 'block-check', stitch: 'hdc' }, foundation: 'hdc-3rd-counted' },
      { policy: 'cut-always' },
    ];
    for (const change of kinds) {
      const plan = must(planWish(sampleWish(change)));
      const stored = must(readShape(frozenSchema, JSON.parse(JSON.stringify(freeze(plan)))));
      const back = must(thaw(stored));
      expect(back.fabric).toEqual(plan.piece.fabric);
      expect(back.strands.moves.length).toBe(plan.piece.strands.moves.length);
      const from = writing(plan, 'US', 'right');
      const to = { ...from, ...back, strands: from.strands };
      expect(writeRow(to, 7)).toEqual(writeRow(from, 7));
    }
  });

  it('says where it is damaged', () => {
    const frozen = freeze(must(planWish(sampleWish())));
    const torn = thaw({ ...frozen, rows: ['4 sc A', ...frozen.rows.slice(1)] });
    expect(torn.ok ? '' : torn.problems[0]?.path).toBe('rows.0');
    expect(thaw({ ...frozen, moves: [1, 2, 3] }).ok).toBe(false);
  });
});

describe('bad wishes are refused with path, sentence and hint', () => {
  const good = JSON.parse(JSON.stringify(sampleWish())) as Record<string, unknown>;
  it.each([
    ['width.length', { width: { by: 'length', length: '-24 cm' } }],
    ['width.length', { width: { by: 'length', length: '90 m' } }],
    ['width.length', { width: { by: 'length', length: 'wide' } }],
    [
      'gauge.stitches.count',
      { gauge: { from: 'counted', stitches: { count: 0, over: '10 cm' }, rows: { count: 18, over: '10 cm' } } },
    ],
    [
      'gauge.rows',
      { gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 mm' } } },
    ],
    ['pattern.key', { pattern: { key: 'no-such' } }],
    ['pattern.numbers.b', { pattern: { key: 'block-check', numbers: { b: 41 } } }],
    ['width.count', { width: { by: 'chain', count: 'x52' } }],
    ['width.count', { width: { by: 'chain', count: 52 } }],
    ['yarns', { yarns: (good.yarns as unknown[]).slice(1) }],
    ['foundation', { foundation: 'hdc-2nd' }],
    ['colour', { colour: 'red' }],
    ['title', { title: undefined }],
    ['height.count', { height: { by: 'rows', count: 42 } }],
  ])('at %s', (path, change) => {
    const read = readShape(wishSchema, JSON.parse(JSON.stringify({ ...good, ...change })));
    const result = read.ok ? planWish(read.value) : read;
    const problem = result.ok ? undefined : result.problems[0];
    expect(problem?.path).toBe(path);
    expect(told(problem).message.length).toBeGreaterThan(10);
    expect(told(problem).hint.length).toBeGreaterThan(5);
  });

  it('a wish narrower than one repeat names the narrowest', () => {
    const result = planWish(sampleWish({ width: { by: 'length', length: '4 cm' } }));
    expect(result.ok ? '' : result.problems[0]).toMatchObject({ code: 'narrower-than-repeat', path: 'width.length' });
  });
});
