import { simulatedScale } from './simulated.ts';

/** A scale on a clock that the test moves. */
function scaleAt(random = 0.5, drain = 0) {
  let time = 0;
  const scale = simulatedScale(
    () => time,
    () => random,
    { resolution: 1, swing: 200, still: 500, drain },
  );
  return {
    scale,
    wait: (ms: number) => {
      time += ms;
    },
  };
}

describe('the practice scale', () => {
  it('swings first and settles on what lies on it', () => {
    const { scale, wait } = scaleAt();
    scale.put(50);
    wait(100);
    // After half the swing time e^(−1/2) of it is left: 50 − 30.3 = 19.7.
    expect(scale.read()).toMatchObject({ grams: 20, settled: false });
    wait(2000);
    expect(scale.read()).toMatchObject({ grams: 50, settled: true, bound: 1 });
  });

  it('is not settled at once, even where nothing moves', () => {
    const { scale, wait } = scaleAt();
    scale.put(0);
    expect(scale.read()?.settled).toBe(false);
    wait(500);
    expect(scale.read()?.settled).toBe(true);
  });

  it('takes the bowl off', () => {
    const { scale, wait } = scaleAt();
    scale.put(120);
    wait(3000);
    scale.tare();
    scale.put(157);
    wait(3000);
    expect(scale.read()?.grams).toBe(37);
  });

  it('its noise stays within its step', () => {
    for (const random of [0, 0.25, 0.999]) {
      const { scale, wait } = scaleAt(random);
      scale.put(37);
      wait(3000);
      expect(scale.read()?.grams).toBe(37);
    }
  });

  it('counts its looks, so that one told twice can be known', () => {
    const { scale } = scaleAt();
    expect([scale.read()?.look, scale.read()?.look, scale.read()?.look]).toEqual([1, 2, 3]);
  });

  it('its battery fades with every look, and then it does not answer', () => {
    const { scale } = scaleAt(0.5, 0.25);
    expect([scale.read()?.battery, scale.read()?.battery, scale.read()?.battery]).toEqual([0.75, 0.5, 0.25]);
    expect(scale.read()).toBeUndefined();
  });
});
