import { patternBook } from '@puntada/core/craft';
import { itemKinds, planWish, techniquesFor } from '@puntada/core/plan';
import { readShape, type Wish, wishSchema } from '@puntada/core/records';
import { problemWords } from '@puntada/core/words';
import { usualFinish, usualMade, usualNumbers, usualSize, usualYarn } from './usual.ts';
import { fieldOf, formSchema, lettersOf, newWish, toForm, toWish, type WishFormValues } from './wishForm.ts';

function wishOf(form: WishFormValues): Wish {
  const read = readShape(wishSchema, toWish(form));
  if (!read.ok)
    throw new Error(read.problems.map((problem) => `${problem.path}: ${problemWords(problem).message}`).join('\n'));
  return read.value;
}

describe('what is made in rounds', () => {
  const cushion = (change: Partial<WishFormValues>): WishFormValues => ({
    ...newWish('cm'),
    ...usualFinish('cushion cover', 'cm'),
    item: 'cushion cover',
    width: '40',
    height: '40',
    ...change,
  });

  it('a cover and a potholder go round where the pattern can, and a mosaic one in rounds that are not turned', () => {
    const made = (key: string) => {
      const pattern = patternBook.find((each) => each.key === key);
      return pattern && usualMade('cushion cover', pattern);
    };
    expect(made('block-check')).toBe('turned-rounds');
    expect(made('tide-marks')).toBe('rounds');
    expect(made('rope-coil')).toBe('');
    expect(made('net-floats')).toBe('');
  });

  it('is wished for flat, around or across, and only then', () => {
    expect(wishOf(cushion({ made: 'rounds', across: 'round' }))).toMatchObject({
      across: 'round',
      pattern: { made: 'rounds' },
    });
    expect(wishOf(cushion({ across: 'round' })).across).toBeUndefined();
    // A flat cover of one cloth has a flap, a round one none.
    expect(wishOf(cushion({ flap: '10 cm' })).finish?.flap).toBe('10 cm');
    expect(wishOf(cushion({ flap: '10 cm', made: 'rounds' })).finish?.flap).toBeUndefined();
  });

  it('goes into its form and back unchanged', () => {
    const wish = wishOf(
      cushion({
        pattern: 'houndstooth',
        numbers: {},
        made: 'rounds',
        foundation: 'circle-sc',
        increases: '6',
        across: 'diameter',
        order: 'A | B A | A',
        loops: 'both',
        into: 'back bump',
        ending: 'any',
        weaving: 'hate',
        yarns: [usualYarn('A'), { ...usualYarn('B'), blend: '60 cotton, 40 acrylic' }],
      }),
    );
    expect(wish.yarns[1]).toMatchObject({
      fibre: 'cotton',
      blend: [
        { fibre: 'cotton', percent: 60 },
        { fibre: 'acrylic', percent: 40 },
      ],
    });
    expect(wishOf(toForm(wish))).toEqual(wish);
    expect(toWish(toForm(wish), wish)).toMatchObject(wish);
  });

  it('says at its place what cannot be read of a blend', () => {
    const read = formSchema.safeParse(
      cushion({ yarns: [usualYarn('A'), { ...usualYarn('B'), blend: 'half and half' }] }),
    );
    expect(read.error?.issues.map((issue) => [issue.path.join('.'), issue.message.slice(0, 23)])).toEqual([
      ['yarns.1.blend', 'The blend (“half and ha'],
    ]);
  });

  it('an order of rows has its own colours', () => {
    expect(lettersOf('A A | B C | A')).toEqual(['A', 'B', 'C']);
    expect(lettersOf('A | B')).toBeUndefined();
    expect(lettersOf('')).toBeUndefined();
  });
});

describe('a new wish', () => {
  it('can be planned at once, for every item, pattern and unit', () => {
    for (const units of ['cm', 'in'] as const) {
      for (const { item } of itemKinds) {
        for (const pattern of patternBook.filter((each) => techniquesFor(item).includes(each.technique))) {
          const [width, height] = usualSize(item, units);
          const form = {
            ...newWish(units),
            ...usualFinish(item, units),
            item,
            width,
            height,
            pattern: pattern.key,
            numbers: usualNumbers(item, pattern),
            yarns: pattern.colours.map(usualYarn),
          };
          const plan = planWish(wishOf(form));
          // A strap is narrower than one repeat of many patterns, and says so; in the one it is offered it can be made.
          if (item === 'strap' && pattern.key !== 'block-check') continue;
          expect([item, pattern.key, plan.ok ? [] : plan.problems]).toEqual([item, pattern.key, []]);
        }
      }
    }
  });

  it('carries always for what is scrubbed with, as needed for the rest, and keeps what was chosen before', () => {
    expect(wishOf(newWish('cm')).policy).toBe('carry-always');
    expect(wishOf({ ...newWish('cm'), item: 'blanket' }).policy).toBe('as-needed');
    const before = { ...wishOf(newWish('cm')), policy: 'cut-always', edges: 'centred', ending: 'any' } as Wish;
    expect(toWish({ ...newWish('cm'), ending: 'any' }, before)).toMatchObject({
      policy: 'cut-always',
      edges: 'centred',
      ending: 'any',
    });
  });
});

