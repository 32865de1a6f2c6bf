import { cellsIn, type Fabric } from '../lay/fabric.ts';
import { metresByCourse } from '../measure/byCourse.ts';
import type { CourseRequest } from '../measure/parts.ts';
import { type Pace, secondsOf, typicalPace } from '../pace/hours.ts';
import type { Position } from '../progress/progress.ts';
import { stitchKind } from '../stitches/kinds.ts';

/** What every course holds: cells, seconds of the hand, and metres of each colour. */
export interface CourseCosts {
  readonly cells: readonly number[];
  readonly seconds: readonly number[];
  /** One array a colour. */
  readonly metres: readonly (readonly number[])[];
}

/** Counts cells, seconds and metres of every course; linear in cells. */
export function costsByCourse(request: CourseRequest, pace: Pace = typicalPace): CourseCosts {
  const { fabric } = request;
  const cells: number[] = [];
  const seconds: number[] = [];
  for (let course = 0; course < fabric.courses; course++) {
    cells.push(cellsIn(fabric, course));
    seconds.push(secondsIn(fabric, course, pace));
  }
  return { cells, seconds, metres: metresByCourse(request).map((colour) => [...colour]) };
}

function secondsIn(fabric: Fabric, course: number, pace: Pace): number {
  let seconds = pace.turn;
  const [from, to] = [fabric.starts[course] as number, fabric.starts[course + 1] as number];
  for (let i = from; i < to; i++) {
    seconds += secondsOf(stitchKind(fabric.kinds[i] as number).key, pace);
    if (i > from && fabric.colours[i] !== fabric.colours[i - 1]) seconds += pace.change;
  }
  return seconds;
}

/** What comes out when a work is ripped back. */
export interface RipCost {
  readonly rows: number;
  readonly cells: number;
  /** Seconds to work it again, ripping not counted. */
  readonly seconds: number;
  /** Metres that come free, of each colour. */
  readonly metres: readonly number[];
}

/**
 * What ripping back costs. @param stands where the work stands @param done cells worked in the row in hand
 * @param row the last row that stays, 0 for none
 */
export function ripBack(costs: CourseCosts, stands: Position, done: number, row: number): RipCost {
  const whole = (list: readonly number[]) => list.slice(row, stands.rows).reduce((sum, each) => sum + each, 0);
  const inHand = costs.cells[stands.rows] ?? 0;
  const part = inHand ? done / inHand : 0;
  const also = (list: readonly number[]) => whole(list) + part * (list[stands.rows] ?? 0);
  return {
    rows: stands.rows - row,
    cells: whole(costs.cells) + done,
    seconds: also(costs.seconds),
    metres: costs.metres.map(also),
  };
}
