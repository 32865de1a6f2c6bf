import { gaugeSpan } from './gaugeSpan.ts';

it('a gauge is told over 10 cm, or over 4 in, which are 10.16 cm', () => {
  expect(gaugeSpan('cm')).toEqual({ words: '10 cm', of10cm: 1 });
  // 4 · 2.54 = 10.16
  expect(gaugeSpan('in').of10cm * 10).toBeCloseTo(10.16, 9);
});
