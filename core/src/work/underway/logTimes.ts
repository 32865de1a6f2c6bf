import type { OwnPace } from '../../plan/pace/ownPace.ts';
import type { SessionMarks } from '../../records/logEntry.ts';
import { afterTick, type Position, type Tick } from '../progress/progress.ts';
import { type Rows, sessionsOfWork } from './inHand.ts';
import { paceOfSessions, sessionRatio, type ToldSession } from './sessions.ts';

/** A point of the line of rows against hours. */
export interface RowsAfter {
  /** At work, pauses left out. */
  readonly hours: number;
  readonly row: number;
}

/** When a work was worked: all that its steps tell, however many there are. */
export interface LogTimes {
  /** Each with its ratio to a steady hand; nothing where no step was clocked in it. */
  readonly sessions: readonly (ToldSession & { readonly ratio: number | undefined })[];
  readonly pace: OwnPace;
  /** Thinned to what can be told apart on a screen. */
  readonly line: readonly RowsAfter[];
  /** The last step, ms since 1970; nothing before the first. */
  readonly lastStep: number | undefined;
}

/** @param ticks in the order of their times @param before what was known of the hand */
export function logTimes(
  rows: Rows,
  costs: Parameters<typeof sessionsOfWork>[1],
  ticks: Iterable<Omit<Tick, 'id'>>,
  marks: SessionMarks,
  before?: OwnPace,
): LogTimes {
  const sessions = sessionsOfWork(rows, costs, ticks, marks);
  return {
    sessions: sessions.map(({ clocked, ...session }) => ({ ...session, ratio: sessionRatio({ clocked }) })),
    pace: paceOfSessions(sessions, before),
    ...lineOf(ticks, sessions),
  };
}

/** Hours at work up to each tick, and the row the work then stood at. */
function lineOf(
  ticks: Iterable<Omit<Tick, 'id'>>,
  sessions: readonly ToldSession[],
): Pick<LogTimes, 'line' | 'lastStep'> {
  const [hours, rows] = [[0], [0]];
  let position: Position = { rows: 0, runs: 0 };
  let lastStep: number | undefined;
  let [before, n] = [0, 0];
  for (const tick of ticks) {
    for (; n < sessions.length && tick.at > (sessions[n] as ToldSession).to; n++) {
      before += (sessions[n] as ToldSession).seconds * 1000;
    }
    const session = sessions[n];
    if (session) {
      // What the maker has said of its length holds.
      const share = (session.seconds * 1000) / Math.max(1, session.to - session.from);
      position = afterTick(position, tick);
      hours.push((before + (tick.at - session.from) * share) / 3_600_000);
      rows.push(position.rows);
    }
    lastStep = tick.at;
  }
  return { line: thinned(hours, rows), lastStep };
}

/** Parts of the whole in which steps cannot be told apart any more. */
const parts = 600;

/**
 * The points of a line, of many fewer: of each part the first, the lowest, the highest and the last.
 * @param hours at work, ascending @param rows one for each
 */
export function thinned(hours: readonly number[], rows: readonly number[]): RowsAfter[] {
  const point = (at: number): RowsAfter => ({ hours: hours[at] as number, row: rows[at] as number });
  if (hours.length <= 4 * parts) return hours.map((_, at) => point(at));
  const whole = hours.at(-1) || 1;
  const partOf = (at: number) => Math.floor(((hours[at] as number) / whole) * parts);
  const kept: RowsAfter[] = [];
  for (let start = 0; start < hours.length; ) {
    const part = partOf(start);
    let [end, low, high] = [start, start, start];
    for (; end < hours.length && partOf(end) === part; end++) {
      if ((rows[end] as number) < (rows[low] as number)) low = end;
      if ((rows[end] as number) > (rows[high] as number)) high = end;
    }
    for (const at of [...new Set([start, low, high, end - 1])].sort((a, b) => a - b)) kept.push(point(at));
    start = end;
  }
  return kept;
}
