import { pensOf } from '../../craft/desk/begin.ts';
import { marked } from '../../craft/desk/changes.ts';
import {
  colourOf,
  type Drawing,
  type DrawnRow,
  type Mark,
  patternOf,
  rowLetters,
  widthOf,
} from '../../craft/desk/drawing.ts';
import { markAt, type Place, placesOfRegion } from '../../craft/desk/places.ts';
import { edgesDiffer } from '../../craft/fabric/edges.ts';
import { chooseFoundation } from '../../craft/foundation/foundation.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { printPattern } from '../../craft/notation/print.ts';
import { readPattern } from '../../craft/notation/read.ts';
import { reviewPattern } from '../../craft/notation/review.ts';
import type { LikelySlip } from '../../craft/notation/slips.ts';
import { type BoundMultiple, type BoundPattern, leastCommonMultiple } from '../../craft/patterns/bound.ts';
import { coursesFor } from '../../craft/technique/courses.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import type { Problem, Told } from '../../craft/values/problem.ts';
import { wishSchema } from '../../records/wish.ts';
import { type RefusedCell, refusedCells } from '../check/fabric.ts';
import { lay } from '../lay/lay.ts';
import { planWish } from '../piece/plan.ts';
import { insideCells } from '../route/ledger.ts';

/** A cell of a drawing that cannot be worked, and why. */
export interface RefusedMark extends Told, Place {}

/** What a drawn row asks of the hand. */
export interface RowCost {
  readonly colours: number;
  /** Changes of colour within the row, in one repeat. */
  readonly changes: number;
  /** Idle strands inside its stitches, at the thickest. */
  readonly inside: number;
}

/** What a drawing costs: of a cloth of a few repeats, as the strands are usually led. */
export interface DrawingCosts {
  readonly ends: number;
  /** Of the cloth that was reckoned: repeats of it across and up. */
  readonly repeats: number;
  readonly mostColours: number;
  /** Idle strands inside one stitch at the most. */
  readonly thickest: number;
  readonly rows: readonly RowCost[];
}

/** What is told of a drawing while it is drawn. */
export interface Study {
  /** What is in the way of the whole. */
  readonly problems: readonly Problem[];
  /** Cells that cannot be worked. */
  readonly refused: readonly RefusedMark[];
  readonly slips: readonly LikelySlip[];
  /** Cells with no neighbour of their own colour. */
  readonly lone: readonly Place[];
  readonly works: BoundMultiple | undefined;
  /** Widths whose two edges are alike, where those that work are not. */
  readonly alike: BoundMultiple | undefined;
  readonly up: BoundMultiple | undefined;
  /** Rows that are laid half a step on have to be even in number, or the next repeat leans the other way. */
  readonly oddRows: boolean;
  readonly costs: DrawingCosts | undefined;
}

/** Cells that are told at once. */
const mostTold = 200;

/** Repeats that are laid, and cells up to which so many are. */
const [repeats, mostLaid] = [2, 60_000];

interface Laid {
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly stitches: number;
  readonly rows: number;
}

/** Rows of so many whole repeats, with what stands once. */
function rowsOf(bound: BoundPattern, technique: Technique, count: number): number {
  const own = technique.endings?.(bound)?.whole;
  const { multiple, extra } = bound.up.works;
  return own ? own.step * Math.max(2, count) + own.offset : multiple * count + extra;
}

/** Which drawn cell a cell of the cloth is. */
function drawnPlace(
  drawing: Drawing,
  { technique, bound, rows }: Laid,
  { course, column }: Pick<RefusedCell, 'course' | 'column'>,
  wide: number,
): Place {
  const at = technique.drawnAt?.(course, column, bound.pattern.made) ?? { row: course, cell: column };
  const setup = drawing.rows.findIndex(({ role }) => role === 'row');
  const close = drawing.rows.filter(({ role }) => role === 'close').length;
  const repeated = drawing.rows.length - setup - close;
  const turned = Math.max(0, at.row);
  const fromTop = rows - turned;
  const row =
    turned < setup
      ? turned
      : close > 0 && fromTop <= close
        ? drawing.rows.length - fromTop
        : setup + ((turned - setup) % repeated);
  const { marks } = drawing.rows[row] as Drawing['rows'][number];
  const { before, unit, read } = drawing;
  const flipped = read === 'worked' && course % 2 === 1 && bound.pattern.made === 'flat';
  const cell = flipped ? wide - 1 - at.cell : at.cell;
  const after = marks.length - before - unit;
  if (cell < before) return { row, cell: Math.max(0, cell) };
  if (cell >= wide - after) return { row, cell: Math.min(marks.length - 1, marks.length - (wide - cell)) };
  return { row, cell: before + ((cell - before) % unit) };
}

