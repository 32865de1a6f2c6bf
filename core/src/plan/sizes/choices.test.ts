import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { makePiece } from '../piece/piece.ts';
import { prepare } from '../wish/prepare.ts';
import { chooseSizes, type SizeReason } from './choices.ts';
import { fitSizes } from './sizes.ts';

function choices(change: Parameters<typeof sampleWish>[0] = {}) {
  const prepared = must(prepare(sampleWish(change)));
  return chooseSizes(prepared, must(fitSizes(prepared))).map(({ width, height, reasons }) => ({
    size: [width.stitches, height.rows],
    reasons,
  }));
}

describe('the sizes worth considering', () => {
  it('are the nearest, the alike, the squarest, and one step either way; each once', () => {
    const found = choices();
    expect(new Set(found.map(({ size }) => size.join())).size).toBe(found.length);
    const of = (reason: SizeReason) => found.find(({ reasons }) => reasons.includes(reason))?.size;
    expect(of('nearest')).toEqual([36, 44]);
    expect(of('narrower')).toEqual([28, 44]);
    expect(of('wider')).toEqual([44, 44]);
    expect(of('shorter')).toEqual([36, 36]);
    expect(of('longer')).toEqual([36, 52]);
  });

  it('with whole blocks the nearest is not the alike one', () => {
    const [first, second] = choices({ edges: 'whole', ending: 'whole' });
    // 24 cm are 38.4 stitches and 43.2 rows: 40 and 44 are nearest; 36 is the nearest with like edges.
    expect(first).toEqual({ size: [40, 44], reasons: ['nearest'] });
    expect(second).toEqual({ size: [36, 44], reasons: ['matching', 'narrower'] });
  });

  it('a typed chain comes first, as it was asked', () => {
    const [first, second] = choices({ width: { by: 'chain', count: 41 } });
    expect(first).toMatchObject({ size: [40, 44], reasons: ['asked'] });
    expect(second?.size).toEqual([36, 44]);
  });
});

describe('what a policy costs in ends and yarn', () => {
  const piece = (policy: 'carry-always' | 'as-needed' | 'cut-always') =>
    must(makePiece(must(prepare(sampleWish({ policy }))), 36, 44));

  it('carrying always lies one strand in every stitch; as needed less; cutting none', () => {
    const inside = (policy: Parameters<typeof piece>[0]) => piece(policy).strands.inside.reduce((sum, n) => sum + n, 0);
    expect(inside('carry-always')).toBe(36 * 44);
    expect(inside('as-needed')).toBeLessThan(36 * 44);
    expect(inside('cut-always')).toBe(0);
  });

  it('cut always: each run of a row has its two ends, but where the hook goes straight on in the colour at a turn', () => {
    const { ends } = piece('cut-always');
    // 9 runs in each of 44 rows. At the 33 turns within a band the edge block goes on in its colour; the colour beside
    // it waits at the very stitch where the row that comes back wants it, and is cut all the same. At the 10 turns
    // between bands the colour changes.
    expect(ends).toBe(2 * (9 * 44 - 33));
  });

  it('the metres of the parts add up to the whole', () => {
    for (const policy of ['carry-always', 'as-needed', 'cut-always'] as const) {
      for (const need of piece(policy).yarn) {
        expect(need.parts.reduce((sum, part) => sum + part.metres.mid, 0)).toBeCloseTo(need.metres.mid, 9);
      }
    }
  });
});
