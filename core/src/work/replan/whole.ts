import { type Estimate, plus, spread } from '../../craft/values/estimate.ts';
import { forecastError, tailMetres } from '../../craft/values/forecast.ts';
import { good, type Result } from '../../craft/values/problem.ts';
import { thaw } from '../../plan/begun/frozen.ts';
import { prepareCloth } from '../../plan/begun/made.ts';
import { type FinishPart, yarnsOfPart } from '../../plan/finish/finish.ts';
import { type Handwork, handworkOf, handworkOfFinish } from '../../plan/pace/hours.ts';
import { secondsBy, unknownPace } from '../../plan/pace/ownPace.ts';
import { handBelief } from '../../plan/piece/piece.ts';
import { CUT } from '../../plan/route/moves.ts';
import type { StrandWay } from '../../plan/route/strands.ts';
import { sizeAt } from '../../plan/sizes/sizes.ts';
import type { FrozenWork } from '../../records/begun.ts';
import type { Wish } from '../../records/wish.ts';
import { costsOfWork, metresToEnd, type WorkCosts } from '../underway/inHand.ts';

/** What a whole plan comes to, from its first row to the last end: one piece. */
export interface PlanFigures {
  readonly rows: number;
  /** mm */
  readonly width: Estimate;
  readonly height: Estimate;
  /** Its size is one figure. */
  readonly circle: boolean;
  /** m, tails included. */
  readonly yarn: readonly { readonly letter: string; readonly metres: Estimate }[];
  readonly ends: number;
  /** Seconds, by the pace of its wish. */
  readonly time: Estimate;
}

/** What a begun plan comes to, for setting it beside another one of the same work. */
export function planFigures(wish: Wish, begun: FrozenWork): Result<PlanFigures> {
  const thawed = thaw(begun);
  if (!thawed.ok) return thawed;
  const read = prepareCloth(wish, thawed.value);
  if (!read.ok) return read;
  const [prepared, cloth] = [read.value, thawed.value];
  const { gauge, technique, yarns } = prepared;
  const costs = costsOfWork(prepared, cloth);
  const belief = handBelief(prepared);
  const rows = wish.choice?.rows ?? cloth.fabric.courses;
  const size = sizeAt(prepared, cloth.fabric.count, rows);
  const ends = endsOfColours(cloth.strands, costs.finish);
  const yarn = yarns.map(({ letter }, colour) => {
    const made = metresToEnd(costs, colour).reduce((sum, each) => sum + each, 0) * Math.exp(belief.mean);
    return {
      letter,
      metres: plus(spread(made, forecastError(belief), gauge.source), (ends[colour] ?? 0) * tailMetres),
    };
  });
  const all = ends.reduce((sum, each) => sum + each, 0);
  const work = handworkOf([...costs.hands, handworkOffTheHook(costs, all)].map((each) => [each, 1]));
  return good({
    rows,
    width: size.width.width,
    height: size.height.height,
    circle: technique.circle === true,
    yarn,
    ends: all,
    time: secondsBy(wish.pace ?? unknownPace, work),
  });
}

/** Ends of each colour: two a strand that is used, two for every cut, and those of the finishing. */
function endsOfColours({ chart, colourOf, moves }: StrandWay, finish: readonly FinishPart[]): number[] {
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
function handworkOffTheHook({ finish }: WorkCosts, ends: number): Handwork {
  const total = (of: (part: FinishPart) => number) => finish.reduce((sum, part) => sum + of(part), 0);
  return handworkOfFinish(
    total((part) => part.stitches),
    ends,
    total((part) => part.changes ?? 0),
  );
}
