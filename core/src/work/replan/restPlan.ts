import { cellsIn, type Fabric } from '../../craft/fabric/fabric.ts';
import { coursesFor } from '../../craft/technique/courses.ts';
import { type Estimate, times } from '../../craft/values/estimate.ts';
import { freezeCloth, type ThawedWork } from '../../plan/begun/frozen.ts';
import { prepareCloth } from '../../plan/begun/made.ts';
import { checkFabric } from '../../plan/check/fabric.ts';
import { checkStrands } from '../../plan/check/strands.ts';
import { type FinishPart, yarnsOfPart } from '../../plan/finish/finish.ts';
import { lay } from '../../plan/lay/lay.ts';
import { type Handwork, handworkOf, handworkOfFinish } from '../../plan/pace/hours.ts';
import { type OwnPace, secondsBy } from '../../plan/pace/ownPace.ts';
import { costsOfWish, handBelief } from '../../plan/piece/piece.ts';
import { cutShort } from '../../plan/route/cutShort.ts';
import { goOn } from '../../plan/route/goOn.ts';
import { CUT } from '../../plan/route/moves.ts';
import { chartOf } from '../../plan/route/ofFabric.ts';
import { shifted } from '../../plan/route/shifted.ts';
import type { StrandWay } from '../../plan/route/strands.ts';
import { sizeAt } from '../../plan/sizes/sizes.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import { secondsWorking } from '../../plan/workings/handWorkings.ts';
import { type Amount, exactly, type Working, type WorkingPart } from '../../plan/workings/working.ts';
import { sizeWorkings } from '../../plan/workings/workings.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { Measuring, Weighing } from '../../records/logEntry.ts';
import type { RestKind } from '../../records/restKind.ts';
import type { Wish } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import { clothAsWorked, driftNow } from '../underway/drift.ts';
import {
  cellsWorked,
  costsOfWork,
  handworkOfRows,
  metresToEnd,
  partWorked,
  type WorkCosts,
} from '../underway/inHand.ts';
import { leftWorking } from '../underway/logWorkings.ts';
import { type RipCost, ripBack } from '../underway/rip.ts';
import { colourNow } from '../underway/weighed.ts';
import { sameCourses } from './prove.ts';

/** A work in hand, and what is known of it. */
export interface WorkInHand {
  readonly wish: Wish;
  readonly cloth: ThawedWork;
  readonly stands: Position;
  readonly weighings: readonly Weighing[];
  /** What was measured on the way. */
  readonly measures: readonly Measuring[];
  readonly pace: OwnPace;
}

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
  /** Its size goes by what was measured on the way. */
  readonly measured: boolean;
  /** Courses that stay as they are worked. */
  readonly stays: number;
  /** The finished piece, mm. */
  readonly width: Estimate;
  readonly height: Estimate;
  readonly sizeWorkings: { readonly width: Working; readonly height: Working };
  readonly colours: readonly {
    readonly letter: string;
    /** m still to be used, finishing included. */
    readonly left: Estimate;
    /** Nothing where nothing is left to use. */
    readonly leftWorking: Working | undefined;
    /** The chance that what is at hand is enough, where that is known. */
    readonly chance: number | undefined;
  }[];
  /** The least of them. */
  readonly chance: number | undefined;
  /** Ends to weave in, finishing included. */
  readonly ends: number;
  readonly endsWorking: Working;
  /** Seconds still to be worked. */
  readonly time: Estimate;
  readonly timeWorking: Working;
  readonly rip: RipCost | undefined;
}

/** A cloth that the rest could lead to, before it is measured. */
export interface Draft {
  readonly kind: RestKind;
  readonly wish: Wish;
  readonly fabric: Fabric;
  readonly rows: number;
  readonly stays: number;
}

/** A work whose rest is planned: it lays, proves and measures what the rest could lead to. */
export class Onward {
  readonly work: WorkInHand;
  readonly prepared: Prepared;
  /** Rows as the wish counts them. */
  readonly rows: number;
  readonly stays: number;
  /** How far the hand has drifted from its gauge, by what was measured. */
  readonly drift: { readonly width: number; readonly height: number };
  private readonly costs: WorkCosts;
  /** Cells worked in the row in hand. */
  private readonly done: number;

  constructor(work: WorkInHand, prepared: Prepared) {
    const { wish, cloth, stands } = work;
    this.work = work;
    this.prepared = prepared;
    this.rows = wish.choice?.rows ?? cloth.fabric.courses;
    // The row in hand is worked to its end as it was planned.
    this.stays = stands.rows + (stands.runs > 0 ? 1 : 0);
    this.costs = costsOfWork(prepared, cloth);
    this.done = cellsWorked(cloth, stands);
    this.drift = driftNow(work.measures, clothAsWorked(prepared, cloth.fabric), wish.units);
  }

