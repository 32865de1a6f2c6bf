import type { Belief } from '../../craft/values/belief.ts';
import type { Yarn } from '../../craft/yarn/yarn.ts';
import type { Weighing } from '../../records/logEntry.ts';
import type { Position } from '../progress/progress.ts';
import { colourNow } from '../underway/weighed.ts';

/** What one project of a set takes of a yarn that it shares, and how far it is. */
export interface SharedNeed {
  readonly id: string;
  /** m of each row and step. */
  readonly metres: readonly number[];
  readonly now: Position;
  /** Its weighings of this yarn. */
  readonly weighings: readonly Weighing[];
}

/** Whether a shared yarn lasts for a whole set. */
export interface SharedNow {
  /** 0 to 1. */
  readonly chance: number;
  /** The project, and its unit from 0, in which it may end first; nothing where it lasts. */
  readonly endsIn: { readonly id: string; readonly unit: number } | undefined;
  /** What this hand takes against the plan, as far as it was weighed: 1.1 a tenth more. */
  readonly hand: number;
  /** The project in which a ball was weighed last: what it says of the hand holds for all. */
  readonly weighedIn: string | undefined;
}

function lastWeighed({ weighings }: SharedNeed): number {
  return Math.max(-1, ...weighings.map(({ at }) => at));
}

/**
 * Takes a set as one long work: what is done of all comes first, that of the project weighed last before the others', so
 * that its weighings stand where they stood; then what is to come, in the order of making. What others have used counts as
 * used since that weighing.
 * @param yarn with all that is set aside of it @returns nothing where it is not known what there is, or a weighing cannot be
 */
export function sharedNow(yarn: Yarn, belief: Belief, needs: readonly SharedNeed[]): SharedNow | undefined {
  const [base] = [...needs].sort((a, b) => lastWeighed(b) - lastWeighed(a));
  if (!base) return undefined;
  const inOrder = [base, ...needs.filter((each) => each !== base)];
  const done = inOrder.flatMap(({ id, now }) => Array.from({ length: now.rows }, (_, unit) => ({ id, unit })));
  const toCome = inOrder.flatMap(({ id, metres, now }) =>
    metres.slice(now.rows).map((_, i) => ({ id, unit: now.rows + i })),
  );
  const places = [...done, ...toCome];
  const known = new Map(needs.map(({ id, metres }) => [id, metres]));
  const metresAt = ({ id, unit }: (typeof places)[number]) => known.get(id)?.[unit] ?? 0;
  const found = colourNow({
    yarn,
    metres: places.map(metresAt),
    belief,
    weighings: base.weighings,
    now: { rows: done.length, runs: 0 },
    part: 0,
  });
  if (!found.ok || found.value.chance === undefined) return undefined;
  const { chance, endsAt, belief: now } = found.value;
  return {
    chance,
    hand: Math.exp(now.mean),
    // Courses are told from 1.
    endsIn: endsAt && places[endsAt.low - 1],
    weighedIn: base.weighings.length ? base.id : undefined,
  };
}
