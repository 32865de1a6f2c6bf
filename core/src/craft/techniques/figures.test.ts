import { countOf, kindsOf, piece, totals, way } from '../../../test/samplePiece.ts';
import { border } from '../../plan/finish/border.ts';
import { circleLies, flatIncrease, fullness } from '../../plan/fit/circle.ts';
import { workCourse } from '../../plan/steps/course.ts';
import { cellsIn, courseCells, type Fabric, stitchesMade } from '../fabric/fabric.ts';
import { chainsFor, countFor } from '../foundation/foundation.ts';
import { type StitchKey, stitchKind } from '../stitches/kinds.ts';

/** Runs of one kind in a course, in column order: `4 dc, 4 ch`. */
function groups(fabric: Fabric, course: number, key: StitchKey): number {
  const kinds = kindsOf(fabric, course).map((each) => mainOf(each));
  return kinds.filter((each, x) => each === key && kinds[x - 1] !== key).length;
}

function mainOf(key: StitchKey): StitchKey {
  return key === 'dc-ch3' || key === 'dc@below2' ? 'dc' : key;
}

describe('wide hdc: figures that start two wide, 12 of ground before, between and after, 4 figures', () => {
  const { fabric, chains } = piece('spires', 14 * 4 + 13, 8);
  it('4 × 2 + 5 × 12 = 68 stitches and the post; 70 chains', () => {
    const { kinds, colours } = courseCells(fabric, 0);
    expect(kinds.length - 1).toBe(68);
    expect(chains).toBe(70);
    expect(Array.from(colours).join('')).toMatch(/^0(0{12}11){4}0{12}$/);
    expect(countFor(way('wide-3rd'), 70)).toBe(69);
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
  const both = way('both-sides-sc');
  const dc = way('both-sides-dc');
  it('sc on both sides of 40 chains, chain 41: rounds of 80', () => {
    expect(countFor(both, 41)).toBe(80);
    const { fabric, chains } = piece('sea-chest', 80, 10);
    expect(chains).toBe(41);
    for (let course = 0; course < 10; course++) expect(cellsIn(fabric, course)).toBe(80);
  });

  it('dc first with ch 2 not counted over 37 chains: rounds of 70', () => {
    expect(countFor(dc, 37)).toBe(70);
    expect(chainsFor(dc, 70)).toBe(37);
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
    const foundation = way(key);
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
