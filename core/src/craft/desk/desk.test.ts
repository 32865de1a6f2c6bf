import fc from 'fast-check';
import { patternBook } from '../book/book.ts';
import { printPattern } from '../notation/print.ts';
import { readPattern } from '../notation/read.ts';
import { must } from '../values/problem.ts';
import { beginDrawing, groundOf, pensOf, withColours } from './begin.ts';
import {
  columnDeleted,
  columnInserted,
  cutOut,
  flippedAcross,
  flippedUp,
  inRole,
  laidDown,
  marked,
  movedTo,
  repeatOver,
  resized,
  rowInserted,
  rowsDeleted,
  tiled,
  turned,
} from './changes.ts';
import { type Drawing, drawingOf, patternOf, widthOf } from './drawing.ts';
import { coloursOfPicture, pictured, rowsForPicture } from './picture.ts';
import { mirrored, noMirrors, placesAlike, placesOfLine, placesOfRegion, regionOf } from './places.ts';
import { readRowsText, rowsText } from './rowsText.ts';
import { fromTable, tableOf } from './table.ts';

const blank = (wide = 6, high = 5, technique = 'carried') =>
  beginDrawing({ key: 'own', name: 'Own', technique, wide, high }) as Drawing;

/** What is seen: the last worked row on top, its first cell at the right. */
const seen = ({ rows }: Drawing) => [...rows].reverse().map(({ marks }) => [...marks].reverse().join(''));

const drawable = patternBook.flatMap((pattern) => {
  const drawn = drawingOf(pattern);
  return drawn.ok ? [drawn.value] : [];
});

/** Any drawing in colours, with what stands before and after its repeat. */
const anyDrawing = fc
  .record({
    before: fc.nat(3),
    unit: fc.integer({ min: 1, max: 6 }),
    after: fc.nat(3),
    high: fc.integer({ min: 1, max: 6 }),
  })
  .chain(({ before, unit, after, high }) =>
    fc
      .array(
        fc.array(fc.constantFrom('A', 'B', 'C'), {
          minLength: before + unit + after,
          maxLength: before + unit + after,
        }),
        {
          minLength: high,
          maxLength: high,
        },
      )
      .map(
        (rows): Drawing => ({
          ...withColours(blank(), 3),
          before,
          unit,
          rows: rows.map((marks) => ({ role: 'row', marks })),
        }),
      ),
  );

