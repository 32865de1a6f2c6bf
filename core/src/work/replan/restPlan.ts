import { cellsIn, type Fabric } from '../../craft/fabric/fabric.ts';
import { coursesFor } from '../../craft/technique/courses.ts';
import { type Estimate, times } from '../../craft/values/estimate.ts';
import { clothAt, freezeWork, type ThawedCloth, type ThawedWork } from '../../plan/begun/frozen.ts';
import { prepareCloth } from '../../plan/begun/made.ts';
import { checkFabric } from '../../plan/check/fabric.ts';
import { checkStrands } from '../../plan/check/strands.ts';
import { lay } from '../../plan/lay/lay.ts';
import { type OwnPace, secondsBy } from '../../plan/pace/ownPace.ts';
import { costsOfWish, handBelief } from '../../plan/piece/piece.ts';
import { cutShort } from '../../plan/route/cutShort.ts';
import { goOn } from '../../plan/route/goOn.ts';
import { chartOf } from '../../plan/route/ofFabric.ts';
import { shifted } from '../../plan/route/shifted.ts';
import type { StrandWay } from '../../plan/route/strands.ts';
import { sizeAt } from '../../plan/sizes/sizes.ts';
import { type ClothInHand, panelsOf, placeOfRow, standingAt } from '../../plan/steps/sequence.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import { secondsWorking } from '../../plan/workings/handWorkings.ts';
import { type Amount, exactly, type Working, type WorkingPart } from '../../plan/workings/working.ts';
import { sizeWorkings } from '../../plan/workings/workings.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { Measuring, Weighing } from '../../records/logEntry.ts';
import type { Exchanged, RestKind } from '../../records/restKind.ts';
import type { Wish } from '../../records/wish.ts';
import type { Position } from '../progress/progress.ts';
import { clothAsWorked, driftNow } from '../underway/drift.ts';
import {
  cellsInHand,
  costsOfProject,
  handworkOfRows,
  metresToEnd,
  type ProjectCosts,
  partWorked,
} from '../underway/inHand.ts';
import { leftWorking } from '../underway/logWorkings.ts';
import { type RipCost, ripBack } from '../underway/rip.ts';
import { colourNow } from '../underway/weighed.ts';
import { beforeWith, sameCourses } from './prove.ts';

/** A work in hand, and what is known of it. */
export interface WorkInHand {
  readonly wish: Wish;
  readonly cloth: ThawedWork;
  /** Where the counter stands, in units of the whole project. */
  readonly stands: Position;
  readonly weighings: readonly Weighing[];
  /** What was measured on the way. */
  readonly measures: readonly Measuring[];
  readonly pace: OwnPace;
}

/** The rest of a work in another way: a whole plan from the row in hand, proved, with what it comes to. */
export interface RestPlan {
  readonly kind: RestKind;
  /** Letters of the colours that change places, where some do. */
  readonly exchanged: Exchanged | undefined;
  readonly wish: Wish;
  readonly begun: FrozenWork;
  /** The cloth that it begins with, from 0: those before it stay as they are, those behind it follow it. */
  readonly piece: number;
  /** Cloths of the whole, and what is worked of this one. */
  readonly pieces: number;
  readonly worked: Position;
  /** It is joined to a cloth that is made, so that it stays as large. */
  readonly matched: boolean;
  /** Where the counter stands once what comes out is out. */
  readonly from: Position;
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
    /** m still to be used in all that is to come, finishing included. */
    readonly left: Estimate;
    /** Nothing where nothing is left to use. */
    readonly leftWorking: Working | undefined;
    /** The chance that what is at hand is enough, where that is known. */
    readonly chance: number | undefined;
  }[];
  /** The least of them. */
  readonly chance: number | undefined;
  /** Ends to weave in from this cloth on, finishing included. */
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
  /** Letters of the colours that change places. */
  readonly exchanged?: Exchanged | undefined;
  readonly wish: Wish;
  readonly fabric: Fabric;
  readonly rows: number;
  readonly stays: number;
}

/** A work whose rest is planned: it lays, proves and measures what the rest could lead to. */
export class Onward {
  readonly work: WorkInHand;
  readonly prepared: Prepared;
  /** What its cloth in hand was made by. */
  readonly wish: Wish;
  /** The cloth in hand. */
  readonly cloth: ThawedCloth;
  /** Rows as the wish counts them. */
  readonly rows: number;
  /** Courses of the cloth in hand that stay. */
  readonly stays: number;
  /** It is joined to a cloth that is already made, and must stay as large. */
  readonly matched: boolean;
  /** How far the hand has drifted from its gauge, by what was measured. */
  readonly drift: { readonly width: number; readonly height: number };
  private readonly costs: ProjectCosts;
  /** Cells worked in the row in hand. */
  private readonly done: number;
  /** Which cloth is in hand. */
  private readonly piece: number;
  /** Units before its first row. */
  private readonly base: number;
  /** What is worked of it. */
  private readonly worked: Position;

  /** @param work with the wish that its cloth in hand was made by @param prepared the figures of that cloth */
  constructor(work: WorkInHand, prepared: Prepared, costs: ProjectCosts, { piece, rows, runs }: ClothInHand) {
    const { wish, cloth, stands } = work;
    const { sequence } = costs;
    this.work = work;
    this.wish = wish;
    this.prepared = prepared;
    this.costs = costs;
    this.piece = piece;
    this.worked = { rows, runs };
    this.base = placeOfRow(sequence, piece, 0);
    this.cloth = clothAt<ThawedWork>(cloth, piece);
    this.rows = wish.choice?.rows ?? this.cloth.fabric.courses;
    // The row in hand is worked to its end as it was planned.
    this.stays = rows + (runs > 0 ? 1 : 0);
    this.matched = piece % panelsOf(sequence) > 0;
    this.done = cellsInHand(cloth, costs, stands);
    // What was measured tells of the hand, on whichever cloth it was.
    const measures = work.measures.map((measure) => {
      const { position } = measure;
      return { ...measure, position: { ...position, rows: standingAt(sequence, position.rows).rows } };
    });
    this.drift = driftNow(measures, clothAsWorked(prepared, this.cloth.fabric), wish.units);
  }

