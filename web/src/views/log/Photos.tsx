import { placeOfRow, rowsIn, type Sequence, standingAt } from '@puntada/core/plan';
import type { LogEntry } from '@puntada/core/records';
import { entryLabel } from '@puntada/core/records';
import { logSaid } from '@puntada/core/words';
import { useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { announce } from '../../parts/announce.ts';
import { FileField } from '../../parts/FileField.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { EntryRow } from './EntryRow.tsx';
import type { LogProps } from './logProps.ts';
import { smallPhoto } from './smallPhoto.ts';
import { useEntry } from './useEntry.ts';
import { useSmallPictures } from './useSmallPictures.ts';

type Photo = Extract<LogEntry, { kind: 'photo' }>;

/** Photos of the cloth, each at its row; made small, and kept on this machine only. */
export function Photos({
  work,
  log,
  sequence,
  placeOf,
}: Pick<LogProps, 'work' | 'log' | 'placeOf'> & { sequence: Sequence }) {
  const [add, adding] = useAddEntryMutation();
  useSmallPictures(work.id, log.largeOnly);
  const [unread, setUnread] = useState('');
  const photos = log.entries.filter((entry): entry is Photo => entry.kind === 'photo').toReversed();
  const { rows } = work.progress;
  const take = async (file: File) => {
    setUnread('');
    const pictures = await smallPhoto(file);
    if (!pictures) {
      setUnread(logSaid.couldNotBeOpened(file.name));
      return;
    }
    const answer = await add({
      id: work.id,
      entry: { ...entryLabel, kind: 'photo', id: crypto.randomUUID(), at: Date.now(), row: rows, ...pictures },
    });
    if (!answer.error) announce(`Photo at ${placeOf(rows)} saved.`);
  };
  return (
    <section aria-label="Photos">
      <h2 className="border-b border-ink pb-1 text-[19px]">Photos</h2>
      {photos.length ? (
        <ul className="grid grid-cols-3 gap-3 pt-3">
          {photos.map((photo) => (
            <li key={photo.id}>
              <OnePhoto photo={photo} workId={work.id} sequence={sequence} place={placeOf(photo.row)} />
            </li>
          ))}
        </ul>
      ) : null}
      <FileField
        label={logSaid.addPhotoAt(placeOf(rows))}
        accept="image/*"
        disabled={adding.isLoading}
        className="mt-2 text-[15px]"
        onFile={(file) => void take(file)}
      />
      {unread ? (
        <p role="alert" className="text-[15px] text-brick">
          <span aria-hidden>✕ </span>
          {unread}
        </p>
      ) : null}
      <Problems problems={problemsOf(adding.error)} />
    </section>
  );
}

interface OneProps {
  readonly photo: Photo;
  readonly workId: string;
  readonly sequence: Sequence;
  readonly place: string;
}

function OnePhoto({ photo, workId, sequence, place }: OneProps) {
  const entry = useEntry(workId);
  // The row is typed as it is counted on the cloth that was photographed.
  const { piece, rows } = standingAt(sequence, photo.row);
  const [row, setRow] = useState(String(rows));
  const most = rowsIn(sequence, piece);
  const number = Number(row);
  const good = row.trim() !== '' && Number.isInteger(number) && number >= 0 && number <= most;
  return (
    <>
      <Picture photo={photo} workId={workId} place={place} />
      <EntryRow
        name={`photo at ${place}`}
        busy={entry.busy}
        onRemove={() => void entry.remove(photo, 'Photo deleted.')}
        onKeep={async () => good && entry.correct({ ...photo, row: placeOfRow(sequence, piece, number) })}
        fields={
          <TextField
            label="Taken after row"
            value={row}
            onChange={setRow}
            inputMode="numeric"
            className="count"
            autoFocus
            wrong={good ? undefined : logSaid.typeRowFrom0(most)}
          />
        }
      >
        <span className="count text-[14px] text-soft">{place}</span>
      </EntryRow>
      <Problems problems={entry.problems} />
    </>
  );
}

/** Small in the list; the whole of it, once it is with the server, a tap away. */
function Picture({ photo, workId, place }: Omit<OneProps, 'sequence'>) {
  const kept = `/api/works/${workId}/photos/${photo.id}`;
  const alt = `The project after ${place}`;
  const image = (
    <img
      src={photo.small ?? photo.image ?? `${kept}?size=small`}
      loading="lazy"
      alt={alt}
      className="aspect-square w-full rounded-sm border border-rule object-cover"
    />
  );
  return photo.image ? image : <a href={kept}>{image}</a>;
}
