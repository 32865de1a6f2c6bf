import { checkFabric } from '../check/fabric.ts';
import { border } from '../finish/border.ts';
import { circleLies, flatIncrease, fullness } from '../fit/circle.ts';
import { chainsFor, countFor, findFoundation } from '../fit/foundation.ts';
import { cellsIn, courseCells, type Fabric, stitchesMade } from '../lay/fabric.ts';
import { lay } from '../lay/lay.ts';
import { bindPattern, type PatternChoice } from '../patterns/bind.ts';
import { findPattern } from '../patterns/book.ts';
import { readPattern } from '../patterns/read.ts';
import { sumProblems } from '../patterns/sums.ts';
import { must } from '../problem.ts';
import { costsFor, type Policy } from '../route/costs.ts';
import { chartOf } from '../route/ofFabric.ts';
import { route, totalsByColour } from '../route/route.ts';
import { type StitchKey, stitchKind } from '../stitches/kinds.ts';
import { workCourse } from '../write/course.ts';
import { techniqueOf } from './register.ts';

function piece(key: string, stitches: number, rows: number, way?: string, choice: PatternChoice = {}) {
  const pattern = must(findPattern(key));
  const bound = must(bindPattern(pattern, choice));
  const technique = must(techniqueOf(pattern));
  const foundation = findFoundation(way ?? (technique.foundations(bound)[0] as string)) as NonNullable<
    ReturnType<typeof findFoundation>
  >;
  const fabric = lay({
    bound,
    foundation,
    edges: 'whole',
    stitches,
    courses: technique.courses?.(stitches, rows) ?? rows,
  });
  must(checkFabric(fabric, { bound, technique, foundation }));
  const inRow = technique.width.stitches(stitches, foundation);
  return { fabric, bound, technique, foundation, chains: chainsFor(foundation, stitches), inRow };
}

function totals(fabric: Fabric, policy: Policy) {
  const costs = costsFor(policy, false, { stitchWidth: 5, rowHeight: 5 });
  const strands = route(chartOf(fabric), costs, policy === 'carry-always' ? policy : 'least-cost');
  return totalsByColour(strands, fabric.colourCount);
}

function kindsOf(fabric: Fabric, course: number): StitchKey[] {
  return Array.from(courseCells(fabric, course).kinds, (code) => stitchKind(code).key);
}

function countOf(fabric: Fabric, course: number, key: StitchKey): number {
  return kindsOf(fabric, course).filter((each) => each === key).length;
}

/** Runs of one kind in a course, in column order: `4 dc, 4 ch`. */
function groups(fabric: Fabric, course: number, key: StitchKey): number {
  const kinds = kindsOf(fabric, course).map((each) => stitchKind_(each));
  return kinds.filter((each, x) => each === key && kinds[x - 1] !== key).length;
}

function stitchKind_(key: StitchKey): StitchKey {
  return key === 'dc-ch3' || key === 'dc@below2' ? 'dc' : key;
}

describe('wide hdc: figures that start two wide, 12 of ground before, between and after, 4 figures', () => {
  const { fabric, chains } = piece('spires', 14 * 4 + 13, 8);
  it('4 × 2 + 5 × 12 = 68 stitches and the post; 70 chains', () => {
    const { kinds, colours } = courseCells(fabric, 0);
    expect(kinds.length - 1).toBe(68);
    expect(chains).toBe(70);
    expect(Array.from(colours).join('')).toMatch(/^0(0{12}11){4}0{12}$/);
    expect(countFor(findFoundation('wide-3rd') as never, 70)).toBe(69);
  });

  it('a figure grows by one a row, half a stitch on either side', () => {
    const widths = [0, 1, 2, 3, 4, 5].map(
      (course) => Array.from(courseCells(fabric, course).colours).filter(Boolean).length / 4,
    );
    expect(widths).toEqual([2, 3, 4, 5, 6, 7]);
    // Even rows stand at their columns, odd ones half a stitch further: the middle of a figure stays where it is.
    const middles = [0, 1, 2, 3, 4, 5].map((course) => {
      const colours = Array.from(courseCells(fabric, course).colours);
      const from = colours.indexOf(1);
      const to = colours.indexOf(0, from) - 1;
      return (from + to) / 2 + (course % 2) / 2;
    });
    expect(new Set(middles)).toEqual(new Set([13.5]));
  });
});

