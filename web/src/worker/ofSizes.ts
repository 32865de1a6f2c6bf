import { beginColour, type Estimate, type Problem, type Result, type ToldUnit } from '@puntada/core/craft';
import {
  type Counted,
  countedCells,
  countedShare,
  endsOfPlan,
  endsWarning,
  type MadeWork,
  makePiece,
  type Piece,
  type PieceWorkings,
  type Prepared,
  pieceWorkings,
  planWork,
  prepare,
  type SearchStep,
  searchLargest,
  type YarnNeed,
} from '@puntada/core/plan';
import { type LabelWish, type PlanDocument, readShape, wishSchema } from '@puntada/core/records';
import { type Label, labelOf, type Maker, planDocument } from '@puntada/core/words';
import { z } from 'zod';

/** The figures of one size, without its stitches. */
export interface PieceFigures {
  readonly stitches: number;
  readonly rows: number;
  readonly share: readonly number[];
  /** What is counted along a row, and the letter of the colour that it is begun in. */
  readonly counted: Counted;
  readonly beginsIn: string;
  readonly yarn: readonly YarnNeed[];
  /** Of all pieces, finishing included. */
  readonly ends: number;
  /** Seconds. */
  readonly time: Estimate;
  /** How they come about. */
  readonly workings: PieceWorkings;
}

const count = z.number().int().min(1);
const request = z.strictObject({
  wish: wishSchema,
  sizes: z.array(z.strictObject({ stitches: count, rows: count })).max(50),
});
type MeasureMessage = z.input<typeof request>;

/** Lays, proves, routes and measures sizes away from the screen. A size that fails its proof is left out. */
export function measureSizes(message: MeasureMessage): PieceFigures[] {
  const { wish, sizes } = request.parse(message);
  const prepared = prepare(wish);
  if (!prepared.ok) return [];
  return sizes.flatMap(({ stitches, rows }) => {
    const piece = makePiece(prepared.value, stitches, rows);
    if (!piece.ok) return [];
    return [{ ...figuresOf(prepared.value, piece.value), stitches, rows }];
  });
}

/** What is to be said of the ends of one size. */
export function endsOf({ wish, sizes }: MeasureMessage): Problem[] {
  const read = request.parse({ wish, sizes });
  const prepared = prepare(read.wish);
  if (!prepared.ok) return [];
  return read.sizes.flatMap(({ stitches, rows }) => {
    const piece = makePiece(prepared.value, stitches, rows);
    return piece.ok ? endsWarning(prepared.value, piece.value) : [];
  });
}

/** A label of a work, with what its maker says of it. */
export function label(work: MadeWork, told: ToldUnit, wish: LabelWish): Result<Label> {
  const plan = planWork({ wish: work.wish, begun: work.begun }, told);
  return plan.ok ? { ok: true, value: labelOf(plan.value, wish) } : plan;
}

/** The figures of a work whose cloth is on the hook; nothing where that cannot be read. */
export function figuresOfWork(work: MadeWork): PieceFigures | undefined {
  const plan = planWork(work);
  if (!plan.ok) return undefined;
  const { piece, prepared } = plan.value;
  return { ...figuresOf(prepared, piece), stitches: piece.fabric.count, rows: piece.rows };
}

/** What is said of one piece. */
function figuresOf(prepared: Prepared, piece: Piece): Omit<PieceFigures, 'stitches' | 'rows'> {
  const { yarn, time, fabric } = piece;
  return {
    share: countedShare(fabric),
    counted: countedCells(fabric),
    beginsIn: prepared.bound.colours[beginColour(fabric)] ?? 'A',
    yarn,
    ends: endsOfPlan(yarn).toWeave,
    time,
    workings: pieceWorkings(prepared, piece),
  };
}

/** The whole plan of a work as its open document, or what is in the way: of the cloth on the hook once it is begun. */
export function planWhole(work: MadeWork, maker: Maker, told: ToldUnit): Result<PlanDocument> {
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
export async function largestOf(
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
