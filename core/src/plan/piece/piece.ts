import { edgeStitches } from '../../craft/fabric/edgeStitches.ts';
import {
  cellsIn,
  cellWorked,
  courseCells,
  type Fabric,
  sidesOf,
  stitchesByColour,
  stitchesMade,
} from '../../craft/fabric/fabric.ts';
import { chainsFor, tubeBegins } from '../../craft/foundation/foundation.ts';
import { singleCrochetOf } from '../../craft/gauge/singleCrochet.ts';
import { coursesFor } from '../../craft/technique/courses.ts';
import { lyingOn } from '../../craft/technique/figures.ts';
import { type Belief, firstBelief, learn } from '../../craft/values/belief.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { checkFabric } from '../check/fabric.ts';
import { checkStrands } from '../check/strands.ts';
import { closedIn } from '../finish/closedIn.ts';
import { type FinishPart, type FinishRequest, finishParts, handworkOfPart, type OtherSide } from '../finish/finish.ts';
import { isTube, widthsAcross } from '../fit/across.ts';
import { itemsIn } from '../items/items.ts';
import { itemNamed } from '../items/register.ts';
import { lay } from '../lay/lay.ts';
import { type MeasureRequest, measure, type YarnNeed } from '../measure/measure.ts';
import type { CourseRequest } from '../measure/parts.ts';
import { type Handwork, handworkOf, handworkOfChain, handworkOfFabric, handworkOfFinish } from '../pace/hours.ts';
import { secondsBy, unknownPace } from '../pace/ownPace.ts';
import { costsFor, type StrandCosts } from '../route/costs.ts';
import { withLock } from '../route/lock.ts';
import { chartOf } from '../route/ofFabric.ts';
import { route } from '../route/route.ts';
import type { Strands } from '../route/strands.ts';
import type { Prepared } from '../wish/prepare.ts';

/** One size, laid, proved, routed and measured. */
export interface Piece {
  readonly stitches: number;
  readonly rows: number;
  readonly fabric: Fabric;
  readonly strands: Strands;
  readonly yarn: readonly YarnNeed[];
  /** Stitches of each colour, in the order of the pattern's colours. */
  readonly share: readonly number[];
  /** Ends of the cloth, all colours, and those of them that a border closes in. */
  readonly ends: number;
  readonly closedIn: number;
  /** What is done when the cloth is off the hook. */
  readonly finish: readonly FinishPart[];
  /** Pieces among them that are made by a plan of their own: how many, their stitches, strands and finishing. */
  readonly beside: readonly {
    readonly pieces: number;
    readonly share: readonly number[];
    readonly strands: Strands;
    readonly closedIn: number;
    readonly finish: readonly FinishPart[];
  }[];
  /** What hands do for all pieces, ends and finishing. */
  readonly hands: Handwork;
  /** Seconds of it, by the pace of the wish. */
  readonly time: Estimate;
}

/** The prices of bridges under the wish's policy, at its gauge. */
export function costsOfWish({ wish, gauge }: Prepared): StrandCosts {
  const size = { stitchWidth: gauge.stitchWidth.mid, rowHeight: gauge.rowHeight.mid };
  return costsFor(wish.policy, wish.floats && !wish.smallChildren, size, wish.weaving);
}

/** The way of the strands through a fabric under the wish's policy; a last loop that is locked has a second one beside it. */
export function routePiece(prepared: Prepared, fabric: Fabric): Strands {
  const { policy } = prepared.wish;
  const costs = costsOfWish(prepared);
  const way = policy === 'carry-always' || policy === 'bobbins' ? policy : 'least-cost';
  const strands = route(chartOf(fabric), costs, way);
  return isLocked(prepared, fabric) ? withLock(strands, costs, mayCarry(prepared)) : strands;
}

/** Whether strands may lie inside stitches in this work. */
export function mayCarry({ wish, technique }: Prepared): boolean {
  return wish.policy !== 'cut-always' && wish.policy !== 'side-only' && !technique.neverCarried;
}

