import { checkFabric } from '../check/fabric.ts';
import { checkStrands } from '../check/strands.ts';
import type { Estimate } from '../estimate.ts';
import { type FinishPart, finishParts } from '../finish/finish.ts';
import { offerWidth } from '../fit/across.ts';
import { admits } from '../fit/progression.ts';
import { heightRule, offerHeight } from '../fit/up.ts';
import { type FrozenWork, freezeCloth, type ThawedWork } from '../formats/frozen.ts';
import type { Weighing } from '../formats/logEntry.ts';
import type { Wish } from '../formats/wish.ts';
import type { Fabric } from '../lay/fabric.ts';
import { lay } from '../lay/lay.ts';
import { yarnFigures } from '../measure/yarn.ts';
import { secondsOf, typicalPace } from '../pace/hours.ts';
import { finishRequest, handBelief } from '../plan/piece.ts';
import { type Prepared, prepare } from '../plan/prepare.ts';
import { acrossRequest, asWideAsHigh, upRequest } from '../plan/sizes.ts';
import { good, type Problem, type Result, refused } from '../problem.ts';
import type { Position } from '../progress/progress.ts';
import { costsFor } from '../route/costs.ts';
import { goOn } from '../route/goOn.ts';
import { CUT } from '../route/moves.ts';
import { chartOf } from '../route/ofFabric.ts';
import type { StrandWay } from '../route/strands.ts';
import { type CourseCosts, costsByCourse, type RipCost, ripBack } from '../work/rip.ts';
import { type OwnPace, secondsLeft } from '../work/sessions.ts';
import { colourNow } from '../work/weighed.ts';
import { sameCourses } from './prove.ts';

/** A work in hand, and what is known of it. */
export interface WorkInHand {
  readonly wish: Wish;
  readonly cloth: ThawedWork;
  readonly stands: Position;
  /** Cells worked in the row in hand. */
  readonly done: number;
  readonly weighings: readonly Weighing[];
  readonly pace: OwnPace;
}

/** What is changed in the rest of a work. */
export const restKinds = [
  'planned',
  'enough',
  'shorter',
  'soonest',
  'ripped',
  'longer',
  'swapped',
  'thinner',
  'bare',
  'closing',
] as const;
export type RestKind = (typeof restKinds)[number];

/** The rest of a work in another way: a whole plan from the row in hand, proved, with what it comes to. */
export interface RestPlan {
  readonly kind: RestKind;
  readonly wish: Wish;
  readonly begun: FrozenWork;
  /** Rows or rounds of the finished cloth. */
  readonly rows: number;
  readonly making: Fabric['making'];
  /** Its size is one figure. */
  readonly circle: boolean;
  /** Courses that stay as they are worked. */
  readonly stays: number;
  /** The finished piece, mm. */
  readonly width: Estimate;
  readonly height: Estimate;
  readonly colours: readonly {
    readonly letter: string;
    /** m still to be used, finishing included. */
    readonly left: Estimate;
    /** The chance that what is at hand is enough, where that is known. */
    readonly chance: number | undefined;
  }[];
  /** The least of them. */
  readonly chance: number | undefined;
  /** Ends to weave in, finishing included. */
  readonly ends: number;
  /** Seconds still to be worked. */
  readonly time: Estimate;
  readonly rip: RipCost | undefined;
}

/** A cloth that the rest could lead to, before it is measured. */
interface Draft {
  readonly kind: RestKind;
  readonly wish: Wish;
  readonly fabric: Fabric;
  readonly rows: number;
  readonly stays: number;
}

/** The row in hand is worked to its end as it was planned. */
function worked({ stands }: WorkInHand): number {
  return stands.rows + (stands.runs > 0 ? 1 : 0);
}

class Onward {
  readonly work: WorkInHand;
  readonly prepared: Prepared;
  /** Rows as the wish counts them. */
  readonly rows: number;
  readonly stays: number;
  private readonly costs: CourseCosts;

  constructor(work: WorkInHand, prepared: Prepared) {
    this.work = work;
    this.prepared = prepared;
    this.rows = work.wish.choice?.rows ?? work.cloth.fabric.courses;
    this.stays = worked(work);
    this.costs = this.costsOf(work.cloth.fabric, work.cloth.strands);
  }

