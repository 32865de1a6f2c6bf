import type { WorkedRun } from '@puntada/core';
import { closeWords, spokenRun } from './closeWords.ts';

const run = (change: Partial<WorkedRun>): WorkedRun => ({ count: 4, kinds: ['sc'], colour: 'A', from: 1, ...change });

describe('a run told and said', () => {
  it('announces the change on the stitch that finishes in the new colour', () => {
    expect(closeWords(run({ changeTo: 'B' }), 'US')).toBe('close the 4th in B');
    expect(closeWords(run({ count: 1, changeTo: 'B' }), 'US')).toBe('close it in B');
    expect([21, 22, 23, 11, 112].map((count) => closeWords(run({ count, changeTo: 'B' }), 'US').slice(10, 15))).toEqual(
      ['21st ', '22nd ', '23rd ', '11th ', '112th'],
    );
  });

  it('of two stitches by turns tells which one is the last: of seven from sc, an sc', () => {
    expect(closeWords(run({ count: 7, kinds: ['sc', 'dc'] }), 'US')).toBe('the last one is an sc');
    expect(closeWords(run({ count: 8, kinds: ['sc', 'dc'] }), 'UK')).toBe('the last one is a tr');
  });

  it('is said in whole words of the maker’s terms', () => {
    expect(spokenRun(run({ changeTo: 'B' }), 'UK')).toBe('4 double crochet in A, close the 4th in B');
    expect(spokenRun(run({ count: 8, kinds: ['sc', 'dc'] }), 'US')).toBe(
      '8 single crochet and double crochet by turns in A',
    );
  });
});