describe('chain-space check of 4', () => {
  const { fabric, chains } = piece('portholes', 8 * 6 + 4, 14);
  it('6 repeats: 52 stitches, 54 chains; 7 groups and 6 gaps in row 1, 6 and 7 in row 2', () => {
    expect([cellsIn(fabric, 0), chains]).toEqual([52, 54]);
    expect([groups(fabric, 0, 'dc'), groups(fabric, 0, 'ch')]).toEqual([7, 6]);
    expect([groups(fabric, 1, 'dc'), groups(fabric, 1, 'ch')]).toEqual([6, 7]);
  });

  it('3 colours one row each: 6 rows to come round, every strand climbs, 6 tails', () => {
    const { bound } = piece('portholes', 52, 14);
    expect(bound.repeatCourses).toBe(6);
    const open = piece('sluice', 7 * 6 + 5, 13).fabric;
    const each = totals(open, 'as-needed');
    expect(each.map((total) => total.ends)).toEqual([2, 2, 2]);
    expect(each.reduce((sum, total) => sum + total.carried, 0)).toBe(0);
    // Between two uses lie two rows: 4 gaps of A in 13 rows and 3 of B and of C, 2 rows each.
    expect(each.map((total) => total.climbedRows)).toEqual([8, 6, 6]);
  });

  it('2 colours one row each cannot climb', () => {
    const { fabric: two } = piece('sluice', 47, 13, undefined, { colours: 2 });
    for (const total of totals(two, 'side-only')) expect(total.climbedRows).toBe(0);
    expect(totals(two, 'side-only').map((total) => total.ends)).toEqual([14, 12]);
  });

  it('ends with 52 stitches in its closing row: sc in the dc, dc down into the gaps', () => {
    // Row 13 has 7 groups of 4; the closing row has 28 sc on them and 24 dc in 6 gaps.
    expect([countOf(fabric, 13, 'sc'), countOf(fabric, 13, 'dc@below2')]).toEqual([28, 24]);
  });
});

describe('granny rows of 10 clusters', () => {
  it('3G + 1 = 31 chains: row 2 has 9 clusters and 2 edge dc, 29 stitches', () => {
    const { fabric, bound, foundation, chains } = piece('net-floats', 10, 4, 'granny-4th');
    expect(chains).toBe(31);
    expect(workCourse(fabric, bound, foundation, 0).stitches).toBe(30);
    expect([
      countOf(fabric, 1, 'cluster@space'),
      countOf(fabric, 1, 'edge-ch3'),
      countOf(fabric, 1, 'edge-dc'),
    ]).toEqual([9, 1, 1]);
    expect(workCourse(fabric, bound, foundation, 1).stitches).toBe(29);
  });

  it('3G + 3 = 33 chains: 31 stitches every row', () => {
    const { fabric, bound, foundation, chains } = piece('net-floats', 10, 4, 'granny-3rd');
    expect(chains).toBe(33);
    for (let course = 0; course < 4; course++) expect(workCourse(fabric, bound, foundation, course).stitches).toBe(31);
  });

  it('an even number of clusters has like edges; the single edge dc takes the first cluster’s colour', () => {
    const { fabric } = piece('net-floats', 10, 4, 'granny-4th');
    const colours = courseCells(fabric, 1).colours;
    expect(colours[0]).toBe(colours[10]);
    const { fabric: every } = piece('net-floats', 10, 4, 'granny-3rd');
    const row = courseCells(every, 0).colours;
    expect(row[10]).toBe(row[0]);
  });
});

describe('corner to corner', () => {
  it('7 × 5 blocks: 11 diagonals of 1 2 3 4 5 5 5 4 3 2 1, 35 blocks', () => {
    const { fabric } = piece('signal-flag', 7, 5);
    expect(Array.from({ length: fabric.courses }, (_, i) => cellsIn(fabric, i))).toEqual([
      1, 2, 3, 4, 5, 5, 5, 4, 3, 2, 1,
    ]);
    expect(fabric.kinds.length).toBe(35);
  });

  it('5 × 5 has 5 growing and 4 shrinking starts; 50 × 40 has 45, 44 and 1911 ordinary blocks', () => {
    const starts = (wide: number, high: number) => {
      const { fabric } = piece('signal-flag', wide, high);
      return (['block-grow', 'block-shrink', 'block'] as const).map(
        (key) => Array.from(fabric.kinds).filter((code) => stitchKind(code).key === key).length,
      );
    };
    expect(starts(5, 5)).toEqual([5, 4, 16]);
    expect(starts(50, 40)).toEqual([45, 44, 1911]);
  });

  it('lays a charted figure as it is seen', () => {
    const { fabric } = piece('storm-lantern', 9, 11);
    const counts = [0, 1, 2].map((colour) => Array.from(fabric.colours).filter((each) => each === colour).length);
    // Counted on the chart: B 1+3+5+2+2+2+5+3+5 = 28, C 3 × 3 = 9, and the rest of 99 is A.
    expect(counts).toEqual([62, 28, 9]);
  });
});

