import { type Handwork, handworkOf, secondsIn } from '../../plan/pace/hours.ts';
import { type ClockedStep, type OwnPace, paceOf } from '../../plan/pace/ownPace.ts';
import type { SessionMarks } from '../../records/logEntry.ts';
import { byTime } from '../../records/stepLines.ts';
import { comparePositions, type Position, type Tick } from '../progress/progress.ts';
import type { CourseCosts } from './rip.ts';

/** A while at work without a long pause, as it is told. */
export interface ToldSession {
  /** Milliseconds since 1970. */
  readonly from: number;
  readonly to: number;
  readonly seconds: number;
  /** Seconds that a steady hand would have taken for what was worked. */
  readonly expected: number;
  /** Rows that were finished in it. */
  readonly rows: number;
  /** Whole rows that were taken out again in it. */
  readonly takenOut: number;
  /** The maker has said what it took. */
  readonly corrected?: true;
}

/** The same with its steps. */
export interface Session extends ToldSession {
  /**
   * The steps that a clock ran for: all but the first. When that was begun nobody knows; it may be many rows that were
   * made up for.
   */
  readonly clocked: readonly ClockedStep[];
}

/** A pause of more than this is another session, ms. */
const longPause = 20 * 60_000;
/** The first step of a session has no step before it; it is taken to have begun this long before, at most, ms. */
const lead = 5 * 60_000;

/** More than the runs of any row. */
const runsOfRow = 10_000;

/** What is worked in steps forward; those that are alike, such as one run of the same row, share it. */
function workOfSteps({ hands }: CourseCosts, runsOf: (row: number) => number): (step: Step) => Handwork {
  const known = new Map<number, Handwork>();
  return (step) => {
    const { from, to } = step;
    const row = hands[from.rows];
    const ends = to.rows === from.rows + 1 && to.runs === 0;
    if (!row || (to.rows !== from.rows && !ends)) return workOfStep(step, hands, runsOf);
    const runs = Math.max(1, runsOf(from.rows));
    const done = (ends ? runs : to.runs) - from.runs;
    if (done === runs) return row;
    const key = from.rows * runsOfRow + done;
    const found = known.get(key) ?? handworkOf([[row, done / runs]]);
    known.set(key, found);
    return found;
  };
}

/** What is worked in a step forward, as far as it is known: a row counts by its rows, a run by its part. */
function workOfStep({ from, to }: Step, hands: CourseCosts['hands'], runsOf: (row: number) => number): Handwork {
  const whole = hands.slice(from.rows, to.rows).map((each) => [each, 1] as const);
  const part = ({ rows, runs }: Position, sign: 1 | -1) => {
    const row = hands[rows];
    return row && runs ? [[row, (sign * runs) / Math.max(1, runsOf(rows))] as const] : [];
  };
  return handworkOf([...whole, ...part(to, 1), ...part(from, -1)]);
}

const nothing: Handwork = new Map();
type Step = Omit<Tick, 'id'>;

/** Whole rows that a step back takes out; to go back over a row's end by a run is none. */
function rowsTakenOut({ from, to }: Step, rowsBefore: (unit: number) => number): number {
  return Math.max(0, rowsBefore(from.rows) - rowsBefore(to.rows + (to.runs > 0 ? 1 : 0)));
}

/** When the work was laid down between two steps, if it was. @param pauses ms since 1970 */
function laidDown(pauses: readonly number[], after: number, before: number): number | undefined {
  return pauses.find((each) => each > after && each <= before);
}

/**
 * Sessions found from the ticks. A long pause parts them, and one that the maker told of; steps back and steps that
 * were made up for afterwards take time too.
 * @param ticks an array of them is put in order; what tells them one by one tells them by their times
 * @param runsOf runs of a row, from 0 @param pauses when the work was laid down, ms since 1970, ascending
 * @param rowsBefore rows among the units before one; where it is left out every unit is a row
 */
export function sessionsOf(
  ticks: Iterable<Step>,
  costs: CourseCosts,
  runsOf: (row: number) => number,
  pauses: readonly number[] = [],
  rowsBefore: (unit: number) => number = (unit) => unit,
): Session[] {
  const sessions: Omit<{ -readonly [Name in keyof Session]: Session[Name] } & { clocked: ClockedStep[] }, 'seconds'>[] =
    [];
  const workOf = workOfSteps(costs, runsOf);
  for (const tick of Array.isArray(ticks) ? byTime<Step>(ticks) : ticks) {
    const forward = comparePositions(tick.to, tick.from) > 0;
    const work = forward ? workOf(tick) : nothing;
    const expected = secondsIn(work);
    const rows = forward ? rowsBefore(tick.to.rows) - rowsBefore(tick.from.rows) : 0;
    const takenOut = forward ? 0 : rowsTakenOut(tick, rowsBefore);
    const open = sessions.at(-1);
    const down = open && laidDown(pauses, open.to, tick.at);
    if (open && tick.at - open.to <= longPause && down === undefined) {
      open.clocked.push({ seconds: (tick.at - open.to) / 1000, work });
      open.to = tick.at;
      open.expected += expected;
      open.rows += rows;
      open.takenOut += takenOut;
    } else {
      // What was worked before the work was laid down belongs to the session that it ended.
      if (open && down !== undefined && down - open.to <= longPause) open.to = down;
      const from = Math.max(down ?? 0, tick.at - Math.min(lead, expected * 1000));
      sessions.push({ from, to: tick.at, expected, rows, takenOut, clocked: [] });
    }
  }
  return sessions.map((each) => ({ ...each, seconds: (each.to - each.from) / 1000 }));
}

/**
 * Since when the maker has been at work without a pause; nothing while the work lies.
 * @param steps when steps were made, ms since 1970 @param pauses when the work was laid down @param now likewise
 */
export function sittingSince(steps: readonly number[], pauses: readonly number[], now: number): number | undefined {
  const inOrder = [...steps].sort((a, b) => a - b);
  let since = inOrder[0];
  for (let n = 1; n < inOrder.length; n++) {
    const [before, step] = [inOrder[n - 1] as number, inOrder[n] as number];
    if (step - before > longPause || laidDown(pauses, before, step) !== undefined) since = step;
  }
  const last = inOrder.at(-1);
  if (last === undefined || now - last > longPause || laidDown(pauses, last, now) !== undefined) return undefined;
  return since;
}

/** A session as the maker says that it was: each step takes its share of the time; one of no time does not count. */
export function asCorrected(session: Session, corrections: SessionMarks['corrected']): Session {
  const own = corrections.findLast(({ of }) => of >= session.from && of <= session.to);
  if (!own) return session;
  const seconds = own.minutes * 60;
  const share = session.seconds ? seconds / session.seconds : 0;
  const clocked = share ? session.clocked.map((step) => ({ ...step, seconds: step.seconds * share })) : [];
  return { ...session, seconds, clocked, corrected: true };
}

/** How long a session took against a steady hand: 1.2 a fifth longer; nothing where no step was clocked in it. */
export function sessionRatio({ clocked }: Pick<Session, 'clocked'>): number | undefined {
  const expected = clocked.reduce((sum, { work }) => sum + secondsIn(work), 0);
  return expected ? clocked.reduce((sum, { seconds }) => sum + seconds, 0) / expected : undefined;
}

/** The pace of a work's sessions. @param before what was known of the hand */
export function paceOfSessions(sessions: readonly Session[], before?: OwnPace): OwnPace {
  return paceOf(
    sessions.map(({ clocked }) => clocked),
    before,
  );
}
