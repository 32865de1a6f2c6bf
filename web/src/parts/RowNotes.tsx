import type { LogEntry } from '@puntada/core/records';
import { entryLabel } from '@puntada/core/records';
import { StickyNote } from 'lucide-react';
import { useState } from 'react';
import { problemsOf } from '../api/api.ts';
import { useAddEntryMutation, useLog } from '../api/records.ts';
import { Button } from './Button.tsx';
import { Problems } from './Problems.tsx';
import { TextField } from './TextField.tsx';

type Note = Extract<LogEntry, { kind: 'note' }>;

/** The notes of a work by their row, from 1; what was noted before the first row stands at row 1. */
export function useNotes(workId: string): ReadonlyMap<number, readonly Note[]> {
  const { data } = useLog(workId);
  const byRow = new Map<number, Note[]>();
  for (const entry of data?.entries ?? []) {
    if (entry.kind !== 'note') continue;
    const row = Math.max(1, entry.row);
    byRow.set(row, [...(byRow.get(row) ?? []), entry]);
  }
  return byRow;
}

/** What the maker noted at a row, where it is worked. */
export function NotesOf({ notes }: { notes: readonly Note[] | undefined }) {
  if (!notes?.length) return null;
  return (
    <ul aria-label="Your notes" className="mt-1">
      {notes.map((note) => (
        <li key={note.id} className="flex items-start gap-2 text-[16px] text-ochre">
          <StickyNote aria-hidden className="mt-0.5 size-4 shrink-0" />
          <span>{note.text}</span>
        </li>
      ))}
    </ul>
  );
}

interface NoteAt {
  readonly workId: string;
  /** Of the cloth in hand, from 1. */
  readonly row: number;
  /** Units of the whole before its first row. */
  readonly before: number;
  readonly word: string;
}

/** A note at a row, to come back when it is worked; before the work is begun as well. */
export function AddNote({ workId, row, before, word }: NoteAt) {
  const [add, adding] = useAddEntryMutation();
  const [text, setText] = useState('');
  const keep = async () => {
    if (!text.trim()) return;
    const entry: Note = {
      ...entryLabel,
      kind: 'note',
      id: crypto.randomUUID(),
      at: Date.now(),
      row: before + row,
      text: text.trim(),
    };
    const answer = await add({ id: workId, entry });
    if (!answer.error) setText('');
  };
  return (
    <form
      aria-label={`Note at ${word} ${row}`}
      className="flex items-end gap-2 pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className="min-w-0 flex-1 sm:min-w-[260px]">
        <TextField label={`Note at ${word} ${row}`} value={text} onChange={setText} maxLength={400} />
      </div>
      <Button type="submit" disabled={adding.isLoading || !text.trim()}>
        Save
      </Button>
      <Problems problems={problemsOf(adding.error)} />
    </form>
  );
}
