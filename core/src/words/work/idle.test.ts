import { idleWords } from './idle.ts';

describe('what an idle colour does during a run', () => {
  it('is carried, left hanging, or carried part of the way', () => {
    expect(idleWords([{ colour: 'A' }], 4)).toEqual(['A: leave it hanging']);
    expect(idleWords([{ colour: 'B', over: { from: 1, to: 4 } }], 4)).toEqual(['B: carry it inside']);
    expect(idleWords([{ colour: 'A', over: { from: 1, to: 2 } }], 4)).toEqual([
      'A: carry it inside 2 stitches, leave it there',
    ]);
    expect(idleWords([{ colour: 'A', over: { from: 3, to: 4 } }], 4)).toEqual([
      'A: leave it hanging for 2 stitches, then carry it inside',
    ]);
    expect(idleWords([{ colour: 'A', over: { from: 2, to: 2 } }], 4)).toEqual([
      'A: leave it hanging for 1 stitch, carry it inside 1 stitch, leave it there',
    ]);
  });

  it('is not mentioned where nothing is idle', () => {
    expect(idleWords([], 4)).toEqual([]);
  });
});
