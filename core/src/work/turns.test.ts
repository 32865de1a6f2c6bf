import type { Fabric } from '../lay/fabric.ts';
import { turnAfter } from './turns.ts';

const made = (making: Fabric['making'], courses = 9) => ({ making, courses }) as Fabric;

describe('turning without a twist', () => {
  it('goes one way and the other by turns, so that what one turn twists the next undoes', () => {
    const turns = [0, 1, 2, 3].map((course) => turnAfter(made('flat'), course, 2));
    expect(turns).toEqual(['clockwise', 'anticlockwise', 'clockwise', 'anticlockwise']);
  });

  it('counts only where the work is turned: every second row of a pair of meshes, never in rounds of the right side', () => {
    const paired = [0, 1, 2, 3, 4, 5].map((course) => turnAfter(made('paired'), course, 2));
    expect(paired).toEqual([undefined, 'clockwise', undefined, 'anticlockwise', undefined, 'clockwise']);
    expect(turnAfter(made('rounds'), 3, 2)).toBeUndefined();
    expect(turnAfter(made('right-side'), 3, 2)).toBeUndefined();
  });

  it('does not matter for one strand, nor after the last row', () => {
    expect(turnAfter(made('flat'), 2, 1)).toBeUndefined();
    expect(turnAfter(made('flat'), 8, 2)).toBeUndefined();
  });
});
