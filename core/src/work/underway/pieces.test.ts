import type { Sequence, Unit } from '../../plan/steps/sequence.ts';
import { entryLabel, type Measuring } from '../../records/logEntry.ts';
import { piecesApart } from './pieces.ts';

/** Two panels of forty rows, with a chain between them. */
const rows = (piece: number): Unit[] => Array.from({ length: 40 }, (_, row) => ({ kind: 'row', piece, row }));
const chain: Unit = {
  kind: 'step',
  piece: 1,
  of: 'cloth',
  step: {
    code: 'chain',
    facts: {},
    runs: [{ code: 'chain' }],
    told: [],
    colour: 0,
    stitches: 0,
    metres: 0,
    hands: new Map(),
  },
};
const sequence: Sequence = { pieces: 2, items: 1, rowsOf: [40, 40], units: [...rows(0), chain, ...rows(1)] };

const measure = (units: number, width: string | undefined, height?: string): Measuring => ({
  ...entryLabel,
  kind: 'measure',
  id: `${units}`,
  at: units,
  position: { rows: units, runs: 0 },
  ...(width ? { width } : {}),
  ...(height ? { height } : {}),
});

describe('pieces that are to match', () => {
  it('are compared at the same row: the second panel is 1.2 cm wider at row 30', () => {
    // Row 30 of the second panel is the 71st of all: forty rows, a chain, thirty rows.
    expect(piecesApart([measure(30, '24.0 cm'), measure(71, '25.2 cm')], sequence, 'cm')).toEqual([
      { piece: 1, than: 0, side: 'width', row: 30, by: expect.closeTo(12, 6) },
    ]);
  });

  it('are compared at their ends, before the chain of the next', () => {
    expect(piecesApart([measure(40, '24.0 cm'), measure(81, '23.0 cm')], sequence, 'cm')).toEqual([
      { piece: 1, than: 0, side: 'width', row: 40, by: expect.closeTo(-10, 6) },
    ]);
  });

  it('say nothing of what a tape cannot tell, of other rows, or of a cloth alone', () => {
    expect(piecesApart([measure(30, '24.0 cm'), measure(71, '24.3 cm')], sequence, 'cm')).toEqual([]);
    expect(piecesApart([measure(10, '24.0 cm'), measure(71, '26 cm')], sequence, 'cm')).toEqual([]);
    expect(piecesApart([measure(10, '24.0 cm'), measure(30, '26 cm')], sequence, 'cm')).toEqual([]);
  });

  it('are compared by the height of as many rows, and the last measurement of a panel holds', () => {
    // 28 rows were 14 cm: thirty would be 15; 16 is one more.
    const first = [measure(28, undefined, '14 cm'), measure(71, undefined, '16 cm')];
    expect(piecesApart(first, sequence, 'cm')).toMatchObject([{ side: 'height', by: expect.closeTo(10, 6) }]);
    expect(piecesApart([...first, measure(71, undefined, '15.1 cm')], sequence, 'cm')).toEqual([]);
  });
});
