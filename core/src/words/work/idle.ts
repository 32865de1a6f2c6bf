import type { IdleStrand } from '../../plan/steps/idle.ts';

/** What one idle colour that is attached does while a run of so many cells is worked, short. */
function idleStrand({ colour, over }: IdleStrand, count: number): string {
  if (!over) return `${colour}: leave it hanging`;
  const { from, to } = over;
  if (from === 1 && to === count) return `${colour}: carry it inside`;
  const inside = `carry it inside ${stitches(to - from + 1)}`;
  if (from === 1) return `${colour}: ${inside}, leave it there`;
  const before = `leave it hanging for ${stitches(from - 1)}`;
  return to === count
    ? `${colour}: ${before}, then carry it inside`
    : `${colour}: ${before}, ${inside}, leave it there`;
}

/** What each idle colour does while one run is worked. @param count cells of the run */
export function idleWords(idle: readonly IdleStrand[], count: number): string[] {
  return idle.map((strand) => idleStrand(strand, count));
}

function stitches(n: number): string {
  return n === 1 ? '1 stitch' : `${n} stitches`;
}
