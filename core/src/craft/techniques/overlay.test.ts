import { countOf, kindsOf, piece, totals, way } from '../../../test/samplePiece.ts';
import { told } from '../../../test/told.ts';
import { checkFabric } from '../../plan/check/fabric.ts';
import { admits } from '../../plan/fit/progression.ts';
import { canEndAsBegun, heightRule } from '../../plan/fit/up.ts';
import { lay } from '../../plan/lay/lay.ts';
import { workCourse } from '../../plan/steps/course.ts';
import { findPattern } from '../book/book.ts';
import { courseCells, runsForward } from '../fabric/fabric.ts';
import { chainsFor } from '../foundation/foundation.ts';
import { bindPattern } from '../notation/bind.ts';
import { readPattern } from '../notation/read.ts';
import { sumProblems } from '../notation/sums.ts';
import { codeOf } from '../stitches/kinds.ts';
import { must } from '../values/problem.ts';
import { mesh } from './mesh/mesh.ts';
import { techniqueOf } from './register.ts';

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
      expect(told(proof.problems[0]).message).toContain('a drop is above a drop');
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
    expect(proof.ok ? '' : told(proof.problems[0]).message).toContain(reason);
  });

  it('a drop in an edge stitch', () => {
    const pattern = must(readPattern(written('4sc@back').replace('row A: 1sc |', 'row A: 1dc@front2 |')));
    const bound = must(bindPattern(pattern));
    const technique = must(techniqueOf(pattern));
    const foundation = way('sc-2nd');
    const fabric = lay({ bound, foundation, edges: 'whole', stitches: 10, courses: 4 });
    const proof = checkFabric(fabric, { bound, technique, foundation });
    expect(proof.ok ? '' : proof.problems[0]).toMatchObject({ path: 'row 3, stitch 1' });
    expect(proof.ok ? '' : told(proof.problems[0]).message).toContain('edge stitch');
  });
});

/** A net of any number of windows, every post in front. */
const plainNet = `
pattern plain-net "Plain net"
about "All in front."
technique mesh
made netted
colours A B
across 1 "windows"
up 2 plus 1 "pairs"
row A: | 1fpdc | 1fpdc
row B: | 1fpdc |
`;

function netOf(windows: number, rows: number) {
  const bound = must(bindPattern(must(readPattern(plainNet))));
  const foundation = way('mesh-2nd');
  const fabric = lay({ bound, foundation, edges: 'whole', stitches: windows, courses: rows });
  return { bound, foundation, fabric, proof: { bound, technique: mesh, foundation } };
}

