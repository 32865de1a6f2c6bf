import { checkFabric } from '../check/fabric.ts';
import { lay } from '../lay/lay.ts';
import { bindPattern } from '../patterns/bind.ts';
import { findPattern } from '../patterns/book.ts';
import { readPattern } from '../patterns/read.ts';
import { sumProblems } from '../patterns/sums.ts';
import { must } from '../problem.ts';
import { workCourse } from '../write/course.ts';
import { techniqueOf } from './register.ts';
import { countOf, kindsOf, piece, totals, way } from './samplePiece.ts';

describe('overlay mosaic, unit 6, e = 1', () => {
  it('flat: 6k + 3 stitches on 6k + 4 chains, two tails a row', () => {
    const { fabric, chains, inRow } = piece('tide-marks', 6 * 4 + 3, 18);
    expect([inRow, chains]).toEqual([27, 28]);
    // 18 rows, 9 of each colour.
    expect(totals(fabric, 'cut-always').map((total) => total.ends)).toEqual([18, 18]);
  });

  it('in the round: no tails but the first and the last', () => {
    const { fabric, inRow } = piece('rope-coil', 8 * 4, 14);
    expect(inRow).toBe(32);
    expect(totals(fabric, 'as-needed').map((total) => total.ends)).toEqual([2, 2]);
  });

  it('a drop shows its colour in the row below it, and hides one stitch there', () => {
    const { fabric } = piece('tide-marks', 27, 18);
    // The lowest line of the chart is AABAAA over row 3: read from the right, B in column 4 of 6, after one edge stitch.
    const drops = kindsOf(fabric, 3).flatMap((key, x) => (key === 'dc@front2' ? [x] : []));
    expect(drops).toEqual([4, 10, 16, 22]);
  });
});

describe('illegal mosaic charts are refused with the cells and the reason', () => {
  const text = (chart: string) => `pattern bad "Bad"
about "A chart that cannot be worked."
technique mosaic
made right-side
colours A B
across 4 plus 3 "steps"
up 4 plus 2 "repeats"
chart
${chart}
end
`;
  const proved = (chart: string) => {
    const pattern = must(readPattern(text(chart)));
    const bound = must(bindPattern(pattern));
    const technique = must(techniqueOf(pattern));
    const foundation = way('sc-2nd');
    const fabric = lay({ bound, foundation, edges: 'whole', stitches: 11, courses: 10 });
    return checkFabric(fabric, { bound, technique, foundation });
  };

  it('a drop on a drop', () => {
    // Row 3 (A) is to show B, and row 4 (B) is to show A, in the same column.
    const proof = proved('BBBB\nAAAA\nBABB\nABAA');
    expect(proof.ok).toBe(false);
    if (!proof.ok) {
      expect(proof.problems[0]?.path).toMatch(/^row 5, stitch \d+$/);
      expect(proof.problems[0]?.message).toContain('a drop stands on a drop');
    }
  });

  const written = (row: string) => `pattern bad "Bad"
about "Rows that cannot be worked."
technique mosaic
made right-side
colours A B
across 4 plus 3 "steps"
up 2 plus 2 "repeats"
setup A: | 1sc |
setup B: 1sc | ${row} | 1sc
row A: 1sc | 4sc@back | 1sc@back 1sc
row B: 1sc | 4sc@back | 1sc@back 1sc
`;

  it.each([
    ['a drop in the first two rows', '1sc@back 1dc@front2 2sc@back', 'in the first two rows'],
    ['plain sc where the ground goes', '4sc', 'back loop'],
  ])('%s', (_what, row, reason) => {
    const pattern = must(readPattern(written(row)));
    const bound = must(bindPattern(pattern));
    const technique = must(techniqueOf(pattern));
    const foundation = way('sc-2nd');
    const fabric = lay({ bound, foundation, edges: 'whole', stitches: 10, courses: 4 });
    const proof = checkFabric(fabric, { bound, technique, foundation });
    expect(proof.ok ? '' : proof.problems[0]?.message).toContain(reason);
  });

  it('a drop in an edge stitch', () => {
    const pattern = must(readPattern(written('4sc@back').replace('row A: 1sc |', 'row A: 1dc@front2 |')));
    const bound = must(bindPattern(pattern));
    const technique = must(techniqueOf(pattern));
    const foundation = way('sc-2nd');
    const fabric = lay({ bound, foundation, edges: 'whole', stitches: 10, courses: 4 });
    const proof = checkFabric(fabric, { bound, technique, foundation });
    expect(proof.ok ? '' : proof.problems[0]).toMatchObject({ path: 'row 3, stitch 1' });
    expect(proof.ok ? '' : proof.problems[0]?.message).toContain('edge stitch');
  });
});

describe('interlocked mesh', () => {
  it('12 windows: 27 stitches; A rows 13 posts, B rows 12', () => {
    const { fabric, chains, inRow } = piece('two-nets', 12, 8);
    expect([inRow, chains]).toEqual([27, 28]);
    const posts = (course: number) => countOf(fabric, course, 'fpdc') + countOf(fabric, course, 'bpdc');
    expect([0, 1, 2, 3].map(posts)).toEqual([13, 12, 13, 12]);
  });

  it('on the wrong side front and back change places and the order is mirrored', () => {
    const { fabric, bound, foundation } = piece('two-nets', 4, 4);
    // Seen from the right side row 3 reads 2 back, 2 front, 1 back; it is worked from its other end, swapped.
    const row3 = workCourse(fabric, bound, foundation, 2);
    expect(row3.side).toBe('WS');
    const worked = row3.runs.flatMap((run) =>
      Array.from({ length: run.count }, (_, i) => run.kinds[i % run.kinds.length]),
    );
    expect(worked.filter((key) => key === 'fpdc' || key === 'bpdc')).toEqual(['fpdc', 'bpdc', 'bpdc', 'fpdc', 'fpdc']);
  });

  it('runs that do not add up to the repeat are refused with the row and the sum', () => {
    const pattern = must(findPattern('two-nets'));
    const wrong = {
      ...pattern,
      rows: pattern.rows.map((row, i) =>
        i === 1
          ? {
              ...row,
              unit: row.unit
                .slice(0, 1)
                .concat(row.unit.slice(0, 1))
                .map((run) => ({ ...run, count: { terms: [{ times: 1.5 }] } })),
            }
          : row,
      ),
    };
    expect(sumProblems(must(bindPattern(wrong)))[0]).toMatchObject({
      path: 'row 2',
      message: 'Row 2 makes 3 stitches where row 1 left 4.',
    });
  });

  it('both nets wait where their next row begins: nothing is cut or carried', () => {
    const { fabric } = piece('two-nets', 12, 8);
    for (const total of totals(fabric, 'side-only')) expect([total.ends, total.carried]).toEqual([2, 0]);
  });
});
