import type { LogEntry } from '@puntada/core/records';
import { entryLabel } from '@puntada/core/records';
import { logSaid } from '@puntada/core/words';
import { useRef, useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { announce, toFirstField } from '../../parts/announce.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { EntryRow } from './EntryRow.tsx';
import type { LogProps } from './logProps.ts';
import { useEntry } from './useEntry.ts';

type Note = Extract<LogEntry, { kind: 'note' }>;

/** Notes, each at its row. */
export function Notes({ work, log, placeOf }: Pick<LogProps, 'work' | 'log' | 'placeOf'>) {
  const [add, adding] = useAddEntryMutation();
  const [text, setText] = useState('');
  const form = useRef<HTMLFormElement>(null);
  const notes = log.entries.filter((entry): entry is Note => entry.kind === 'note').toReversed();
  const keep = async () => {
    if (!text.trim()) return;
    const entry: Note = {
      ...entryLabel,
      kind: 'note',
      id: crypto.randomUUID(),
      at: Date.now(),
      row: work.progress.rows,
      text: text.trim(),
    };
    const answer = await add({ id: work.id, entry });
    if (answer.error) return;
    setText('');
    announce('Note saved.');
    toFirstField(form.current);
  };
  return (
    <section aria-label="Notes">
      <h2 className="border-b border-ink pb-1 text-[19px]">Notes</h2>
      <ul>
        {notes.map((note) => (
          <li key={note.id} className="border-b border-rule text-[16px]">
            <OneNote note={note} workId={work.id} place={placeOf(note.row)} />
          </li>
        ))}
      </ul>
      <form
        ref={form}
        aria-label="Add a note"
        className="mt-3 flex items-end gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <div className="min-w-0 flex-1">
          <TextField label={`Note at ${placeOf(work.progress.rows)}`} value={text} onChange={setText} maxLength={400} />
        </div>
        <Button type="submit" disabled={adding.isLoading}>
          Save
        </Button>
      </form>
      <Problems problems={problemsOf(adding.error)} />
    </section>
  );
}

function OneNote({ note, workId, place }: { note: Note; workId: string; place: string }) {
  const entry = useEntry(workId);
  const [text, setText] = useState(note.text);
  return (
    <>
      <EntryRow
        name={`note at ${place}`}
        busy={entry.busy}
        onRemove={() => void entry.remove(note, 'Note deleted.')}
        onKeep={async () => text.trim() !== '' && entry.correct({ ...note, text: text.trim() })}
        fields={
          <div className="min-w-0 flex-1">
            <TextField
              label={`Note at ${place}`}
              value={text}
              onChange={setText}
              maxLength={400}
              autoFocus
              wrong={text.trim() ? undefined : logSaid.typeNoteOrCancel}
            />
          </div>
        }
      >
        <span className="count mr-2 text-soft">{place}</span>
        {note.text}
      </EntryRow>
      <Problems problems={entry.problems} />
    </>
  );
}
