import { readScale } from './scaleDriver.ts';

const settled = { grams: 37, settled: true, bound: 1, battery: 0.9 };

/** A scale that answers so, one answer a look; what is a function answers in its own time. The last one goes on. */
function scaleWith(...answers: unknown[]) {
  let asked = 0;
  const waited: number[] = [];
  const port = {
    ask: async () => {
      const answer = answers[Math.min(asked++, answers.length - 1)];
      if (answer instanceof Error) throw answer;
      return typeof answer === 'function' ? answer() : answer;
    },
    // A clock that is only counted: what waits longest comes last.
    wait: async (ms: number) => {
      waited.push(ms);
      for (let tick = 0; tick < ms / 50; tick++) await Promise.resolve();
    },
  };
  return { port, asked: () => asked };
}

const never = () => new Promise<never>(() => undefined);

describe('a scale through its driver', () => {
  it('is looked at until it has settled', async () => {
    const swinging = { ...settled, grams: 52, settled: false };
    const { port, asked } = scaleWith({ ...swinging, look: 1 }, { ...swinging, look: 2 }, { ...settled, look: 3 });
    expect(await readScale(port)).toEqual({ grams: 37, bound: 1, words: 'Done.' });
    expect(asked()).toBe(3);
  });

  it('a lost answer harms nothing; four lost in a row are told', async () => {
    const gone = new Error('out of reach');
    expect((await readScale(scaleWith(gone, gone, gone, { ...settled, look: 1 }).port)).grams).toBe(37);
    const { port, asked } = scaleWith(gone);
    expect((await readScale(port)).words).toContain('isn’t answering');
    expect(asked()).toBe(4);
  });

  it('an answer that comes too late counts as lost', async () => {
    expect((await readScale(scaleWith(never, { ...settled, look: 2 }).port)).grams).toBe(37);
    expect((await readScale(scaleWith(never).port)).words).toContain('isn’t answering');
  });

  it('a look that is told twice, or an older one that comes after it, is dropped', async () => {
    const first = { ...settled, grams: 90, settled: false, look: 7 };
    const older = { ...settled, grams: 50, look: 6 };
    const again = { ...settled, grams: 90, look: 7 };
    const { port, asked } = scaleWith(first, older, again, { ...settled, look: 8 });
    expect((await readScale(port)).grams).toBe(37);
    expect(asked()).toBe(4);
  });

  it('one that was switched off and on counts from 1 again', async () => {
    const before = { ...settled, settled: false, look: 40 };
    expect((await readScale(scaleWith(before, { ...settled, look: 1 }).port)).grams).toBe(37);
  });

  it('what is no reading is dropped, and told where nothing else comes', async () => {
    const wrongs = ['37 g', null, { grams: 37 }, { ...settled, grams: Number.NaN, look: 1 }, { ...settled, bound: 0 }];
    expect((await readScale(scaleWith(...wrongs, { ...settled, look: 3 }).port)).grams).toBe(37);
    const nothing = await readScale(scaleWith('37 g').port);
    expect(nothing.grams).toBeUndefined();
    expect(nothing.words).toContain('no usable weight');
  });

  it('less than nothing is no weight of a ball, and a weak battery is told', async () => {
    const under = await readScale(scaleWith({ ...settled, grams: -120, look: 1 }).port);
    expect([under.grams, under.words.includes('set it to zero')]).toEqual([undefined, true]);
    expect((await readScale(scaleWith({ ...settled, battery: 0.1, look: 1 }).port)).words).toContain('nearly empty');
  });

  it('one that never stands still is given up after twenty looks', async () => {
    let look = 0;
    const swinging = () => ({ ...settled, settled: false, look: ++look });
    const { port, asked } = scaleWith(swinging);
    expect((await readScale(port)).words).toContain('keeps wavering');
    expect(asked()).toBe(20);
  });
});
