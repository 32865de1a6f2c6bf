import type { Acknowledged } from '@puntada/core/records';
import type { ThunkAction, UnknownAction } from '@reduxjs/toolkit';
import type { FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { api, problemsOf } from '../api.ts';
import { isAway } from '../away.ts';
import { changeKept } from '../keptCopies.ts';
import { addToLog, logEndpoint, sendEntry } from '../records.ts';
import type { Arrived } from './arrived.ts';
import type { Courier, Outcome } from './queue.ts';
import type { Waiting } from './waiting.ts';

/** What became of it, by what was answered. What the server failed at may go well another time. */
export function outcomeOf(error: unknown): Outcome {
  if (!error) return 'taken';
  const [problem = { code: 'server-failed', path: '' }] = problemsOf(error);
  const { status } = error as FetchBaseQueryError;
  if (isAway(error as FetchBaseQueryError)) return { later: { code: 'away', path: '' } };
  return typeof status === 'number' && status < 500 && status !== 429 ? { refused: problem } : { later: problem };
}

/** Of steps that were sent together, those that the refusal is about: they are told by their places in the request. */
function partly(outcome: Outcome, error: unknown): Outcome {
  if (outcome === 'taken' || !('refused' in outcome)) return outcome;
  const places = problemsOf(error).map(({ path }) => /^ticks\.(\d+)/.exec(path)?.[1]);
  return places.some((place) => place === undefined) ? outcome : { ...outcome, of: places.map(Number) };
}

type Dispatch = Parameters<ReturnType<typeof sendEntry.initiate>>[0];

type State = ReturnType<Parameters<ReturnType<typeof addToLog>>[1]>;

type Thunk = ThunkAction<void, State, unknown, UnknownAction>;

/** What is asked for at this moment may have been answered before the server had this: it is asked for once more. */
const askAgain =
  (workId: string): Thunk =>
  (dispatch, getState) => {
    const asked = [api.endpoints.work.select(workId)(getState()), logEndpoint.select(workId)(getState())];
    if (asked.some(({ status }) => status === 'pending')) {
      dispatch(
        api.util.invalidateTags([
          { type: 'Work', id: workId },
          { type: 'Log', id: workId },
        ]),
      );
    }
  };

/** How far the server said a work is; an answer that was longer on its way than another is older than what is known. */
const standAt =
  (workId: string, { progress, lastPlace }: Pick<Acknowledged, 'progress' | 'lastPlace'>): Thunk =>
  (dispatch) => {
    dispatch(
      api.util.updateQueryData('work', workId, (known) =>
        (lastPlace ?? 0) < (known.lastPlace ?? 0) ? known : { ...known, progress, lastPlace },
      ),
    );
  };

/** Shows what another tab has brought to the server, before it is dropped here. @param waiting what this tab held of it */
export const showArrived =
  (arrived: Arrived, waiting: readonly Waiting[]): Thunk =>
  (dispatch) => {
    const { workId } = arrived;
    if ('progress' in arrived) dispatch(standAt(workId, arrived));
    else {
      const held = waiting.find(({ id }) => id === arrived.entry);
      if (held?.kind === 'entry') dispatch(addToLog(workId, held.entry));
    }
    dispatch(askAgain(workId));
  };

/**
 * Carries what waits through the endpoints of the API. What is shown, here and in the other tabs, is brought up to date
 * before anything is dropped.
 * @param tell the other tabs
 */
export function courierBy(dispatch: Dispatch, tell: (arrived: Arrived) => void): Courier {
  async function bringTicks(workId: string, parcel: readonly Waiting[]): Promise<Outcome> {
    const ticks = parcel.flatMap((each) => (each.kind === 'tick' ? [each.tick] : []));
    const answer = await dispatch(api.endpoints.sendTicks.initiate({ id: workId, ticks }));
    if (answer.error) return partly(outcomeOf(answer.error), answer.error);
    // First the copies, then the ticks: whatever happens between the two, a tick is told twice rather than lost.
    const { progress, lastPlace } = answer.data;
    await changeKept(`/works/${workId}`, (copy) => ({ ...copy, progress, lastPlace }));
    dispatch(standAt(workId, answer.data));
    dispatch(askAgain(workId));
    tell({ workId, progress, lastPlace });
    return 'taken';
  }

  return async (parcel) => {
    const [first] = parcel;
    if (first.kind === 'tick') return bringTicks(first.workId, parcel);
    const { workId, entry } = first;
    const answer = await dispatch(sendEntry.initiate({ workId, entry }));
    if (answer.error) return outcomeOf(answer.error);
    dispatch(addToLog(workId, entry));
    dispatch(askAgain(workId));
    tell({ workId, entry: entry.id });
    return 'taken';
  };
}