  /** The same cloth to so many rows, if all that is worked is the same in it. */
  laid(rows: number, stays = this.stays): Fabric | undefined {
    const { bound, foundation, fabric } = this.work.cloth;
    const { technique, wish } = this.prepared;
    const courses = technique.courses?.(fabric.count, rows) ?? rows;
    if (courses < stays) return undefined;
    const next = lay({ bound, foundation, edges: wish.edges, stitches: fabric.count, courses });
    return sameCourses(fabric, next) >= stays ? next : undefined;
  }

  /** The cloth with its two colours changed about in all that is to come. */
  swapped(): Fabric | undefined {
    const { fabric } = this.work.cloth;
    if (fabric.colourCount !== 2) return undefined;
    const from = fabric.starts[this.stays] as number;
    if (from === 0 || from >= fabric.colours.length) return undefined;
    return { ...fabric, colours: fabric.colours.map((colour, i) => (i < from ? colour : 1 - colour)) };
  }

  private costsOf(fabric: Fabric, strands: StrandWay): CourseCosts {
    const { gauge, yarns, technique } = this.prepared;
    return costsByCourse({
      fabric,
      strands,
      foundation: this.work.cloth.foundation,
      technique,
      stitchWidth: gauge.stitchWidth.mid,
      rowHeight: gauge.rowHeight.mid,
      diameters: yarns.map((yarn) => yarnFigures(yarn).diameter),
    });
  }

  /** Where colours are divided among bobbins the strands are not taken on otherwise; only what stays as it was. */
  private wayOf(fabric: Fabric, stays: number): StrandWay | undefined {
    const { cloth, wish } = this.work;
    const { strands } = cloth;
    const divided = strands.colourOf.some((colour, strand) => colour !== strand);
    if (divided) return sameCourses(cloth.fabric, fabric) === cloth.fabric.courses ? strands : undefined;
    const { gauge } = this.prepared;
    const size = { stitchWidth: gauge.stitchWidth.mid, rowHeight: gauge.rowHeight.mid };
    const costs = costsFor(wish.policy, wish.floats && !wish.smallChildren, size);
    return goOn(strands, chartOf(fabric), stays, costs, wish.policy === 'carry-always' ? 'carry-always' : 'least-cost');
  }

  /** Proves and measures what the rest could lead to; nothing where it does not hold together. */
  plan({ kind, wish, fabric, rows, stays }: Draft): RestPlan | undefined {
    const { bound, foundation } = this.work.cloth;
    const prepared = prepare(wish, this.prepared.told);
    if (!prepared.ok) return undefined;
    const { technique } = prepared.value;
    if (!checkFabric(fabric, { bound, technique, foundation }).ok) return undefined;
    const strands = this.wayOf(fabric, stays);
    if (!strands) return undefined;
    const proof = checkStrands(chartOf(fabric), { totals: [], bobbins: [], ...strands });
    if (!proof.ok) return undefined;
    const finish = finishParts(finishRequest(prepared.value, fabric));
    const costs = this.costsOf(fabric, strands);
    const rip = stays < this.stays ? ripBack(this.costs, this.work.stands, this.work.done, stays) : undefined;
    const colours = this.coloursOf(costs, finish, rip);
    const chances = colours.flatMap(({ chance }) => chance ?? []);
    const ends = endsOf(strands, fabric) + finish.reduce((sum, part) => sum + part.ends, 0);
    const size = asWideAsHigh(prepared.value, {
      width: offerWidth(acrossRequest(prepared.value), fabric.count),
      height: offerHeight(upRequest(prepared.value), rows),
    });
    return {
      kind,
      wish,
      rows,
      making: fabric.making,
      circle: technique.key === 'wedge-circle',
      stays,
      begun: freezeCloth({ fabric, strands, bound, foundation }),
      width: size.width.width,
      height: size.height.height,
      colours,
      chance: chances.length === colours.length ? Math.min(...chances) : undefined,
      ends,
      time: secondsLeft(this.secondsFrom(costs, finish, ends, stays), this.work.pace),
      rip,
    };
  }

