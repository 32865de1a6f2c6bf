import { type Handwork, handworkOf, secondsIn } from '../pace/hours.ts';
import { type ClockedStep, type OwnPace, paceOf } from '../pace/ownPace.ts';
import { comparePositions, type Position, type Tick } from '../progress/progress.ts';
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
   * The steps that a clock ran for: all but the first. When that was begun nobody knows; it may be many rows that were
   * made up for.
   */
  readonly clocked: readonly ClockedStep[];
}

/** A pause of more than this is another session, ms. */
const pause = 20 * 60_000;
/** The first step of a session has no step before it; it is taken to have begun this long before, at most, ms. */
const lead = 5 * 60_000;

/** What is worked in a step forward, as far as it is known: a row counts by its rows, a run by its part. */
function workOfStep({ from, to }: Tick, { hands }: CourseCosts, runsOf: (row: number) => number): Handwork {
  const whole = hands.slice(from.rows, to.rows).map((each) => [each, 1] as const);
  const part = ({ rows, runs }: Position, sign: 1 | -1) => {
    const row = hands[rows];
    return row && runs ? [[row, (sign * runs) / Math.max(1, runsOf(rows))] as const] : [];
  };
  return handworkOf([...whole, ...part(to, 1), ...part(from, -1)]);
}

const nothing: Handwork = new Map();

/**
 * Sessions found from the ticks. A long pause parts them; steps back and steps that were made up for afterwards take
 * time too. @param runsOf runs of a row, from 0
 */
export function sessionsOf(ticks: readonly Tick[], costs: CourseCosts, runsOf: (row: number) => number): Session[] {
  const inOrder = [...ticks].sort((a, b) => a.at - b.at);
  const sessions: { from: number; to: number; expected: number; rows: number; clocked: ClockedStep[] }[] = [];
  for (const tick of inOrder) {
    const forward = comparePositions(tick.to, tick.from) > 0;
    const work = forward ? workOfStep(tick, costs, runsOf) : nothing;
    const expected = secondsIn(work);
    const rows = forward ? tick.to.rows - tick.from.rows : 0;
    const open = sessions.at(-1);
    if (open && tick.at - open.to <= pause) {
      open.clocked.push({ seconds: (tick.at - open.to) / 1000, work });
      open.to = tick.at;
      open.expected += expected;
      open.rows += rows;
    } else {
      const from = tick.at - Math.min(lead, expected * 1000);
      sessions.push({ from, to: tick.at, expected, rows, clocked: [] });
    }
  }
  return sessions.map((each) => ({ ...each, seconds: (each.to - each.from) / 1000 }));
}

/** The pace of a work's sessions. @param before what was known of the hand */
export function paceOfSessions(sessions: readonly Session[], before?: OwnPace): OwnPace {
  return paceOf(
    sessions.map(({ clocked }) => clocked),
    before,
  );
}