  /** The same cloth to so many rows, if all that is worked is the same in it. */
  laid(rows: number, stays = this.stays, stitches = this.work.cloth.fabric.count): Fabric | undefined {
    const { bound, foundation, fabric } = this.work.cloth;
    const { technique, wish } = this.prepared;
    const increases = foundation.circle ? cellsIn(fabric, 0) : undefined;
    const courses = coursesFor({ technique, foundation, increases }, stitches, rows);
    if (courses < stays) return undefined;
    const next = lay({ bound, foundation, edges: wish.edges, stitches, courses, increases });
    return sameCourses(fabric, next) >= stays ? next : undefined;
  }

  /** The finished piece in so many rows, mm, by what was measured of the hand. */
  sizeIn(rows: number, prepared = this.prepared, stitches = this.work.cloth.fabric.count) {
    const size = sizeAt(prepared, stitches, rows);
    return {
      width: times(size.width.width, this.drift.width),
      height: times(size.height.height, this.drift.height),
    };
  }

  private sizeWorkings(rows: number, prepared: Prepared, stitches: number): RestPlan['sizeWorkings'] {
    const of = sizeWorkings({ prepared, ...sizeAt(prepared, stitches, rows) });
    return { width: drifted(of.width, this.drift.width), height: drifted(of.height, this.drift.height) };
  }

  /** The cloth with its two colours changed about in all that is to come. */
  swapped(stays = this.stays): Fabric | undefined {
    const { fabric } = this.work.cloth;
    if (fabric.colourCount !== 2) return undefined;
    const from = fabric.starts[stays] as number;
    if (from === 0 || from >= fabric.colours.length) return undefined;
    return { ...fabric, colours: fabric.colours.map((colour, i) => (i < from ? colour : 1 - colour)) };
  }

  /** Where colours are divided among bobbins the strands go on only as they were planned, to the last row or sooner. */
  private wayOf(fabric: Fabric, stays: number): StrandWay | undefined {
    const { cloth } = this.work;
    const { strands } = cloth;
    // A technique may know but one way with the idle colour, whatever was wished.
    const { wish } = this.prepared;
    const costs = costsOfWish(this.prepared);
    const divided = strands.colourOf.some((colour, strand) => colour !== strand);
    if (divided) {
      const same = sameCourses(cloth.fabric, fabric);
      if (same < fabric.courses) return undefined;
      return same === cloth.fabric.courses ? strands : cutShort(strands, chartOf(fabric), stays);
    }
    const before = { ...strands, moves: shifted(strands.moves, cloth.fabric, fabric) };
    return goOn(before, chartOf(fabric), stays, costs, wish.policy === 'carry-always' ? 'carry-always' : 'least-cost');
  }

  /** Proves and measures what the rest could lead to; nothing where it does not hold together. */
  plan({ kind, wish, fabric, rows, stays }: Draft): RestPlan | undefined {
    const { bound, foundation } = this.work.cloth;
    const prepared = prepareCloth(wish, this.work.cloth, this.prepared.told);
    if (!prepared.ok) return undefined;
    const { technique } = prepared.value;
    if (!checkFabric(fabric, { bound, technique, foundation }).ok) return undefined;
    const strands = this.wayOf(fabric, stays);
    if (!strands) return undefined;
    const proof = checkStrands(chartOf(fabric), { totals: [], bobbins: [], ...strands });
    if (!proof.ok) return undefined;
    const cloth = { ...this.work.cloth, fabric, strands, bound, foundation };
    const costs = costsOfWork(prepared.value, cloth);
    const rip = stays < this.stays ? ripBack(this.costs, this.work.stands, this.done, stays) : undefined;
    const colours = this.coloursOf(costs, rip, stays);
    const chances = colours.flatMap(({ chance }) => chance ?? []);
    const endsOf = endsOfColours(strands, costs.finish);
    const ends = endsOf.reduce((sum, each) => sum + each, 0);
    const hands = this.handworkFrom(costs, ends, rip && stays);
    return {
      kind,
      wish,
      rows,
      making: fabric.making,
      circle: technique.circle === true,
      measured: this.drift.width !== 1 || this.drift.height !== 1,
      stays,
      begun: freezeCloth(cloth),
      ...this.sizeIn(rows, prepared.value, fabric.count),
      sizeWorkings: this.sizeWorkings(rows, prepared.value, fabric.count),
      colours,
      chance: chances.length === colours.length ? Math.min(...chances) : undefined,
      ends,
      endsWorking: this.endsWorking(endsOf, ends),
      time: secondsBy(this.work.pace, hands),
      timeWorking: secondsWorking(this.work.pace, hands),
      rip,
    };
  }

