import { blocksHigh } from '../../craft/fabric/diagonals.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { admits } from '../../plan/fit/progression.ts';
import { heightRule } from '../../plan/fit/up.ts';
import { sizeAt } from '../../plan/sizes/sizes.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import type { Weighing } from '../../records/logEntry.ts';
import { colourQuestions } from '../underway/colourQuestions.ts';
import type { WorkCosts } from '../underway/inHand.ts';
import { colourNow } from '../underway/weighed.ts';
import { cornersOf } from './corner.ts';

/** What a work is that could end where it stands, and what the next step takes. */
export interface OpenEnd {
  /** The finished piece if it ended now, mm. */
  readonly width: Estimate;
  readonly height: Estimate;
  /** Its size is one figure. */
  readonly circle: boolean;
  /** Rows at which it could end next; undefined where the plan goes no further. */
  readonly next: number | undefined;
  /** The chance that each yarn lasts to there and for the finishing, where it is known what there is. */
  readonly lasts: readonly { readonly letter: string; readonly chance: number | undefined }[];
}

/** The whole that a cloth is of: m of each colour in its rows and steps, and how many of those come before its first row. */
interface MadeSoFar {
  readonly metres: readonly (readonly number[])[];
  readonly before: number;
}

/**
 * Whether a work ends well after the rows that are worked, and what it then is. Nothing where its ending asks for
 * other rows. Blocks on the diagonal end as what they come to if they begin to shrink.
 * @param stitches what its width counts @param rows worked @param costs of this cloth
 * @param project the whole that it is of, as far as it is made: balls are weighed at places of that
 */
export function openEnd(
  prepared: Prepared,
  stitches: number,
  rows: number,
  costs: WorkCosts,
  weighings: readonly Weighing[],
  project?: MadeSoFar,
): OpenEnd | undefined {
  if (rows < 1) return undefined;
  const { bound, technique, wish } = prepared;
  const rule = heightRule(bound, technique, wish.ending);
  if (technique.diagonal) return openCorner(prepared, stitches, rows, costs);
  if (technique.courses || prepared.foundation.circle || !admits(rule, rows)) return undefined;
  const last = costs.seconds.length;
  let next: number | undefined = rows + 1;
  while (next <= last && !admits(rule, next)) next++;
  if (next > last) next = undefined;
  const size = sizeAt(prepared, stitches, rows);
  const before = project?.before ?? 0;
  const lasts = colourQuestions(prepared, costs, weighings).map((question, colour) => {
    // Its finishing is that of the whole height: at the least it is enough for less.
    const made = (project?.metres[colour] ?? question.metres).slice(0, before + (next ?? rows));
    const metres = [...made, question.metres.at(-1) ?? 0];
    const found = colourNow({ ...question, metres, now: { rows: before + rows, runs: 0 }, part: 0 });
    return { letter: question.yarn.letter, chance: found.ok ? found.value.chance : undefined };
  });
  const circle = technique.circle === true;
  return { width: size.width.width, height: size.height.height, circle, next, lasts };
}

/** Blocks on the diagonal end as what they come to if they begin to shrink; nothing once they do. @param diagonals worked */
function openCorner(prepared: Prepared, wide: number, diagonals: number, costs: WorkCosts): OpenEnd | undefined {
  const corners = cornersOf(prepared, wide, blocksHigh(costs.seconds.length, wide));
  const at = corners.findIndex((each) => each.diagonals === diagonals);
  const corner = corners[at];
  if (!corner) return undefined;
  const { width, height } = sizeAt(prepared, corner.wide, corner.high);
  const next = corners[at + 1]?.diagonals;
  return { width: width.width, height: height.height, circle: false, next, lasts: [] };
}
