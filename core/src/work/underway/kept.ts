import type { Fabric } from '../../craft/fabric/fabric.ts';
import type { Foundation } from '../../craft/foundation/foundation.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { good, type Problem, type Result } from '../../craft/values/problem.ts';
import { wishAsBegun } from '../../plan/begun/asBegun.ts';
import { clothAt, type ThawedCloth, type ThawedWork, thaw } from '../../plan/begun/frozen.ts';
import { prepareCloth } from '../../plan/begun/made.ts';
import { workCourse } from '../../plan/steps/course.ts';
import { itemsTouched, nextRow, panelsOf, rowsIn, type Sequence, standingAt } from '../../plan/steps/sequence.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { KeptWork } from '../../records/keptWork.ts';
import type { Wish } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import { sequenceOfWork } from './inHand.ts';

/** No row has more runs than this. */
const longestRun = 20_000;

/** How many runs each row of a fabric has. */
function runsOfRows(fabric: Fabric, bound: BoundPattern, foundation: Foundation): number[] {
  return Array.from(
    { length: fabric.courses },
    (_, course) => workCourse(fabric, bound, foundation, course).runs.length,
  );
}

/** Whether a place of the counter is none of a piece. @param runs of each of its rows */
export function isOutside({ rows, runs: done }: Position, runs: readonly number[]): boolean {
  if (rows === runs.length) return done !== 0;
  return rows > runs.length || done >= (runs[rows] ?? 0);
}

function unlike(ids: readonly string[]): boolean {
  return new Set(ids).size === ids.length;
}

/** A row that is still to be worked, and of which cloth, both from 1. */
export interface RowLeft {
  readonly row: number;
  readonly rows: number;
  readonly piece: number;
  readonly pieces: number;
}

/** A begun work in the order of working, with its cloths. */
function wholeOf(begun: FrozenWork, wish: Wish): Result<{ readonly cloth: ThawedWork; readonly sequence: Sequence }> {
  const cloth = thaw(begun);
  if (!cloth.ok) return cloth;
  for (const before of cloth.value.before ?? []) {
    const prepared = prepareCloth(before.wish, before.cloth);
    if (!prepared.ok) return prepared;
  }
  const prepared = prepareCloth(wishAsBegun(wish, begun.apart), cloth.value);
  if (!prepared.ok) return prepared;
  return good({ cloth: cloth.value, sequence: sequenceOfWork(prepared.value, cloth.value) });
}

/** The first row that is still to be worked before a work may be finished; nothing where every cloth is off the hook. */
export function rowLeft(begun: FrozenWork, wish: Wish, at: Position): Result<RowLeft | undefined> {
  const whole = wholeOf(begun, wish);
  if (!whole.ok) return whole;
  const { sequence } = whole.value;
  const next = nextRow(sequence, at.rows);
  if (!next) return good(undefined);
  const { row, piece } = next;
  return good({ row: row + 1, rows: rowsIn(sequence, piece), piece: piece + 1, pieces: sequence.pieces });
}

/** Where a begun work stands: its cloth in hand, which of how many that is, and how far it is. */
export interface StandsAt {
  readonly cloth: ThawedCloth;
  /** From 1. */
  readonly piece: number;
  readonly pieces: number;
  readonly rows: number;
  /** Runs of the row in hand. */
  readonly runs: number;
}

export function standsAt(begun: FrozenWork, wish: Wish, at: Position): Result<StandsAt> {
  const whole = wholeOf(begun, wish);
  if (!whole.ok) return whole;
  const { cloth, sequence } = whole.value;
  const { piece, rows, unit } = standingAt(sequence, at.rows);
  const runs = unit?.kind === 'row' ? at.runs : 0;
  return good({ cloth: clothAt<ThawedWork>(cloth, piece), piece: piece + 1, pieces: sequence.pieces, rows, runs });
}

/** Items of a begun work that are begun themselves, and the cloths that make one. */
export function touchedOf(begun: FrozenWork, wish: Wish, at: Position): Result<{ items: number; panels: number }> {
  const whole = wholeOf(begun, wish);
  if (!whole.ok) return whole;
  const { sequence } = whole.value;
  return good({ items: itemsTouched(sequence, at), panels: panelsOf(sequence) });
}

/** Runs of each row of a cloth; behind them those of its steps and of the other cloths, as far as the wish tells them. */
export function runsOfUnits(begun: FrozenWork, wish?: Wish): Result<number[]> {
  const cloth = thaw(begun);
  if (!cloth.ok) return cloth;
  const whole = wish && wholeOf(begun, wish);
  const { fabric, bound, foundation } = cloth.value;
  if (!whole?.ok) return whole && cloth.value.before ? whole : good(runsOfRows(fabric, bound, foundation));
  const { sequence } = whole.value;
  const known = new Map<Fabric, number[]>();
  const runsIn = (piece: number) => {
    const own = clothAt<ThawedWork>(cloth.value, piece);
    const runs = known.get(own.fabric) ?? runsOfRows(own.fabric, own.bound, own.foundation);
    known.set(own.fabric, runs);
    return runs;
  };
  return good(
    sequence.units.map((unit) => {
      if (unit.kind === 'row') return runsIn(unit.piece)[unit.row] ?? 1;
      const { runs, facts } = unit.step;
      // Ends that a border closes in were woven in one by one, before they were left out.
      return runs.length + Number(facts?.closedIn ?? 0);
    }),
  );
}

/**
 * What the craft says against a work that comes from a file: a cloth that does not hold together, steps and entries
 * outside it, rows of what was never begun, two parts with one id. Nothing where it is whole.
 */
export function brokenIn(work: KeptWork): readonly Problem[] {
  const { title } = work.wish;
  const problem = (code: string, path: string, facts = {}): Problem[] => [{ code, path, facts: { title, ...facts } }];
  if (!unlike(work.ticks.map(({ id }) => id)) || !unlike(work.log.map(({ id }) => id))) {
    return problem('kept-twice', 'ticks');
  }
  if (!work.begun) return work.ticks.length ? problem('kept-not-begun', 'ticks') : [];
  const now = runsOfUnits(work.begun, work.wish);
  if (!now.ok) return now.problems;
  // A step is of the plan it was made by; where there were several, it lies in none of them beyond the longest.
  let most = now.value.length;
  for (const { begun, wish } of work.former) {
    const then = runsOfUnits(begun, wish);
    if (!then.ok) return then.problems;
    most = Math.max(most, then.value.length);
  }
  const away = ({ rows, runs }: Position) =>
    work.former.length ? rows > most || runs > longestRun : isOutside({ rows, runs }, now.value);
  if (work.ticks.some(({ from, to }) => away(from) || away(to)))
    return problem('kept-outside', 'ticks', { what: 'step' });
  const rowOf = (entry: KeptWork['log'][number]) =>
    'row' in entry ? entry.row : 'position' in entry ? entry.position.rows : 0;
  return work.log.some((entry) => rowOf(entry) > most) ? problem('kept-outside', 'log', { what: 'entry' }) : [];
}
