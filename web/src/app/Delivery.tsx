import type { LogEntry } from '@puntada/core/records';
import { appSaid } from '@puntada/core/words';
import { CloudOff } from 'lucide-react';
import { useEffect } from 'react';
import { Link } from 'react-router';
import { api, keptCopies } from '../api/api.ts';
import { useAway } from '../api/away.ts';
import { onArrived, queue, tellArrived, useQueue } from '../api/queue/browserQueue.ts';
import { courierBy, showArrived } from '../api/queue/courier.ts';
import { timeOf, type Waiting } from '../api/queue/waiting.ts';
import { useProblemWords } from '../parts/Craft.tsx';
import { dates } from '../parts/dates.ts';
import { download } from '../parts/download.ts';
import { useAppStore } from './store.ts';

const retryAfter = 1500;

/** Sends what waits, as long as the app is open, and asks after a server that is away. */
function useDelivery(away: boolean): void {
  const { dispatch } = useAppStore();
  useEffect(() => {
    queue.sendBy(courierBy(dispatch, tellArrived));
    onArrived((arrived, waiting) => dispatch(showArrived(arrived, waiting)));
    const deliver = () => void queue.deliver();
    deliver();
    const timer = setInterval(deliver, retryAfter);
    window.addEventListener('online', deliver);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', deliver);
    };
  }, [dispatch]);
  useEffect(() => {
    if (!away) return undefined;
    const ask = () => dispatch(api.endpoints.preferences.initiate(undefined, { subscribe: false, forceRefetch: true }));
    const timer = setInterval(() => void ask(), retryAfter);
    return () => {
      clearInterval(timer);
      // It is back: what was shown from kept copies is read anew.
      dispatch(api.util.invalidateTags(keptCopies));
    };
  }, [away, dispatch]);
}

const names: Readonly<Record<'step' | LogEntry['kind'], readonly [one: string, more: string]>> = {
  step: ['step', 'steps'],
  note: ['note', 'notes'],
  photo: ['photo', 'photos'],
  weigh: ['weighing', 'weighings'],
  measure: ['measurement', 'measurements'],
  pause: ['pause', 'pauses'],
  session: ['session', 'sessions'],
  end: [appSaid.entryAboutFinishedPiece, 'entries about finished pieces'],
  item: [appSaid.entryAboutItem, 'entries about items'],
  costs: [appSaid.entryAboutCosts, 'entries about costs'],
};

/** `5 steps, 1 note and 1 photo`. */
function countedWords(waiting: readonly Waiting[]): string {
  const kinds = waiting.map((each) => (each.kind === 'tick' ? 'step' : each.entry.kind));
  const parts = Object.entries(names).flatMap(([kind, [one, more]]) => {
    const count = kinds.filter((each) => each === kind).length;
    return count ? [count === 1 ? `1 ${one}` : `${count} ${more}`] : [];
  });
  const last = parts.pop() ?? '';
  return parts.length ? `${parts.join(', ')} and ${last}` : last;
}

