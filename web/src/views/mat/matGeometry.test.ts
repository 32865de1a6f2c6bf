import { nearestNotch, stepNotch } from './matGeometry.ts';

const notches = [175, 225, 275, 325];

describe('notches of the mat', () => {
  it('an edge let go between two notches snaps to the nearer one', () => {
    expect(nearestNotch(notches, (mm) => mm, 249)).toBe(225);
    expect(nearestNotch(notches, (mm) => mm, 251)).toBe(275);
    expect(nearestNotch(notches, (mm) => mm, 9999)).toBe(325);
    expect(nearestNotch([], (mm: number) => mm, 1)).toBeUndefined();
  });

  it('arrow keys go from notch to notch and stop at the last', () => {
    const from = (here: number) => (steps: number) => stepNotch(notches, (mm) => mm === here, steps);
    expect(from(225)(1)).toBe(275);
    expect(from(225)(-1)).toBe(175);
    expect(from(325)(1)).toBe(325);
    expect(from(175)(-3)).toBe(175);
  });
});
