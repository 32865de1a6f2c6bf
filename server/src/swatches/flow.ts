import { type Plan, planWish } from '@puntada/core/plan';
import type { MovedPlan, Swatch, Wish } from '@puntada/core/records';
import { metresText, planLeft, planMoved, planUnchanged, sizeText, swatchNotice } from '@puntada/core/words';
import { withSwatch } from '@puntada/core/work';
import type { Db } from '../db/database.ts';
import { listWorks, noteChange } from '../works/queries.ts';

function figuresOf({ width, height, piece }: Plan, wish: Wish): string {
  const yarn = piece.yarn.map((need) => `${need.letter} ${metresText(need.metres, wish.units)}`);
  return `${sizeText(width.width, height.height, wish.units)}, ${yarn.join(', ')}`;
}

/** The wish with the swatch's gauge, in the stitches it had if they still can be; else in the nearest. */
function moved(wish: Wish, id: string, swatch: Swatch): { wish: Wish; words: string } | { words: string } {
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

/** Carries a changed swatch into every plan that goes by it and is not yet begun, each with a notice of what changed. */
export async function carryOver(db: Db, id: string, swatch: Swatch): Promise<MovedPlan[]> {
  const told: MovedPlan[] = [];
  for (const work of await listWorks(db)) {
    const { gauge, title } = work.wish;
    if (work.state !== 'wished' || gauge.from !== 'counted' || gauge.swatch !== id) continue;
    const change = moved(work.wish, id, swatch);
    const notice = swatchNotice(swatch.title, change.words);
    if ('wish' in change) await noteChange(db, work.id, change.wish, notice);
    told.push({ id: work.id, title, words: change.words });
  }
  return told;
}
