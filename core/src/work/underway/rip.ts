import { cellsIn } from '../../craft/fabric/fabric.ts';
import { metresByCourse } from '../../plan/measure/byCourse.ts';
import type { CourseRequest } from '../../plan/measure/parts.ts';
import { type Handwork, handworkOfCourse, secondsIn } from '../../plan/pace/hours.ts';
import type { Position } from '../progress/progress.ts';

/** What every course holds: cells, seconds of the hand, and metres of each colour. */
export interface CourseCosts {
  readonly cells: readonly number[];
  /** What hands do in it, and the seconds of a steady hand for all of it. */
  readonly hands: readonly Handwork[];
  readonly seconds: readonly number[];
  /** One array a colour. */
  readonly metres: readonly (readonly number[])[];
}

/** Counts cells, handwork and metres of every course; linear in cells. */
export function costsByCourse(request: CourseRequest): CourseCosts {
  const { fabric } = request;
  const courses = Array.from({ length: fabric.courses }, (_, course) => course);
  const hands = courses.map((course) => handworkOfCourse(fabric, course));
  return {
    cells: courses.map((course) => cellsIn(fabric, course)),
    hands,
    seconds: hands.map(secondsIn),
    metres: metresByCourse(request).map((colour) => [...colour]),
  };
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
