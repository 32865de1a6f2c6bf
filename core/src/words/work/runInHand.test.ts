import type { WorkedCourse, WorkedRun } from '../../plan/steps/course.ts';
import { closeWords, kindWords, spokenRun } from './runInHand.ts';

const run = (change: Partial<WorkedRun>): WorkedRun => ({
  count: 4,
  kinds: ['sc'],
  colour: 'A',
  from: 1,
  ...(change.changeTo ? { changeAt: 'stitch' as const } : {}),
  ...change,
});

const course = (own: WorkedRun, close?: WorkedCourse['close']): WorkedCourse => ({
  number: 2,
  side: 'RS',
  runs: [own],
  turn: 1,
  turnCounts: false,
  stitches: own.count,
  byColour: [{ colour: own.colour, count: own.count }],
  byKind: [{ kind: own.kinds[0] ?? 'sc', count: own.count }],
  last: { kind: own.kinds[0] ?? 'sc', colour: own.colour },
  beginsIn: own.colour,
  inHand: own.changeTo ?? own.colour,
  edgePost: false,
  ...(close ? { close } : {}),
});

const told = (own: WorkedRun, terms: 'US' | 'UK' = 'US') => closeWords(course(own), own, terms);

describe('a run told and said', () => {
  it('announces the change on the stitch that finishes in the new colour', () => {
    expect(told(run({ changeTo: 'B' }))).toBe('close the 4th in B');
    expect(told(run({ count: 1, changeTo: 'B' }))).toBe('close it in B');
    expect([21, 22, 23, 11, 112].map((count) => told(run({ count, changeTo: 'B' })).slice(10, 15))).toEqual([
      '21st ',
      '22nd ',
      '23rd ',
      '11th ',
      '112th',
    ]);
  });

  it('brings a colour in where it comes in: at the join, the chain of a block, the edge stitch', () => {
    expect(told(run({ changeTo: 'B', changeAt: 'join' }))).toBe('draw the joining sl st through in B');
    expect(told(run({ changeTo: 'B', changeAt: 'join' }), 'UK')).toBe('draw the joining ss through in B');
    expect(told(run({ kinds: ['block'], changeTo: 'B', changeAt: 'opening' }))).toBe(
      'open the next diagonal with its chain in B',
    );
    expect(told(run({ kinds: ['cluster'], changeTo: 'B', changeAt: 'slip' }))).toBe(
      'draw the sl st into the edge stitch through in B',
    );
  });

  it('draws a fleck up in its own colour and closes it in the ground', () => {
    expect(told(run({ count: 1, kinds: ['fleck'], colour: 'B' }))).toBe('draw up in this colour, close in A');
  });

  it('of two stitches by turns tells which one is the last: of seven from sc, an sc', () => {
    expect(told(run({ count: 7, kinds: ['sc', 'dc'] }))).toBe('the last one is an sc');
    expect(told(run({ count: 8, kinds: ['sc', 'dc'] }), 'UK')).toBe('the last one is a tr');
  });

  it('tells a counted chain with what it counts as, and chains with what they pass over', () => {
    const opening = run({ count: 1, kinds: ['dc-ch3'], opening: { inChain: false, edgePost: false } });
    expect(kindWords(opening, 'US')).toBe('ch 3 (counts as the first dc)');
    expect(kindWords(opening, 'UK')).toBe('ch 3 (counts as the first tr)');
    expect(kindWords(run({ kinds: ['ch'], skips: 'stitch' }), 'US')).toBe('ch, skip 4 stitches');
  });

  it('is said in whole words of the maker’s terms, with what closes the row', () => {
    const own = run({ changeTo: 'B' });
    expect(spokenRun(course(own), own, 'UK')).toBe('4 double crochet in A, close the 4th in B');
    const turns = run({ count: 8, kinds: ['sc', 'dc'] });
    expect(spokenRun(course(turns), turns, 'US')).toBe('8 single crochet and double crochet by turns in A');
    const last = run({});
    expect(spokenRun(course(last, { kind: 'join', into: 'sc' }), last, 'US')).toBe(
      '4 single crochet in A; then slip stitch in the first single crochet',
    );
  });
});
