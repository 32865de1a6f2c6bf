import type { Gauge } from '../../craft/gauge/gauge.ts';
import { type Belief, firstBelief } from '../../craft/values/belief.ts';
import { type Estimate, plus, type Source, spread, times } from '../../craft/values/estimate.ts';
import {
  type BallQuestion,
  ballsNeeded,
  chanceEnough,
  forecastError,
  tailMetres,
} from '../../craft/values/forecast.ts';
import { type Yarn, yarnFigures } from '../../craft/yarn/yarn.ts';
import type { YarnOfPart } from '../finish/borderPart.ts';
import { type FinishPart, yarnsOfPart } from '../finish/finish.ts';
import { measureParts, type PartsRequest, type YarnParts } from './parts.ts';

/** The yarn one colour needs. */
export interface YarnNeed {
  readonly letter: string;
  /** Where the metres go, each as a range; they add up to `metres`. */
  readonly parts: readonly { readonly part: string; readonly metres: Estimate }[];
  /** m, tails included. */
  readonly metres: Estimate;
  /** g */
  readonly grams: Estimate;
  /** Whole balls with a chance of at least 0.95, where the weight of a ball is known. */
  readonly balls?: { readonly count: number; readonly chance: number; readonly source: Source };
  /** The chance of a few balls less and one more. */
  readonly chances?: readonly { readonly balls: number; readonly chance: number }[];
  /** Chance that the balls in the drawer are enough, where it is known what lies there. */
  readonly drawer?: { readonly chance: number };
  /** Ends that are left, each with its tail. */
  readonly ends: number;
  /** Those of them that a border closes in; the others are woven in. */
  readonly closedIn: number;
  /** Metres of a gram, and whether the label says so. */
  readonly meterage: { readonly metresPerGram: number; readonly meterageFrom: 'label' | 'typical' };
  /** What the chances of balls follow from, where the weight of a ball is known. */
  readonly question?: BallQuestion;
}

/** Ends of a whole plan: those that are woven in, and those that a border closes in, of every piece and its finishing. */
export interface EndsOfPlan {
  readonly toWeave: number;
  readonly closedIn: number;
}

/** The ends of a whole plan, counted from what its colours need: what every screen and every sheet of paper says. */
export function endsOfPlan(needs: readonly Pick<YarnNeed, 'ends' | 'closedIn'>[]): EndsOfPlan {
  return { toWeave: wovenIn(needs), closedIn: needs.reduce((sum, { closedIn }) => sum + closedIn, 0) };
}

/** Ends that are woven in, of all colours. */
export function wovenIn(needs: readonly Pick<YarnNeed, 'ends' | 'closedIn'>[]): number {
  return needs.reduce((sum, { ends, closedIn }) => sum + ends - closedIn, 0);
}

export interface MeasureRequest extends Omit<PartsRequest, 'stitchWidth' | 'rowHeight' | 'diameters'> {
  readonly gauge: Gauge;
  readonly yarns: readonly Yarn[];
  readonly finish?: readonly FinishPart[] | undefined;
  /** Ends of each colour of one of them that the border closes in. */
  readonly closedIn?: readonly number[] | undefined;
  /** How many of it are made; they share their balls. */
  readonly pieces?: number | undefined;
  /** The chance with which the balls are to be enough. */
  readonly sure?: number | undefined;
  /** What is known of the hand; without it what is known before anything was weighed. */
  readonly belief?: Belief | undefined;
}

/** What a part of the finishing takes of a colour. */
interface FinishYarn extends YarnOfPart {
  readonly part: FinishPart;
}

/** Metres of one colour by name; without tails. */
function namedParts(
  own: YarnParts,
  finish: readonly FinishYarn[],
  timesOf: (part: FinishPart) => number,
): { part: string; metres: number }[] {
  return [
    { part: 'stitches', metres: own.stitches },
    { part: 'carried', metres: own.carried },
    { part: 'bridged', metres: own.bridged },
    { part: 'chains', metres: own.chains },
    ...finish.map(({ part, metres }) => ({ part: part.part, metres: metres * timesOf(part) })),
  ];
}

/** What cloths that are made alike take of a colour by the model: metres by name, without tails, and ends. */
interface Taken {
  readonly parts: ReadonlyMap<string, number>;
  readonly ends: number;
  readonly closedIn: number;
}

