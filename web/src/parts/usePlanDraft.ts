import type { Problem } from '@puntada/core/craft';
import type { Wish, Work } from '@puntada/core/records';
import { useCallback } from 'react';
import { useChangeWorkMutation } from '../api/api.ts';
import { type History, type Move, noHistory, stepped, takenBack, takenUp } from './history.ts';
import { Saver, type SaveState } from './saver.ts';
import { forgetSaver, sentOf, useSaver } from './useSaver.ts';

export interface PlanDraft {
  readonly wish: Wish;
  readonly change: (part: Partial<Wish>) => void;
  /** Takes the last change back, or up again; absent where there is none. */
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
  readonly state: SaveState;
  readonly problems: readonly Problem[];
  /** The revision that the next change is made on. */
  readonly revision: number;
  /**
   * Leaves what is not yet sent to a request that carries the whole wish itself, once what is on its way has arrived.
   * @param send is given the revision, and says whether it was taken
   */
  readonly handOver: (send: (revision: number) => Promise<boolean>) => Promise<void>;
  /** Sends what is shown over what was changed elsewhere. */
  readonly keepMine: () => void;
}

/** What can be taken back of each work, and up again, as long as the page is open: from whichever view. */
const steps = new Map<string, History<Wish>>();

/** The name by which the plan of a work is saved. */
export function planName(workId: string): string {
  return `work ${workId}`;
}

/** A wish while it is being planned: shown at once, saved a moment later, never over a change made elsewhere. */
export function usePlanDraft(work: Work): PlanDraft {
  const { id } = work;
  const [save] = useChangeWorkMutation();
  const [saved, saver] = useSaver(
    planName(id),
    () =>
      new Saver<Wish>({
        value: work.wish,
        revision: work.revision,
        send: async (wish, revision) => sentOf(await save({ id, revision, wish })),
      }),
  );
  const { value: wish, state, problems, revision } = saved;
  const history: History<Wish> = steps.get(id) ?? noHistory;
  const change = useCallback(
    (part: Partial<Wish>) => {
      const before = saver.state().value;
      steps.set(id, stepped(steps.get(id) ?? noHistory, before));
      saver.change({ ...before, ...part });
    },
    [id, saver],
  );
  const move = (to: Move<Wish>) => {
    if (!to) return;
    steps.set(id, to.history);
    saver.change(to.shown);
  };
  const undo = () => move(takenBack(history, wish));
  const redo = () => move(takenUp(history, wish));
  const handOver = async (send: (revision: number) => Promise<boolean>) => {
    if (await send(await saver.rest())) forgetSaver(planName(id));
    else saver.resume();
  };
  const back = { undo: history.past.length ? undo : undefined, redo: history.future.length ? redo : undefined };
  return { wish, change, ...back, handOver, state, problems, revision, keepMine: saver.keepMine };
}
