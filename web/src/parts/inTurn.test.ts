import { jest } from '@jest/globals';
import { inTurn } from './inTurn.ts';

describe('small jobs one after the other', () => {
  let now = 0;
  beforeEach(() => {
    jest.useFakeTimers();
    jest.spyOn(performance, 'now').mockImplementation(() => now);
  });
  afterEach(() => {
    jest.runAllTimers();
    jest.restoreAllMocks();
    jest.useRealTimers();
  });

  it('are done in their order, as many at a stretch as fit in 8 ms', () => {
    const done: number[] = [];
    for (let i = 0; i < 5; i++) {
      inTurn(() => {
        done.push(i);
        now += 3;
      });
    }
    expect(done).toEqual([]);
    jest.runOnlyPendingTimers();
    // After the third job 9 ms are over.
    expect(done).toEqual([0, 1, 2]);
    jest.runOnlyPendingTimers();
    expect(done).toEqual([0, 1, 2, 3, 4]);
    jest.runOnlyPendingTimers();
    expect(jest.getTimerCount()).toBe(0);
  });

  it('one that is taken back is not done, and the others are', () => {
    const done: string[] = [];
    inTurn(() => done.push('first'));
    const back = inTurn(() => done.push('taken back'));
    inTurn(() => done.push('last'));
    back();
    jest.runAllTimers();
    expect(done).toEqual(['first', 'last']);
  });

  it('what comes while others wait is done after them', () => {
    const done: string[] = [];
    inTurn(() => {
      done.push('first');
      inTurn(() => done.push('third'));
    });
    inTurn(() => done.push('second'));
    jest.runAllTimers();
    expect(done).toEqual(['first', 'second', 'third']);
  });
});