describe('a wish in its form', () => {
  const wishes: Partial<WishFormValues>[] = [
    {},
    { widthBy: 'chain', width: '41', heightBy: 'rows', height: '36' },
    { widthBy: 'repeats', width: '9', heightBy: 'repeats', height: '11' },
    { units: 'in', width: '9 1/2', height: '10½ in' },
    { stitch: 'hdc', foundation: 'hdc-3rd', numbers: { b: '6', r: '3' } },
    { gaugeFrom: 'counted', stitchCount: '14,5', stitchSpan: '12 cm', rowCount: '9', rowSpan: '4 in' },
    { pattern: 'houndstooth' },
    { open: true, height: '60 cm' },
    { item: 'blanket', border: '3', borderColour: 'B', wash: 'cotton-hot', smallChildren: true, closing: true },
    { item: 'bag', pieces: '2', strapKind: 'sc along', strapDrop: '30 cm', seam: 'sc' },
    { item: 'potholder', pattern: 'sea-chest', ring: '6 cm', seam: 'slip stitch' },
  ];
  it.each(wishes)('goes there and back without loss: %j', (change) => {
    const wish = wishOf({ ...newWish('cm'), ...change });
    expect(readShape(wishSchema, toWish(toForm(wish), wish))).toEqual({ ok: true, value: wish });
  });

  it('passes on what is no number as it was typed, for the schema to refuse at its field', () => {
    const read = readShape(wishSchema, toWish({ ...newWish('cm'), widthBy: 'chain', width: 'x52' }));
    expect(read.ok ? '' : fieldOf(read.problems[0]?.path ?? '')).toBe('width');
    const block = readShape(wishSchema, toWish({ ...newWish('cm'), numbers: { b: 'four', r: '4' } }));
    expect(block.ok ? '' : fieldOf(block.problems[0]?.path ?? '')).toBe('numbers.b');
  });

  it.each([
    [{ widthBy: 'chain', width: '40 cm' }, 'width', 'counts chains'],
    [{ heightBy: 'rows', height: '9 1/2 in' }, 'height', 'counts rows'],
  ] as const)('a length in a field for counts is told as that: %j', (change, field, words) => {
    const read = formSchema.safeParse({ ...newWish('cm'), ...change });
    const own = read.error?.issues.filter((issue) => issue.path[0] === field).map((issue) => issue.message) ?? [];
    expect(own.join(' ')).toContain(words);
  });

  it('of a circle has one size: its diameter or its rounds', () => {
    const circle = { ...newWish('cm'), pattern: 'windlass', width: '99', height: '30' };
    expect(wishOf(circle)).toMatchObject({ width: { by: 'length', length: '30' }, height: { length: '30' } });
    const rounds = wishOf({ ...circle, heightBy: 'rows', height: '9' });
    expect(rounds).toMatchObject({ width: { by: 'repeats', count: 1 }, height: { by: 'rows', count: 9 } });
    const plan = planWish(rounds);
    expect(plan.ok && [plan.value.height.rows, plan.value.width.width.mid]).toEqual([
      9,
      plan.ok && plan.value.height.height.mid,
    ]);
    const read = formSchema.safeParse({ ...circle, height: 'wide' });
    expect(read.error?.issues.some((issue) => issue.path[0] === 'height')).toBe(true);
  });

  it('keeps an open end', () => {
    expect(toWish({ ...newWish('cm'), open: true })).toMatchObject({ open: true });
    expect(toWish(newWish('cm'))).not.toHaveProperty('open');
  });

  it('knows the field of every path that planning can refuse', () => {
    expect(
      ['width.length', 'height.count', 'gauge.rows.over', 'pattern.numbers.b', 'pattern.key', 'yarns'].map(fieldOf),
    ).toEqual(['width', 'height', 'rowSpan', 'numbers.b', 'pattern', 'yarns']);
  });
});
