import type { WorkedCourse } from '../../plan/steps/course.ts';
import { idleWords } from './idle.ts';

const course = {
  runs: [
    { count: 4, kinds: ['sc'], colour: 'B', from: 1 },
    { count: 4, kinds: ['sc'], colour: 'A', from: 5 },
    { count: 4, kinds: ['sc'], colour: 'B', from: 9 },
  ],
} as unknown as WorkedCourse;

describe('what an idle colour does during a run', () => {
  const orders = [
    { colour: 'A', carried: [{ from: 9, to: 10 }], acts: [] },
    { colour: 'B', carried: [{ from: 5, to: 8 }], acts: [] },
  ];
  it('is carried, left hanging, or carried part of the way', () => {
    expect(idleWords(course, 0, orders, ['A', 'B'])).toEqual(['A: leave it hanging']);
    expect(idleWords(course, 1, orders, ['A', 'B'])).toEqual(['B: carry it inside']);
    expect(idleWords(course, 2, orders, ['A', 'B'])).toEqual(['A: carry it inside 2 stitches, leave it there']);
    expect(idleWords(course, 3, orders, ['A', 'B'])).toEqual([]);
  });

  it('is not spoken of while it is cut off', () => {
    expect(idleWords(course, 0, orders, ['B'])).toEqual([]);
  });
});
