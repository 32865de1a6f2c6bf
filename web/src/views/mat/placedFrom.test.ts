import { must } from '@puntada/core/craft';
import { prepare } from '@puntada/core/plan';
import { type WishInput, wishSchema } from '@puntada/core/records';
import { placedFrom } from './placedFrom.ts';

const pattern = (rows: string[], colours: string) => `pattern own-1 "Own"
about ""
technique carried
made flat
stitch sc
colours ${colours}
across ${rows[0]?.length}
up ${rows.length}
chart
${rows.join('\n')}
end
`;
const yarn = { name: 'x', shade: '#888888', weight: 4, fibre: 'cotton' } as const;

function prepared(units: 'cm' | 'in', placed: WishInput['placed']) {
  return must(
    prepare(
      wishSchema.parse({
        title: 'Tide',
        item: 'dishcloth',
        units,
        width: { by: 'length', length: '25 cm' },
        height: { by: 'length', length: '25 cm' },
        pattern: { text: pattern(['A'], 'A') },
        placed,
        gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 20, over: '10 cm' } },
        yarns: [
          { ...yarn, letter: 'A' },
          { ...yarn, letter: 'B' },
        ],
      }),
    ),
  );
}

const bar = pattern(['BBB', 'BBB'], 'B');

describe('a figure dragged on the mat', () => {
  it('stands from the edge it was told from, at a margin that is as many stitches again', () => {
    for (const units of ['cm', 'in'] as const) {
      const at = prepared(units, [
        { text: bar, across: { from: 'begin', margin: '5 cm' }, up: { from: 'end', margin: '0' } },
      ]);
      for (const cell of [0, 1, 7, 20, 37]) {
        const placed = placedFrom(at, 0, { cell, row: 3 }, 40, 50);
        const again = prepared(units, placed).bound.placed?.[0];
        expect(again?.across).toEqual({ from: 'begin', cells: cell });
        // 50 rows, 2 of them its own, 3 below it.
        expect(again?.up).toEqual({ from: 'end', cells: 45 });
      }
    }
  });

  it('is in the middle once it is there, and told from the nearer edge when it leaves it', () => {
    const middle = prepared('cm', [{ text: bar, across: { from: 'middle' }, up: { from: 'middle' } }]);
    expect(placedFrom(middle, 0, { cell: 18, row: 24 }, 40, 50)?.[0]).toMatchObject({
      across: { from: 'middle' },
      up: { from: 'middle' },
    });
    // 19 from where row 1 begins leaves 18 on the other side: 18 stitches of 6.25 mm are 11.25 cm.
    expect(placedFrom(middle, 0, { cell: 19, row: 2 }, 40, 50)?.[0]).toMatchObject({
      across: { from: 'end', margin: '11.3 cm' },
      up: { from: 'begin', margin: '1.0 cm' },
    });
  });

  it('stays on the cloth, and is left alone where it is larger than that', () => {
    const at = prepared('cm', [
      { text: bar, across: { from: 'begin', margin: '0' }, up: { from: 'begin', margin: '0' } },
    ]);
    expect(placedFrom(at, 0, { cell: -9, row: 99 }, 40, 50)?.[0]).toMatchObject({
      across: { from: 'begin', margin: '0.0 cm' },
      up: { from: 'begin', margin: '24.0 cm' },
    });
    expect(placedFrom(at, 0, { cell: 0, row: 0 }, 2, 50)).toBeUndefined();
  });
});
