import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import type { WishInput } from '../../records/wish.ts';
import { cellsInHand, costsOfProject } from '../../work/underway/inHand.ts';
import { wovenIn } from '../measure/measure.ts';
import { planWish } from '../piece/plan.ts';
import { comparePolicies } from '../piece/policies.ts';
import { endsWorking } from '../workings/handWorkings.ts';

function planned(change: Partial<WishInput>) {
  const plan = must(
    planWish(
      sampleWish({
        pattern: { key: 'tide-marks' },
        gauge: { from: 'typical' },
        ending: 'any',
        height: { by: 'rows', count: 40 },
        ...change,
      }),
    ),
  );
  const { bound, foundation } = plan.prepared;
  const { fabric, strands } = plan.piece;
  return { ...plan, ...costsOfProject(plan.prepared, { bound, foundation, fabric, strands }) };
}

const border = (envelope: boolean) => ({ rounds: 2, colour: 'B', envelope }) as const;

describe('ends that an envelope closes in', () => {
  // Every row of a mosaic is joined at one edge and fastened off at the other: two ends each, and two of each layer.
  const [plain, closed] = [planned({ border: border(false) }), planned({ border: border(true) })];
  const rows = plain.piece.fabric.courses;

  it('are counted with their tails, and not woven in: of 40 rows and two layers four are', () => {
    expect([plain.piece.ends, plain.piece.closedIn]).toEqual([2 * rows, 0]);
    expect([closed.piece.ends, closed.piece.closedIn]).toEqual([2 * rows, 2 * rows]);
    expect([wovenIn(plain.piece.yarn), wovenIn(closed.piece.yarn)]).toEqual([2 * rows + 2, 4]);
    // 15 cm of each stay in the yarn.
    const tails = ({ piece }: typeof plain) =>
      piece.yarn
        .flatMap(({ parts }) => parts)
        .reduce((sum, { part, metres }) => sum + (part === 'tails' ? metres.mid : 0), 0);
    expect(tails(plain)).toBeCloseTo(0.15 * (2 * rows + 2), 6);
    expect(tails(closed)).toBeCloseTo(0.15 * (2 * rows + 4), 6);
    const working = endsWorking(closed.prepared, closed.piece);
    expect(working.total.mid).toBe(4);
    expect(working.parts.reduce((sum, { amount }) => sum + amount.mid, 0)).toBe(4);
  });

  it('take no time and are no part of a step: four of 150 s, where there were 82', () => {
    expect(rows).toBe(40);
    expect(plain.piece.hands.get('end')).toBeCloseTo(82 * 150, 6);
    // One way with the idle colour: 80 ends of 150 s are 200 minutes that are not spent on strands.
    const minutes = ({ prepared, piece }: typeof plain) => comparePolicies(prepared, piece.fabric)[0]?.minutes ?? 0;
    expect(minutes(plain) - minutes(closed)).toBeCloseTo(200, 6);
    expect(closed.piece.hands.get('end')).toBeCloseTo(4 * 150, 6);
    const parts = ({ sequence }: typeof plain) =>
      sequence.units.flatMap((unit) =>
        unit.kind === 'step' && unit.step.code === 'ends' ? [unit.step.runs.length] : [],
      );
    expect([parts(plain), parts(closed)]).toEqual([[82], [4]]);
  });

  it('of a step that was begun when all of them were parts of it, nothing is left to do but what is there', () => {
    const place = closed.sequence.units.findIndex((unit) => unit.kind === 'step' && unit.step.code === 'ends');
    const { piece, prepared } = closed;
    const { bound, foundation } = prepared;
    const cloth = { bound, foundation, fabric: piece.fabric, strands: piece.strands };
    expect(cellsInHand(cloth, closed, { rows: place, runs: 30 })).toBe(4);
    expect(cellsInHand(cloth, closed, { rows: place, runs: 3 })).toBe(3);
  });

  it('are none where a strand is left inside a row; what goes round has no edges to close, and is refused one', () => {
    // A check cut at every change leaves its ends inside.
    const inside = planned({
      pattern: { key: 'block-check', numbers: { b: 4, r: 4 } },
      policy: 'cut-always',
      border: border(true),
    } as Partial<WishInput>);
    expect(inside.piece.closedIn).toBeLessThan(inside.piece.ends);
    const round = planWish(
      sampleWish({
        item: 'cushion cover',
        pattern: { key: 'barrel-staves' },
        height: { by: 'rows', count: 8 },
        border: border(true),
      }),
    );
    expect(round.ok ? [] : round.problems.map(({ code, path }) => [code, path])).toEqual([
      ['envelope-in-rounds', 'border.envelope'],
    ]);
  });
});
