import {
  type Drawing,
  drawingOf,
  findPattern,
  good,
  type Problem,
  patternOf,
  type Result,
  readied,
} from '@puntada/core/craft';
import type { OwnPattern, StoredPattern } from '@puntada/core/records';
import { useCallback, useSyncExternalStore } from 'react';
import { useChangePatternMutation } from '../../api/records.ts';
import { ownPattern } from '../../parts/ownPattern.ts';
import { Saver, type SaveState } from '../../parts/saver.ts';
import { sentOf, useSaver } from '../../parts/useSaver.ts';
import { DeskHistory } from './deskHistory.ts';

/** A pattern on the desk, as it is changed. */
export interface Desk {
  readonly drawing: Drawing;
  readonly note: string;
  readonly change: (next: Drawing) => void;
  readonly setNote: (note: string) => void;
  /** Takes the last change back, or up again; absent where there is none. */
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
  readonly state: SaveState;
  readonly problems: readonly Problem[];
  readonly keepMine: () => void;
}

interface OnDesk {
  readonly drawing: Drawing;
  readonly note: string;
}

/** A stored pattern as a drawing; refused where it is one that is written and not drawn. */
export function drawnFrom({ text }: OwnPattern): Result<Drawing> {
  const found = findPattern(text);
  const drawn = found.ok ? drawingOf(found.value) : found;
  return drawn.ok ? good(readied(drawn.value)) : drawn;
}

/** The same drawing with its name; a name that is being typed anew keeps what it was. */
function stored(id: string, { drawing, note }: OnDesk): OwnPattern {
  const pattern = patternOf(drawing);
  return ownPattern(id, { ...pattern, name: pattern.name.replaceAll('"', '”') || 'Pattern' }, note);
}

const histories = new Map<string, DeskHistory>();

function historyOf(id: string): DeskHistory {
  const known = histories.get(id);
  if (known) return known;
  const made = new DeskHistory(id);
  histories.set(id, made);
  return made;
}

/** A pattern while it is drawn: shown at once, saved a moment later, never over a change made elsewhere. */
export function useDesk({ id, revision, pattern }: StoredPattern, first: Drawing): Desk {
  const [save] = useChangePatternMutation();
  const [saved, saver] = useSaver(
    `pattern ${id}`,
    () =>
      new Saver<OnDesk>({
        value: { drawing: first, note: pattern.note },
        revision,
        send: async (value, made) => sentOf(await save({ id, revision: made, pattern: stored(id, value) })),
      }),
  );
  const history = historyOf(id);
  useSyncExternalStore(history.subscribe, history.count);
  const { value, state, problems } = saved;
  const change = useCallback(
    (drawing: Drawing) => {
      const now = saver.state().value;
      if (drawing === now.drawing) return;
      history.step(now.drawing);
      saver.change({ ...now, drawing });
    },
    [history, saver],
  );
  const setNote = useCallback((note: string) => saver.change({ ...saver.state().value, note }), [saver]);
  const move = (to: 'back' | 'ahead') => {
    const now = saver.state().value;
    const drawing = history.move(to, now.drawing);
    if (drawing) saver.change({ ...now, drawing });
  };
  return {
    drawing: value.drawing,
    note: value.note,
    change,
    setNote,
    undo: history.has('back') ? () => move('back') : undefined,
    redo: history.has('ahead') ? () => move('ahead') : undefined,
    state,
    problems,
    keepMine: saver.keepMine,
  };
}
