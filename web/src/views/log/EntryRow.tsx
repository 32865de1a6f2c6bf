import { Pencil, Trash2 } from 'lucide-react';
import { type ReactNode, useRef, useState } from 'react';
import { Button } from '../../parts/Button.tsx';

interface Props {
  /** What it is, for those who hear the buttons: `note at row 8`. */
  readonly name: string;
  readonly children: ReactNode;
  readonly busy: boolean;
  readonly onRemove: () => void;
  /** The fields of its correction. */
  readonly fields?: ReactNode;
  /** Keeps what is typed in the fields. @returns whether it is kept */
  readonly onKeep?: () => Promise<boolean>;
}

/** An entry of the log with the way to correct and to delete it. */
export function EntryRow({ name, children, busy, onRemove, fields, onKeep }: Props) {
  const [editing, setEditing] = useState(false);
  const pencil = useRef<HTMLButtonElement>(null);
  // Work goes on where it was taken up.
  const close = () => {
    setEditing(false);
    requestAnimationFrame(() => pencil.current?.focus());
  };
  if (editing) {
    return (
      <form
        aria-label={`Correct the ${name}`}
        noValidate
        className="flex flex-wrap items-end gap-3 py-2"
        onSubmit={async (event) => {
          event.preventDefault();
          if (await onKeep?.()) close();
        }}
        onKeyDown={(event) => event.key === 'Escape' && close()}
      >
        {fields}
        <Button type="submit" disabled={busy}>
          Save
        </Button>
        <Button kind="quiet" onClick={close}>
          Cancel
        </Button>
      </form>
    );
  }
  return (
    <div className="flex items-start gap-2">
      <div className="min-w-0 flex-1 py-2.5 wrap-anywhere">{children}</div>
      {onKeep ? (
        <button
          ref={pencil}
          type="button"
          aria-label={`Correct the ${name}`}
          title="Correct"
          onClick={() => setEditing(true)}
          className="flex size-11 shrink-0 items-center justify-center rounded-sm text-soft hover:bg-sheet hover:text-ink"
        >
          <Pencil aria-hidden className="size-4" />
        </button>
      ) : null}
      <button
        type="button"
        aria-label={`Delete the ${name}`}
        title="Delete"
        disabled={busy}
        onClick={onRemove}
        className="flex size-11 shrink-0 items-center justify-center rounded-sm text-soft hover:bg-sheet hover:text-ink"
      >
        <Trash2 aria-hidden className="size-4" />
      </button>
    </div>
  );
}