/** Whether the last loop is to be locked, and nothing is worked on from it. */
export function isLocked(prepared: Prepared, fabric: Fabric): boolean {
  if (prepared.wish.lastLoop !== 'locked') return false;
  return !finishParts(finishRequest(prepared, fabric)).some(({ goesOn }) => goesOn);
}

/** What is known of the maker's yarn in this work: more where the swatch was weighed. */
export function handBelief({ wish, gauge }: Pick<Prepared, 'wish' | 'gauge'>): Belief {
  const first = firstBelief(gauge.source === 'typical' ? 'typical' : 'measured');
  const weighed = wish.gauge.from === 'counted' ? wish.gauge.weighed : undefined;
  return weighed ? learn(first, weighed) : first;
}

/** A figure that does not lie on a size with its margins. */
function figureOutside({ bound }: Prepared, wide: number, high: number): Problem | undefined {
  const lying = bound.placed?.map((figure) => lyingOn(figure, wide, high)).find(({ fits }) => !fits);
  if (!lying) return undefined;
  const { width, height } = lying;
  return { code: 'figure-outside', path: 'placed', facts: { width, height, wide, high } };
}

/**
 * Lays, proves, routes and measures one size. A piece that fails its proof is refused, never shown.
 * Linear in stitches.
 */
export function makePiece(prepared: Prepared, stitches: number, rows: number): Result<Piece> {
  const { bound, technique, foundation, wish } = prepared;
  const courses = coursesFor(prepared, stitches, rows);
  const { increases } = prepared;
  const fabric = lay({ bound, foundation, edges: wish.edges, stitches, courses, increases });
  const outside = figureOutside(prepared, stitches, rows);
  if (outside) return refused(outside);
  const laid = checkFabric(fabric, { bound, technique, foundation });
  if (!laid.ok) return laid;
  const strands = routePiece(prepared, fabric);
  const routed = checkStrands(chartOf(fabric), strands);
  if (!routed.ok) return routed;
  return good(measured(prepared, { fabric, strands }, stitches, rows));
}

/** A laid and routed cloth. */
interface Routed {
  readonly fabric: Fabric;
  readonly strands: Strands;
}

/** Cloths of a project that are made by a plan of their own. */
export interface RoutedBeside extends Routed {
  readonly pieces: number;
  readonly prepared: Prepared;
}

function measureRequest(prepared: Prepared, { fabric, strands }: Routed): MeasureRequest {
  const { gauge, yarns, technique, foundation, wish } = prepared;
  const { sure, pieces } = wish;
  const finish = finishParts(finishRequest(prepared, fabric));
  const belief = handBelief(prepared);
  const hidden = closedIn(prepared, strands, endsIn(strands));
  return { fabric, strands, foundation, technique, gauge, yarns, finish, closedIn: hidden, pieces, sure, belief };
}

/** Ends of one cloth that its border closes in, of all colours. */
function hiddenIn({ closedIn = [] }: MeasureRequest): number {
  return closedIn.reduce((sum, each) => sum + each, 0);
}

function endsIn({ totals }: Strands): number {
  return totals.reduce((sum, total) => sum + total.ends, 0);
}

/** What hands do for so many cloths, with their ends and finishing. */
function handworkOfCloths(request: MeasureRequest, strands: Strands, pieces: number): Handwork {
  const { foundation, fabric, finish = [], pieces: all = 1 } = request;
  return handworkOf([
    [handworkOfChain(chainsFor(foundation, fabric.count)), pieces],
    [handworkOfFabric(fabric), pieces],
    [handworkOfFinish(0, endsIn(strands) - hiddenIn(request)), pieces],
    ...finish.map((part) => [handworkOfPart(part), (pieces / all) * part.times] as const),
  ]);
}

/**
 * What a laid and routed cloth comes to. @param stitches what its widths count @param rows as the wish counts them
 * @param beside cloths among the pieces that are made otherwise: their yarn and time are in it
 */
