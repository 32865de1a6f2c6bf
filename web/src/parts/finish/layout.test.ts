import fc from 'fast-check';
import { countsAt, endMarks, patternAt } from './layout.ts';

const lies = { x: 100, y: 50, w: 200, h: 300, scale: 1, drop: 0 };
const end = (across: number, up: number, letter = 'A') => ({ letter, across, up });

describe('ends on the finishing sheet', () => {
  it('are numbered up the edge where row 1 begins, down the other, and then inside from below', () => {
    const ends = [end(0.5, 0.7), end(1, 0.1), end(0, 0.8), end(1, 0.9), end(0, 0.2), end(0.5, 0.3)];
    // A right hand begins at the right: x 300. The foot is at y 350.
    expect(endMarks(ends, lies, true, 17).map(({ number, at }) => [number, ...at.map(Math.round)])).toEqual([
      [1, 300, 350 - 60],
      [2, 300, 350 - 240],
      [3, 100, 350 - 270],
      [4, 100, 350 - 30],
      [5, 200, 350 - 90],
      [6, 200, 350 - 210],
    ]);
    expect(endMarks(ends, lies, false, 17)[0]?.at).toEqual([100, 290]);
  });

  it('hang where they are where there are too many for numbers: 376 of them stay beside the piece', () => {
    const many = Array.from({ length: 376 }, (_, i) => end(i % 2, (i + 0.5) / 376));
    const tips = endMarks(many, lies, true, 8, 0).map(({ at, tip }) => [tip[1] - at[1], tip[1] >= 50 && tip[1] <= 350]);
    expect(tips.every(([moved, beside]) => moved === 0 && beside)).toBe(true);
  });

  it('hang outwards, and their numbers never lie over one another along an edge', () => {
    const up = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      // As many as an edge of 300 px holds.
      fc.property(fc.array(fc.tuple(fc.constantFrom(0, 1), up), { maxLength: 12 }), (all) => {
        const marks = endMarks(
          all.map(([across, height]) => end(across, height)),
          lies,
          true,
          17,
        );
        for (const side of [83, 317]) {
          const tips = marks.flatMap(({ tip }) => (tip[0] === side ? [tip[1]] : [])).sort((a, b) => a - b);
          for (const [i, y] of tips.slice(1).entries()) {
            expect(y - (tips[i] as number)).toBeGreaterThanOrEqual(20 - 1e-9);
          }
        }
        expect(marks.every(({ at, tip }) => (at[0] === 300 ? tip[0] === 317 : tip[0] === 83))).toBe(true);
      }),
    );
  });

  it('have the counts of a side from the steps: of a border, and of a seam', () => {
    const step = (runs: object[]) => [{ code: 'x', facts: {}, runs, told: [], colour: 0, metres: 0, hands: new Map() }];
    const border = ['top', 'far', 'bottom', 'near'].map((side, i) => ({
      code: 'border-side',
      facts: { side, count: 30 + i },
    }));
    expect(countsAt(step(border) as never)).toEqual({ top: 30, left: 31, bottom: 32, right: 33 });
    const seam = ['first', 'bottom', 'second'].map((at, i) => ({ code: 'seam-side', facts: { at, count: 40 + i } }));
    expect(countsAt(step(seam) as never)).toEqual({ left: 40, bottom: 41, right: 42 });
    expect(countsAt(undefined)).toEqual({});
    // An envelope is counted round by round; what stands along its sides is told with it.
    const envelope = step([{ code: 'envelope-round', facts: { layer: 1, n: 1, of: 1, count: 140 } }]);
    const told = [{ code: 'border-sides', facts: { across: 34, up: 30, corner: 3, first: 140 } }];
    expect(countsAt([{ ...envelope[0], told }] as never)).toEqual({ top: 34, bottom: 34, left: 30, right: 30 });
  });

  it('have the rounds of a border in a pattern, of the first cloth alone', () => {
    const round = (n: number, top: string, far: string, inside: string) => ({
      ...{ code: 'border', facts: { round: n, of: 2, stitches: 9 }, told: [], colour: 0, metres: 0, hands: new Map() },
      runs: [top, far].map((cells) => ({ code: 'border-side', facts: { cells, own: 'A', second: 'B', in: inside } })),
    });
    const both = [round(1, '.x.', '.', 'A'), round(2, 'xxxxx', 'xxx', 'B')];
    expect(patternAt([...both, ...both] as never)).toEqual({
      second: 'B',
      rounds: [
        { across: '.x.', up: '.', corner: '.' },
        { across: 'xxxxx', up: 'xxx', corner: 'x' },
      ],
    });
    const plain = { ...both[0], runs: [{ code: 'border-side', facts: { side: 'top', count: 3, corner: 3 } }] };
    expect([patternAt([plain] as never), patternAt(undefined)]).toEqual([undefined, undefined]);
  });
});
