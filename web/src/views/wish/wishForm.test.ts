import { patternBook } from '@puntada/core/craft';
import { itemKinds, planWish, techniquesFor } from '@puntada/core/plan';
import { readShape, type Wish, wishSchema } from '@puntada/core/records';
import { problemWords } from '@puntada/core/words';
import { set } from 'react-hook-form';
import { takeInWording } from '../../parts/wording.ts';
import { inUnits } from './formUnits.ts';
import { usualFinish, usualMade, usualNumbers, usualSize, usualYarn } from './usual.ts';
import { formSchema, laidOver, lettersOf, newWish, toForm, toWish, type WishFormValues } from './wishForm.ts';

// What is wrong is told in words.
beforeAll(takeInWording);

/** A new form in which some of the fields are filled. */
function formWith(fields: object): WishFormValues {
  return laidOver(newWish('cm'), fields);
}

const long = (length: string) => ({ by: 'length', length });

function wishOf(form: WishFormValues): Wish {
  const read = readShape(wishSchema, toWish(form));
  if (!read.ok)
    throw new Error(read.problems.map((problem) => `${problem.path}: ${problemWords(problem).message}`).join('\n'));
  return read.value;
}

describe('what is made in rounds', () => {
  const cushion = (fields: object): WishFormValues =>
    laidOver(
      { ...newWish('cm'), ...usualFinish('cushion cover', 'cm') },
      laidOver({ item: 'cushion cover', width: long('40'), height: long('40') }, fields),
    );

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
    expect(wishOf(cushion({ pattern: { made: 'rounds' }, across: 'round' }))).toMatchObject({
      across: 'round',
      pattern: { made: 'rounds' },
    });
    expect(wishOf(cushion({ across: 'round' })).across).toBeUndefined();
    // A flat cover of one cloth has a flap, a round one none.
    expect(wishOf(cushion({ finish: { flap: '10 cm' } })).finish?.flap).toBe('10 cm');
    expect(wishOf(cushion({ finish: { flap: '10 cm' }, pattern: { made: 'rounds' } })).finish?.flap).toBeUndefined();
  });

  it('goes into its form and back unchanged', () => {
    const wish = wishOf(
      cushion({
        pattern: { key: 'houndstooth', made: 'rounds', order: 'A | B A | A', loops: 'both' },
        foundation: 'circle-sc',
        increases: '6',
        across: 'diameter',
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
          const form = laidOver<WishFormValues>(
            { ...newWish(units), ...usualFinish(item, units) },
            {
              item,
              width: long(width),
              height: long(height),
              pattern: { key: pattern.key, numbers: usualNumbers(item, pattern), made: usualMade(item, pattern) },
              yarns: pattern.colours.map(usualYarn),
            },
          );
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
  const wishes: object[] = [
    {},
    { width: { by: 'chain', count: '41' }, height: { by: 'rows', count: '36' } },
    { width: { by: 'repeats', count: '9' }, height: { by: 'repeats', count: '11' } },
    { units: 'in', width: long('9 1/2'), height: long('10½ in') },
    { pattern: { stitch: 'hdc', numbers: { b: '6', r: '3' } }, foundation: 'hdc-3rd' },
    { gauge: { from: 'counted', stitches: { count: '14,5', over: '12 cm' }, rows: { count: '9', over: '4 in' } } },
    { pattern: { key: 'houndstooth' } },
    { open: true, height: long('60 cm') },
    { item: 'blanket', border: { rounds: '3', colour: 'B' }, wash: 'cotton-hot', smallChildren: true, closing: true },
    { item: 'bag', pieces: '2', finish: { strap: { kind: 'sc along', drop: '30 cm' }, seam: 'sc' } },
    { item: 'bag', pieces: '2', finish: { seam: 'sc', mouth: 'eyelets' } },
    { item: 'bag', pieces: '2', finish: { seam: 'sc', mouth: 'plain' } },
    { item: 'bag', pieces: '2', finish: { seam: 'sc', seamColour: 'B', mouth: 'plain', mouthEdge: 'foundation' } },
    { item: 'cushion cover', closing: true, finish: { seam: 'mattress', longEnd: true, closingColour: 'B' } },
    {
      item: 'potholder',
      pattern: { key: 'sea-chest' },
      finish: { ring: '6 cm', seam: 'slip stitch', ringColour: 'B' },
    },
    { item: 'blanket', border: { rounds: '2', colour: 'A', by: 'rule' } },
    { item: 'blanket', border: { rounds: '2', colour: 'A', as: 'envelope' } },
    { item: 'dishcloth', pieces: '3', fold: true },
    { item: 'blanket', border: { rounds: '3', colour: 'B', as: 'teeth', second: 'A' } },
    { item: 'potholder', pattern: { key: 'sea-chest' }, finish: { ring: '6 cm', seam: 'slip stitch' } },
  ];
  it.each(wishes)('goes there and back without loss: %j', (fields) => {
    const wish = wishOf(formWith(fields));
    expect(readShape(wishSchema, toWish(toForm(wish), wish))).toEqual({ ok: true, value: wish });
  });

  it('passes on what is no number as it was typed, for the schema to refuse at its field', () => {
    const place = (fields: object) => {
      const read = readShape(wishSchema, toWish(formWith(fields)));
      return read.ok ? '' : read.problems[0]?.path;
    };
    expect(place({ width: { by: 'chain', count: 'x52' } })).toBe('width.count');
    expect(place({ pattern: { numbers: { b: 'four' } } })).toBe('pattern.numbers.b');
  });

  it.each([
    [{ width: { by: 'chain', count: '40 cm' } }, 'width', 'counts chains'],
    [{ height: { by: 'rows', count: '9 1/2 in' } }, 'height', 'counts rows'],
  ] as const)('a length in a field for counts is told as that: %j', (change, field, words) => {
    const read = formSchema.safeParse(formWith(change));
    const own = read.error?.issues.filter((issue) => issue.path[0] === field).map((issue) => issue.message) ?? [];
    expect(own.join(' ')).toContain(words);
  });

  it('of a circle has one size: its diameter or its rounds', () => {
    const circle = formWith({ pattern: { key: 'windlass' }, width: long('99'), height: long('30') });
    expect(wishOf(circle)).toMatchObject({ width: { by: 'length', length: '30' }, height: { length: '30' } });
    const rounds = wishOf({ ...circle, height: { by: 'rows', length: '', count: '9' } });
    expect(rounds).toMatchObject({ width: { by: 'repeats', count: 1 }, height: { by: 'rows', count: 9 } });
    const plan = planWish(rounds);
    expect(plan.ok && [plan.value.height.rows, plan.value.width.width.mid]).toEqual([
      9,
      plan.ok && plan.value.height.height.mid,
    ]);
    const read = formSchema.safeParse(laidOver(circle, { height: { length: 'wide' } }));
    expect(read.error?.issues.some((issue) => issue.path[0] === 'height')).toBe(true);
  });

  it('keeps an open end', () => {
    expect(toWish({ ...newWish('cm'), open: true })).toMatchObject({ open: true });
    expect(toWish(newWish('cm'))).not.toHaveProperty('open');
  });

  it('has a field at every path that its own typing can spoil, so that what is wrong stands at its field', () => {
    const spoilt: [object, string][] = [
      [{ width: long('wide') }, 'width.length'],
      [{ height: { by: 'rows', count: 'many' } }, 'height.count'],
      [{ gauge: { from: 'counted', rows: { over: '' } } }, 'gauge.rows.over'],
      [{ pattern: { numbers: { b: 'four' } } }, 'pattern.numbers.b'],
      [{ border: { rounds: 'two' } }, 'border.rounds'],
      [{ finish: { strap: { kind: 'hdc', drop: '' } } }, 'finish.strap.drop'],
      [{ yarns: [usualYarn('A'), { ...usualYarn('B'), name: '' }] }, 'yarns.1.name'],
    ];
    for (const [fields, path] of spoilt) {
      const form = formWith(fields);
      const issues = formSchema.safeParse(form).error?.issues ?? [];
      expect(issues.map((issue) => issue.path.join('.'))).toContain(path);
      expect(path.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], form)).toEqual(
        expect.any(String),
      );
    }
  });
});

describe('other units for bare numbers', () => {
  const sized = (units: 'cm' | 'in') =>
    laidOver(newWish(units), {
      width: long('100'),
      height: long('59 in'),
      yarns: [{ ...usualYarn('A'), ballMetres: '85', ballGrams: '50' }, usualYarn('B')],
    });

  it('leave every length as long as it was: 100 stays 100 cm, 85 to the ball 85 m', () => {
    const form = sized('cm');
    for (const [path, text] of inUnits(form, 'in')) set(form, path, text);
    expect([form.units, form.width.length, form.height.length]).toEqual(['in', '100 cm', '59 in']);
    expect([form.yarns[0]?.ballMetres, form.yarns[1]?.ballMetres, form.gauge.rows.over]).toEqual(['85 m', '', '10 cm']);
    expect(wishOf(form).yarns[0]).toMatchObject({ ballMetres: 85, ballGrams: 50 });
    expect(inUnits(form, 'in')).toEqual([]);
  });

  it('there and back, by way of yards', () => {
    const form = sized('in');
    for (const [path, text] of inUnits(form, 'cm')) set(form, path, text);
    expect([form.width.length, form.yarns[0]?.ballMetres]).toEqual(['100 in', '85 yd']);
    expect(wishOf(form).yarns[0]?.ballMetres).toBeCloseTo(77.724, 9);
  });

  it('leave what the form does not ask for as it was, too', () => {
    const before = { ...wishOf(sized('cm')), tolerance: '2' };
    const form = toForm(before);
    for (const [path, text] of inUnits(form, 'in')) set(form, path, text);
    const read = readShape(wishSchema, toWish(form, before));
    expect(read.ok && read.value).toMatchObject({ units: 'in', tolerance: '2 cm', width: { length: '100 cm' } });
  });

  it('a hook may say mm; a letter is told kindly why not', () => {
    expect(wishOf(formWith({ hook: '4.5 mm' })).hook).toBe(4.5);
    const read = readShape(wishSchema, toWish(formWith({ hook: 'H' })));
    expect(read.ok ? '' : problemWords(read.problems[0] as never).hint).toContain('Hooks are in mm here');
  });
});
