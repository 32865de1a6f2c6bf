import { setTimeout as rest } from 'node:timers/promises';
import { inTurn } from './inTurn.ts';

/** As long as a job of so many ms. */
function busy(ms: number): void {
  const end = performance.now() + ms;
  while (performance.now() < end);
}

describe('small jobs one after the other', () => {
  it('are done in their order, and what waits beside them comes in between', async () => {
    const done: (number | string)[] = [];
    for (let i = 0; i < 6; i++) {
      inTurn(() => {
        done.push(i);
        busy(5);
      });
    }
    expect(done).toEqual([]);
    setTimeout(() => done.push('a press'));
    while (done.length < 7) await rest(5);
    expect(done.filter((each) => each !== 'a press')).toEqual([0, 1, 2, 3, 4, 5]);
    // After 8 ms the page has its turn: two jobs of five, fewer on a slow machine.
    expect(done.indexOf('a press')).toBeGreaterThan(0);
    expect(done.indexOf('a press')).toBeLessThanOrEqual(2);
  });

  it('one that is taken back is not done, and the others are', async () => {
    const done: string[] = [];
    inTurn(() => done.push('first'));
    const back = inTurn(() => done.push('taken back'));
    inTurn(() => done.push('last'));
    back();
    await rest(30);
    expect(done).toEqual(['first', 'last']);
  });

  it('what comes while others wait is done after them', async () => {
    const done: string[] = [];
    inTurn(() => {
      done.push('first');
      inTurn(() => done.push('third'));
    });
    inTurn(() => done.push('second'));
    await rest(30);
    expect(done).toEqual(['first', 'second', 'third']);
  });
});
