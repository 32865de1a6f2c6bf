import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import { must } from '../../craft/values/problem.ts';
import { beforeAt, clothAt, type ThawedCloth, type ThawedWork } from '../../plan/begun/frozen.ts';
import { prepareCloth } from '../../plan/begun/made.ts';
import { closesEdges, isAtEdge } from '../../plan/finish/closedIn.ts';
import { type FinishPart, finishParts, yarnsOfPart } from '../../plan/finish/finish.ts';
import { type Handwork, handworkOf, secondsIn } from '../../plan/pace/hours.ts';
import { type OwnPace, secondsBy } from '../../plan/pace/ownPace.ts';
import { costsOfWish, finishRequest, measuringRequest } from '../../plan/piece/piece.ts';
import { endsOf } from '../../plan/route/ends.ts';
import { counted } from '../../plan/route/route.ts';
import { workCourse } from '../../plan/steps/course.ts';
import { type EndToWeave, metresOfStep } from '../../plan/steps/finishSteps.ts';
import { rowsAmong, type Sequence, sequenceOf, stretchAt } from '../../plan/steps/sequence.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import type { SessionMarks } from '../../records/logEntry.ts';
import type { Position, Tick } from '../progress/progress.ts';
import { type CourseCosts, costsByCourse } from './rip.ts';
import { asCorrected, type Session, sessionsOf } from './sessions.ts';

/** A cloth as far as its rows are concerned, and those of its project that were made before it. */
export type Rows = Pick<ThawedWork, 'fabric' | 'bound' | 'foundation' | 'before'>;

/** What a work holds: its courses, and what comes off the hook. */
export interface WorkCosts extends CourseCosts {
  readonly finish: readonly FinishPart[];
}

/** Counts what every course of a cloth holds and what its finishing takes, at the gauge and in the yarns of its wish. */
export function costsOfWork(prepared: Prepared, { fabric, strands, foundation }: ThawedCloth): WorkCosts {
  const courses = costsByCourse(measuringRequest(prepared, { fabric, strands, foundation }));
  return { ...courses, finish: finishParts(finishRequest(prepared, fabric)) };
}

/** What a whole project holds, unit by unit: every row of every cloth, and every step to the last. */
export interface ProjectCosts extends WorkCosts {
  readonly sequence: Sequence;
  /** What one of the cloths that it goes by now holds, and what is done when it is off the hook. */
  readonly cloth: WorkCosts;
  /** The same of those that were made by a plan before. */
  readonly before: readonly { readonly pieces: number; readonly costs: WorkCosts }[];
}

/** What one cloth of a project holds. @param piece from 0 */
export function costsOfPiece({ cloth, before }: Pick<ProjectCosts, 'cloth' | 'before'>, piece: number): WorkCosts {
  return before[beforeAt(before, piece)]?.costs ?? cloth;
}

/**
 * The ends of a cloth that are woven in, by where they hang; those of a way whose places are not known are of their colours
 * alone.
 */
function endsToWeave(
  prepared: Prepared,
  way: ThawedWork['strands'],
  totals: readonly { readonly ends: number }[],
): EndToWeave[] {
  const { bound, technique } = prepared;
  const letter = (colour: number) => bound.colours[colour] ?? '';
  const places = endsOf(way);
  if (places.length !== totals.reduce((sum, { ends }) => sum + ends, 0)) {
    return totals.flatMap(({ ends }, colour) => Array.from({ length: ends }, () => ({ letter: letter(colour) })));
  }
  const edges = !technique.circle;
  const round = isRoundMaking(bound.pattern.made);
  const edgeOf = (boundary: number) => {
    if (boundary !== 0 && boundary !== way.chart.columns) return 'inside';
    return round ? 'seam' : boundary === 0 ? 'near' : 'far';
  };
  const course = round
    ? { course: 'round' as const }
    : bound.pattern.made === 'diagonals'
      ? { course: 'diagonal' as const }
      : {};
  const closed = closesEdges(prepared);
  const open = places.filter((place) => !(closed && isAtEdge(place, way)));
  return open.map(({ strand, row, boundary }) => ({
    letter: letter(way.colourOf[strand] ?? 0),
    row: row + 1,
    edge: edges ? edgeOf(boundary) : 'inside',
    ...course,
  }));
}

/** Cloths of a project that are made alike, with the figures of their plan. */
interface MadeAlike {
  readonly pieces: number;
  readonly prepared: Prepared;
  readonly cloth: ThawedCloth;
}

/** All cloths of a project: those of plans before, and those of the plan it goes by. */
function madeAlike(prepared: Prepared, work: ThawedWork): MadeAlike[] {
  const before = (work.before ?? []).map(({ pieces, wish, cloth }) => ({
    pieces,
    cloth,
    prepared: must(prepareCloth(wish, cloth, prepared.told)),
  }));
  return [...before, { pieces: prepared.wish.pieces, prepared, cloth: work }];
}

/** A whole project in the order of working, from the cloths on its hook. */
export function sequenceOfWork(prepared: Prepared, work: ThawedWork): Sequence {
  return sequenceOfAlike(madeAlike(prepared, work), work.fromChain);
}

function sequenceOfAlike(alike: readonly MadeAlike[], fromChain = false): Sequence {
  const stretches = alike.map(({ cloth: { fabric, strands }, ...each }) => {
    const { totals } = counted(strands, costsOfWish(each.prepared));
    const ends = endsToWeave(each.prepared, strands, totals);
    const closedIn = totals.reduce((sum, { ends }) => sum + ends, 0) - ends.length;
    return { ...each, fabric, ends, closedIn };
  });
  return sequenceOf(stretches, fromChain);
}