/** What cloths that are made alike take of each colour. @param of how many of them there are */
function takenBy(request: MeasureRequest, of: number): Taken[] {
  const { gauge, yarns, strands, pieces = 1 } = request;
  const timesOf = (part: FinishPart) => part.times / pieces;
  const measured = measureParts({
    ...request,
    stitchWidth: gauge.stitchWidth.mid,
    rowHeight: gauge.rowHeight.mid,
    diameters: yarns.map((yarn) => yarnFigures(yarn).diameter),
  });
  return yarns.map((_, colour) => {
    const finish = (request.finish ?? []).flatMap((part) =>
      yarnsOfPart(part).flatMap((yarn) => (yarn.colour === colour ? [{ ...yarn, part }] : [])),
    );
    const parts = new Map<string, number>();
    for (const { part, metres } of namedParts(measured[colour] as YarnParts, finish, timesOf)) {
      parts.set(part, (parts.get(part) ?? 0) + of * metres);
    }
    const routed = strands.totals.reduce((sum, total, i) => sum + (strands.colourOf[i] === colour ? total.ends : 0), 0);
    return {
      parts,
      ends: of * (routed + finish.reduce((sum, { part, ends }) => sum + timesOf(part) * ends, 0)),
      closedIn: of * (request.closedIn?.[colour] ?? 0),
    };
  });
}

/** Cloths of the same project that are made by another plan, and how many there are. */
export interface MadeBeside {
  readonly request: MeasureRequest;
  readonly pieces: number;
}

function together(all: readonly Taken[]): Taken {
  const parts = new Map<string, number>();
  for (const [part, metres] of all.flatMap((each) => [...each.parts])) {
    parts.set(part, (parts.get(part) ?? 0) + metres);
  }
  return {
    parts,
    ends: all.reduce((sum, { ends }) => sum + ends, 0),
    closedIn: all.reduce((sum, { closedIn }) => sum + closedIn, 0),
  };
}

/**
 * The metres, grams and balls of every colour, each as a range. docs/craft.md, “Yarn in a piece”.
 * @param beside cloths among the pieces that are not as this request says
 */
export function measure(request: MeasureRequest, beside: readonly MadeBeside[] = []): YarnNeed[] {
  const { gauge, yarns, pieces = 1, sure = 0.95 } = request;
  const figures = yarns.map(yarnFigures);
  const others = beside.map((each) => takenBy(each.request, each.pieces));
  const own = takenBy(request, pieces - beside.reduce((sum, each) => sum + each.pieces, 0));
  const belief = request.belief ?? firstBelief(gauge.source === 'typical' ? 'typical' : 'measured');
  const error = forecastError(belief);
  const really = Math.exp(belief.mean);
  return yarns.map((yarn, colour) => {
    const figure = figures[colour] as ReturnType<typeof yarnFigures>;
    const taken = together([...others, own].map((each) => each[colour] as Taken));
    const byName = [...taken.parts].map(([part, metres]) => ({ part, metres: metres * really }));
    // What is worked once for several pieces was shared out among them: whole again only up to the last digit.
    const [ends, closedIn] = [Math.round(taken.ends), Math.round(taken.closedIn)];
    const tailed = ends * tailMetres;
    const made = byName.reduce((sum, part) => sum + part.metres, 0);
    const metres = plus(spread(made, error, gauge.source), tailed);
    const source = grade(gauge, figure.meterageFrom);
    const mass = spread(made, Math.hypot(error, figure.meterageError), source);
    const grams = times(plus(mass, tailed), 1 / figure.metresPerGram);
    const tails = { mid: tailed, low: tailed, high: tailed, source: gauge.source };
    const parts = [
      ...byName.map(({ part, metres }) => ({ part, metres: spread(metres, error, gauge.source) })),
      { part: 'tails', metres: tails },
    ].filter((part) => part.metres.mid > 0);
    const { metresPerGram, meterageError, meterageFrom } = figure;
    const need = {
      letter: yarn.letter,
      parts,
      metres,
      grams,
      ends,
      closedIn,
      meterage: { metresPerGram, meterageFrom },
    };
    if (yarn.ballGrams === undefined) return need;
    const question = { metres: made, error, ends, ballGrams: yarn.ballGrams, metresPerGram, meterageError };
    const { balls, chance } = ballsNeeded(question, sure);
    const fewest = Math.max(1, balls - 3);
    const chances = Array.from({ length: balls + 2 - fewest }, (_, i) => ({
      balls: fewest + i,
      chance: chanceEnough(question, fewest + i),
    }));
    return { ...need, question, balls: { count: balls, chance, source }, chances, ...inDrawer(yarn, question) };
  });
}

/** The chance that what lies in the drawer is enough, where the maker said what does. */
function inDrawer(yarn: Yarn, question: BallQuestion): Pick<YarnNeed, 'drawer'> {
  if (yarn.balls === undefined && yarn.partGrams === undefined) return {};
  return { drawer: { chance: chanceEnough(question, yarn.balls ?? 0, yarn.partGrams ?? 0) } };
}

/** A figure is only as well founded as the weaker of what it rests on. */
function grade(gauge: Gauge, meterage: 'label' | 'typical'): Source {
  return meterage === 'typical' ? 'typical' : gauge.source;
}
