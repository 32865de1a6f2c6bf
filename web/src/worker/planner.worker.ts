import '../parts/decimals.ts';
import {
  type Belief,
  coloursOfPicture,
  type Estimate,
  type Fabric,
  findPattern,
  isWritten,
  makingsOf,
  type Problem,
  patternBook,
  type Result,
  sourceOf,
  type ToldUnit,
} from '@puntada/core/craft';
import {
  cautionsFor,
  endsWarning,
  type HookAdvice,
  handBelief,
  hookAdvice,
  type MadeWork,
  makePiece,
  measureOf,
  mendsFor,
  type PatternedRound,
  type PatternFacts,
  type PieceWorkings,
  patternFacts,
  pieceWorkings,
  planWish,
  planWork,
  prepare,
  prepareWork,
  roundsInPattern,
  type SearchStep,
  type Sequence,
  searchLargest,
  secondsBy,
  studyDrawing,
  type TubeMeasure,
  type TubeSize,
  unknownPace,
  widthsAcross,
  type YarnNeed,
} from '@puntada/core/plan';
import type { LabelWish, LogSteps, Work } from '@puntada/core/records';
import {
  type LogEntry,
  marksIn,
  type PlanDocument,
  readShape,
  ticksInLog,
  type Weighing,
  weighingsIn,
  wishSchema,
} from '@puntada/core/records';
import { cautionWords, type Label, labelOf, type Maker, planDocument, readWritten } from '@puntada/core/words';
import {
  colourQuestions,
  compareStrips,
  costsOfProject,
  handworkOfRows,
  type ItemStand,
  itemsAt,
  type Lasting,
  type LogTimes,
  lasting,
  lastingOfSet,
  logTimes,
  type ProjectCosts,
  paceOfSessions,
  planFigures,
  type RestPlan,
  restPlans,
  type Strip,
  sessionsOfWork,
  setWays,
  swatchGauge,
  withSwatch,
} from '@puntada/core/work';
import { expose } from 'comlink';
import { z } from 'zod';
import { workCloth } from '../parts/workCloth.ts';
import { planFile } from './planFile.ts';
import { swatchReadings, swatchWork } from './swatchWork.ts';

/** What the page of a set tells of one of its projects. */
export interface SetPart {
  readonly sequence: Sequence;
  readonly items: readonly ItemStand[];
  /** Seconds that it still takes. */
  readonly left: Estimate;
  /** m of each colour, row by row and step by step. */
  readonly metres: readonly (readonly number[])[];
  /** What is known of the hand before anything was weighed. */
  readonly belief: Belief;
}

/** The figures of one size, without its stitches. */
export interface PieceFigures {
  readonly stitches: number;
  readonly rows: number;
  readonly share: readonly number[];
  readonly yarn: readonly YarnNeed[];
  /** Of all pieces, finishing included. */
  readonly ends: number;
  /** Seconds. */
  readonly time: Estimate;
  /** How they come about. */
  readonly workings: PieceWorkings;
}

/** A wish in one pattern, for setting beside another. */
export interface PatternFigures {
  readonly key: string;
  readonly name: string;
  /** mm */
  readonly width: Estimate;
  readonly height: Estimate;
  /** m, all colours. */
  readonly metres: number;
  readonly balls: number | undefined;
  readonly ends: number;
  /** Seconds. */
  readonly time: Estimate;
}

const count = z.number().int().min(1);
const request = z.strictObject({
  wish: wishSchema,
  sizes: z.array(z.strictObject({ stitches: count, rows: count })).max(50),
});
export type MeasureMessage = z.input<typeof request>;

/** Lays, proves, routes and measures sizes away from the screen. A size that fails its proof is left out. */
function measureSizes(message: MeasureMessage): PieceFigures[] {
  const { wish, sizes } = request.parse(message);
  const prepared = prepare(wish);
  if (!prepared.ok) return [];
  return sizes.flatMap(({ stitches, rows }) => {
    const piece = makePiece(prepared.value, stitches, rows);
    if (!piece.ok) return [];
    const { share, yarn, time } = piece.value;
    const ends = yarn.reduce((sum, need) => sum + need.ends, 0);
    const workings = pieceWorkings(prepared.value, piece.value);
    return [{ stitches, rows, share, yarn, ends, time, workings }];
  });
}