describe('drawing', () => {
  it('points at a typed row that is one cell short, and lets repeats that go into one another be', () => {
    const typed = (text: string) => readRowsText(blank(4, 2), text);
    const short = typed('row 1: 2A 2B\nrow 2: 1A 2B\nrow 3: 2A 2B');
    expect(short).toMatchObject({
      ok: false,
      problems: [{ code: 'typed-row-unlike', facts: { row: 2, sum: 3, others: 4 } }],
    });
    expect(widthOf(must(typed('row 1: 1A 1B\nrow 2: 2A 2B')))).toBe(4);
  });

  it('a line has no gaps, and goes through both its ends', () => {
    // From row 0, cell 0 to row 2, cell 4: up by a half each step, rounded up.
    expect(placesOfLine({ row: 0, cell: 0 }, { row: 2, cell: 4 }).map(({ row, cell }) => [row, cell])).toEqual([
      [0, 0],
      [1, 1],
      [1, 2],
      [2, 3],
      [2, 4],
    ]);
  });

  it('a box is its edge alone, and filling goes as far as the mark does', () => {
    const box = marked(blank(), placesOfRegion(regionOf({ row: 3, cell: 4 }, { row: 1, cell: 1 }), false), 'B');
    expect(seen(box)).toEqual(['AAAAAA', 'ABBBBA', 'ABAABA', 'ABBBBA', 'AAAAAA']);
    expect(placesAlike(box, { row: 2, cell: 2 })).toHaveLength(2);
    expect(placesAlike(box, { row: 0, cell: 0 })).toHaveLength(30 - 10 - 2);
  });

  it('mirrors go about the middle of the repeat, and a half drop half of it on', () => {
    const one = [{ row: 0, cell: 1 }];
    expect(mirrored(blank(), one, { ...noMirrors, across: true })).toEqual([...one, { row: 0, cell: 4 }]);
    expect(mirrored(blank(), one, { ...noMirrors, up: true })).toEqual([...one, { row: 4, cell: 1 }]);
    expect(mirrored(blank(6, 4), one, { ...noMirrors, halfDrop: true })).toEqual([...one, { row: 2, cell: 4 }]);
  });

  it('turns a quarter as the clock goes: four times is as it was', () => {
    const piece = [
      ['A', 'B', 'C'],
      ['A', 'A', 'A'],
    ];
    // As it is seen: AAA above CBA; turned as the clock goes the left column CA comes on top, reading A C.
    expect(turned(piece)).toEqual([
      ['C', 'A'],
      ['B', 'A'],
      ['A', 'A'],
    ]);
    expect(turned(turned(turned(turned(piece))))).toEqual(piece);
  });

  it('flipped twice, moved away and back, and cut out and laid down are as they were', () => {
    fc.assert(
      fc.property(anyDrawing, (drawing) => {
        const whole = { row: 0, cell: 0, high: drawing.rows.length, wide: widthOf(drawing) };
        const piece = cutOut(drawing, whole);
        expect(flippedAcross(flippedAcross(piece))).toEqual(piece);
        expect(flippedUp(flippedUp(piece))).toEqual(piece);
        expect(laidDown(drawing, piece, whole)).toBe(drawing);
        expect(movedTo(drawing, whole, whole, 'A')).toEqual(drawing);
        expect(tiled(drawing, piece, whole)).toBe(drawing);
      }),
    );
  });

  it('a row and a column put in and taken out again leave what was there', () => {
    fc.assert(
      fc.property(anyDrawing, fc.nat(), fc.nat(), (drawing, r, c) => {
        const [row, cell] = [r % drawing.rows.length, c % widthOf(drawing)];
        expect(rowsDeleted(rowInserted(drawing, row), row)).toEqual(drawing);
        expect(columnDeleted(columnInserted(drawing, cell), cell)).toEqual(drawing);
      }),
    );
  });

  it('keeps the repeat within the rows, and rows that are worked once at their ends', () => {
    const drawing = blank(6, 4);
    expect(repeatOver(drawing, 4, 3)).toBe(drawing);
    expect(repeatOver(drawing, 2, 3)).toMatchObject({ before: 2, unit: 3 });
    expect(inRole(drawing, 1, 'setup').rows.map(({ role }) => role)).toEqual(['setup', 'setup', 'row', 'row']);
    // One row that repeats always stays.
    expect(inRole(drawing, 3, 'setup')).toBe(drawing);
    expect(resized(drawing, 8, 6, 'B').rows.map(({ marks }) => marks.join(''))).toEqual([
      'AAAAAABB',
      'AAAAAABB',
      'AAAAAABB',
      'AAAAAABB',
      'BBBBBBBB',
      'BBBBBBBB',
    ]);
  });

  it('is written in the notation and read again without loss', () => {
    fc.assert(
      fc.property(anyDrawing, (drawing) => {
        const again = must(drawingOf(must(readPattern(printPattern(patternOf(drawing))))));
        // Where what stands before the repeat goes on with it, the bars may stand elsewhere; the cloth is the same.
        expect([again.unit, again.rows.map(({ marks }) => marks.join())]).toEqual([
          drawing.unit,
          drawing.rows.map(({ marks }) => marks.join()),
        ]);
      }),
    );
  });
});

describe('rows as runs, and tables', () => {
  it.each(drawable.map((drawing) => [drawing.key, drawing] as const))(
    '%s is typed again from its runs',
    (_key, drawing) => {
      const again = must(readRowsText(drawing, rowsText(drawing)));
      expect({ ...again, colours: drawing.colours }).toEqual(drawing);
    },
  );

  it('says which typed line cannot be read', () => {
    const wrong = readRowsText(blank(), 'row 1 ←: 3A 3B\n\nrow 2 →: 3A wrong! 3B');
    expect(wrong.ok ? undefined : wrong.problems[0]?.facts?.line).toBe(3);
    expect(readRowsText(blank(), ' \n').ok).toBe(false);
    const many = readRowsText(blank(), '3A 3B\n'.repeat(100_000));
    expect(many.ok ? undefined : many.problems[0]?.code).toBe('lines-too-many');
  });

  it('takes rows without heads, in letters that are new', () => {
    const typed = must(readRowsText(blank(), '2A 1C\n3B'));
    expect(typed.colours).toEqual(['A', 'B', 'C']);
    expect(typed.rows.map(({ marks }) => marks.join(''))).toEqual(['AAC', 'BBB']);
  });

  it('a table is as it is seen, and comes back as it went', () => {
    fc.assert(
      fc.property(anyDrawing, (drawing) => {
        const again = must(fromTable(blank(), tableOf(drawing)));
        expect(again.rows.map(({ marks }) => marks)).toEqual(drawing.rows.map(({ marks }) => marks));
      }),
    );
    const table = [
      ['A', 'B'],
      ['1', '2'],
    ];
    // The lower line is row 1, and its right cell the first that is worked.
    expect(must(fromTable(blank(), table)).rows.map(({ marks }) => marks.join(''))).toEqual(['BA', 'BA']);
  });

  it('refuses ragged tables, cells that are none, and what is too large, and says where', () => {
    const codes = (table: string[][]) => {
      const read = fromTable(blank(), table);
      return read.ok ? [] : read.problems.map(({ code, facts }) => [code, facts?.row]);
    };
    expect(codes([['A', 'B'], ['A']])).toEqual([['chart-ragged', 2]]);
    expect(codes([['A', 'x?']])).toEqual([['chart-cell', 1]]);
    expect(codes([])).toEqual([['chart-empty', undefined]]);
    expect(codes([new Array<string>(3001).fill('A')])).toEqual([['chart-too-large', undefined]]);
    expect(codes([['sc', 'sc']])).toEqual([['chart-other-marks', undefined]]);
  });
});

