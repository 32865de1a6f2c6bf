import { sampleWish } from '../../../test/sampleWish.ts';
import { must } from '../../craft/values/problem.ts';
import { freeze, thaw } from '../../plan/begun/frozen.ts';
import { planWish } from '../../plan/piece/plan.ts';
import type { KeptWork } from '../../records/keptWork.ts';
import { entryLabel } from '../../records/logEntry.ts';
import type { Wish } from '../../records/wish.ts';
import { afterRun } from '../progress/progress.ts';
import { brokenIn } from './kept.ts';

const id = (end: number) => `00000000-0000-4000-8000-${String(end).padStart(12, '0')}`;
const at = (rows: number, runs = 0) => ({ rows, runs });
const step = (own: number, from = at(own), to = at(own + 1)) => ({ id: id(own), at: 1000 + own, from, to });
const note = (own: number, row: number) => ({
  ...entryLabel,
  kind: 'note' as const,
  id: id(own),
  at: 5,
  row,
  text: 'a',
});

const wish = sampleWish({ width: { by: 'stitches', count: 36 }, height: { by: 'rows', count: 44 } });
const frozen = freeze(must(planWish(wish)));

/** A galley cloth of 36 × 44, nine blocks in a row, as it stands in a file. */
function kept(change: Partial<KeptWork> = {}): KeptWork {
  return {
    id: id(900),
    state: 'begun',
    revision: 2,
    archived: false,
    notice: null,
    due: null,
    createdAt: '2026-05-01T10:00:00.000Z',
    changedAt: '2026-05-01T10:00:00.000Z',
    wish,
    begun: frozen,
    ticks: [step(0), step(1, at(1), at(1, 8)), step(2, at(1, 8), at(2))],
    log: [note(50, 44)],
    former: [],
    ...change,
  };
}

const codes = (work: KeptWork) => brokenIn(work).map(({ code }) => code);

describe('a work from a file', () => {
  it('is taken as it is where it is whole', () => {
    expect(brokenIn(kept())).toEqual([]);
    expect(brokenIn(kept({ begun: null, ticks: [], state: 'wished' }))).toEqual([]);
  });

  it('is refused where a step or an entry lies outside its cloth', () => {
    // A chain, 44 rows of nine runs and four ends: the last place is the ends done; a tenth run there is none, nor a fifth
    // end, nor a third part of a chain of 37.
    expect(codes(kept({ ticks: [step(0, at(0), at(46))] }))).toEqual([]);
    expect(codes(kept({ ticks: [step(0, at(0), at(45, 3))] }))).toEqual([]);
    for (const to of [at(47), at(46, 1), at(45, 4), at(3, 9), at(0, 2)]) {
      expect(codes(kept({ ticks: [step(0, at(0), to)] }))).toEqual(['kept-outside']);
    }
    expect(codes(kept({ log: [note(50, 47)] }))).toEqual(['kept-outside']);
  });

  it('whose ends were being woven in before its border closed them in comes in where it stood', () => {
    // A mosaic of 20 rows has forty ends at its edges; with those of two layers they were 44 parts of one step.
    const mosaic = sampleWish({
      pattern: { key: 'tide-marks' },
      gauge: { from: 'typical' },
      ending: 'any',
      height: { by: 'rows', count: 20 },
      border: { rounds: 2, colour: 'B', envelope: true },
    });
    const plan = must(planWish(mosaic));
    const rows = plan.piece.fabric.courses;
    expect([rows, plan.piece.closedIn]).toEqual([20, 40]);
    const begun = freeze(plan);
    // A chain, the rows, the border as one step, and the ends.
    const weaving = (end: number) => ({ wish: mosaic, begun, ticks: [step(0, at(0), at(rows + 2, end))], log: [] });
    expect(codes(kept(weaving(30)))).toEqual([]);
    expect(codes(kept(weaving(44)))).toEqual(['kept-outside']);
    // The next press leads behind the step, whatever was woven in of it.
    expect(afterRun(at(rows + 2, 30), 4, rows + 3)).toEqual(at(rows + 3));
  });

  it('of several fronts that were counted as one bag comes in where it stood', () => {
    const set = { id: id(7), title: 'Bags', part: 'front' as const };
    const fronts: Wish = { ...wish, item: 'bag', pieces: 3, set, finish: { seam: 'sc' } };
    const { apart: _since, ...before } = freeze(must(planWish(fronts)));
    // As one: chain, 44 rows and the ends of each. In the second cloth a row is where a seam is when each is for itself.
    const row = (cloth: number, n: number, run = 0) => at(46 * cloth + n, run);
    const work = {
      wish: fronts,
      begun: before,
      log: [],
      ticks: [step(0, at(0), row(1, 1, 8)), step(1, row(1, 1, 8), row(2, 44))],
    };
    expect(codes(kept(work))).toEqual([]);
    expect(codes(kept({ ...work, begun: { ...before, apart: true } }))).toEqual(['kept-outside']);
  });

  it('is refused with rows but no beginning, and with one number for two things', () => {
    expect(codes(kept({ begun: null }))).toEqual(['kept-not-begun']);
    expect(codes(kept({ ticks: [step(0), step(0)] }))).toEqual(['kept-twice']);
    expect(codes(kept({ log: [note(50, 1), note(50, 2)] }))).toEqual(['kept-twice']);
  });
});

describe('a cloth from a file', () => {
  const damage = (change: object) => {
    const cloth = thaw({ ...frozen, ...change });
    return cloth.ok ? 'whole' : cloth.problems[0]?.facts?.what;
  };

  it('is not laid where its rows are longer than any row, or it has more stitches than can be laid', () => {
    expect(damage({})).toBe('whole');
    const started = performance.now();
    expect(damage({ rows: ['1000000000 sc A', ...frozen.rows.slice(1)] })).toBe('row');
    expect(damage({ rows: [Array.from({ length: 3000 }, () => '9999 sc A').join(', ')] })).toBe('row');
    // 3000 rows of 9000: 27 million stitches.
    expect(damage({ rows: ['9000 sc A'], courses: new Array(3000).fill(0) })).toBe('size');
    for (const text of ['-4 sc A', '4.5 sc A', '1e3 sc A', '0x10 sc A', ' sc A', '4 sc Z', '4 xx A']) {
      expect(damage({ rows: [text, ...frozen.rows.slice(1)] })).toBe('row');
    }
    expect(performance.now() - started).toBeLessThan(2000);
  });

  it('has its strands inside it', () => {
    const moved = (place: number, by: number) => frozen.moves.map((n, i) => (i === place ? by : n));
    expect(frozen.moves.length).toBeGreaterThan(10);
    for (const [place, by] of [
      [0, 6],
      [0, -1],
      [1, 2],
      [1, 258],
      [2, 44],
      [2, -1],
      [3, 37],
      [3, -1],
      [4, 5000],
    ] as const) {
      expect([place, by, damage({ moves: moved(place, by) })]).toEqual([place, by, 'moves']);
    }
    expect(damage({ bobbins: { colourOf: [0, 1, 9], runs: [] } })).toBe('bobbins');
    expect(damage({ bobbins: { colourOf: [0, 1], runs: [0, 1, 7] } })).toBe('bobbins');
    expect(damage({ bobbins: { colourOf: [0, 1], runs: [0, 1] } })).toBe('bobbins');
  });
});
