import type { WorkedCourse } from '../../plan/steps/course.ts';
import type { StrandOrder } from '../../plan/steps/strandBook.ts';

/** What each idle colour that is attached does while one run is worked, short. @param run from 0 */
export function idleWords(
  course: WorkedCourse,
  run: number,
  orders: readonly StrandOrder[],
  attached: readonly string[],
): string[] {
  const current = course.runs[run];
  if (!current) return [];
  const first = current.from;
  const last = current.from + current.count - 1;
  return attached
    .filter((letter) => letter !== current.colour)
    .map((letter) => {
      const carried = orders.find((order) => order.colour === letter)?.carried ?? [];
      const here = carried.find((each) => each.from <= last && each.to >= first);
      if (!here) return `${letter}: leave it hanging`;
      if (here.from <= first && here.to >= last) return `${letter}: carry it inside`;
      if (here.to < last)
        return `${letter}: carry it inside ${stitches(Math.min(here.to, last) - first + 1)}, leave it there`;
      return `${letter}: carry it inside from stitch ${here.from} of the row`;
    });
}

function stitches(n: number): string {
  return n === 1 ? '1 stitch' : `${n} stitches`;
}