/** What is to be said of the ends of one size. */
function endsOf({ wish, sizes }: MeasureMessage): Problem[] {
  const read = request.parse({ wish, sizes });
  const prepared = prepare(read.wish);
  if (!prepared.ok) return [];
  return read.sizes.flatMap(({ stitches, rows }) => {
    const piece = makePiece(prepared.value, stitches, rows);
    return piece.ok ? endsWarning(prepared.value, piece.value) : [];
  });
}

/** A label of a work, with what its maker says of it. */
function label(work: MadeWork, told: ToldUnit, wish: LabelWish): Result<Label> {
  const plan = planWork({ wish: work.wish, begun: work.begun }, told);
  return plan.ok ? { ok: true, value: labelOf(plan.value, wish) } : plan;
}

/** The figures of a work whose cloth is on the hook; nothing where that cannot be read. */
function figuresOfWork(work: MadeWork): PieceFigures | undefined {
  const plan = planWork(work);
  if (!plan.ok) return undefined;
  const { piece } = plan.value;
  const ends = piece.yarn.reduce((sum, need) => sum + need.ends, 0);
  const { fabric, rows, share, yarn, time } = piece;
  const workings = pieceWorkings(plan.value.prepared, piece);
  return { stitches: fabric.count, rows, share, yarn, ends, time, workings };
}

/** The whole plan of a work as its open document, or what is in the way: of the cloth on the hook once it is begun. */
function planWhole(work: MadeWork, maker: Maker, told: ToldUnit): Result<PlanDocument> {
  const read = readShape(wishSchema, work.wish);
  if (!read.ok) return read;
  const plan = planWork({ wish: read.value, begun: work.begun }, told);
  return plan.ok ? { ok: true, value: planDocument(plan.value, maker) } : plan;
}

/**
 * The largest whole piece that the drawer makes, nine times in ten. @param goOn is told how far the search has come,
 * and says whether to go on
 * @returns nothing where it was given up
 */
async function largestOf(
  wish: unknown,
  goOn: (step: SearchStep) => boolean | Promise<boolean>,
): Promise<Result<{ stitches: number; rows: number; chance: number }> | undefined> {
  const read = readShape(wishSchema, wish);
  if (!read.ok) return read;
  const prepared = prepare(read.value);
  if (!prepared.ok) return prepared;
  const search = searchLargest(prepared.value);
  let now = search.next();
  for (; !now.done; now = search.next()) {
    if (!(await goOn(now.value))) return undefined;
  }
  const largest = now.value;
  if (!largest.ok) return largest;
  const { width, height, chance } = largest.value;
  return { ok: true, value: { stitches: width.stitches, rows: height.rows, chance } };
}

/** A pattern as a wish holds it. @param source its key in the book, or all of it in the notation */
function named(source: string, key: string): { key: string; text?: string } {
  return isWritten(source) ? { key, text: source } : { key };
}

/** The same wish in other patterns: the best size of each, in figures. A pattern that it cannot be made in is left out. */
function comparePatterns(wish: unknown, keys: readonly string[]): PatternFigures[] {
  const read = readShape(wishSchema, wish);
  if (!read.ok) return [];
  return keys.flatMap((key) => {
    const pattern = findPattern(key);
    if (!pattern.ok) return [];
    // In rounds if it is in rounds and the pattern can be.
    const { made } = read.value.pattern;
    const own =
      sourceOf(read.value.pattern) === key
        ? read.value.pattern
        : {
            ...named(key, pattern.value.key),
            ...(made && makingsOf(pattern.value.technique).includes(made) ? { made } : {}),
          };
    const { yarns } = read.value;
    const spare = yarns[yarns.length - 1];
    const needed = pattern.value.colours.map(
      (letter) => yarns.find((yarn) => yarn.letter === letter) ?? { ...spare, letter },
    );
    const asked = readShape(wishSchema, {
      ...read.value,
      pattern: own,
      yarns: needed,
      foundation: sourceOf(read.value.pattern) === key ? read.value.foundation : undefined,
      choice: undefined,
    });
    const plan = asked.ok ? planWish(asked.value) : asked;
    if (!plan.ok) return [];
    const { piece, width, height } = plan.value;
    const balls = piece.yarn.map((need) => need.balls?.count);
    return [
      {
        key,
        name: pattern.value.name,
        width: width.width,
        height: height.height,
        metres: piece.yarn.reduce((sum, need) => sum + need.metres.mid, 0),
        balls: balls.every((count) => count !== undefined)
          ? balls.reduce((sum, count) => sum + (count ?? 0), 0)
          : undefined,
        ends: piece.yarn.reduce((sum, need) => sum + need.ends, 0),
        time: piece.time,
      },
    ];
  });
}

