import { sampleIn, sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { findPattern } from '../../craft/book/book.ts';
import { cellsIn, courseCells } from '../../craft/fabric/fabric.ts';
import { must } from '../../craft/values/problem.ts';
import type { WishInput } from '../../records/wish.ts';
import { endingWords } from '../../words/en/ending.ts';
import { orderWords } from '../../words/rows/strandWords.ts';
import { idleWords } from '../../words/work/idle.ts';
import { freeze, thaw } from '../begun/frozen.ts';
import { withLastLoop } from '../begun/lastLoop.ts';
import { endsOfPlan } from '../measure/measure.ts';
import { type Plan, planWish } from '../piece/plan.ts';
import { countOf, leftIn, workCourse } from './course.ts';
import { endingOfCloth } from './ending.ts';
import { StrandBook } from './strandBook.ts';

function planOf(key: string, change: Partial<WishInput>): Plan {
  return must(planWish(sampleIn(must(findPattern(key)), { edges: 'whole', ending: 'any', ...change })));
}

/** One row of a plan. @param row from 1 */
function rowOf({ prepared: { bound, foundation }, piece: { fabric } }: Plan, row: number) {
  return workCourse(fabric, bound, foundation, row - 1);
}

function bookOf({ prepared, piece }: Plan): StrandBook {
  return new StrandBook(piece.strands, prepared.bound, endingOfCloth(prepared, piece));
}

const orders = (plan: Plan, row: number) =>
  bookOf(plan)
    .orders(row - 1)
    .map((order) => orderWords(order));

describe('idle yarn and counts at each run', () => {
  const wheel = planOf('windlass', {
    item: 'round mat',
    width: { by: 'stitches', count: 12 },
    height: { by: 'rows', count: 10 },
  });

  it('of a wheel of 12 wedges: in round 4 the other color is worked over at every run, and 48 stitches are left', () => {
    const course = rowOf(wheel, 4);
    const book = bookOf(wheel);
    expect(course.runs.map((run, i) => idleWords(book.during(wheel.piece.fabric, course, i), run.count))).toEqual(
      course.runs.map((run) => [`${run.colour === 'A' ? 'B' : 'A'}: carry it inside`]),
    );
    // An increase is two stitches, and two more dc are in each wedge: 12 × 4. Behind the first increase 46 are left.
    expect([leftIn(course, 0), leftIn(course, 1), countOf(course)]).toEqual([48, 46, 48]);
  });

  it('of blocks on the diagonal: six blocks, not eighteen stitches', () => {
    const flag = planOf('signal-flag', {
      item: 'blanket',
      width: { by: 'stitches', count: 12 },
      height: { by: 'rows', count: 12 },
    });
    const course = rowOf(flag, 6);
    expect([countOf(course), course.byColour.reduce((sum, { count }) => sum + count, 0)]).toEqual([6, 6]);
  });

  it('a dot on the edge is drawn up in B and finished in A: no change before it, and its row begins with A', () => {
    const spray = planOf('salt-spray', {
      item: 'mat',
      width: { by: 'repeats', count: 3 },
      height: { by: 'rows', count: 9 },
    });
    // Row 3 of a pattern of its own that begins with a dot: all of its rows begin with A on the hook.
    const own = must(
      planWish(
        sampleWish({
          item: 'mat',
          pattern: {
            text: 'pattern edge-dots "Edge dots"\nabout "Dots."\ntechnique flecks\nmade flat\nstitch sc\ncolours A B\nacross 4 plus 1 "dots"\nup 2 "rows"\nread seen\nrow A: | 1fleck:B 3sc | 1fleck:B\nrow A: | 4sc | 1sc',
          },
          width: { by: 'stitches', count: 13 },
          height: { by: 'rows', count: 6 },
          edges: 'whole',
          ending: 'any',
        }),
      ),
    );
    for (const plan of [spray, own]) {
      for (let row = 1; row <= plan.piece.fabric.courses; row++) {
        const course = rowOf(plan, row);
        expect([course.beginsIn, course.inHand]).toEqual(['A', 'A']);
        expect(course.runs.every(({ changeTo }) => changeTo === undefined)).toBe(true);
      }
    }
    expect(rowOf(own, 1).runs[0]?.kinds).toEqual(['fleck']);
  });
});

describe('how a cloth ends', () => {
  const teeth = (rows: number, change: Partial<WishInput> = {}) =>
    planOf('houndstooth', {
      item: 'mat',
      width: { by: 'stitches', count: 20 },
      height: { by: 'rows', count: rows },
      policy: 'carry-always',
      ...change,
    });
  const ending = ({ prepared, piece }: Plan) => endingOfCloth(prepared, piece);

  it('locked: the second color is carried through the last row, odd or even, and not fastened off before', () => {
    for (const [rows, last, other] of [
      [11, 'A', 'B'],
      [12, 'B', 'A'],
    ] as const) {
      const plan = teeth(rows, { lastLoop: 'locked' });
      expect(ending(plan)).toEqual({ kind: 'locked', letter: last, by: other });
      expect(orders(plan, rows)).toEqual([`carry ${other} inside the whole row`]);
      expect(
        Array.from({ length: rows }, (_, i) => orders(plan, i + 1))
          .flat()
          .join(),
      ).not.toContain('fasten off');
      // One row more over 20 stitches than where the end is drawn through; 1.04 of their width each.
      const [locked, drawn] = [plan, teeth(rows)].map(({ piece }) =>
        piece.strands.totals.reduce((sum, { carried }) => sum + carried, 0),
      );
      expect((locked as number) - (drawn as number)).toBe(20);
      expect(plan.piece.ends).toBe(teeth(rows).piece.ends);
    }
  });

  it('locked where nothing may lie inside: it is drawn through, and says why', () => {
    const plan = teeth(11, { lastLoop: 'locked', policy: 'side-only' });
    expect(ending(plan)).toEqual({ kind: 'drawn', letter: 'A', unlocked: true });
    expect(endingWords(ending(plan))).toContain('No second yarn hangs there');
  });

  it('with a closing row in its color nothing is cut before, and no end is added; in another it is', () => {
    const plan = teeth(11, { closing: true });
    expect(endingWords(ending(plan))).toBe('Do not cut A: the closing row continues with it.');
    expect(orders(plan, 11)).toEqual([]);
    expect(plan.piece.finish[0]).toMatchObject({ part: 'closing', goesOn: true, ends: 0, stitches: 20 });
    const even = teeth(12, { closing: true });
    expect(ending(even)).toMatchObject({ kind: 'drawn', letter: 'B' });
    expect(even.piece.finish[0]).toMatchObject({ goesOn: false, ends: 2 });
    expect(teeth(12, { closing: true, finish: { closingColour: 'B' } }).piece.finish[0]).toMatchObject({
      goesOn: true,
      colour: 1,
    });
  });

  it('of a begun cloth can be changed while its last row is to come: one strand moves, and back', () => {
    const plan = teeth(11);
    const begun = freeze(plan);
    const { wish } = plan.prepared;
    const locked = must(withLastLoop(begun, { ...wish, lastLoop: 'locked', policy: 'as-needed' }));
    expect(
      endingOfCloth({ ...plan.prepared, wish: { ...wish, lastLoop: 'locked' } }, must(thaw(locked))),
    ).toMatchObject({ kind: 'locked', by: 'B' });
    expect(must(withLastLoop(locked, { ...wish, lastLoop: 'drawn', policy: 'as-needed' })).moves).toEqual(begun.moves);
  });
});

describe('what is worked into the last row', () => {
  const closing = (key: string, change: Partial<WishInput>) =>
    planOf(key, { closing: true, ...change }).piece.finish[0]?.stitches;

  it('a wheel of 12 wedges and 9 rounds has 108 stitches, 36 blocks 108 along the top, clusters those of their last row', () => {
    expect(
      closing('windlass', {
        item: 'round mat',
        width: { by: 'stitches', count: 12 },
        height: { by: 'rows', count: 9 },
      }),
    ).toBe(108);
    expect(
      closing('signal-flag', {
        item: 'blanket',
        width: { by: 'stitches', count: 36 },
        height: { by: 'rows', count: 36 },
      }),
    ).toBe(108);
    // 8 clusters of 3 dc in odd rows; in even rows 7 of them and a dc at either edge.
    const clusters = { item: 'blanket', width: { by: 'stitches', count: 8 } } as const;
    expect(closing('net-floats', { ...clusters, height: { by: 'rows', count: 5 } })).toBe(24);
    expect(closing('net-floats', { ...clusters, height: { by: 'rows', count: 6 } })).toBe(23);
  });

  it('between posts the post at the edge is no stitch: 29 for 30', () => {
    expect(
      closing('planks', { item: 'mat', width: { by: 'stitches', count: 30 }, height: { by: 'rows', count: 6 } }),
    ).toBe(29);
  });
});

describe('diamonds in three colors', () => {
  it('stand one above the other in each color: single clusters of it above those below its plain row', () => {
    const { piece } = planOf('lantern-diamonds', {
      item: 'blanket',
      width: { by: 'stitches', count: 8 },
      height: { by: 'rows', count: 24 },
    });
    const { fabric } = piece;
    let looked = 0;
    for (let course = 2; course < fabric.courses - 1; course++) {
      const plain = new Set(courseCells(fabric, course).colours);
      if (plain.size > 1) continue;
      const [colour] = plain;
      const cells = (at: number) =>
        [...courseCells(fabric, at).colours].flatMap((each, x) => (each === colour ? [x] : []));
      expect(cells(course + 1)).toEqual(cells(course - 1));
      looked++;
    }
    expect(looked).toBe(11);
    expect(cellsIn(fabric, 0)).toBe(8);
  });
});

describe('matching edges of clusters', () => {
  it('are read off the cloth: with 8 clusters the 7 between the edge stitches of alternating rows match, with 7 they do not', () => {
    const own = (count: number) =>
      must(
        planWish(
          sampleWish({
            item: 'blanket',
            pattern: {
              text: 'pattern own "Own clusters"\nabout "Clusters."\ntechnique granny\nmade flat\ncolours A B\nacross 1 "clusters"\nup 2 "rows"\nread seen\nrow: | 1A |\nrow: | 1A 1B |',
            },
            width: { by: 'stitches', count },
            height: { by: 'rows', count: 8 },
            edges: 'whole',
            ending: 'any',
            gauge: { from: 'typical' },
          }),
        ),
      ).width.alike;
    expect([own(6), own(7), own(8), own(9)]).toEqual([true, false, true, false]);
  });
});

describe('ends of a whole plan', () => {
  it('of a mosaic throw with an envelope: those at the edges are closed in, and the border’s own four are woven', () => {
    const plan = planOf('tide-marks', {
      item: 'blanket',
      width: { by: 'stitches', count: 27 },
      height: { by: 'rows', count: 40 },
      border: { rounds: 2, colour: 'B', envelope: true },
    });
    // Two ends a row of 40, and two for each of two layers.
    expect(endsOfPlan(plan.piece.yarn)).toEqual({ toWeave: 4, closedIn: 80 });
  });
});

describe('what nobody could make', () => {
  const problems = (change: Partial<WishInput>) => {
    const plan = planWish(sampleWish(change));
    return plan.ok ? plan.value.warnings.map(({ code }) => code) : plan.problems.map(({ code }) => code);
  };
  const first = (change: Partial<WishInput>) => {
    const plan = planWish(sampleWish(change));
    return told(plan.ok ? undefined : plan.problems[0]).message;
  };

  it('is refused, or pointed out, in words of the craft', () => {
    expect(problems({ item: 'basket' })).toContain('item-in-rounds');
    expect(problems({ item: 'round mat' })).toContain('item-is-circle');
    expect(problems({ item: 'cushion cover', pattern: { key: 'windlass' } })).toContain('item-no-circle');
    expect(
      problems({
        item: 'round mat',
        pattern: { key: 'windlass' },
        gauge: { from: 'typical' },
        height: { by: 'length', length: '30 cm' },
        width: { by: 'length', length: '20 cm' },
      }),
    ).toContain('circle-two-sizes');
    expect(problems({ item: 'cushion cover', finish: { flap: '60 cm', seam: 'sc' } })).toContain('flap-too-long');
    expect(problems({ finish: { ring: '3 m' } })).toContain('ring-too-wide');
    expect(problems({ wash: 'wool-blocked' })).toContain('wash-unlike-fibre');
    const [a, b] = sampleWish().yarns;
    expect(problems({ yarns: [{ ...a, ballMetres: 5, ballGrams: 2000 }, b] as never })).toContain('ball-impossible');
    expect(problems({ tolerance: '0' })).toContain('tolerance-none');
    expect(
      problems({
        gauge: { from: 'counted', stitches: { count: 16, over: '1 mm' }, rows: { count: 18, over: '10 cm' } },
      }),
    ).toContain('gauge-span-short');
    // A border of 20 rounds of sc leaves nothing of 24 cm.
    expect(first({ border: { rounds: 20 } })).toMatch(/^A border of 11[.\d]* cm on each side leaves too little room/);
  });

  it('a color that no stitch is worked in is named', () => {
    const plan = planOf('lantern-diamonds', {
      item: 'blanket',
      width: { by: 'stitches', count: 8 },
      height: { by: 'rows', count: 3 },
    });
    expect(plan.warnings.find(({ code }) => code === 'colour-unused')?.facts).toEqual({ letters: ['C'] });
  });
});
