import fc from 'fast-check';
import { ballsInOrder } from './balls.ts';

describe('balls that a set shares', () => {
  it('go from one project to the next: 31 and 36 m of a ball of 85 m', () => {
    expect(
      ballsInOrder(
        [
          { id: 'Rust', metres: [20, 11] },
          { id: 'Teal', metres: [36] },
        ],
        85,
      ),
    ).toEqual([
      {
        parts: [
          { id: 'Rust', metres: 31, endsIn: undefined },
          { id: 'Teal', metres: 36, endsIn: undefined },
        ],
        left: 18,
      },
    ]);
  });

  it('end where they end: balls of 25 m over rows of 10 m', () => {
    // The first ends in the third row of the first cloth, the second in the second row of the other.
    const balls = ballsInOrder(
      [
        { id: 'Rust', metres: [10, 10, 10] },
        { id: 'Teal', metres: [10, 10, 10] },
      ],
      25,
    );
    expect(balls).toEqual([
      { parts: [{ id: 'Rust', metres: 25, endsIn: 2 }], left: 0 },
      {
        parts: [
          { id: 'Rust', metres: 5, endsIn: undefined },
          { id: 'Teal', metres: 20, endsIn: 1 },
        ],
        left: 0,
      },
      { parts: [{ id: 'Teal', metres: 10, endsIn: undefined }], left: 15 },
    ]);
  });

  it('hold what the projects take, and no more than a ball', () => {
    const need = fc.record({
      id: fc.string(),
      metres: fc.array(fc.double({ min: 0, max: 40, noNaN: true }), { maxLength: 30 }),
    });
    fc.assert(
      fc.property(fc.array(need, { maxLength: 6 }), fc.integer({ min: 5, max: 90 }), (needs, ball) => {
        const balls = ballsInOrder(needs, ball);
        const whole = needs.flatMap(({ metres }) => metres).reduce((sum, each) => sum + each, 0);
        const used = balls.flatMap(({ parts }) => parts).reduce((sum, { metres }) => sum + metres, 0);
        expect(used).toBeCloseTo(whole, 4);
        for (const { parts, left } of balls) {
          expect(parts.reduce((sum, { metres }) => sum + metres, left)).toBeCloseTo(ball, 4);
        }
        // Only the last is not used up.
        expect(balls.slice(0, -1).every(({ left }) => left < 1e-6)).toBe(true);
      }),
    );
  });
});
