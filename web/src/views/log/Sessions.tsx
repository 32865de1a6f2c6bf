import { entryLabel, type LogEntry, type WorkLog } from '@puntada/core/records';
import { logSaid, timeWords } from '@puntada/core/words';
import type { ToldSession } from '@puntada/core/work';
import { Pencil } from 'lucide-react';
import { useRef, useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { dates } from '../../parts/dates.ts';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { useEntry } from './useEntry.ts';

/** So many are in sight; the rest on demand. */
const shown = 8;
const more = 60;

interface Props {
  readonly workId: string;
  readonly sessions: readonly ToldSession[];
  readonly log: WorkLog;
}

/** Every session, the latest first; one that a clock got wrong is corrected, or left out. */
export function Sessions({ workId, sessions, log }: Props) {
  const [open, setOpen] = useState(shown);
  const [editing, setEditing] = useState<number>();
  if (!sessions.length) return <p className="py-2 text-[15px] text-soft">{logSaid.noRowsDoneYet}</p>;
  const anyOut = sessions.some((each) => each.takenOut > 0);
  const columns = anyOut ? 6 : 5;
  return (
    <>
      <table className="mt-2 w-full text-left text-[15px]">
        <caption className="sr-only">Sessions, latest first</caption>
        <thead className="text-[14px] text-soft">
          <tr>
            <th scope="col" className="py-1.5 font-semibold">
              Started
            </th>
            <th scope="col" className="text-right font-semibold">
              Time
            </th>
            <th scope="col" className="text-right font-semibold">
              Rows
            </th>
            {anyOut ? (
              <th scope="col" className="text-right font-semibold">
                Ripped back
              </th>
            ) : null}
            <th scope="col" className="text-right font-semibold">
              Per row
            </th>
            <th scope="col">
              <span className="sr-only">Correct</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sessions
            .toReversed()
            .slice(0, open)
            .map((session) =>
              editing === session.from ? (
                <tr key={session.from} className="border-t border-rule">
                  <td colSpan={columns}>
                    <Correction workId={workId} session={session} log={log} onDone={() => setEditing(undefined)} />
                  </td>
                </tr>
              ) : (
                <tr key={session.from} className="border-t border-rule">
                  <th scope="row" className="py-1.5 font-normal">
                    {dates.moment(session.from)}
                    {session.corrected ? (
                      <span className="block text-[14px] text-soft">
                        {session.seconds ? 'corrected by you' : 'left out'}
                      </span>
                    ) : null}
                  </th>
                  <td className="count text-right">{session.seconds ? timeWords(session.seconds) : '–'}</td>
                  <td className="count text-right">{session.rows}</td>
                  {anyOut ? <td className="count text-right">{session.takenOut || '–'}</td> : null}
                  <td className="count text-right">
                    {session.rows && session.seconds ? timeWords(session.seconds / session.rows) : '–'}
                  </td>
                  <td className="w-11">
                    <Pen name={dates.moment(session.from)} onPress={() => setEditing(session.from)} />
                  </td>
                </tr>
              ),
            )}
        </tbody>
      </table>
      {sessions.length > shown ? (
        <button
          type="button"
          aria-expanded={open > shown}
          onClick={() => setOpen(open < sessions.length ? open + more : shown)}
          className="min-h-11 text-[15px] underline underline-offset-4"
        >
          {open >= sessions.length
            ? `The latest ${shown} only`
            : sessions.length - open > more
              ? logSaid.moreSessions(more, sessions.length - open)
              : `All ${sessions.length} sessions`}
        </button>
      ) : null}
    </>
  );
}

function Pen({ name, onPress }: { name: string; onPress: () => void }) {
  const button = useRef<HTMLButtonElement>(null);
  return (
    <button
      ref={button}
      type="button"
      aria-label={logSaid.correctSession(name)}
      title="Correct"
      onClick={onPress}
      className="flex size-11 items-center justify-center rounded-sm text-soft hover:bg-sheet hover:text-ink"
    >
      <Pencil aria-hidden className="size-4" />
    </button>
  );
}

/** What a session really took. */
function Correction({
  workId,
  session,
  log,
  onDone,
}: Omit<Props, 'sessions'> & { session: ToldSession; onDone: () => void }) {
  const [add, adding] = useAddEntryMutation();
  const entry = useEntry(workId);
  const [typed, setTyped] = useState(String(Math.round(session.seconds / 60)));
  const minutes = Number(typed);
  const good = typed.trim() !== '' && Number.isInteger(minutes) && minutes >= 0 && minutes <= 1440;
  const own = log.entries.filter(
    (each): each is Extract<LogEntry, { kind: 'session' }> =>
      each.kind === 'session' && each.of >= session.from && each.of <= session.to,
  );
  const keep = async (took: number) => {
    const answer = await add({
      id: workId,
      entry: {
        ...entryLabel,
        kind: 'session',
        id: crypto.randomUUID(),
        at: Date.now(),
        of: Math.round(session.from),
        minutes: took,
      },
    });
    if (!answer.error) onDone();
  };
  return (
    <form
      aria-label={logSaid.correctSession(dates.moment(session.from))}
      noValidate
      className="flex flex-wrap items-end gap-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (good) void keep(minutes);
      }}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="w-[150px]">
        <TextField
          label="It took (minutes)"
          value={typed}
          onChange={setTyped}
          inputMode="numeric"
          className="count"
          autoFocus
          wrong={good ? undefined : logSaid.typeMinutesFrom0}
        />
      </div>
      <Button type="submit" disabled={adding.isLoading}>
        Save
      </Button>
      <Button onClick={() => void keep(0)} disabled={adding.isLoading}>
        {logSaid.leaveItOutMy}
      </Button>
      {own.length ? (
        <Button
          disabled={entry.busy}
          onClick={async () => {
            for (const each of own) await entry.remove(each, logSaid.correctionDeletedStepsTell);
            onDone();
          }}
        >
          {logSaid.asStepsTellIt}
        </Button>
      ) : null}
      <Button kind="quiet" onClick={onDone}>
        Cancel
      </Button>
      <Problems problems={problemsOf(adding.error)} />
      <Problems problems={entry.problems} />
    </form>
  );
}
