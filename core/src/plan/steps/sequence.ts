import { type Fabric, isRoundMaking } from '../../craft/fabric/fabric.ts';
import { beginColour } from '../../craft/fabric/onHook.ts';
import { chainsFor, type Foundation } from '../../craft/foundation/foundation.ts';
import { beforeAt } from '../begun/frozen.ts';
import { finishParts } from '../finish/finish.ts';
import { itemNamed } from '../items/register.ts';
import { foundationMetres } from '../measure/parts.ts';
import { finishRequest, measuringRequest } from '../piece/piece.ts';
import type { Prepared } from '../wish/prepare.ts';
import { chainStep, type EndToWeave, endsIn, endsStep, inOrder, step, stepsOf, type WorkStep } from './finishSteps.ts';

/** What is done once everything is off the hook: washed together, and folded one by one. */
function atTheEnd({ wash, fold, item }: Prepared['wish'], items: number): WorkStep[] {
  const { folds } = itemNamed(item);
  const runs = Array.from({ length: items }, (_, i) => ({ code: 'fold', facts: { n: i + 1, of: items } }));
  return [
    ...(wash ? [step('wash', { facts: { way: wash } })] : []),
    ...(fold && folds ? [step('fold', { facts: { ...folds }, runs })] : []),
  ];
}

/** One line of the whole project: a row of a cloth, or a step. */
export type Unit =
  | { readonly kind: 'row'; readonly piece: number; readonly row: number }
  | { readonly kind: 'step'; readonly piece: number; readonly of: 'cloth' | 'item' | 'all'; readonly step: WorkStep };

/** A project in the order of working: all its cloths, and every step to the last. */
export interface Sequence {
  readonly pieces: number;
  readonly items: number;
  /** What a course of its cloths is called; a row where it is left out. */
  readonly word?: 'row' | 'round' | 'diagonal' | undefined;
  /** Rows of each cloth. */
  readonly rowsOf: readonly number[];
  readonly units: readonly Unit[];
}

/** Cloths of a project that are made alike. */
export interface Stretch {
  /** How many; the last stretch of a project holds all that are left, however many it says. */
  readonly pieces: number;
  readonly prepared: Prepared;
  readonly fabric: Fabric;
  /** Ends of one of these cloths, left by its strands, that are woven in. */
  readonly ends: readonly EndToWeave[];
  /** How many more there are, which its border closes in. */
  readonly closedIn?: number | undefined;
}

/** What a course of a cloth is called. */
function courseOf({ making }: Fabric): NonNullable<Sequence['word']> {
  if (making === 'diagonals') return 'diagonal';
  return isRoundMaking(making) ? 'round' : 'row';
}

/** Which stretch a cloth is of. @param piece from 0 */
export function stretchAt(stretches: readonly Pick<Stretch, 'pieces'>[], piece: number): number {
  const at = beforeAt(stretches.slice(0, -1), piece);
  return at < 0 ? stretches.length - 1 : at;
}

/** What is done beside the rows of a cloth, and of an item that it completes. */
function stepsBeside({ prepared, fabric, ends, closedIn }: Stretch) {
  const parts = finishParts(finishRequest(prepared, fabric));
  // A closing and a border are of every cloth; where panels are joined, seams, straps and rings are of what they make.
  const ofCloth = parts.filter(({ part }) => part === 'closing' || part === 'border' || part === 'envelope');
  const ofItem = parts.filter((part) => !ofCloth.includes(part));
  const letters = prepared.bound.colours;
  const chains = chainsFor(prepared.foundation, fabric.count);
  const { colour, metres } = foundationMetres(measuringRequest(prepared, { fabric, foundation: prepared.foundation }));
  return {
    chain: (again: boolean) => (chains > 0 ? [chainStep({ chains, colour, metres }, again)] : []),
    cloth: [
      ...ofCloth.flatMap((part) => stepsOf(part, letters)),
      ...endsStep([...inOrder(ends), ...endsIn(ofCloth, letters)], closedIn),
    ],
    item: [...ofItem.flatMap((part) => stepsOf(part, letters)), ...endsStep(endsIn(ofItem, letters))],
  };
}

/**
 * The whole project in the order of working. @param stretches the cloths made first before those made later; the last
 * is what the project goes by now @param fromChain whether the chain of the first cloth is a step: where it is none the
 * rows of the first cloth come first, as they did in projects that were begun before it was one
 */
