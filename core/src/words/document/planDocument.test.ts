import { sampleWish } from '../../../test/sampleWish.ts';
import { ungroupRows } from '../../../test/ungroupRows.ts';
import { patternBook } from '../../craft/book/book.ts';
import { policies } from '../../craft/technique/policy.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze, thaw } from '../../plan/begun/frozen.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { frozenSchema } from '../../records/begun.ts';
import { planDocumentSchema } from '../../records/planDocument.ts';
import { readShape } from '../../records/readJson.ts';
import { type WishInput, wishSchema } from '../../records/wish.ts';
import { sameFabric } from '../rows/readRows.ts';
import { writeRow } from '../rows/rows.ts';
import { writing } from '../rows/writing.ts';
import { planDocument } from './planDocument.ts';

const shades = ['#e9dfc4', '#24476b', '#8d2f3b', '#3b3b3b'];

function planned(key: string, change: Partial<WishInput> = {}) {
  const pattern = patternBook.find((each) => each.key === key) as (typeof patternBook)[number];
  const yarns = pattern.colours.map((letter, i) => ({
    letter,
    name: `Yarn ${letter}`,
    shade: shades[i] as string,
    weight: 4 as const,
    fibre: 'cotton' as const,
    ballMetres: 85,
    ballGrams: 50,
  }));
  const base = {
    ...sampleWish(),
    item: 'blanket' as const,
    pattern: { key },
    yarns,
    edges: 'whole' as const,
    ending: 'whole' as const,
  };
  const size = {
    width: { by: 'length' as const, length: '45 cm' },
    height: { by: 'length' as const, length: '40 cm' },
  };
  return must(planWish(wishSchema.parse({ ...base, ...size, ...change })));
}

describe.each(patternBook.map((pattern) => pattern.key))('the plan document of %s', (key) => {
  const plan = planned(key, { border: { rounds: 1 } });
  const document = planDocument(plan);

  it('keeps to its schema', () => {
    const read = readShape(planDocumentSchema, JSON.parse(JSON.stringify(document)));
    expect(read.ok ? [] : read.problems).toEqual([]);
  });

  it('tells every course, and the grouped rows are the same rows', () => {
    expect(document.rows).toHaveLength(plan.piece.fabric.courses);
    expect(must(ungroupRows(document.grouped))).toEqual(document.rows.map((row) => row.text));
  });

  it('its parts add up, its chances rise with the balls, and balls end one after the other', () => {
    document.colours.forEach((colour, i) => {
      const need = plan.piece.yarn[i];
      const sum = need?.parts.reduce((metres, part) => metres + part.metres.mid, 0) ?? 0;
      expect(sum).toBeCloseTo(need?.metres.mid ?? 0, 9);
      const chances = colour.chances.map((each) => each.chance);
      expect(chances).toEqual([...chances].sort((a, b) => a - b));
      const ends = colour.ballEnds.map((end) => end.between[0]);
      expect(ends).toEqual([...ends].sort((a, b) => a - b));
      for (const end of colour.ballEnds) expect(end.joinAfter).toBeLessThanOrEqual(end.between[0]);
    });
  });

  it('names each way with the idle colour once, its own among them', () => {
    const names = document.policies.map((way) => way.policy);
    expect(new Set(names).size).toBe(names.length);
    expect(names).toContain(document.strands.policy);
  });
});

describe('begun works of every pattern', () => {
  it.each(
    patternBook.map((pattern, i) => [pattern.key, policies[i % policies.length] as (typeof policies)[number]] as const),
  )('%s under %s comes back as it was laid, strands and all', (key, policy) => {
    const plan = planned(key, { policy });
    const stored = must(readShape(frozenSchema, JSON.parse(JSON.stringify(freeze(plan)))));
    const back = must(thaw(stored));
    expect(sameFabric(back.fabric, plan.piece.fabric)).toBe(true);
    expect(Array.from(back.strands.chart.colours)).toEqual(Array.from(plan.piece.strands.chart.colours));
    expect(back.strands.colourOf).toEqual(plan.piece.strands.colourOf);
    const from = writing(plan, 'US', 'right');
    const to = { ...from, fabric: back.fabric, bound: back.bound, foundation: back.foundation };
    expect(writeRow(to, 5)).toEqual(writeRow(from, 5));
  });
});
