import { type Fabric, facesRight } from '../lay/fabric.ts';

export type Turn = 'clockwise' | 'anticlockwise';

/**
 * Which way to turn the work after a course so that attached strands do not twist: one way and the other by turns.
 * Nothing where it is not turned, or where fewer than two strands hang on it.
 * @param course from 0 @param strands that hang on the work after it
 */
export function turnAfter({ courses, making }: Fabric, course: number, strands: number): Turn | undefined {
  const turns = (at: number) => facesRight(at, making) !== facesRight(at + 1, making);
  if (strands < 2 || course + 1 >= courses || !turns(course)) return undefined;
  let before = 0;
  for (let at = 0; at < course; at++) if (turns(at)) before++;
  return before % 2 === 0 ? 'clockwise' : 'anticlockwise';
}
