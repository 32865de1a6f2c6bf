import { bedOf, bedSize, beds, piecesOf, usualFinish, usualSize, usualTitle } from './usual.ts';

describe('what is usual', () => {
  it('a cot is 90 × 120 cm, which are 35 1/2 × 47 inches to the half', () => {
    // 90 ÷ 2.54 = 35.43, 120 ÷ 2.54 = 47.24.
    expect(bedSize('a baby’s cot', 'cm')).toEqual(['90', '120']);
    expect(bedSize('a baby’s cot', 'in')).toEqual(['35 1/2', '47']);
  });

  it('every bed is known again by its size, and another size is for none', () => {
    for (const units of ['cm', 'in'] as const) {
      for (const { bed } of beds) expect(bedOf(units, ...bedSize(bed, units))).toBe(bed);
    }
    expect(bedOf('cm', '91', '120')).toBe('');
  });

  it('an item brings its size, its name and what it asks for', () => {
    expect(usualSize('potholder', 'cm')).toEqual(['20', '20']);
    expect(usualTitle('bag')).toBe('New bag');
    expect(usualFinish('bag', 'in')).toMatchObject({
      pieces: '2',
      finish: { strap: { kind: 'sc along', drop: '11 in' } },
    });
  });
});

describe('how many pieces a bag has', () => {
  it('two panels are one bag in rounds, and a bag in rounds two panels again; other items stay as many', () => {
    expect([piecesOf('bag', '2', true), piecesOf('bag', '4', true), piecesOf('bag', '1', false)]).toEqual([
      '1',
      '2',
      '2',
    ]);
    expect([piecesOf('cushion cover', '2', true), piecesOf('bag', '', true)]).toEqual(['2', '']);
  });
});