export function measured(
  prepared: Prepared,
  cloth: Routed,
  stitches: number,
  rows: number,
  beside: readonly RoutedBeside[] = [],
): Piece {
  const { fabric, strands } = cloth;
  const { wish } = prepared;
  const request = measureRequest(prepared, cloth);
  const others = beside.map((each) => ({ ...each, request: measureRequest(each.prepared, each) }));
  const own = wish.pieces - others.reduce((sum, each) => sum + each.pieces, 0);
  const hands = handworkOf([
    ...others.map((each) => [handworkOfCloths(each.request, each.strands, each.pieces), 1] as const),
    [handworkOfCloths(request, strands, own), 1],
  ]);
  return {
    stitches,
    rows,
    fabric,
    strands,
    yarn: measure(request, others),
    finish: request.finish ?? [],
    share: stitchesByColour(fabric),
    ends: endsIn(strands),
    closedIn: hiddenIn(request),
    beside: others.map(({ pieces, fabric, strands, request }) => ({
      pieces,
      share: stitchesByColour(fabric),
      strands,
      closedIn: hiddenIn(request),
      finish: request.finish ?? [],
    })),
    hands,
    time: secondsBy(wish.pace ?? unknownPace, hands),
  };
}

/** What measuring needs to know of a cloth and the way of its strands, at the wish's gauge and in its yarns. */
export function measuringRequest<Cloth extends Pick<CourseRequest, 'fabric' | 'foundation'>>(
  { technique, gauge, yarns }: Prepared,
  cloth: Cloth,
): Cloth & Omit<CourseRequest, 'strands'> {
  return {
    ...cloth,
    technique,
    stitchWidth: gauge.stitchWidth.mid,
    rowHeight: gauge.rowHeight.mid,
    diameters: yarns.map((yarn) => yarnFigures(yarn).diameter),
  };
}

/** The number of the colour that is on the hook when the last row is done; nothing where that is fastened off. */
function inHandAfter(fabric: Fabric): number | undefined {
  if (!fabric.courses || fabric.making === 'right-side') return undefined;
  const last = fabric.courses - 1;
  return fabric.colours[cellWorked(fabric, last, cellsIn(fabric, last) - 1)];
}

/** What a piece is as the other side of what is joined: stitches of its last row, and its rows. */
export function sideOf({
  prepared,
  piece,
}: {
  readonly prepared: Prepared;
  readonly piece: Pick<Piece, 'fabric'>;
}): OtherSide {
  const { stitches, courses } = finishRequest(prepared, piece.fabric);
  return { stitches, courses };
}

/** What the finishing needs to know of a laid piece. */
export function finishRequest(prepared: Prepared, fabric: Fabric): FinishRequest {
  const { bound, technique, finish, wish, gauge, foundation, yarns } = prepared;
  const courses = sidesOf(fabric).courses;
  const tube = isTube(prepared) ? tubeBegins(foundation) : undefined;
  const key = technique.gaugeKey(bound);
  const item = itemNamed(wish.item);
  const edgePost = bound.cell === 'hdc@between';
  return {
    ...finish,
    letters: bound.colours,
    stitch: bound.stitch,
    technique,
    stitches: edgeStitches(fabric, fabric.courses - 1, edgePost),
    begun: edgeStitches(fabric, 0, edgePost),
    courses,
    other: wish.set?.other,
    width: widthsAcross(prepared, fabric.count) * gauge.stitchWidth.mid,
    height: courses * gauge.rowHeight.mid,
    tube,
    mouth: item.mouth === true,
    insert: item.asks.includes('insert'),
    sides: item.sides ?? 3,
    round: technique.circle ? stitchesMade(courseCells(fabric, fabric.courses - 1)) : undefined,
    inHand: inHandAfter(fabric),
    rowHeight: gauge.rowHeight.mid,
    sc: yarns.map((yarn) => {
      const { width, height } = singleCrochetOf(gauge, key, yarn.weight);
      return { width: width.mid, height: height.mid, diameter: yarnFigures(yarn).diameter };
    }),
    pieces: wish.pieces,
    items: itemsIn(wish, tube !== undefined),
  };
}
