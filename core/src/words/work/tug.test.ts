import type { WorkedCourse } from '../../plan/steps/course.ts';
import { tugWords } from './tug.ts';

const course = {
  runs: [{ colour: 'A', changeTo: 'B' }, { colour: 'B', changeTo: 'A' }, { colour: 'A' }],
} as unknown as WorkedCourse;

describe('to tug the idle strand', () => {
  it('is told after each change, of the strand that is laid down', () => {
    expect([0, 1, 2].map((run) => tugWords('change', course, run, true))).toEqual([
      'After the change tug A gently',
      'After the change tug B gently',
      undefined,
    ]);
  });

  it('is told at the end of the row, if a strand is idle, or not at all', () => {
    expect([0, 2].map((run) => tugWords('row', course, run, true))).toEqual([
      undefined,
      'At the end of the row tug the idle yarn gently',
    ]);
    expect(tugWords('row', course, 2, false)).toBeUndefined();
    expect(tugWords('never', course, 0, true)).toBeUndefined();
    expect(tugWords('loosely', course, 0, true)).toBe('Lay A in loosely; do not pull it');
    expect(tugWords('loosely', course, 2, true)).toBeUndefined();
    expect(tugWords('change', course, 9, true)).toBeUndefined();
  });
});
