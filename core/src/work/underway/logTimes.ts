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
  ticks: readonly Omit<Tick, 'id'>[],
  marks: SessionMarks,
  before?: OwnPace,
): LogTimes {
  const sessions = sessionsOfWork(rows, costs, ticks, marks);
  return {
    sessions: sessions.map(({ clocked, ...session }) => ({ ...session, ratio: sessionRatio({ clocked }) })),
    pace: paceOfSessions(sessions, before),
    line: thinned(lineOf(ticks, sessions)),
    lastStep: ticks.at(-1)?.at,
  };
}

/** Hours at work up to each tick, and the row the work then stood at. */
function lineOf(ticks: readonly Omit<Tick, 'id'>[], sessions: readonly ToldSession[]): RowsAfter[] {
  const points = [{ hours: 0, row: 0 }];
  let position: Position = { rows: 0, runs: 0 };
  let before = 0;
  let at = 0;
  for (const session of sessions) {
    // What the maker has said of its length holds.
    const share = (session.seconds * 1000) / Math.max(1, session.to - session.from);
    for (let tick = ticks[at]; tick && tick.at <= session.to; tick = ticks[++at]) {
      position = afterTick(position, tick);
      points.push({ hours: (before + (tick.at - session.from) * share) / 3_600_000, row: position.rows });
    }
    before += session.seconds * 1000;
  }
  return points;
}

/** Parts of the whole in which steps cannot be told apart any more. */
const parts = 600;

/** The same line with fewer points: of each part the first, the lowest, the highest and the last. */
export function thinned<Point extends RowsAfter>(points: readonly Point[]): readonly Point[] {
  if (points.length <= 4 * parts) return points;
  const whole = points.at(-1)?.hours || 1;
  const partOf = ({ hours }: Point) => Math.floor((hours / whole) * parts);
  const kept: Point[] = [];
  for (let start = 0; start < points.length; ) {
    const part = partOf(points[start] as Point);
    let [end, low, high] = [start, start, start];
    for (; end < points.length && partOf(points[end] as Point) === part; end++) {
      if ((points[end] as Point).row < (points[low] as Point).row) low = end;
      if ((points[end] as Point).row > (points[high] as Point).row) high = end;
    }
    for (const at of [...new Set([start, low, high, end - 1])].sort((a, b) => a - b)) kept.push(points[at] as Point);
    start = end;
  }
  return kept;
}