/** The cells that cannot be, each once, in the order of working. */
function refusedIn(drawing: Drawing, laid: Laid): RefusedMark[] {
  const { bound, technique, stitches, rows } = laid;
  const foundation = chooseFoundation(technique.foundations(bound), undefined);
  if (!foundation.ok) return [];
  const courses = coursesFor({ technique, foundation: foundation.value }, stitches, rows);
  const fabric = lay({ bound, foundation: foundation.value, edges: 'whole', stitches, courses });
  const cells = refusedCells(fabric, { bound, technique, foundation: foundation.value }, mostTold);
  const found = new Map<string, RefusedMark>();
  for (const each of cells) {
    const place = drawnPlace(drawing, laid, each, stitches - (technique.ownEdge ?? 0));
    const key = `${place.row} ${place.cell}`;
    if (!found.has(key)) found.set(key, { ...place, code: each.code, ...(each.facts ? { facts: each.facts } : {}) });
  }
  return [...found.values()];
}

/** Repeats that are laid each way, to see what one costs: one alone of a large drawing. */
function fewOf(bound: BoundPattern): number {
  return bound.across.works.multiple * bound.up.works.multiple > mostLaid / repeats ** 2 ? 1 : repeats;
}

/** Rows that a stitch is proved by: its own, the two below it, and the one above that a drop is drawn in. */
const seenTogether = 4;

/**
 * Repeats, one above the other, until every row has stood over every row that it can ever stand over, in every direction and
 * colour in which that can be: an odd number of rows is worked the other way round, or in the other colour, the second time,
 * and meets itself anew only in the third.
 */
function repeatsUp({ up, pattern, colours }: BoundPattern): number {
  const { multiple } = up.works;
  const ways = pattern.made === 'paired' || pattern.made === 'netted' ? 4 : 2;
  const turning = pattern.rows.filter(({ role, colour }) => role === 'row' && colour === '*').length;
  const turned = turning ? leastCommonMultiple(colours.length, turning) / turning : 1;
  const around = leastCommonMultiple(leastCommonMultiple(ways, multiple) / multiple, turned);
  return around + Math.ceil((seenTogether - 1) / multiple);
}

function sizeOf(bound: BoundPattern, technique: Technique, up: number): Pick<Laid, 'stitches' | 'rows'> {
  const { multiple, extra } = bound.across.works;
  return { stitches: multiple * fewOf(bound) + extra, rows: rowsOf(bound, technique, up) };
}

/** Places whose four neighbours, on into the next repeat, are all of another colour. */
function lonePlaces(drawing: Drawing, technique: Technique): Place[] {
  if (technique.marks || technique.mostColours) return [];
  const { rows, before, unit } = drawing;
  const at = (row: number, cell: number): Mark | undefined => {
    const marks = rows[(row + rows.length) % rows.length]?.marks;
    const inUnit = before === 0 && marks?.length === unit;
    return marks?.[inUnit ? (cell + unit) % unit : cell];
  };
  const whole = { row: 0, cell: 0, high: rows.length, wide: widthOf(drawing) };
  return placesOfRegion(whole, true).filter(({ row, cell }) => {
    const own = at(row, cell);
    if (own === undefined) return false;
    return ![at(row, cell - 1), at(row, cell + 1), at(row - 1, cell), at(row + 1, cell)].includes(own);
  });
}

/** @param own the colour of its cells that name none */
function rowCost(drawing: Drawing, { marks }: DrawnRow, own: string, inside: number): RowCost {
  const letters = marks.map((mark) => colourOf(mark) ?? own);
  const repeat = letters.slice(drawing.before, drawing.before + drawing.unit);
  const changes = repeat.filter((letter, x) => x > 0 && letter !== repeat[x - 1]).length;
  return { colours: new Set(letters).size, changes, inside };
}