export function sequenceOf(stretches: readonly Stretch[], fromChain: boolean): Sequence {
  const now = stretches.at(-1) as Stretch;
  const { pieces, items } = finishRequest(now.prepared, now.fabric);
  const beside = stretches.map(stepsBeside);
  const perItem = panelsOf({ pieces, items });
  const units: Unit[] = [];
  const rowsOf: number[] = [];
  for (let piece = 0; piece < pieces; piece++) {
    const put = (of: 'cloth' | 'item' | 'all', steps: readonly WorkStep[]) => {
      for (const each of steps) units.push({ kind: 'step', piece, of, step: each });
    };
    const at = stretchAt(stretches, piece);
    const { courses } = (stretches[at] as Stretch).fabric;
    const own = beside[at] as ReturnType<typeof stepsBeside>;
    if (piece > 0 || fromChain) put('cloth', own.chain(piece > 0));
    for (let row = 0; row < courses; row++) units.push({ kind: 'row', piece, row });
    rowsOf.push(courses);
    put('cloth', own.cloth);
    if ((piece + 1) % perItem === 0) put('item', own.item);
    if (piece === pieces - 1) put('all', atTheEnd(now.prepared.wish, items));
  }
  return { pieces, items, word: courseOf(now.fabric), rowsOf, units };
}

/** As much of a project as its first cloth tells before the whole is counted: its chain, where that is a step, and its rows. */
export function firstRows(
  { fabric, foundation }: { readonly fabric: Fabric; readonly foundation: Foundation },
  fromChain: boolean,
): Sequence {
  const chain = { chains: chainsFor(foundation, fabric.count), colour: beginColour(fabric), metres: 0 };
  const rows = Array.from({ length: fabric.courses }, (_, row): Unit => ({ kind: 'row', piece: 0, row }));
  const before: Unit[] = fromChain ? [{ kind: 'step', piece: 0, of: 'cloth', step: chainStep(chain, false) }] : [];
  return { pieces: 1, items: 1, word: courseOf(fabric), rowsOf: [fabric.courses], units: [...before, ...rows] };
}

/** Rows of a cloth, from 0; behind the last one those of the last. */
export function rowsIn({ rowsOf }: Pick<Sequence, 'rowsOf'>, piece: number): number {
  return rowsOf[piece] ?? rowsOf.at(-1) ?? 0;
}

/** Where a place of the counter is: which unit, of which cloth, and how many of its rows are worked. */
export interface Standing {
  /** Undefined once everything is done. */
  readonly unit: Unit | undefined;
  /** From 0. */
  readonly piece: number;
  /** Rows of that cloth. */
  readonly rows: number;
}

/** @param at units that are done */
export function standingAt(sequence: Sequence, at: number): Standing {
  const { units, pieces } = sequence;
  const unit = units[at];
  if (!unit) return { unit, piece: pieces - 1, rows: rowsIn(sequence, pieces - 1) };
  const { piece } = unit;
  if (unit.kind === 'row') return { unit, piece, rows: unit.row };
  return { unit, piece, rows: unit.step.code === 'chain' ? 0 : rowsIn(sequence, piece) };
}

/** The next row to be worked, of whichever cloth; nothing where every cloth is off the hook. */
export function nextRow({ units }: Sequence, done: number): Extract<Unit, { kind: 'row' }> | undefined {
  return units.slice(done).find((unit) => unit.kind === 'row');
}

/** The cloth that is worked at or comes next. */
export interface ClothInHand {
  /** From 0. */
  readonly piece: number;
  /** Its rows that are worked, and runs of the row in hand. */
  readonly rows: number;
  readonly runs: number;
}

/**
 * The cloth whose rows are worked, may still become more, or come next; nothing once there are none to come. A cloth is
 * in hand until the first of the steps behind its rows is begun.
 */
export function clothInHand(
  sequence: Sequence,
  { rows: at, runs }: { readonly rows: number; readonly runs: number },
): ClothInHand | undefined {
  const { units } = sequence;
  const [last, unit] = [units[at - 1], units[at]];
  if (unit?.kind !== 'row' && last?.kind === 'row' && runs === 0) {
    return { piece: last.piece, rows: last.row + 1, runs: 0 };
  }
  const next = nextRow(sequence, at);
  return next && { piece: next.piece, rows: next.row, runs: unit?.kind === 'row' ? runs : 0 };
}

/** How many rows, of all cloths, are among so many units; a unit behind the last is none. */
export function rowsAmong({ units }: Pick<Sequence, 'units'>): (done: number) => number {
  const rows = [0];
  for (const { kind } of units) rows.push((rows.at(-1) as number) + (kind === 'row' ? 1 : 0));
  return (done) => rows[Math.min(done, units.length)] as number;
}

/** Units done once so many rows of a cloth are: the place of a row in the whole. */
export function placeOfRow({ units }: Sequence, piece: number, rows: number): number {
  const first = units.findIndex((unit) => unit.kind === 'row' && unit.piece === piece);
  return Math.max(0, first) + rows;
}

/** Cloths that make one item. */
export function panelsOf({ pieces, items }: Pick<Sequence, 'pieces' | 'items'>): number {
  return Math.max(1, Math.round(pieces / Math.max(1, items)));
}

/** Items of a begun project that are begun themselves: the first is, once there is a cloth on the hook. */
export function itemsTouched(
  sequence: Sequence,
  { rows, runs }: { readonly rows: number; readonly runs: number },
): number {
  const last = sequence.units[runs > 0 ? rows : rows - 1];
  return Math.min(sequence.items, Math.ceil(((last?.piece ?? 0) + 1) / panelsOf(sequence)));
}
