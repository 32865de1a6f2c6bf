import fc from 'fast-check';
import { patternBook } from '../../craft/book/book.ts';
import { beginDrawing, isDrawn, pensOf } from '../../craft/desk/begin.ts';
import { marked } from '../../craft/desk/changes.ts';
import { type Drawing, drawingOf, patternOf } from '../../craft/desk/drawing.ts';
import { chooseFoundation } from '../../craft/foundation/foundation.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { printPattern } from '../../craft/notation/print.ts';
import { readPattern } from '../../craft/notation/read.ts';
import { coursesFor } from '../../craft/technique/courses.ts';
import { techniqueOf, techniques } from '../../craft/techniques/register.ts';
import { must } from '../../craft/values/problem.ts';
import { checkFabric } from '../check/fabric.ts';
import { lay } from '../lay/lay.ts';
import { mendsFor, studyDrawing } from './study.ts';

function blank(technique: string, wide: number, high: number): Drawing {
  return beginDrawing({ key: 'own', name: 'Own', technique, wide, high }) as Drawing;
}

const drawn = patternBook.flatMap((pattern) => {
  const drawing = drawingOf(pattern);
  return drawing.ok ? [[pattern.key, drawing.value] as const] : [];
});

describe('a drawing studied', () => {
  it.each(drawn)('%s, drawn from the book, can be worked', (_key, drawing) => {
    const study = studyDrawing(drawing);
    expect([study.problems, study.refused]).toEqual([[], []]);
    expect(study.costs).toBeDefined();
  });

  it('mosaic: a drop that hides a drop is refused where it is drawn, and mended by its own colour', () => {
    // Rows of A and B by turns; row 1 shows B in cell 2, hidden by the row above it, whose own cell there is hidden again.
    const plain = blank('mosaic', 6, 8);
    const legal = marked(plain, [{ row: 0, cell: 2 }], 'B');
    expect(studyDrawing(legal).refused).toEqual([]);
    const wrong = marked(legal, [{ row: 1, cell: 2 }], 'A');
    expect(studyDrawing(wrong).refused).toMatchObject([{ row: 1, cell: 2, code: 'drop-on-drop' }]);
    const mends = mendsFor(wrong, { row: 1, cell: 2 });
    expect(mends).toContainEqual({ places: [{ row: 1, cell: 2 }], mark: 'B', left: 0 });
    expect(mends).toContainEqual({ places: [{ row: 0, cell: 2 }], mark: 'A', left: 0 });
    for (const { places, mark } of mends) expect(studyDrawing(marked(wrong, places, mark)).refused).toEqual([]);
  });

  it('a repeat of an odd number of rows turns flecks to the wrong side the second time round', () => {
    const salt = must(drawingOf(patternBook.find(({ key }) => key === 'salt-spray') as never));
    const odd = { ...salt, rows: salt.rows.slice(0, 3) };
    // Row 1 of the second repeat is worked from the wrong side.
    expect(studyDrawing(odd).refused.map(({ code }) => code)).toContain('fleck-on-wrong-side');
    expect(studyDrawing(odd).refused[0]).toMatchObject({ row: 0 });
  });

  it('three rows of mosaic are looked through until the colours have come round: what meets in row 9 is refused', () => {
    // Drawn B, B, A over two rows of its own; rows are of A and B by turns. Row 7 is of A and shows B: a drop in row 8 hides
    // it. Row 8 is of B and shows A: a drop in row 9 would hide it, over a drop. Row 9 is of A and shows B: so it goes on in
    // row 10. In the eight rows of two repeats none of it is met.
    const odd = [0, 1].reduce((now, row) => marked(now, [{ row, cell: 0 }], 'B'), blank('mosaic', 1, 3));
    expect(studyDrawing(marked(odd, [{ row: 2, cell: 0 }], 'A'), false).refused).toEqual([
      { row: 2, cell: 0, code: 'drop-on-drop' },
      { row: 0, cell: 0, code: 'drop-on-drop' },
    ]);
  });

  it('counts lone stitches, with the next repeat beside and above', () => {
    const one = marked(blank('carried', 5, 4), [{ row: 1, cell: 2 }], 'B');
    expect(studyDrawing(one).lone).toEqual([{ row: 1, cell: 2 }]);
    // Two at the two ends of a row stand side by side where the repeats meet.
    const meet = marked(
      blank('carried', 5, 4),
      [
        { row: 1, cell: 0 },
        { row: 1, cell: 4 },
      ],
      'B',
    );
    expect(studyDrawing(meet).lone).toEqual([]);
  });

  it('tells widths, like edges, odd rows of bricks, and what a row costs', () => {
    // One stitch of B in six: with one more stitch the row begins and ends alike, five of A on either side of each B.
    const six = marked(blank('carried', 6, 2), [{ row: 0, cell: 3 }], 'B');
    const study = studyDrawing(six);
    expect([study.works, study.alike]).toEqual([
      { multiple: 6, extra: 0 },
      { multiple: 6, extra: 1 },
    ]);
    expect(study.costs?.rows[0]).toMatchObject({ colours: 2, changes: 2 });
    expect(study.costs?.rows[1]).toMatchObject({ colours: 1, changes: 0 });
    expect(study.costs?.mostColours).toBe(2);
    expect(studyDrawing(blank('wide-hdc', 6, 3)).oddRows).toBe(true);
    expect(studyDrawing(blank('wide-hdc', 6, 4)).oddRows).toBe(false);
  });

  it('a row that breaks the growth of a figure is pointed out with the count that it should have', () => {
    const row = (b: number, row: number) =>
      Array.from({ length: b }, (_, i) => ({ row, cell: 4 - Math.floor(b / 2) + i }));
    // 1 3 4 7 where the rows beside it make 1 3 5 7.
    const figure = [1, 3, 4, 7].reduce((now, b, i) => marked(now, row(b, i + 1), 'B'), blank('carried', 9, 6));
    expect(studyDrawing(figure).slips).toContainEqual(expect.objectContaining({ row: 4, count: 4, wanted: 5 }));
  });
});

