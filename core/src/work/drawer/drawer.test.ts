import fc from 'fast-check';
import { told } from '../../../test/told.ts';
import { must } from '../../craft/values/problem.ts';
import { type DrawerYarn, drawerYarnSchema } from '../../records/drawerYarn.ts';
import { freeOf, metresInDrawer, setAside } from './drawer.ts';
import { drawerColumns, readDrawerTable, toRow } from './table.ts';

const oat: DrawerYarn = drawerYarnSchema.parse({
  line: 'Skerry cotton',
  name: 'Oat',
  shade: '#e9dfc4',
  lot: '17 B',
  weight: 4,
  fibre: 'cotton',
  ballMetres: 85,
  ballGrams: 50,
  balls: 6,
  parts: [31, 12.5],
  price: 3.2,
});

describe('what lies in the drawer', () => {
  it('is told in metres where the label is known: 6 · 50 g + 43.5 g at 1.7 m a gram are 583.95 m', () => {
    expect(metresInDrawer(oat)).toBeCloseTo(583.95, 6);
    expect(metresInDrawer({ ...oat, ballMetres: undefined })).toBeUndefined();
  });

  it('is free as far as no unfinished work has set it aside', () => {
    const wish = (title: string, balls: number, partGrams = 0) => ({
      title,
      yarns: [{ balls, partGrams, drawer: 'oat' }, { balls: 9 }],
    });
    const works = [
      { id: '1', state: 'wished', wish: wish('Cloth', 2) },
      { id: '2', state: 'begun', wish: wish('Bag', 3, 12.5) },
      { id: '3', state: 'finished', wish: wish('Mat', 4) },
    ] as const;
    const aside = setAside('oat', works);
    expect(aside.map((each) => [each.title, each.balls])).toEqual([
      ['Cloth', 2],
      ['Bag', 3],
    ]);
    expect(freeOf(oat, aside)).toEqual({ balls: 1, grams: 31 });
  });
});

describe('the drawer as a table', () => {
  const words = fc.stringMatching(/^[A-Za-z][A-Za-z ,";0-9]{0,20}$/).map((text) => text.trim());
  const yarn = fc.record({
    line: words,
    name: words,
    shade: fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`),
    lot: words,
    weight: fc.constantFrom(1, 2, 3, 4, 5, 6),
    fibre: fc.constantFrom('cotton', 'acrylic', 'wool'),
    ballMetres: fc.option(fc.integer({ min: 1, max: 500 }), { nil: undefined }),
    ballGrams: fc.option(fc.integer({ min: 1, max: 200 }), { nil: undefined }),
    balls: fc.nat(40),
    parts: fc.array(fc.integer({ min: 1, max: 99 }), { maxLength: 4 }),
    price: fc.option(fc.integer({ min: 0, max: 40 }), { nil: undefined }),
  });

  it('goes out and in without loss', () => {
    fc.assert(
      fc.property(fc.array(yarn, { maxLength: 5 }), (drawn) => {
        const yarns = drawn.map((each) => drawerYarnSchema.parse(each));
        expect(must(readDrawerTable(drawerColumns, yarns.map(toRow)))).toEqual(yarns);
      }),
    );
  });

  it('reads a label in one line, and numbers as people type them', () => {
    const [read] = must(
      readDrawerTable(
        ['line', 'shade', 'fibre', 'weight', 'label', 'balls', 'part balls g'],
        [
          {
            line: 'Skerry',
            shade: 'Kelp',
            fibre: 'Wool',
            weight: '5',
            label: '100 g = 120 m',
            balls: '2',
            'part balls g': '40 12,5',
          },
        ],
      ),
    );
    expect(read).toMatchObject({ ballMetres: 120, ballGrams: 100, balls: 2, parts: [40, 12.5], fibre: 'wool' });
  });

  it('refuses the whole of a table with one wrong cell, and names line, column and what stands there', () => {
    const rows = [toRow(oat), { ...toRow(oat), weight: 'aran', balls: '2.5' }];
    const read = readDrawerTable(drawerColumns, rows);
    expect(read.ok ? [] : read.problems.map((problem) => problem.path)).toEqual(['line 3, weight', 'line 3, balls']);
    expect(read.ok ? '' : told(read.problems[0]).message).toContain('“aran”');
    const headless = readDrawerTable(['yarn'], []);
    expect(headless.ok ? '' : told(headless.problems[0]).message).toContain('no column line, shade');
  });
});

describe('a table that a spreadsheet opens', () => {
  const yarn = { line: '=cmd()', name: "+1 o'clock", shade: '#24476b', weight: 4, fibre: 'wool', balls: 2, lot: '@7' };
  it('runs no formula, and comes in again as it was', () => {
    const stored = drawerYarnSchema.parse(yarn);
    const row = toRow(stored);
    expect([row.line, row.shade, row.lot]).toEqual(["'=cmd()", "'+1 o'clock", "'@7"]);
    expect(must(readDrawerTable([...drawerColumns], [row]))).toEqual([stored]);
    // Words that begin with an apostrophe of their own keep it.
    const own = { ...stored, name: "'=twice", line: "'tis" };
    expect(must(readDrawerTable([...drawerColumns], [toRow(own)]))).toEqual([own]);
  });
});
