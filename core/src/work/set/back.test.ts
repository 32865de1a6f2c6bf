import fc from 'fast-check';
import { sampleWish } from '../../../test/sampleWish.ts';
import { plainPattern } from '../../craft/book/patterns/plain.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { sequenceOf } from '../../plan/steps/sequence.ts';
import { backOf, isTwin, sidesJoined, twinOf } from './back.ts';

const front = sampleWish({
  title: 'Bread bag',
  item: 'bag',
  width: { by: 'length', length: '34 cm' },
  height: { by: 'length', length: '38 cm' },
  pieces: 1,
  finish: { seam: 'sc', strap: { drop: '28 cm', kind: 'sc along', width: '3 cm', load: 30, colour: 'A' } },
  set: { id: '1b0f7a52-3a7b-4c3e-9d0a-0a6f5a1c2b3d', title: 'Bread bag', part: 'front' },
});

describe('the back of a bag', () => {
  it('is as large as its front is planned, plain or in another pattern, and has no strap of its own', () => {
    const size = must(planWish(front));
    for (const pattern of [{ text: plainPattern }, { key: 'houndstooth' }, { key: 'block-check' }]) {
      const back = must(backOf(front, pattern));
      const plan = must(planWish(back));
      expect([back.item, back.finish, back.set?.part, back.title]).toEqual([
        'bag panel',
        undefined,
        'back',
        'Bread bag, back',
      ]);
      // No further off than half a step of the pattern, some 3 cm for a block of four on each side.
      expect(Math.abs(plan.width.width.mid - size.width.width.mid)).toBeLessThan(30);
      expect(Math.abs(plan.height.height.mid - size.height.height.mid)).toBeLessThan(30);
    }
    const plain = must(planWish(must(backOf(front, { text: plainPattern }))));
    // One stitch at a time: within half a stitch of 6.25 mm, and half a row of 5.6.
    expect(Math.abs(plain.width.width.mid - size.width.width.mid)).toBeLessThan(3.2);
    expect(Math.abs(plain.height.height.mid - size.height.height.mid)).toBeLessThan(2.9);
    expect(plain.prepared.wish.gauge).toEqual(front.gauge);
    expect(must(backOf(front, { key: 'houndstooth' })).gauge).toEqual({ from: 'typical' });
  });

  it('may be its twin: the same cloth in the same size, planned for itself', () => {
    const wish = { ...front, choice: { stitches: 36, rows: 44 } };
    const twin = twinOf(wish);
    const [one, other] = [must(planWish(wish)), must(planWish(twin))];
    expect([other.piece.stitches, other.piece.rows]).toEqual([one.piece.stitches, one.piece.rows]);
    expect([twin.item, twin.finish, twin.set?.part, twin.title]).toEqual([
      'bag panel',
      undefined,
      'back',
      'Bread bag, back',
    ]);
    expect([isTwin(wish, twin), isTwin(wish, must(backOf(wish, { text: plainPattern })))]).toEqual([true, false]);
  });

  it('leaves the seam, the strap and their ends to the front: once for the bag', () => {
    const steps = (wish: typeof front) => {
      const { prepared, piece } = must(planWish(wish));
      const ends = Array.from({ length: 4 }, () => ({ letter: 'A' }));
      return sequenceOf([{ pieces: 2, prepared, fabric: piece.fabric, ends }], false).units.flatMap((unit) =>
        unit.kind === 'step' ? [unit.step.code] : [],
      );
    };
    expect(steps(front).filter((code) => code === 'seam' || code === 'strap')).toEqual(['seam', 'strap']);
    expect(steps(must(backOf(front, { text: plainPattern })))).toEqual(['ends']);
  });

  it('is refused with words where it wants more colours than there are', () => {
    expect(backOf(front, { key: 'lantern-diamonds' })).toMatchObject({ problems: [{ code: 'yarns-mismatch' }] });
    expect(backOf(front, { key: 'no-such' }).ok).toBe(false);
  });

  it('is joined by so many rows to so many: 44 to 40 is 11 to 10', () => {
    expect(sidesJoined(44, 40)).toEqual({ front: 11, back: 10 });
    expect(sidesJoined(60, 30)).toEqual({ front: 2, back: 1 });
    expect(sidesJoined(44, 44)).toBeUndefined();
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 1, max: 200 }), (one, other) => {
        const joined = sidesJoined(one, other);
        if (!joined) return expect(one).toBe(other);
        expect(Math.abs((one * joined.back) / joined.front - other)).toBeLessThanOrEqual(0.5);
      }),
    );
  });
});