/** What a wish would come to, as far as a picture and a few lines need it. */
export interface PreviewFigures {
  readonly fabric: Fabric;
  /** The cloth without its border, mm. */
  readonly cloth: { readonly width: number; readonly height: number };
  readonly width: Estimate;
  readonly height: Estimate;
  readonly chains: number;
  /** Rounds of border, their depth in mm and their colour, 0 for A. */
  readonly border:
    | {
        readonly depth: number;
        readonly colour: number;
        /** Its rounds, and the colour of what is `x` in them. */
        readonly pattern?: { readonly rounds: readonly PatternedRound[]; readonly colour: number } | undefined;
      }
    | undefined;
  readonly round: boolean;
  /** How many more of it there are. */
  readonly behind: number;
  /** mm, with the colour, 0 for A. */
  readonly strap: { readonly drop: number; readonly width: number; readonly colour: number } | undefined;
  readonly ring: number | undefined;
  readonly cautions: readonly string[];
  readonly hook: HookAdvice;
  /** Both widths of what is worked in rounds. */
  readonly tube: { readonly widths: TubeSize; readonly measure: TubeMeasure } | undefined;
}

/** Plans the nearest size of a wish for a look at it; of a work that is begun the cloth on the hook. */
function preview(wish: unknown, begun?: MadeWork['begun']): Result<PreviewFigures> {
  const read = readShape(wishSchema, wish);
  if (!read.ok) return read;
  const plan = planWork({ wish: read.value, begun });
  if (!plan.ok) return plan;
  const { piece, width, height, prepared } = plan.value;
  const { technique, finished, finish, sc } = prepared;
  const round = technique.circle === true;
  const across = widthsAcross(prepared, width.stitches) * finished.stitchWidth.mid;
  const up = (technique.heights?.(piece.rows) ?? piece.rows) * finished.rowHeight.mid;
  const { border } = finish;
  return {
    ok: true,
    value: {
      fabric: piece.fabric,
      cloth: round ? { width: height.height.mid, height: height.height.mid } : { width: across, height: up },
      width: width.width,
      height: height.height,
      chains: width.chains,
      border: border && {
        depth: border.rounds * sc.height.mid,
        colour: border.colour,
        pattern: border.pattern && {
          rounds: roundsInPattern(piece.finish.find(({ part }) => part === 'border')?.steps ?? []),
          colour: border.pattern.colour,
        },
      },
      round,
      behind: Math.min(2, prepared.wish.pieces - 1),
      strap: finish.strap && { drop: finish.strap.drop, width: finish.strap.width, colour: finish.strap.colour },
      ring: finish.ring,
      hook: hookAdvice(prepared),
      tube: width.tube && { widths: width.tube, measure: measureOf(prepared.wish) },
      cautions: cautionsFor(prepared.wish).map((caution) => cautionWords[caution.code]),
    },
  };
}

/** The test strips of a wish, with what the weighed ones say. */
function strips(wish: unknown): Result<Strip[]> {
  const read = readShape(wishSchema, wish);
  return read.ok ? compareStrips(read.value, read.value.strips) : read;
}

/** What can be said of every pattern of the book, and of some written out, beside the others. */
function bookFacts(written: readonly string[]): PatternFacts[] {
  const own = written.flatMap((text) => {
    const found = findPattern(text);
    return found.ok ? [found.value] : [];
  });
  return [...own, ...patternBook].flatMap((pattern) => {
    const facts = patternFacts(pattern);
    return facts.ok ? [facts.value] : [];
  });
}

