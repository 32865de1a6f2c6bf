import { type Plan, planWish } from '@puntada/core/plan';
import type { Swatch, Wish } from '@puntada/core/records';
import { metresText, planLeft, planMoved, planUnchanged, sizeText } from '@puntada/core/words';
import { withSwatch } from '@puntada/core/work';

function figuresOf({ width, height, piece }: Plan, wish: Wish): string {
  const yarn = piece.yarn.map((need) => `${need.letter} ${metresText(need.metres, wish.units)}`);
  return `${sizeText(width.width, height.height, wish.units)}, ${yarn.join(', ')}`;
}

/** The wish with the swatch's gauge, in the stitches it had if they still can be; else in the nearest. */
export function moved({
  wish,
  id,
  swatch,
}: {
  wish: Wish;
  id: string;
  swatch: Swatch;
}): { wish: Wish; words: string } | { words: string } {
  const fresh = withSwatch(wish, id, swatch);
  if (!fresh.ok) return { words: planLeft(fresh.problems[0]) };
  const before = planWish(wish);
  const kept = { ...fresh.value, ...(wish.choice ? { choice: wish.choice } : {}) };
  const asChosen = planWish(kept);
  const after = asChosen.ok ? asChosen : planWish(fresh.value);
  if (!after.ok) return { words: planLeft(after.problems[0]) };
  const was = before.ok ? figuresOf(before.value, wish) : undefined;
  const now = figuresOf(after.value, wish);
  if (was === now) return { wish: asChosen.ok ? kept : fresh.value, words: planUnchanged };
  return { wish: asChosen.ok ? kept : fresh.value, words: planMoved(was, now) };
}
