import { sampleIn } from '../../../test/sampleWish.ts';
import { patternBook } from '../../craft/book/book.ts';
import { must } from '../../craft/values/problem.ts';
import type { WishInput } from '../../records/wish.ts';
import { prepare } from './prepare.ts';

describe('typical gauge is widened only where strands will lie inside', () => {
  const perStitch = (key: string, change: Partial<WishInput> = {}) => {
    const pattern = patternBook.find((each) => each.key === key) as (typeof patternBook)[number];
    return must(prepare(sampleIn(pattern, { edges: 'whole', ending: 'whole', policy: 'as-needed', ...change }))).gauge
      .stitchWidth.mid;
  };
  // Cotton of 85 m to 50 g is 25 / √170 mm thick; a strand inside adds a tenth of that to each stitch.
  const strand = 0.1 * (25 / Math.sqrt(170));

  it.each([
    ['tide-marks', 100 / 14, 'cut in every row'],
    ['rope-coil', 100 / 14, 'waits at the seam'],
    ['two-nets', 100 / 13.5, 'waits on its marker'],
    ['quay-linen', 100 / 15, 'two rows of a colour climb'],
    ['portholes', 100 / 13.5, 'three colours climb'],
    ['round-teeth', 100 / 13.5, 'rounds of one colour wait at the seam'],
  ])('%s: %d mm, its idle colour %s', (key, mm) => {
    expect(perStitch(key)).toBeCloseTo(mm, 9);
  });

  it.each([
    ['houndstooth', 100 / 13.5],
    ['buoys', 100 / 14],
    ['salt-spray', 100 / 14],
  ])('%s carries: its stitch is wider by a strand', (key, mm) => {
    expect(perStitch(key)).toBeCloseTo(mm + strand, 9);
  });

  it('the policy decides: cut is never widened, carry always is', () => {
    expect(perStitch('buoys', { policy: 'cut-always' })).toBeCloseTo(100 / 14, 9);
    expect(perStitch('quay-linen', { policy: 'carry-always' })).toBeCloseTo(100 / 15 + strand, 9);
  });
});