describe('interlocked mesh', () => {
  it('5 windows: chain 14, every row 13 stitches, A rows 6 dc, B rows 5, closed with 13', () => {
    const { foundation, fabric, proof } = netOf(5, 9);
    must(checkFabric(fabric, proof));
    expect(chainsFor(foundation, 5)).toBe(14);
    const tall = (course: number) =>
      kindsOf(fabric, course).filter((key) => key.includes('dc') && key !== 'fpdc@other').length;
    expect(Array.from({ length: 9 }, (_, course) => kindsOf(fabric, course).length)).toEqual(Array(9).fill(13));
    // Base row, then A and B by turns, and the closing row.
    expect(Array.from({ length: 8 }, (_, course) => tall(course))).toEqual([0, 6, 5, 6, 5, 6, 5, 6]);
    expect(kindsOf(fabric, 0)).toEqual(Array(13).fill('sc'));
    expect(kindsOf(fabric, 8)).toEqual([
      'sc',
      ...Array.from({ length: 5 }, () => ['fpsc', 'fpdc@other']).flat(),
      'fpsc',
      'sc',
    ]);
    // The first row of A is plain dc; the first of B goes into what A left free. This pattern is drawn all in front; worked
    // from the wrong side that is behind.
    expect(new Set(kindsOf(fabric, 1))).toEqual(new Set(['sc', 'dc', 'ch']));
    expect(new Set(kindsOf(fabric, 2))).toEqual(new Set(['sc', 'ch', 'dc@base-behind']));
    // A, A, B, A, B … and B closes.
    const colours = Array.from({ length: 9 }, (_, course) => courseCells(fabric, course).colours[0]);
    expect(colours).toEqual([0, 0, 1, 0, 1, 0, 1, 0, 1]);
  });

  it('is turned after the base row and after every row of B', () => {
    const sides = Array.from({ length: 9 }, (_, course) => runsForward(course, 'netted'));
    expect(sides).toEqual([true, false, false, true, true, false, false, true, true]);
  });

  it('a post around a stitch that is not there is refused, in the first row of either net and where a chain is', () => {
    const { fabric, proof } = netOf(5, 9);
    for (const [course, column, why] of [
      [1, 1, 'the first row of A'],
      [2, 2, 'the first row of B'],
    ] as const) {
      const kinds = fabric.kinds.slice();
      kinds[(fabric.starts[course] as number) + column] = codeOf('fpdc');
      const checked = checkFabric({ ...fabric, kinds }, proof);
      expect(checked.ok ? '' : told(checked.problems[0]).message).toContain(why);
    }
    const kinds = fabric.kinds.slice();
    // A post of row 2 of A is gone: the post over it has nothing to go around.
    kinds[(fabric.starts[3] as number) + 3] = codeOf('ch');
    const checked = checkFabric({ ...fabric, kinds }, proof);
    const messages = checked.ok ? [] : checked.problems.map((problem) => told(problem).message);
    expect(messages.join(' ')).toContain('a post goes around a stitch two rows below, and there is none');
  });

  it('ends on an odd number of rows, five at least, and never as it began: B closes what A began', () => {
    const { bound } = netOf(5, 5);
    const rule = heightRule(bound, mesh, 'any');
    expect([3, 4, 5, 6, 7].filter((rows) => admits(rule, rows))).toEqual([5, 7]);
    expect(canEndAsBegun(bound, mesh)).toBe(false);
  });

  it('one begun before base rows were known goes on as it was begun', () => {
    const pattern = must(readPattern(plainNet.replace('netted', 'paired')));
    const bound = must(bindPattern(pattern));
    const foundation = way('mesh-2nd');
    const fabric = lay({ bound, foundation, edges: 'whole', stitches: 5, courses: 8 });
    expect(countOf(fabric, 0, 'fpdc')).toBe(6);
    expect(countOf(fabric, 7, 'fpdc') + countOf(fabric, 7, 'bpdc')).toBe(5);
    must(checkFabric(fabric, { bound, technique: mesh, foundation }));
  });

  it('12 windows: 27 stitches; A rows 13 posts, B rows 12', () => {
    const { fabric, chains, inRow } = piece('two-nets', 12, 9);
    expect([inRow, chains]).toEqual([27, 28]);
    const posts = (course: number) => countOf(fabric, course, 'fpdc') + countOf(fabric, course, 'bpdc');
    expect([3, 4, 5, 6, 7].map(posts)).toEqual([13, 12, 13, 12, 13]);
  });

  it('on the wrong side front and back change places and the order is mirrored', () => {
    const { fabric, bound, foundation } = piece('two-nets', 4, 9);
    // Seen from the right side row 6, the third of A, reads 2 front, 2 back, 1 front like the first of A; it is worked
    // from its other end, swapped.
    const row6 = workCourse(fabric, bound, foundation, 5);
    expect(row6.side).toBe('WS');
    const worked = row6.runs.flatMap((run) =>
      Array.from({ length: run.count }, (_, i) => run.kinds[i % run.kinds.length]),
    );
    expect(worked.filter((key) => key === 'fpdc' || key === 'bpdc')).toEqual(['bpdc', 'fpdc', 'fpdc', 'bpdc', 'bpdc']);
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
      code: 'row-sum',
      facts: { row: 2, sum: 3, left: 4 },
    });
  });

  it('both nets wait where their next row begins: nothing is cut or carried', () => {
    const { fabric } = piece('two-nets', 12, 9);
    for (const total of totals(fabric, 'side-only')) expect([total.ends, total.carried]).toEqual([2, 0]);
  });
});