describe('a wedge circle of 10', () => {
  it('round r has 10 r stitches; 780 through round 12', () => {
    const { fabric } = piece('windlass', 10, 12, undefined, { numbers: { n: 10 } });
    const rounds = Array.from({ length: 12 }, (_, i) => stitchesMade(courseCells(fabric, i)));
    expect(rounds).toEqual([10, 20, 30, 40, 50, 60, 70, 80, 90, 100, 110, 120]);
    expect(rounds.reduce((sum, count) => sum + count, 0)).toBe(780);
  });

  it('a plain round adds nothing', () => {
    const { fabric } = piece('compass-rose', 15, 7);
    // One round in the ring, three that grow, one plain, two that grow.
    expect([0, 1, 2, 3, 4, 5, 6].map((i) => stitchesMade(courseCells(fabric, i)))).toEqual([
      15, 30, 45, 60, 60, 75, 90,
    ]);
  });

  it('12 at dc of 7.14 × 13 mm lie flat: 11.44 a round are flat; 8 cup, 14 ruffle', () => {
    expect(flatIncrease(100 / 14, 13)).toBeCloseTo(11.44, 2);
    expect([8, 12, 14].map((n) => circleLies(fullness(n, 100 / 14, 13)))).toEqual(['cups', 'flat', 'ruffles']);
  });
});

describe('tubes', () => {
  const both = findFoundation('both-sides-sc') as NonNullable<ReturnType<typeof findFoundation>>;
  const dc = findFoundation('both-sides-dc') as NonNullable<ReturnType<typeof findFoundation>>;
  it('sc on both sides of 40 chains, chain 41: rounds of 80', () => {
    expect(countFor(both, 41)).toBe(80);
    const { fabric, chains } = piece('sea-chest', 80, 10);
    expect(chains).toBe(41);
    for (let course = 0; course < 10; course++) expect(cellsIn(fabric, course)).toBe(80);
  });

  it('dc first with ch 2 not counted over 37 chains: rounds of 70, closed over 35 pairs', () => {
    expect(countFor(dc, 37)).toBe(70);
    expect(chainsFor(dc, 70)).toBe(37);
    expect(70 / 2).toBe(35);
  });
});

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
    const foundation = findFoundation('sc-2nd') as NonNullable<ReturnType<typeof findFoundation>>;
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
    const foundation = findFoundation('sc-2nd') as NonNullable<ReturnType<typeof findFoundation>>;
    const fabric = lay({ bound, foundation, edges: 'whole', stitches: 10, courses: 4 });
    const proof = checkFabric(fabric, { bound, technique, foundation });
    expect(proof.ok ? '' : proof.problems[0]?.message).toContain(reason);
  });

  it('a drop in an edge stitch', () => {
    const pattern = must(readPattern(written('4sc@back').replace('row A: 1sc |', 'row A: 1dc@front2 |')));
    const bound = must(bindPattern(pattern));
    const technique = must(techniqueOf(pattern));
    const foundation = findFoundation('sc-2nd') as NonNullable<ReturnType<typeof findFoundation>>;
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

describe('an sc border on 60 stitches × 72 sc rows', () => {
  it('58 + 72 + 58 + 72 and four corners of 3 = 272, then 280, 288', () => {
    expect(border(58, 72, 3).rounds).toEqual([272, 280, 288]);
  });
});

describe('foundations, from chains to stitches', () => {
  it.each([
    ['sc-2nd', 37, 36],
    ['hdc-2nd', 37, 36],
    ['hdc-3rd', 38, 36],
    ['hdc-3rd-counted', 37, 36],
    ['dc-4th', 38, 36],
    ['dc-3rd', 38, 36],
    ['dc-3rd-counted', 37, 36],
    ['sc-chainless', 36, 36],
    ['ring-sc', 36, 36],
  ])('%s: chain %d for %d stitches', (key, chains, stitches) => {
    const foundation = findFoundation(key) as NonNullable<ReturnType<typeof findFoundation>>;
    expect(chainsFor(foundation, stitches)).toBe(chains);
    expect(countFor(foundation, chains)).toBe(stitches);
  });

  it('linen on 38 chains: 18 sc and 17 inner spaces, edge stitch and edge space, 37 places', () => {
    const { fabric, bound, foundation, inRow } = piece('quay-linen', 36, 4);
    expect(chainsFor(foundation, 36)).toBe(38);
    expect(inRow).toBe(37);
    // (F − 2)/2 = 18 sc, (F − 4)/2 = 17 chains, and the ch 2 that is both edge stitch and edge space.
    expect([countOf(fabric, 0, 'sc'), countOf(fabric, 0, 'ch'), countOf(fabric, 0, 'linen-edge')]).toEqual([18, 17, 1]);
    expect(workCourse(fabric, bound, foundation, 1).runs[0]?.kinds).toEqual(['linen-edge']);
  });
});