  private coloursOf(costs: WorkCosts, rip: RipCost | undefined, stays: number): RestPlan['colours'] {
    const { stands, weighings } = this.work;
    const belief = handBelief(this.prepared);
    return this.prepared.yarns.map((yarn, colour) => {
      const { letter } = yarn;
      const own = weighings.filter((each) => each.letter === letter);
      const where = rip
        ? { metres: this.ripped(costs, rip, colour, stays), now: { rows: stands.rows, runs: 0 }, part: 0 }
        : { metres: metresToEnd(costs, colour), now: stands, part: partWorked(this.costs, stands, this.done) };
      const found = colourNow({ yarn, belief, weighings: own, ...where });
      return found.ok
        ? {
            letter,
            left: found.value.left,
            leftWorking: leftWorking(where, found.value.left),
            chance: found.value.chance,
          }
        : { letter, left: nothing, leftWorking: undefined, chance: undefined };
    });
  }

  private endsWorking(endsOf: readonly number[], total: number): Working {
    const parts = this.prepared.yarns.flatMap(({ letter, name }, colour): WorkingPart[] => {
      const ends = endsOf[colour] ?? 0;
      return ends ? [{ code: 'ends-cloth', facts: { letter, name, ends, pieces: 1 }, amount: exactly(ends) }] : [];
    });
    return { of: 'ends', unit: 'count', by: 'sum', parts, total: exactly(total) };
  }

  /** What is ripped out comes back to its ball, and is used first in what comes then. */
  private ripped(costs: WorkCosts, rip: RipCost, colour: number, stays: number): number[] {
    const worked = (this.costs.metres[colour] ?? []).slice(0, this.work.stands.rows);
    let freed = rip.metres[colour] ?? 0;
    const rest = metresToEnd(costs, colour)
      .slice(stays)
      .map((each) => {
        const covered = Math.min(each, freed);
        freed -= covered;
        return each - covered;
      });
    return [...worked, ...rest];
  }

  /** @param back the rows that stay, where it is ripped back first */
  private handworkFrom(costs: WorkCosts, ends: number, back: number | undefined): Handwork {
    const rows =
      back === undefined
        ? handworkOfRows(costs, this.work.stands, this.done)
        : handworkOfRows(costs, { rows: back, runs: 0 }, 0);
    return handworkOf([rows, handworkOffTheHook(costs, ends)].map((each) => [each, 1]));
  }
}

/** A size as the hand has been measured to work it: every part by as much more or less. */
function drifted(working: Working, drift: number): Working {
  if (drift === 1) return working;
  const by = ({ low, mid, high }: Amount): Amount => ({ low: low * drift, mid: mid * drift, high: high * drift });
  const parts = working.parts.map(
    (part): WorkingPart => ({
      ...part,
      code: part.code === 'widths' || part.code === 'heights' ? 'as-measured' : part.code,
      facts: { ...part.facts, drift },
      amount: by(part.amount),
      source: 'piece',
    }),
  );
  return { ...working, parts, total: by(working.total) };
}

const nothing: Estimate = { mid: 0, low: 0, high: 0, source: 'typical' };

/** Ends of each colour: two a strand that is used, two for every cut, and those of the finishing. */
export function endsOfColours({ chart, colourOf, moves }: StrandWay, finish: readonly FinishPart[]): number[] {
  const used = new Set(chart.colours);
  const ends = new Array<number>(Math.max(...colourOf) + 1).fill(0);
  const add = (colour: number, more: number) => {
    ends[colour] = (ends[colour] ?? 0) + more;
  };
  colourOf.forEach((colour, strand) => {
    if (used.has(strand)) add(colour, 2);
  });
  for (let i = 0; i < moves.length; i++) {
    if (moves.kind[i] === CUT) add(colourOf[moves.colour[i] as number] as number, 2);
  }
  for (const each of finish.flatMap(yarnsOfPart)) add(each.colour, each.ends);
  return ends;
}

/** What hands do for the finishing and for weaving in. */
export function handworkOffTheHook({ finish }: WorkCosts, ends: number): Handwork {
  const total = (of: (part: FinishPart) => number) => finish.reduce((sum, part) => sum + of(part), 0);
  return handworkOfFinish(
    total((part) => part.stitches),
    ends,
    total((part) => part.changes ?? 0),
  );
}
