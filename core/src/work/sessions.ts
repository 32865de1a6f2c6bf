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
  const sessions: { from: number; to: number; expected: number; rows: number }[] = [];
  for (const tick of inOrder) {
    const forward = comparePositions(tick.to, tick.from) > 0;
    const expected = forward ? secondsOfStep(tick, costs, runsOf) : 0;
    const rows = forward ? tick.to.rows - tick.from.rows : 0;
    const open = sessions.at(-1);
    if (open && tick.at - open.to <= pause) {
      open.to = tick.at;
      open.expected += expected;
      open.rows += rows;
    } else {
      sessions.push({ from: tick.at - Math.min(lead, expected * 1000), to: tick.at, expected, rows });
    }
  }
  return sessions.map((session) => ({ ...session, seconds: (session.to - session.from) / 1000 }));
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
  const worked = sessions.filter((each) => each.expected > 60 && each.seconds > 60);
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
