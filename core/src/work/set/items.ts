import type { Sequence } from '../../plan/steps/sequence.ts';
import { panelsOf, rowsIn, standingAt } from '../../plan/steps/sequence.ts';
import type { LogEntry } from '../../records/logEntry.ts';
import type { Position } from '../progress/progress.ts';

type ItemEntry = Extract<LogEntry, { kind: 'item' }>;

/** How far one item of a project is. */
export interface ItemStand {
  /** From 1. */
  readonly item: number;
  readonly state: 'to come' | 'in hand' | 'done';
  /** Units that are done of it: rows and steps, and how many it has. */
  readonly done: number;
  readonly of: number;
  /** Rows worked of the cloth in hand, 0 before and after, and how many a cloth has. */
  readonly rows: number;
  readonly rowsOf: number;
}

/** How far each item is. What is done for all of them together, such as washing, is of none. */
export function itemsAt(sequence: Sequence, { rows: at, runs }: Position): ItemStand[] {
  const perItem = panelsOf(sequence);
  const stands = Array.from({ length: sequence.items }, () => ({ done: 0, of: 0 }));
  sequence.units.forEach((unit, place) => {
    const own = stands[Math.min(stands.length - 1, Math.floor(unit.piece / perItem))];
    if (!own || (unit.kind === 'step' && unit.of === 'all')) return;
    own.of++;
    if (place < at) own.done++;
  });
  const { piece, rows } = standingAt(sequence, at);
  return stands.map(({ done, of }, i) => {
    const own = Math.floor(piece / perItem) === i;
    const state = done >= of ? 'done' : done || (own && runs) ? 'in hand' : 'to come';
    return {
      item: i + 1,
      state,
      done,
      of,
      rows: state === 'in hand' && own ? rows : 0,
      rowsOf: rowsIn(sequence, i * perItem),
    };
  });
}

/** What was told of each item of a project: the last that was told holds. @param entries in the order of their times */
export function toldOfItems(entries: readonly LogEntry[]): ReadonlyMap<number, ItemEntry> {
  return new Map(entries.flatMap((entry) => (entry.kind === 'item' ? [[entry.item, entry] as const] : [])));
}

/** A whole set in figures. */
interface SetStand {
  readonly items: number;
  readonly done: number;
  /** The first one in hand, among all of them from 1. */
  readonly inHand: { readonly item: number; readonly rows: number; readonly rowsOf: number } | undefined;
}

/** How far a set is. @param projects the items of each of its projects, in their order */
export function setAt(projects: readonly (readonly ItemStand[])[]): SetStand {
  const all = projects.flat();
  const at = all.findIndex(({ state }) => state === 'in hand');
  const first = all[at];
  return {
    items: all.length,
    done: all.filter(({ state }) => state === 'done').length,
    inHand: first && { item: at + 1, rows: first.rows, rowsOf: first.rowsOf },
  };
}