/** How one repeat of a pattern is worked, in words; of the smallest cloth that shows it. */
function oneRepeat(key: string, maker: Maker): string[] {
  const pattern = findPattern(key);
  if (!pattern.ok) return [];
  const yarn = { shade: '#888888', weight: 4, fibre: 'cotton' } as const;
  const made = readShape(wishSchema, {
    title: pattern.value.name,
    item: 'mat',
    width: { by: 'repeats', count: 2 },
    height: { by: 'repeats', count: 2 },
    pattern: named(key, pattern.value.key),
    gauge: { from: 'typical' },
    edges: 'whole',
    ending: 'any',
    yarns: pattern.value.colours.map((letter) => ({ ...yarn, letter, name: letter })),
  });
  const plan = made.ok ? planWish(made.value) : made;
  if (!plan.ok) return [];
  const { grouped } = planDocument(plan.value, maker);
  return [...grouped];
}

/** The same for a work as long as another, or another revision of it, is not asked for. */
function ofLast<T>(count: (work: Work) => T): (work: Work) => T {
  let last: { readonly key: string; readonly found: T } | undefined;
  return (work) => {
    const key = `${work.id} ${work.revision}`;
    if (last?.key !== key) last = { key, found: count(work) };
    return last.found;
  };
}

const clothOfWork = ofLast(workCloth);

/** What a work holds, course by course and off the hook; nothing where it cannot be laid. */
const workCosts = ofLast((work: Work): ProjectCosts | undefined => {
  const cloth = clothOfWork(work);
  const prepared = prepareWork(work);
  return cloth && prepared.ok ? costsOfProject(prepared.value, cloth) : undefined;
});

/** Whether the yarn of a begun work lasts, and on what; nothing where it is not known what there is. */
function lastingOf(work: Work, weighings: readonly Weighing[]): { lasting: Lasting[]; sequence: Sequence } | undefined {
  const costs = work.begun ? workCosts(work) : undefined;
  const prepared = prepareWork(work);
  if (!costs || !prepared.ok) return undefined;
  const { sequence } = costs;
  return { lasting: lasting(colourQuestions(prepared.value, costs, weighings), work.progress), sequence };
}

/** How far each item of a work is, what it still takes, and what of each yarn; nothing where it cannot be laid. */
function setPart(work: Work): SetPart | undefined {
  const costs = workCosts(work);
  const prepared = prepareWork(work);
  if (!costs || !prepared.ok) return undefined;
  return {
    sequence: costs.sequence,
    items: itemsAt(costs.sequence, work.progress),
    left: secondsBy(work.wish.pace ?? unknownPace, handworkOfRows(costs, work.progress, 0)),
    metres: costs.metres,
    belief: handBelief(prepared.value),
  };
}

/** When a work was worked; nothing where it cannot be laid. */
function timesOfWork(work: Work, entries: readonly LogEntry[], steps: LogSteps): LogTimes | undefined {
  const cloth = clothOfWork(work);
  const costs = workCosts(work);
  return cloth && costs && logTimes(cloth, costs, ticksInLog(steps), marksIn(entries), work.wish.pace);
}

/** Every way for the rest of a work from the cloth in hand on; none where no rows are to come. */
function onward(work: Work, entries: readonly LogEntry[], steps: LogSteps): Result<RestPlan[]> {
  const cloth = clothOfWork(work);
  const costs = workCosts(work);
  if (!work.begun || !cloth || !costs) return { ok: true, value: [] };
  const pace = paceOfSessions(sessionsOfWork(cloth, costs, ticksInLog(steps), marksIn(entries)), work.wish.pace);
  const measures = entries.filter((entry) => entry.kind === 'measure');
  const weighings = weighingsIn(entries);
  const { wish, progress } = work;
  return restPlans({ wish, cloth, stands: progress, weighings, measures, pace });
}

const planner = {
  readWritten,
  coloursOfPicture,
  studyDrawing,
  mendsFor,
  onward,
  planFigures,
  workCosts,
  timesOfWork,
  setPart,
  swatchGauge,
  swatchReadings,
  swatchWork,
  withSwatch,
  lasting: lastingOf,
  lastingOfSet,
  setWays,
  bookFacts,
  oneRepeat,
  preview,
  strips,
  measureSizes,
  endsOf,
  figuresOfWork,
  label,
  planWhole,
  planFile,
  largestOf,
  comparePatterns,
};
export type Planner = typeof planner;
expose(planner);