/** Counts what every unit of a project holds; nothing is left over for when it is off the hook. */
export function costsOfProject(prepared: Prepared, work: ThawedWork): ProjectCosts {
  const alike = madeAlike(prepared, work);
  const each = alike.map((own) => costsOfWork(own.prepared, own.cloth));
  const sequence = sequenceOfAlike(alike, work.fromChain);
  const { units } = sequence;
  const ofPiece = sequence.rowsOf.map((_, piece) => each[stretchAt(alike, piece)] as WorkCosts);
  const costsAt = (piece: number) => ofPiece[piece] as WorkCosts;
  const hands = units.map((unit) =>
    unit.kind === 'row' ? (costsAt(unit.piece).hands[unit.row] as Handwork) : unit.step.hands,
  );
  return {
    cells: units.map((unit) =>
      unit.kind === 'row' ? (costsAt(unit.piece).cells[unit.row] ?? 0) : unit.step.runs.length,
    ),
    hands,
    seconds: hands.map(secondsIn),
    metres: prepared.yarns.map((_, colour) =>
      units.map((unit, at) => {
        if (unit.kind === 'step') return metresOfStep(unit.step, colour);
        const metres = costsAt(unit.piece).metres[colour]?.[unit.row] ?? 0;
        // The first row counts the chain it stands on, unless that is a step of its own.
        const under = unit.row === 0 ? units[at - 1] : undefined;
        const chain = under?.kind === 'step' && under.step.code === 'chain' ? under.step : undefined;
        return chain ? Math.max(0, metres - metresOfStep(chain, colour)) : metres;
      }),
    ),
    finish: [],
    sequence,
    cloth: each.at(-1) as WorkCosts,
    before: alike.slice(0, -1).map(({ pieces }, i) => ({ pieces, costs: each[i] as WorkCosts })),
  };
}

/** Cells worked in the unit in hand: stitches of a row, or what a step counts. */
export function cellsInHand(rows: Rows, { sequence }: ProjectCosts, at: Position): number {
  const unit = sequence.units[at.rows];
  if (unit?.kind === 'row') return cellsWorked(clothAt(rows, unit.piece), { rows: unit.row, runs: at.runs });
  // A step may have had more parts when it was begun than it has now.
  return unit ? Math.min(at.runs, unit.step.runs.length) : 0;
}

/** Metres of a colour, course by course, its finishing last. @param colour 0 for A */
export function metresToEnd({ metres, finish }: WorkCosts, colour: number): number[] {
  const yarns = finish.flatMap(yarnsOfPart);
  const off = yarns.reduce((sum, each) => sum + (each.colour === colour ? each.metres : 0), 0);
  return [...(metres[colour] ?? []), off];
}

/** Cells worked in the row in hand. */
export function cellsWorked({ fabric, bound, foundation }: Rows, { rows, runs }: Position): number {
  if (runs === 0 || rows >= fabric.courses) return 0;
  const run = workCourse(fabric, bound, foundation, rows).runs[runs];
  return run ? run.from - 1 : 0;
}

/** The part of the row in hand that is worked, 0 to 1. @param done cells worked in it */
export function partWorked({ cells }: CourseCosts, { rows }: Position, done: number): number {
  const all = cells[rows] ?? 0;
  return all ? done / all : 0;
}

/** What hands still do for the rows. @param done cells worked in the row in hand */
export function handworkOfRows(costs: CourseCosts, stands: Position, done: number): Handwork {
  const left = 1 - partWorked(costs, stands, done);
  return handworkOf(costs.hands.slice(stands.rows).map((each, row) => [each, row === 0 ? left : 1]));
}

/** Hours that the rows were foretold to take, up to the end of each, 0 before the first: one hand, pauses left out. */
export function foretoldHours(costs: CourseCosts, pace: OwnPace): number[] {
  const hours = [0];
  for (const each of costs.hands) hours.push((hours.at(-1) as number) + secondsBy(pace, each).mid / 3600);
  return hours;
}

/** The sessions of a work, parted by long pauses and by those that its log tells of. Steps to rows that its plan no longer has count as rows of nothing. */
export function sessionsOfWork(
  work: Rows,
  costs: CourseCosts & { readonly sequence?: Sequence },
  ticks: Iterable<Omit<Tick, 'id'>>,
  { pauses, corrected }: SessionMarks = { pauses: [], corrected: [] },
): Session[] {
  const known = new Map<Rows['fabric'], Map<number, number>>();
  const runsOfRow = (cloth: Rows, row: number) => {
    const own = known.get(cloth.fabric) ?? new Map<number, number>();
    known.set(cloth.fabric, own);
    const { fabric, bound, foundation } = cloth;
    const runs = own.get(row) ?? (row < fabric.courses ? workCourse(fabric, bound, foundation, row).runs.length : 1);
    own.set(row, runs);
    return runs;
  };
  const runsOf = (at: number) => {
    const unit = costs.sequence?.units[at];
    if (!unit) return runsOfRow(work, at);
    return unit.kind === 'row' ? runsOfRow(clothAt(work, unit.piece), unit.row) : unit.step.runs.length;
  };
  const { sequence } = costs;
  const rowsBefore = sequence && rowsAmong(sequence);
  return sessionsOf(ticks, costs, runsOf, pauses, rowsBefore).map((session) => asCorrected(session, corrected));
}