  /** The same cloth to so many rows, if all that is worked is the same in it. */
  laid(rows: number, stays = this.stays, stitches = this.cloth.fabric.count): Fabric | undefined {
    const { bound, foundation, fabric } = this.cloth;
    const { technique, wish } = this.prepared;
    const increases = foundation.circle ? cellsIn(fabric, 0) : undefined;
    const courses = coursesFor({ technique, foundation, increases }, stitches, rows);
    if (courses < stays) return undefined;
    const next = lay({ bound, foundation, edges: wish.edges, stitches, courses, increases });
    return sameCourses(fabric, next) >= stays ? next : undefined;
  }

  /** The finished piece in so many rows, mm, by what was measured of the hand. */
  sizeIn(rows: number, prepared = this.prepared, stitches = this.cloth.fabric.count) {
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

  /** The cloth with two of its colours changed about in all that is to come. */
  swapped(stays = this.stays, [one, other]: readonly [number, number] = [0, 1]): Fabric | undefined {
    const { fabric } = this.cloth;
    const from = fabric.starts[stays] as number;
    if (fabric.colourCount < 2 || from === 0 || from >= fabric.colours.length) return undefined;
    const turned = (colour: number) => (colour === one ? other : colour === other ? one : colour);
    return { ...fabric, colours: fabric.colours.map((colour, i) => (i < from ? colour : turned(colour))) };
  }

  /** Where colours are divided among bobbins the strands go on only as they were planned, to the last row or sooner. */
  private wayOf(fabric: Fabric, stays: number): StrandWay | undefined {
    const { cloth } = this;
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
  plan({ kind, exchanged, wish, fabric, rows, stays }: Draft): RestPlan | undefined {
    const { bound, foundation, gauge } = this.cloth;
    const prepared = prepareCloth(wish, this.cloth, this.prepared.told);
    if (!prepared.ok) return undefined;
    const { technique } = prepared.value;
    if (!checkFabric(fabric, { bound, technique, foundation }).ok) return undefined;
    const strands = this.wayOf(fabric, stays);
    if (!strands) return undefined;
    const proof = checkStrands(chartOf(fabric), { totals: [], bobbins: [], ...strands });
    if (!proof.ok) return undefined;
    const { fromChain, apart } = this.work.cloth;
    const cloth: ThawedWork = {
      fabric,
      strands,
      bound,
      foundation,
      gauge,
      fromChain,
      apart,
      before: beforeWith(this.work, this.piece),
    };
    const costs = costsOfProject(prepared.value, cloth);
    const from = stays < this.stays ? { rows: this.base + stays, runs: 0 } : this.work.stands;
    const rip = stays < this.stays ? ripBack(this.costs, this.work.stands, this.done, from.rows) : undefined;
    const colours = this.coloursOf(costs, rip, from);
    const chances = colours.flatMap(({ chance }) => chance ?? []);
    const endsOf = this.endsOf(costs);
    const ends = endsOf.reduce((sum, each) => sum + each, 0);
    const hands = handworkOfRows(costs, from, rip ? 0 : this.done);
    return {
      kind,
      exchanged,
      wish,
      rows,
      piece: this.piece,
      pieces: this.costs.sequence.pieces,
      worked: this.worked,
      matched: this.matched,
      from,
      making: fabric.making,
      circle: technique.circle === true,
      measured: this.drift.width !== 1 || this.drift.height !== 1,
      stays,
      begun: freezeWork(cloth),
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

  /** Ends of each colour that are woven in from the cloth in hand on. */
  private endsOf({ sequence }: ProjectCosts): number[] {
    const { letters } = this;
    const ends = letters.map(() => 0);
    for (const unit of sequence.units.slice(this.base)) {
      if (unit.kind === 'row' || unit.step.code !== 'ends') continue;
      for (const { facts } of unit.step.runs) {
        const colour = letters.indexOf(String(facts?.letter));
        if (colour >= 0) (ends[colour] as number)++;
      }
    }
    return ends;
  }

  private get letters(): readonly string[] {
    return this.prepared.bound.colours;
  }

  private coloursOf(costs: ProjectCosts, rip: RipCost | undefined, from: Position): RestPlan['colours'] {
    const { stands, weighings } = this.work;
    const belief = handBelief(this.prepared);
    return this.prepared.yarns.map((yarn, colour) => {
      const { letter } = yarn;
      const own = weighings.filter((each) => each.letter === letter);
      const { units } = costs.sequence;
      const where = rip
        ? {
            metres: this.ripped(costs, rip, colour, from.rows),
            units: [...this.costs.sequence.units.slice(0, stands.rows), ...units.slice(from.rows)],
            now: { rows: stands.rows, runs: 0 },
            part: 0,
          }
        : { metres: metresToEnd(costs, colour), units, now: stands, part: partWorked(this.costs, stands, this.done) };
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
  private ripped(costs: ProjectCosts, rip: RipCost, colour: number, from: number): number[] {
    const worked = (this.costs.metres[colour] ?? []).slice(0, this.work.stands.rows);
    let freed = rip.metres[colour] ?? 0;
    const rest = metresToEnd(costs, colour)
      .slice(from)
      .map((each) => {
        const covered = Math.min(each, freed);
        freed -= covered;
        return each - covered;
      });
    return [...worked, ...rest];
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
