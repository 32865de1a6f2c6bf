import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { prepare } from '../wish/prepare.ts';
import { chooseSizes } from './choices.ts';
import { fitSizes } from './sizes.ts';
import { sidesOff } from './tolerance.ts';

/** 24 × 24 cm at 16 × 18 to 10 cm: 36 stitches are 22.5 cm, 44 are 27.5; 44 rows are 24.4 cm, 36 are 20. */
function offOf(tolerance: string | undefined, change: Parameters<typeof sampleWish>[0] = {}) {
  const prepared = must(prepare(sampleWish({ ...(tolerance ? { tolerance } : {}), ...change })));
  const choices = chooseSizes(prepared, must(fitSizes(prepared)));
  return Object.fromEntries(
    choices.map((choice) => [`${choice.width.stitches} × ${choice.height.rows}`, sidesOff(prepared, choice)]),
  );
}

describe('how far off the wish a size may be', () => {
  it('without a word any size will do', () => {
    expect(Object.values(offOf(undefined)).flat()).toEqual([]);
  });

  it('within 2 cm: 1.5 cm narrower and 0.4 cm higher are, 4 cm shorter is not', () => {
    const off = offOf('2 cm');
    expect(off['36 × 44']).toEqual([]);
    expect(off['36 × 36']).toEqual(['height']);
    expect(off['44 × 44']).toEqual(['width']);
  });

  it('just as far as allowed is allowed: 1.5 cm', () => {
    expect(offOf('1.5 cm')['36 × 44']).toEqual([]);
    expect(offOf('1.4 cm')['36 × 44']).toEqual(['width']);
  });

  it('a side wished as a count cannot be off', () => {
    const off = offOf('0.5 cm', { width: { by: 'stitches', count: 44 } });
    expect(off['44 × 44']).toEqual([]);
  });

  it('a length that is none is refused at its place', () => {
    const read = prepare(sampleWish({ tolerance: 'a bit' }));
    expect(read.ok ? '' : read.problems[0]?.path).toBe('tolerance');
  });
});
