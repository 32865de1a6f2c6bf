import { countError, countedGauge, sizeFromCounts, typicalGauge, widening } from './gauge.ts';

describe('gauge from counts', () => {
  const counts = [
    { count: 21, span: 150 },
    { count: 20.5, span: 148 },
    { count: 28.5, span: 202 },
  ];

  it('averages by span: 500 mm over 70 stitches is 14 to 10 cm', () => {
    expect(sizeFromCounts(counts, 'typed').mid).toBeCloseTo(7.143, 3);
  });

  it('knows how sure it is: 0.0129 for the three, 0.0182 for the first alone', () => {
    expect(countError(counts)).toBeCloseTo(0.0129, 4);
    expect(countError(counts.slice(0, 1))).toBeCloseTo(0.0182, 4);
  });

  it('16 stitches and 18 rows to 10 cm are 6.25 and 5.56 mm', () => {
    const gauge = countedGauge([{ count: 16, span: 100 }], [{ count: 18, span: 100 }]);
    expect(gauge.stitchWidth.mid).toBe(6.25);
    expect(gauge.rowHeight.mid).toBeCloseTo(5.5556, 4);
    expect(gauge.stitchWidth.low).toBeLessThan(6.25);
    expect(gauge.stitchWidth.high).toBeGreaterThan(6.25);
  });
});

describe('typical gauge', () => {
  it('medium sc is 14 × 16 to 10 cm, a tenth either way', () => {
    const { stitchWidth, rowHeight, source } = typicalGauge('sc', 4, 0);
    expect(source).toBe('typical');
    expect(stitchWidth.mid).toBeCloseTo(100 / 14, 9);
    expect(stitchWidth.low).toBeCloseTo(100 / 15.4, 9);
    expect(stitchWidth.high).toBeCloseTo(100 / 12.6, 9);
    expect(rowHeight.mid).toBeCloseTo(6.25, 9);
  });

  it('a strand of 2 mm inside a stitch of 7.143 mm widens it by 2.8 % and leaves the height a fifth unsure', () => {
    expect(widening(2, 100 / 14)).toBeCloseTo(0.028, 6);
    const { stitchWidth, rowHeight } = typicalGauge('sc', 4, 2);
    expect(stitchWidth.mid).toBeCloseTo(7.343, 3);
    expect(rowHeight.mid).toBeCloseTo(6.3375, 4);
    expect(rowHeight.low).toBeCloseTo(6.3375 / 1.2, 4);
    expect(rowHeight.high).toBeCloseTo(6.3375 / 0.8, 4);
  });
});