describe('what is said to be workable', () => {
  const scribbled = fc
    .record({
      technique: fc.constantFrom(...techniques.filter(({ key }) => isDrawn(key)).map(({ key }) => key)),
      wide: fc.integer({ min: 1, max: 9 }),
      high: fc.integer({ min: 1, max: 8 }),
      strokes: fc.array(fc.tuple(fc.nat(), fc.nat(), fc.nat()), { maxLength: 12 }),
    })
    .map(({ technique, wide, high, strokes }) =>
      strokes.reduce(
        (now, [row, cell, pen]) => {
          const pens = pensOf(now);
          const marks = now.rows[row % now.rows.length]?.marks ?? [];
          return marked(
            now,
            [{ row: row % now.rows.length, cell: cell % marks.length }],
            pens[pen % pens.length] as string,
          );
        },
        blank(technique, wide, high),
      ),
    );

  it('passes the proof at twenty sizes', () => {
    fc.assert(
      fc.property(scribbled, (drawing) => {
        const study = studyDrawing(drawing, false);
        if (study.problems.length || study.refused.length) return;
        const pattern = must(readPattern(printPattern(patternOf(drawing))));
        const bound = must(bindPattern(pattern));
        const technique = must(techniqueOf(pattern));
        const foundation = must(chooseFoundation(technique.foundations(bound), undefined));
        const { works } = bound.across;
        const up = technique.endings?.(bound)?.whole;
        for (let n = 0; n < 20; n++) {
          const stitches = works.multiple * (1 + (n % 5)) + works.extra;
          const rows = up
            ? up.step * (2 + Math.floor(n / 5)) + up.offset
            : bound.up.works.multiple * (1 + Math.floor(n / 5)) + bound.up.works.extra;
          const courses = coursesFor({ technique, foundation }, stitches, rows);
          const fabric = lay({ bound, foundation, edges: 'whole', stitches, courses });
          must(checkFabric(fabric, { bound, technique, foundation }));
        }
      }),
      { numRuns: process.env.PUNTADA_LONG ? 1000 : 60 },
    );
  });
});