/** What a few repeats cost, laid and routed as needed; nothing where they cannot be planned. */
function costsOf(drawing: Drawing, laid: Laid, text: string): DrawingCosts | undefined {
  const { bound, technique } = laid;
  const count = fewOf(bound);
  const wish = wishSchema.safeParse({
    title: drawing.name || drawing.key,
    item: 'mat',
    width: { by: 'repeats', count },
    height: { by: 'repeats', count },
    pattern: { text },
    gauge: { from: 'typical' },
    edges: 'whole',
    ending: 'any',
    yarns: bound.colours.map((letter) => ({ letter, name: letter, shade: '#888888', weight: 4, fibre: 'cotton' })),
  });
  const plan = wish.success ? planWish(wish.data) : undefined;
  if (!plan?.ok) return undefined;
  const { fabric, strands, ends } = plan.value.piece;
  const inside = insideCells(fabric, strands);
  const most = new Array<number>(drawing.rows.length).fill(0);
  for (let course = 0; course < fabric.courses && !technique.diagonal; course++) {
    const { row } = drawnPlace(drawing, laid, { course, column: 0 }, laid.stitches);
    for (let i = fabric.starts[course] as number; i < (fabric.starts[course + 1] as number); i++) {
      most[row] = Math.max(most[row] as number, inside[i] as number);
    }
  }
  const own = rowLetters(drawing);
  const rows = drawing.rows.map((row, i) => rowCost(drawing, row, own[i] as string, most[i] as number));
  return {
    ends,
    repeats: count,
    mostColours: Math.max(...rows.map(({ colours }) => colours)),
    thickest: inside.reduce((thick, each) => Math.max(thick, each), 0),
    rows,
  };
}

const nothing = { refused: [], slips: [], lone: [], oddRows: false } as const;

/**
 * Studies a drawing as it is: whether each of its cells can be worked, what looks like a slip, on which widths it stands,
 * and what it costs. @param withCosts whether it is routed as well @returns all that can be said, however unfinished it is
 */
export function studyDrawing(drawing: Drawing, withCosts = true): Study {
  const pattern = patternOf(drawing);
  const text = printPattern(pattern);
  const none: Study = { ...nothing, problems: [], works: undefined, alike: undefined, up: undefined, costs: undefined };
  const read = readPattern(text);
  if (!read.ok) return { ...none, problems: read.problems };
  const bound = bindPattern(read.value);
  const technique = techniqueOf(read.value);
  if (!bound.ok) return { ...none, problems: bound.problems };
  if (!technique.ok) return { ...none, problems: technique.problems };
  const review = reviewPattern(read.value);
  const laid = (up: number): Laid => ({
    bound: bound.value,
    technique: technique.value,
    ...sizeOf(bound.value, technique.value, up),
  });
  const refused = review.ok ? refusedIn(drawing, laid(repeatsUp(bound.value))) : [];
  const repeated = drawing.rows.filter(({ role }) => role === 'row').length;
  return {
    problems: review.ok ? [] : review.problems,
    refused,
    slips: review.ok ? review.value : [],
    lone: lonePlaces(drawing, technique.value),
    works: bound.value.across.works,
    alike: edgesDiffer(bound.value) ? bound.value.across.alike : undefined,
    up: bound.value.up.works,
    oddRows: technique.value.offset !== undefined && repeated % 2 === 1,
    costs: review.ok && !refused.length && withCosts ? costsOf(drawing, laid(fewOf(bound.value)), text) : undefined,
  };
}

/** One way to mend a cell: these places in this mark. */
export interface Mend {
  readonly places: readonly Place[];
  readonly mark: Mark;
  /** Cells that cannot be worked, then. */
  readonly left: number;
}

/** Ways that are offered for one cell. */
const mostMends = 3;

/** The nearest ways to mend a cell: another mark in it, or in one beside, above or below; those that mend most first. */
export function mendsFor(drawing: Drawing, { row, cell }: Place): Mend[] {
  const before = studyDrawing(drawing, false).refused.length;
  const near = [
    { row, cell },
    { row: row - 1, cell },
    { row: row + 1, cell },
    { row, cell: cell - 1 },
    { row, cell: cell + 1 },
  ];
  const found: Mend[] = [];
  for (const place of near) {
    const own = markAt(drawing, place);
    if (own === undefined) continue;
    for (const mark of pensOf(drawing)) {
      if (mark === own) continue;
      const { refused, problems } = studyDrawing(marked(drawing, [place], mark), false);
      const mended = !refused.some((each) => each.row === row && each.cell === cell);
      if (!problems.length && mended && refused.length < before)
        found.push({ places: [place], mark, left: refused.length });
    }
  }
  return found.sort((a, b) => a.left - b.left).slice(0, mostMends);
}
