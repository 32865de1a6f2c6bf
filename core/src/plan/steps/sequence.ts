import type { Fabric } from '../../craft/fabric/fabric.ts';
import { chainsFor } from '../../craft/foundation/foundation.ts';
import { finishParts } from '../finish/finish.ts';
import { itemNamed } from '../items/register.ts';
import { finishRequest } from '../piece/piece.ts';
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
  /** Rows of one cloth. */
  readonly rows: number;
  readonly units: readonly Unit[];
}

/**
 * The whole project in the order of working. @param ends of one cloth, left by its strands; rows of the first cloth come first and are numbered as they always were, so
 * that a project that was begun before there were steps goes on where it stands.
 */
export function sequenceOf(
  prepared: Prepared,
  { fabric, ends }: { readonly fabric: Fabric; readonly ends: readonly EndToWeave[] },
): Sequence {
  const request = finishRequest(prepared, fabric);
  const parts = finishParts(request);
  const { pieces, items } = request;
  // A closing and a border are of every cloth; where panels are joined, seams, straps and rings are of what they make.
  const ofCloth = parts.filter(({ part }) => part === 'closing' || part === 'border' || part === 'envelope');
  const ofItem = parts.filter((part) => !ofCloth.includes(part));
  const perItem = Math.max(1, Math.round(pieces / Math.max(1, items)));
  const chains = chainsFor(prepared.foundation, fabric.count);
  const beginsWith = fabric.colours[0] as number;
  const letters = prepared.bound.colours;
  const own = inOrder(ends);
  const units: Unit[] = [];
  for (let piece = 0; piece < pieces; piece++) {
    const put = (of: 'cloth' | 'item' | 'all', steps: readonly WorkStep[]) => {
      for (const each of steps) units.push({ kind: 'step', piece, of, step: each });
    };
    if (piece > 0 && chains > 0) put('cloth', [chainStep(chains, beginsWith)]);
    for (let row = 0; row < fabric.courses; row++) units.push({ kind: 'row', piece, row });
    put('cloth', [...ofCloth.flatMap(stepsOf), ...endsStep([...own, ...endsIn(ofCloth, letters)])]);
    if ((piece + 1) % perItem === 0) put('item', [...ofItem.flatMap(stepsOf), ...endsStep(endsIn(ofItem, letters))]);
    if (piece === pieces - 1) put('all', atTheEnd(prepared.wish, items));
  }
  return { pieces, items, rows: fabric.courses, units };
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
export function standingAt({ units, rows, pieces }: Sequence, at: number): Standing {
  const unit = units[at];
  if (!unit) return { unit, piece: pieces - 1, rows };
  if (unit.kind === 'row') return { unit, piece: unit.piece, rows: unit.row };
  return { unit, piece: unit.piece, rows: unit.step.code === 'chain' ? 0 : rows };
}

/** The next row to be worked, of whichever cloth; nothing where every cloth is off the hook. */
export function nextRow({ units }: Sequence, done: number): Extract<Unit, { kind: 'row' }> | undefined {
  return units.slice(done).find((unit) => unit.kind === 'row');
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
