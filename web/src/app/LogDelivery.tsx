import { useCallback, useEffect, useRef, useState } from 'react';
import { problemsOf } from '../api/api.ts';
import { isAway } from '../api/keptCopies.ts';
import { deliverEntries, dropEntry, type RefusedEntry, waitingEntries } from '../api/logOutbox.ts';
import { useSendEntryMutation } from '../api/records.ts';
import { useProblemText } from '../parts/Craft.tsx';

const retryAfter = 1500;

/** Sends what was logged while the server was away, and says so as long as it waits. Nothing otherwise. */
export function LogDelivery() {
  const [send] = useSendEntryMutation();
  const [waiting, setWaiting] = useState(0);
  const [refused, setRefused] = useState<readonly RefusedEntry[]>([]);
  const sending = useRef(false);
  const sentence = useProblemText();
  const deliver = useCallback(async () => {
    if (sending.current || (!waitingEntries(localStorage).length && !waiting)) return;
    sending.current = true;
    const told = await deliverEntries(localStorage, async (entry) => {
      const { error } = await send(entry);
      if (!error) return 'taken';
      return 'status' in error && isAway(error) ? 'away' : { refused: sentence(problemsOf(error)[0]) };
    });
    sending.current = false;
    setRefused(told);
    setWaiting(waitingEntries(localStorage).length);
  }, [send, waiting, sentence]);
  useEffect(() => {
    void deliver();
    const timer = setInterval(() => void deliver(), retryAfter);
    return () => clearInterval(timer);
  }, [deliver]);
  const giveUp = () => {
    for (const entry of refused) dropEntry(localStorage, entry);
    setRefused([]);
    setWaiting(waitingEntries(localStorage).length);
  };
  if (!waiting) return null;
  const entries = (n: number) => (n === 1 ? '1 entry of the log is' : `${n} entries of the log are`);
  const [first] = refused;
  return (
    <p role="status" className="border-b border-ochre bg-ochre-pale px-6 py-1.5 text-[15px]">
      <span aria-hidden>△ </span>
      {first ? (
        <>
          {entries(refused.length)} kept in this browser: it could not be saved. {first.why}{' '}
          <button type="button" onClick={giveUp} className="min-h-11 px-2 underline underline-offset-4">
            Delete what could not be saved
          </button>
        </>
      ) : (
        `Puntada’s server is away. ${entries(waiting)} safe in this browser, and saved as soon as it is back.`
      )}
    </p>
  );
}
