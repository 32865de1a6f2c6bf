import { sampleWish } from '../../../test/sampleWish.ts';
import { told } from '../../../test/told.ts';
import { courseCells, type Fabric } from '../../craft/fabric/fabric.ts';
import { must } from '../../craft/values/problem.ts';
import type { WishInput } from '../../records/wish.ts';
import { freeze, thaw } from '../begun/frozen.ts';
import { planWork } from '../begun/made.ts';
import { planWish } from '../piece/plan.ts';

function notation(technique: string, made: string, stitch: string, rows: string[], high = rows.length): string {
  const letters = [...new Set(rows.join(''))].sort().join(' ');
  return `pattern own-1 "Own"
about ""
technique ${technique}
made ${made}
${stitch}colours ${letters}
across ${rows[0]?.length} "repeats"
up ${high} "repeats"
read seen
chart
${rows.map((row) => `  ${row}`).join('\n')}
end
`;
}

const plain = notation('carried', 'flat', 'stitch sc\n', ['A']);
const bar = notation('carried', 'flat', 'stitch sc\n', ['BBB', 'BAB']);
const place = (change: object): WishInput['placed'] => [
  { text: bar, across: { from: 'begin', margin: '5 cm' }, up: { from: 'begin', margin: '5 cm' }, ...change },
];
const wish = (change: Partial<WishInput>) =>
  sampleWish({
    pattern: { text: plain },
    width: { by: 'stitches', count: 40 },
    height: { by: 'rows', count: 44 },
    edges: 'whole',
    ending: 'any',
    ...change,
  });

/** The columns of B in a course, from 0. */
function inB(fabric: Fabric, course: number): number[] {
  return [...courseCells(fabric, course).colours].flatMap((colour, x) => (colour === 1 ? [x] : []));
}

describe('a figure put once on plain ground', () => {
  // 16 stitches in 10 cm are 6.25 mm each, 18 rows 5.56 mm: 5 cm are 8 stitches, and 9 rows.
  it('stands at its margins from the edge where row 1 begins and from below; its ground shows the ground', () => {
    const { fabric } = must(planWish(wish({ placed: place({}) }))).piece;
    expect([9, 10, 8, 11].map((course) => inB(fabric, course))).toEqual([[8, 10], [8, 9, 10], [], []]);
  });

  it('stands at its margins from the other edges, and in the middle of an even number one to the beginning', () => {
    const far = place({ across: { from: 'end', margin: '5 cm' }, up: { from: 'end', margin: '0' } });
    const { fabric } = must(planWish(wish({ placed: far }))).piece;
    expect([inB(fabric, 42), inB(fabric, 43)]).toEqual([
      [29, 31],
      [29, 30, 31],
    ]);
    const middle = place({ across: { from: 'middle' }, up: { from: 'middle' } });
    const centred = must(planWish(wish({ placed: middle }))).piece.fabric;
    expect([inB(centred, 21), inB(centred, 22)]).toEqual([
      [18, 20],
      [18, 19, 20],
    ]);
  });

  it('leaves the widths to the ground: any number of stitches, and asks for its own yarn', () => {
    const plan = must(planWish(wish({ placed: place({}), width: { by: 'stitches', count: 41 } })));
    expect(plan.width.stitches).toBe(41);
    expect(plan.prepared.bound.colours).toEqual(['A', 'B']);
    const one = planWish(wish({ placed: place({}), yarns: sampleWish().yarns.slice(0, 1) }));
    expect(one.ok ? [] : one.problems.map(({ code }) => code)).toContain('yarns-mismatch');
  });

  it('its yarn is that of its stitches: 5 of B, and tails', () => {
    const { share, yarn } = must(planWish(wish({ placed: place({}) }))).piece;
    expect(share).toEqual([40 * 44 - 5, 5]);
    expect(yarn[1]?.metres.mid).toBeGreaterThan(0);
    expect(yarn[1]?.metres.mid).toBeLessThan(3);
  });

  it('is on the hook once it is begun, whatever the figure became since', () => {
    const plan = must(planWish(wish({ placed: place({}) })));
    const begun = freeze(plan);
    expect(inB(must(thaw(begun)).fabric, 9)).toEqual([8, 10]);
    const again = must(planWork({ wish: wish({ placed: place({}) }), begun }));
    expect(inB(again.piece.fabric, 9)).toEqual([8, 10]);
    expect(again.piece.share[1]).toBe(5);
  });

  it('stands in blocks, read row by row on the diagonal', () => {
    const blocks = notation('corner-to-corner', 'diagonals', '', ['A']);
    const lamp = notation('corner-to-corner', 'diagonals', '', ['CBC']);
    const yarns = [
      ...sampleWish().yarns,
      { letter: 'C', name: 'Rust', shade: '#8d2f3b', weight: 4 as const, fibre: 'cotton' as const },
    ];
    const plan = must(
      planWish(
        wish({
          item: 'mat',
          pattern: { text: blocks },
          gauge: { from: 'typical' },
          width: { by: 'stitches', count: 10 },
          height: { by: 'rows', count: 10 },
          placed: [{ text: lamp, across: { from: 'middle' }, up: { from: 'middle' } }],
          yarns,
        }),
      ),
    );
    // Row 5 of ten, blocks 4 to 6: diagonals 7, 8 and 9, counted from 0 at 3 + 4.
    expect(plan.piece.share.map((stitches) => stitches / 3)).toEqual([97, 1, 2]);
  });

  it('is refused where it does not lie on the piece, and on a ground that takes none', () => {
    const wide = planWish(wish({ placed: place({ across: { from: 'begin', margin: '25 cm' } }) }));
    expect(wide.ok ? '' : told(wide.problems[0] as never).message).toMatch(
      /^A figure of 3 by 2 does not lie on 40 stitches/,
    );
    const nets = planWish(wish({ pattern: { key: 'two-nets' }, placed: place({}) }));
    expect(nets.ok ? [] : nets.problems.map(({ code }) => code)).toContain('figure-ground');
    const text = planWish(
      wish({ placed: [{ ...(place({}) as NonNullable<WishInput['placed']>)[0], text: 'pattern' } as never] }),
    );
    expect(text.ok ? '' : text.problems[0]?.path).toBe('placed.0.text');
  });
});