  private coloursOf(costs: CourseCosts, finish: readonly FinishPart[], rip: RipCost | undefined): RestPlan['colours'] {
    const { stands, done, weighings } = this.work;
    const inHand = this.costs.cells[stands.rows] ?? 0;
    const belief = handBelief(this.prepared);
    return this.prepared.yarns.map((yarn, colour) => {
      const off = finish.reduce((sum, part) => sum + (part.colour === colour ? part.metres : 0), 0);
      // What is ripped out comes back to its ball, and is there for the finishing.
      const metres = rip
        ? [...(this.costs.metres[colour] ?? []).slice(0, stands.rows), Math.max(0, off - (rip.metres[colour] ?? 0))]
        : [...(costs.metres[colour] ?? []), off];
      const own = weighings.filter((each) => each.letter === yarn.letter);
      const part = rip || !inHand ? 0 : done / inHand;
      const found = colourNow({
        yarn,
        metres,
        belief,
        weighings: own,
        now: rip ? { ...stands, runs: 0 } : stands,
        part,
      });
      if (!found.ok)
        return { letter: yarn.letter, left: { mid: 0, low: 0, high: 0, source: 'typical' }, chance: undefined };
      return { letter: yarn.letter, left: found.value.left, chance: found.value.chance };
    });
  }

  private secondsFrom(costs: CourseCosts, finish: readonly FinishPart[], ends: number, stays: number): number {
    const { stands, done } = this.work;
    const from = Math.min(stays, stands.rows);
    const cells = costs.cells[stands.rows] ?? 0;
    const begun = stays < stands.rows || !cells ? 0 : (done / cells) * (costs.seconds[stands.rows] ?? 0);
    const cloth = costs.seconds.slice(from).reduce((sum, each) => sum + each, 0) - begun;
    const off = finish.reduce((sum, part) => sum + part.stitches * secondsOf('sc', typicalPace), 0);
    return Math.max(0, cloth) + off + ends * typicalPace.end;
  }
}

/** Two a strand that is used, and two for every cut. */
function endsOf({ chart, colourOf, moves }: StrandWay, fabric: Fabric): number {
  const used = new Set(chart.colours);
  let ends = 2 * colourOf.filter((_, strand) => used.has(strand)).length;
  for (let i = 0; i < moves.length; i++) if (moves.kind[i] === CUT) ends += 2;
  return fabric.courses ? ends : 0;
}

/** The heights below or above the planned one at which the ending comes out, the nearest first. */
function heights({ prepared, rows }: Onward, way: 1 | -1, most: number): number[] {
  const rule = heightRule(prepared.bound, prepared.wish.ending);
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
  const { work } = onward;
  const { count } = work.cloth.fabric;
  const to = (kind: RestKind, rows: number, stays = onward.stays): RestPlan | undefined => {
    const fabric = onward.laid(rows, stays);
    return fabric && onward.plan({ kind, wish: withRows(work.wish, count, rows), fabric, rows, stays });
  };
  const below = heights(onward, -1, Number.POSITIVE_INFINITY);
  const coursesOf = (rows: number) => onward.prepared.technique.courses?.(count, rows) ?? rows;
  const open = below.filter((rows) => coursesOf(rows) >= onward.stays);
  const found: (RestPlan | undefined)[] = [];
  const [sure, chance] = [work.wish.sure, planned.chance];
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
    const thinner = { ...border, rounds: border.rounds - 1 };
    drafts.push({ ...planned, kind: 'thinner', wish: { ...planned.wish, border: thinner } });
  }
  if (border) drafts.push({ ...planned, kind: 'bare', wish: bare });
  if (onward.prepared.technique.key !== 'wedge-circle') {
    drafts.push({ ...planned, kind: 'closing', wish: { ...planned.wish, closing: !closing } });
  }
  return drafts;
}

/**
 * What can be done with the rest of a work: as planned first, then every other way, each a whole plan that is proved
 * from the row in hand with the strands as they hang. What is worked stays; a row begun is worked to its end.
 */
export function restPlans(work: WorkInHand): Result<RestPlan[]> {
  const prepared = prepare(work.wish);
  if (!prepared.ok) return prepared;
  const onward = new Onward(work, prepared.value);
  const { fabric } = work.cloth;
  const base: Draft = { kind: 'planned', wish: work.wish, fabric, rows: onward.rows, stays: onward.stays };
  const planned = onward.plan(base);
  if (!planned) return refused(notWhole);
  const plans = [planned, ...otherHeights(onward, planned)];
  const swapped = onward.swapped();
  const drafts = otherFinishes(onward, base);
  if (swapped) drafts.push({ ...base, kind: 'swapped', fabric: swapped });
  for (const draft of drafts) plans.push(...[onward.plan(draft)].flatMap((each) => each ?? []));
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
  code: 'fabric-broken',
  path: 'begun',
  message: 'The begun work does not hold together, so its rest cannot be planned.',
  hint: 'Restore the work from a backup.',
};
