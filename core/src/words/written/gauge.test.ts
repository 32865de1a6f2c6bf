import { readGauge } from './gauge.ts';

describe('a gauge as people write it', () => {
  it.each([
    ['Gauge: 16 sts and 18 rows = 10 cm', 16, 18, '10 cm'],
    ['Tension 14 dc x 16 rows over 10 cm', 14, 16, '10 cm'],
    ['16 stitches and 18.5 rows to 4 inches', 16, 18.5, '4 in'],
    ['Gauge: 4,5 sts, 5 rows per 1"', 4.5, 5, '1 in'],
    ['17 sts / 20 rows = 100 mm', 17, 20, '100 mm'],
  ])('%s', (text, stitches, rows, over) => {
    expect(readGauge(text)).toEqual({ stitches: { count: stitches, over }, rows: { count: rows, over } });
  });

  it.each([
    'Row 6 (WS): 7 A, 6 B, *5 A, 2 B; rep from * 3 times, 9 A',
    'Work 18 rows in the next 10 cm',
    'Gauge is not important here',
    'Gauge: 16 sts = 10 cm',
    'Row 3: sc in next 8 sts in grey',
  ])('is not read where there is none: %s', (text) => {
    expect(readGauge(text)).toBeUndefined();
  });
});
