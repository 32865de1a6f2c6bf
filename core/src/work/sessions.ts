import { type Estimate, ninety } from '../estimate.ts';
import { paceSd } from '../pace/hours.ts';
import { comparePositions, type Tick } from '../progress/progress.ts';
import type { CourseCosts } from './rip.ts';

/** A while at work without a long pause. */
export interface Session {
  /** Milliseconds since 1970. */
  readonly from: number;
  readonly to: number;
  readonly seconds: number;
  /** Seconds that a steady hand would have taken for what was worked. */
  readonly expected: number;
  /** Rows that were finished in it. */
  readonly rows: number;
  /**
   * The part that a clock ran for: seconds from the first step to the last, and what a steady hand would have taken.
   * When the first step was begun nobody knows; it may be many rows that were made up for.
   */
  readonly clocked: { readonly seconds: number; readonly expected: number };
}

/** A pause of more than this is another session, ms. */
const pause = 20 * 60_000;
/** The first step of a session has no step before it; it is taken to have begun this long before, at most, ms. */
const lead = 5 * 60_000;

/** Seconds of a step forward, as far as it is known: a row counts by its rows, a run by its part. */
function secondsOfStep(tick: Tick, costs: CourseCosts, runsOf: (row: number) => number): number {
  let seconds = 0;
  for (let row = tick.from.rows; row < tick.to.rows; row++) seconds += costs.seconds[row] ?? 0;
  const part = (position: Tick['from']) =>
    position.runs ? ((costs.seconds[position.rows] ?? 0) * position.runs) / Math.max(1, runsOf(position.rows)) : 0;
  return seconds + part(tick.to) - part(tick.from);
}

/**
 * Sessions found from the ticks. A long pause parts them; steps back and steps that were made up for afterwards take
 * time too. @param runsOf runs of a row, from 0
 */
export function sessionsOf(ticks: readonly Tick[], costs: CourseCosts, runsOf: (row: number) => number): Session[] {
  const inOrder = [...ticks].sort((a, b) => a.at - b.at);
  const sessions: { from: number; first: number; to: number; expected: number; later: number; rows: number }[] = [];
  for (const tick of inOrder) {
    const forward = comparePositions(tick.to, tick.from) > 0;
    const expected = forward ? secondsOfStep(tick, costs, runsOf) : 0;
    const rows = forward ? tick.to.rows - tick.from.rows : 0;
    const open = sessions.at(-1);
    if (open && tick.at - open.to <= pause) {
      open.to = tick.at;
      open.expected += expected;
      open.later += expected;
      open.rows += rows;
    } else {
      const from = tick.at - Math.min(lead, expected * 1000);
      sessions.push({ from, first: tick.at, to: tick.at, expected, later: 0, rows });
    }
  }
  return sessions.map(({ from, first, to, expected, later, rows }) => ({
    from,
    to,
    seconds: (to - from) / 1000,
    expected,
    rows,
    clocked: { seconds: (to - first) / 1000, expected: later },
  }));
}

/** How this hand stands to a steady one: 1.2 takes a fifth longer. */
export interface OwnPace {
  readonly ratio: number;
  /** Standard deviation of its logarithm. */
  readonly sd: number;
}

/** Hours at work vary from one evening to the next by this much. */
const eveningSd = 0.25;

/** The pace of the sessions, drawn towards the typical hand as long as there is little of it. */
export function paceOf(sessions: readonly Session[]): OwnPace {
  const worked = sessions.map(({ clocked }) => clocked).filter((each) => each.expected > 60 && each.seconds > 60);
  const expected = worked.reduce((sum, each) => sum + each.expected, 0);
  if (!expected) return { ratio: 1, sd: paceSd };
  const seconds = worked.reduce((sum, each) => sum + each.seconds, 0);
  const reading = Math.log(seconds / expected);
  const error = eveningSd / Math.sqrt(worked.length);
  const weight = paceSd ** 2 / (paceSd ** 2 + error ** 2);
  return { ratio: Math.exp(weight * reading), sd: paceSd * Math.sqrt(1 - weight) };
}

/** Seconds still to be worked, with a range. @param expected of a steady hand */
export function secondsLeft(expected: number, { ratio, sd }: OwnPace): Estimate {
  const mid = expected * ratio;
  const factor = Math.exp(ninety * sd);
  return { mid, low: mid / factor, high: mid * factor, source: 'piece' };
}
