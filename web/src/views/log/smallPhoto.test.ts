import { fitted } from './smallPhoto.ts';

describe('a photo as it is kept', () => {
  it('keeps its proportion, and is never made larger', () => {
    expect(fitted(4000, 3000, 1200)).toEqual({ width: 1200, height: 900 });
    expect(fitted(3000, 4000, 1200)).toEqual({ width: 900, height: 1200 });
    expect(fitted(640, 480, 1200)).toEqual({ width: 640, height: 480 });
    expect(fitted(9000, 2, 900)).toEqual({ width: 900, height: 1 });
  });
});