describe('a picture made into stitches', () => {
  /** A picture of shades, its lines from the top. */
  const dotsOf = (lines: readonly string[], shades: Readonly<Record<string, readonly [number, number, number]>>) => ({
    width: lines[0]?.length ?? 0,
    height: lines.length,
    data: Uint8ClampedArray.from(
      lines.flatMap((line) => [...line].flatMap((each) => [...(shades[each] ?? [0, 0, 0]), 255])),
    ),
  });
  const two = { '.': [240, 235, 220], '#': [30, 40, 90] } as const;
  const ask = (lines: readonly string[], change: object = {}) =>
    coloursOfPicture({
      dots: dotsOf(lines, two),
      shades: ['#e9dfc4', '#24476b'],
      match: 'nearest',
      smoothing: 'none',
      seed: 1,
      rightHanded: false,
      ...change,
    });

  it('lies with its foot in row 1, and for a right hand begins at the right', () => {
    expect(ask(['..#', '#..'])).toEqual([
      [1, 0, 0],
      [0, 0, 1],
    ]);
    expect(ask(['..#', '#..'], { rightHanded: true })).toEqual([
      [0, 0, 1],
      [1, 0, 0],
    ]);
  });

  it('groups light to dark, whatever the yarns look like, and the same for the same seed', () => {
    const lines = ['....####', '...#####', '....####'];
    const once = ask(lines, { match: 'groups', shades: ['#111111', '#eeeeee'], seed: 7 });
    expect(once[0]).toEqual([0, 0, 0, 0, 1, 1, 1, 1]);
    expect(ask(lines, { match: 'groups', shades: ['#111111', '#eeeeee'], seed: 7 })).toEqual(once);
  });

  it('smooths a lone stitch away and leaves a line that is thick', () => {
    const lines = ['......', '..#...', '......', '.####.', '.####.'];
    expect(ask(lines, { smoothing: 'lone stitches' })[3]).toEqual([0, 0, 0, 0, 0, 0]);
    expect(ask(lines, { smoothing: 'lone stitches' })[0]).toEqual([0, 1, 1, 1, 1, 0]);
  });

  it('keeps the shape of the picture at the gauge', () => {
    // Stitches a ninth wider than rows are high: 40 cells of a square picture are 40 · 10/9 rows.
    expect(rowsForPicture(500, 500, 40, 10 / 9)).toBe(44);
  });

  it('is made in what its technique can work: no two drops in mosaic stand one above the other', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.constantFrom(0, 1), { minLength: 6, maxLength: 6 }), { minLength: 2, maxLength: 8 }),
        (rows) => {
          const even = rows.length % 2 ? rows.slice(1) : rows;
          const drawing = pictured(blank(6, 4, 'mosaic'), even);
          const hidden = drawing.rows.map(({ marks }, y) => marks.map((mark) => mark !== (y % 2 ? 'B' : 'A')));
          hidden.forEach((row, y) => {
            const above = hidden[(y + 1) % hidden.length];
            expect(row.some((each, x) => each && above?.[x] === true)).toBe(false);
          });
        },
      ),
    );
  });
});

describe('what a drawing begins with', () => {
  it('is plain ground in colours, and rows of the book in stitches', () => {
    expect(seen(blank(3, 2))).toEqual(['AAA', 'AAA']);
    expect(seen(blank(3, 2, 'mosaic'))).toEqual(['BBB', 'AAA']);
    const net = blank(3, 2, 'mesh');
    expect(pensOf(net)).toEqual(['fpdc', 'bpdc']);
    expect(groundOf(net)).toBe('fpdc');
    expect(beginDrawing({ key: 'own', name: 'Own', technique: 'wedge-circle', wide: 3, high: 3 })).toBeUndefined();
  });
});
