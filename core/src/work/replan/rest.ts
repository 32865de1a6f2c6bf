import { coursesFor } from '../../craft/technique/courses.ts';
import { pairsOf } from '../../craft/values/pairs.ts';
import { good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import { beforeAt, clothAt, type ThawedWork } from '../../plan/begun/frozen.ts';
import { prepareCloth } from '../../plan/begun/made.ts';
import { leastRounds } from '../../plan/finish/borderPattern.ts';
import { admits } from '../../plan/fit/progression.ts';
import { heightRule } from '../../plan/fit/up.ts';
import { clothInHand } from '../../plan/steps/sequence.ts';
import type { RestKind } from '../../records/restKind.ts';
import type { Wish } from '../../records/wish.ts';
import { costsOfProject } from '../underway/inHand.ts';
import { cornersOf } from './corner.ts';
import { type Draft, Onward, type RestPlan, type WorkInHand } from './restPlan.ts';

/** The heights below or above the planned one at which an ending comes out, the nearest first. */
function heights({ prepared, rows }: Onward, way: 1 | -1, most: number, ending = prepared.wish.ending): number[] {
  const rule = heightRule(prepared.bound, prepared.technique, ending);
  const found: number[] = [];
  for (let n = rows + way; n >= 1 && n <= 2 * rows + 400 && found.length < most; n += way) {
    if (admits(rule, n)) found.push(n);
  }
  return found;
}

/** A wish whose size is this one. */
function withRows(wish: Wish, stitches: number, rows: number): Wish {
  return { ...wish, choice: { stitches, rows } };
}

/** The rest ended sooner, later, or where the yarn is enough. */
function otherHeights(onward: Onward, planned: RestPlan): RestPlan[] {
  const { count } = onward.cloth.fabric;
  const to = (kind: RestKind, rows: number, stays = onward.stays): RestPlan | undefined => {
    const fabric = onward.laid(rows, stays);
    return fabric && onward.plan({ kind, wish: withRows(onward.wish, count, rows), fabric, rows, stays });
  };
  const below = heights(onward, -1, Number.POSITIVE_INFINITY);
  const coursesOf = (rows: number) => coursesFor(onward.prepared, count, rows);
  const open = below.filter((rows) => coursesOf(rows) >= onward.stays);
  const found: (RestPlan | undefined)[] = [];
  const [sure, chance] = [onward.wish.sure, planned.chance];
  if (chance !== undefined && chance < sure) found.push(longestEnough(open, sure, (rows) => to('enough', rows)));
  const [next, soonest] = [open[0], open.at(-1)];
  if (next !== undefined) found.push(to('shorter', next));
  if (soonest !== undefined && soonest !== next) found.push(to('soonest', soonest));
  const back = below.find((rows) => coursesOf(rows) < onward.stays);
  if (back !== undefined) found.push(to('ripped', back, coursesOf(back)));
  const [longer] = heights(onward, 1, 1);
  if (longer !== undefined) found.push(to('longer', longer));
  return found.flatMap((each) => each ?? []);
}

const endings: readonly Wish['ending'][] = ['as-begun', 'whole', 'any'];

/** The rest ended at a row that another ending admits: as long as the yarn lasts where it does not, else at once. */
function otherEndings(onward: Onward, planned: RestPlan): RestPlan[] {
  const { stays, prepared } = onward;
  const { count } = onward.cloth.fabric;
  const [sure, chance] = [onward.wish.sure, planned.chance];
  const short = chance !== undefined && chance < sure;
  return endings
    .filter((ending) => ending !== onward.wish.ending)
    .flatMap((ending) => {
      const open = heights(onward, -1, Number.POSITIVE_INFINITY, ending).filter(
        (rows) => coursesFor(prepared, count, rows) >= stays,
      );
      const to = (rows: number) => {
        const fabric = onward.laid(rows);
        const wish = { ...withRows(onward.wish, count, rows), ending };
        return fabric && onward.plan({ kind: 'ending', wish, fabric, rows, stays });
      };
      const soonest = open.at(-1);
      const found = short ? longestEnough(open, sure, to) : soonest === undefined ? undefined : to(soonest);
      return found ?? [];
    });
}

/**
 * Blocks on the diagonal that begin to shrink sooner: as long as the yarn lasts where it does not, else at the next good
 * place.
 */
function shrinkingSooner(onward: Onward, planned: RestPlan): RestPlan | undefined {
  const { prepared, stays, rows } = onward;
  const corners = cornersOf(prepared, onward.cloth.fabric.count, rows).filter(({ diagonals }) => diagonals >= stays);
  const to = (diagonals: number) => {
    const corner = corners.find((each) => each.diagonals === diagonals);
    const fabric = corner && onward.laid(corner.high, stays, corner.wide);
    const wish = corner && withRows(onward.wish, corner.wide, corner.high);
    return fabric && wish && onward.plan({ kind: 'shrink', wish, fabric, rows: corner.high, stays });
  };
  const open = corners.map(({ diagonals }) => diagonals).reverse();
  const short = planned.chance !== undefined && planned.chance < onward.wish.sure;
  return (short ? longestEnough(open, onward.wish.sure, to) : undefined) ?? to(open.at(-1) ?? 0);
}

/** As high as it was planned, by rows as high as they were measured. */
function asMeasured(onward: Onward): RestPlan | undefined {
  const { prepared, rows, stays, drift } = onward;
  if (drift.height === 1) return undefined;
  const { count } = onward.cloth.fabric;
  const off = (each: number) =>
    Math.abs(onward.sizeIn(each).height.mid - onward.sizeIn(rows).height.mid / drift.height);
  const all = [...heights(onward, -1, Number.POSITIVE_INFINITY), ...heights(onward, 1, Number.POSITIVE_INFINITY)];
  const nearest = all
    .filter((each) => coursesFor(prepared, count, each) >= stays)
    .reduce((best, each) => (off(each) < off(best) ? each : best), rows);
  const fabric = nearest === rows ? undefined : onward.laid(nearest);
  const wish = withRows(onward.wish, count, nearest);
  return fabric && onward.plan({ kind: 'measured', wish, fabric, rows: nearest, stays });
}

/**
 * Two colours changed about from here on. Of more than two those of which the yarn lasts most surely then, if more surely than
 * as planned.
 */
function swappedFromHere(onward: Onward, base: Draft, planned: RestPlan): RestPlan | undefined {
  const { colours } = onward.cloth.bound;
  const swap = ([one, other]: readonly [number, number]): RestPlan | undefined => {
    const fabric = onward.swapped(onward.stays, [one, other]);
    const exchanged = [colours[one] as string, colours[other] as string] as const;
    return fabric && onward.plan({ ...base, kind: 'swapped', exchanged, fabric });
  };
  if (colours.length === 2) return swap([0, 1]);
  // What does not last is one of the two; that both do not changes nothing.
  const short = planned.colours.map(({ chance }) => chance !== undefined && chance < onward.wish.sure);
  return pairsOf(colours.map((_, colour) => colour))
    .filter(([one, other]) => short[one] !== short[other])
    .flatMap((pair) => swap(pair) ?? [])
    .reduce<RestPlan | undefined>(
      (best, each) => ((each.chance ?? 0) > ((best ?? planned).chance ?? 0) ? each : best),
      undefined,
    );
}

/** Back to the end of the last whole repeat, and on from there with the colours changed about. */
function swappedFromRepeat(onward: Onward, base: Draft): Draft | undefined {
  const { prepared, stays } = onward;
  if (prepared.technique.courses || prepared.foundation.circle || onward.cloth.fabric.colourCount !== 2)
    return undefined;
  const rule = heightRule(prepared.bound, prepared.technique, 'whole');
  let back = stays - 1;
  if (admits(rule, stays)) return undefined;
  while (back > 0 && !admits(rule, back)) back--;
  const fabric = back > 0 ? onward.swapped(back) : undefined;
  return fabric && { ...base, kind: 'ripped-swapped', fabric, stays: back };
}

/** The longest of the heights for which the yarn is enough; more rows never take less. */
function longestEnough(
  rows: readonly number[],
  sure: number,
  plan: (rows: number) => RestPlan | undefined,
): RestPlan | undefined {
  let [low, high] = [0, rows.length];
  let best: RestPlan | undefined;
  while (low < high) {
    const middle = (low + high) >> 1;
    const tried = plan(rows[middle] as number);
    if (tried && (tried.chance ?? 0) >= sure) {
      best = tried;
      high = middle;
    } else low = middle + 1;
  }
  return best;
}

/** The cloth as planned, finished otherwise. */
function otherFinishes(onward: Onward, planned: Draft): Draft[] {
  const { border, closing } = planned.wish;
  const drafts: Draft[] = [];
  const { border: _dropped, ...bare } = planned.wish;
  if (border && border.rounds > 1) {
    const rounds = border.rounds - 1;
    const { pattern, ...plain } = border;
    // A pattern that is not seen any more is left out.
    const thinner = pattern && rounds >= leastRounds(pattern.key) ? { ...border, rounds } : { ...plain, rounds };
    drafts.push({ ...planned, kind: 'thinner', wish: { ...planned.wish, border: thinner } });
  }
  if (border) drafts.push({ ...planned, kind: 'bare', wish: bare });
  if (!onward.prepared.technique.circle) {
    drafts.push({ ...planned, kind: 'closing', wish: { ...planned.wish, closing: !closing } });
  }
  return drafts;
}

/** What a cloth was made by: the wish of the work, as it was when that cloth was planned. */
function wishOf({ wish, cloth }: WorkInHand, piece: number): Wish {
  const before = cloth.before?.[beforeAt(cloth.before, piece)];
  if (!before) return wish;
  const { choice, ending, border, closing } = before.wish;
  return { ...wish, choice, ending, border, closing };
}

/**
 * What can be done with the rest of a work: as planned first, then every other way, each a whole plan that is proved
 * from the row in hand with the strands as they hang. What is worked stays; a row begun is worked to its end. Cloths
 * that are made stay as they are, those behind the one in hand follow it; one that is joined to a cloth that is made
 * stays as large. None where no rows are to come.
 */
export function restPlans(work: WorkInHand): Result<RestPlan[]> {
  const whole = prepareCloth(work.wish, work.cloth);
  if (!whole.ok) return whole;
  const costs = costsOfProject(whole.value, work.cloth);
  const inHand = clothInHand(costs.sequence, work.stands);
  if (!inHand) return good([]);
  const wish = wishOf(work, inHand.piece);
  const prepared = prepareCloth(wish, clothAt<ThawedWork>(work.cloth, inHand.piece));
  if (!prepared.ok) return prepared;
  const onward = new Onward({ ...work, wish }, prepared.value, costs, inHand);
  const { fabric } = onward.cloth;
  const base: Draft = { kind: 'planned', wish, fabric, rows: onward.rows, stays: onward.stays };
  const planned = onward.plan(base);
  if (!planned) return refused(notWhole);
  const plans = [planned];
  const free = <T>(found: () => T[]): T[] => (onward.matched ? [] : found());
  plans.push(...free(() => [asMeasured(onward), shrinkingSooner(onward, planned)].flatMap((each) => each ?? [])));
  plans.push(...free(() => otherHeights(onward, planned)));
  const swapped = swappedFromHere(onward, base, planned);
  const drafts = free(() => otherFinishes(onward, base));
  drafts.push(...[swappedFromRepeat(onward, base)].flatMap((each) => each ?? []));
  plans.push(...free(() => otherEndings(onward, planned)), ...(swapped ? [swapped] : []));
  plans.push(...drafts.flatMap((draft) => onward.plan(draft) ?? []));
  const seen = new Set<string>();
  return good(
    plans.filter((plan) => {
      const key = JSON.stringify([
        plan.begun.courses,
        plan.begun.rows,
        plan.wish.border,
        plan.wish.closing,
        plan.stays,
      ]);
      return seen.has(key) ? false : seen.add(key);
    }),
  );
}

const notWhole: Problem = {
  code: 'rest-not-whole',
  path: 'begun',
};
