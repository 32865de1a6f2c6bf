import { admits } from '../../plan/fit/progression.ts';
import { heightRule } from '../../plan/fit/up.ts';
import { sizeAt } from '../../plan/sizes/sizes.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import type { Position } from '../progress/progress.ts';
import type { WorkCosts } from '../underway/inHand.ts';
import { type RipCost, ripBack } from '../underway/rip.ts';

/** What it costs to end a piece at the last good place already worked. */
export interface EndSooner {
  /** Rows that it then has. */
  readonly rows: number;
  /** What comes out to get there. */
  readonly out: RipCost;
  /** mm by which it is less high than planned. */
  readonly shorter: number;
  /** What is then not worked any more: seconds, and metres of each colour. */
  readonly spared: { readonly seconds: number; readonly metres: readonly number[] };
}

/**
 * The last place at or before the rows worked where a piece ends well. Nothing where there is none, and for blocks on
 * the diagonal, which do not end at a row. docs/craft.md, “While working”.
 * @param stitches what its width counts @param done cells worked in the row in hand
 */
export function endSooner(
  prepared: Prepared,
  stitches: number,
  costs: WorkCosts,
  stands: Position,
  done: number,
): EndSooner | undefined {
  const { bound, technique, wish } = prepared;
  if (technique.courses || prepared.foundation.circle) return undefined;
  const rule = heightRule(bound, technique, wish.ending);
  let rows = stands.rows;
  while (rows > 0 && !admits(rule, rows)) rows--;
  if (rows < 1) return undefined;
  const planned = costs.seconds.length;
  const high = (courses: number) => sizeAt(prepared, stitches, courses).height.height.mid;
  const rest = ripBack(costs, { rows: planned, runs: 0 }, 0, stands.rows);
  const begun = ripBack(costs, stands, done, stands.rows);
  return {
    rows,
    out: ripBack(costs, stands, done, rows),
    shorter: high(planned) - high(rows),
    spared: {
      seconds: rest.seconds - begun.seconds,
      metres: rest.metres.map((metres, colour) => metres - (begun.metres[colour] ?? 0)),
    },
  };
}