/** What may still be sent, by project and kind. */
function openGroups(open: readonly Waiting[]): Waiting[][] {
  const groups = new Map<string, Waiting[]>();
  for (const each of open) {
    const key = `${each.workId} ${each.kind === 'tick' ? 'step' : each.entry.kind}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

/** When the first and the last of them were done. */
function spanWords(group: readonly Waiting[]): string {
  const times = group.map(timeOf);
  const [from, to] = [dates.moment(Math.min(...times)), dates.moment(Math.max(...times))];
  return from === to ? from : appSaid.fromTo(from, to);
}

/** Each thing that waits: what and when, its project, and a way to save or delete it. */
function WaitingList({ open }: { open: readonly Waiting[] }) {
  return (
    <details className="basis-full">
      <summary className="min-h-11 cursor-pointer py-2.5 underline underline-offset-4">{appSaid.seeWhatWaits}</summary>
      <ul className="bg-paper">
        {openGroups(open).map((group) => (
          <li key={group[0]?.id} className="flex flex-wrap items-center gap-x-3 border-t border-rule px-3">
            <p className="min-w-0 flex-1 max-sm:basis-full">
              <b>{countedWords(group)}</b>, {spanWords(group)}{' '}
              <Link to={`/works/${group[0]?.workId}/log`} className="inline-flex min-h-11 items-center px-1">
                Its project
              </Link>
            </p>
            <button type="button" className={act} onClick={() => saveWaiting(group)}>
              {appSaid.saveAsFile}
            </button>
            <button type="button" className={act} onClick={() => void queue.drop(group.map(({ id }) => id))}>
              {group.length === 1 ? 'Delete it' : 'Delete them'}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** What the server has refused, by project and reason. */
function refusals(waiting: readonly Waiting[]): Waiting[][] {
  const groups = new Map<string, Waiting[]>();
  for (const each of waiting) {
    if (!each.refused) continue;
    const key = `${each.workId} ${each.kind} ${each.refused.code}`;
    groups.set(key, [...(groups.get(key) ?? []), each]);
  }
  return [...groups.values()];
}

const act = 'min-h-11 px-2 font-semibold underline underline-offset-4';

/** What waits, as it would be sent, for whoever can do something with it. */
function saveWaiting(group: readonly Waiting[]): void {
  download('puntada-waiting.json', JSON.stringify(group, null, 2), 'application/json');
}

/** What the server would not take: what it is, why, and the ways out. */
function Refused({ group }: { group: readonly Waiting[] }) {
  const words = useProblemWords();
  const [first] = group;
  if (!first?.refused) return null;
  const ids = group.map(({ id }) => id);
  const { message, hint } = words(first.refused);
  const note = first.kind === 'entry' && first.entry.kind === 'note' ? ` (“${first.entry.text}”)` : '';
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-b border-brick bg-paper px-6 py-1.5 text-[15px]">
      <p className="min-w-0 flex-1 max-sm:basis-full">
        <span className="text-brick">
          ✕ Not saved: {countedWords(group)}
          {note}.
        </span>{' '}
        {appSaid.itKeptInThis(message, hint)}
      </p>
      <button type="button" className={act} onClick={() => void queue.allow(ids)}>
        Try again
      </button>
      <button type="button" className={act} onClick={() => saveWaiting(group)}>
        {appSaid.saveAsFile}
      </button>
      <button type="button" className={act} onClick={() => void queue.drop(ids)}>
        {group.length === 1 ? 'Delete it' : 'Delete them'}
      </button>
    </li>
  );
}

/** Sends what waits for the server from wherever the maker is, and tells as long as something is in the way. */
export function Delivery() {
  const away = useAway();
  const { waiting, later, unsafe, tight } = useQueue();
  const words = useProblemWords();
  useDelivery(away);
  const open = waiting.filter(({ refused }) => !refused);
  const refused = refusals(waiting);
  const safe = open.length ? appSaid.keptHereAndWill(countedWords(open), open.length) : '';
  return (
    <div role="status">
      {away || (later && open.length) ? (
        <div className="border-b border-ochre bg-ochre-pale px-6 py-1.5 text-[15px]">
          <p className="flex items-start gap-2">
            <CloudOff aria-hidden className="mt-1 size-4 shrink-0 text-ochre" />
            <span>{away || !later ? appSaid.puntadasServerAwayYou(safe) : `${words(later).message}${safe}`}</span>
          </p>
          {open.length ? <WaitingList open={open} /> : null}
        </div>
      ) : null}
      {unsafe && open.length ? (
        <p className="border-b border-brick bg-paper px-6 py-1.5 text-[15px] text-brick">
          {appSaid.thisBrowserKeepsNothing}
        </p>
      ) : null}
      {!open.length && (unsafe || tight) ? (
        <p className="border-b border-ochre bg-ochre-pale px-6 py-1.5 text-[15px]">
          {unsafe ? appSaid.thisBrowserWillKeepNothing : appSaid.thisBrowserIsNearlyFull}
        </p>
      ) : null}
      {refused.length ? (
        <ul>
          {refused.map((group) => (
            <Refused key={group[0]?.id} group={group} />
          ))}
        </ul>
      ) : null}
    </div>
  );
}
