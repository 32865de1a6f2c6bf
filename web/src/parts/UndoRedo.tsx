import { Redo2, Undo2 } from 'lucide-react';
import { type ReactNode, useEffect } from 'react';

interface Props {
  /** Takes the last change back, or up again; absent where there is none. */
  readonly undo: (() => void) | undefined;
  readonly redo: (() => void) | undefined;
}

const typed =
  'textarea, [contenteditable], input:not([type="range"], [type="checkbox"], [type="radio"], [type="color"])';

/** Takes changes back and up again, by button or by Ctrl Z. */
export function UndoRedo({ undo, redo }: Props) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
      // While something is typed, its own undo is meant.
      if ((event.target as HTMLElement | null)?.closest(typed)) return;
      event.preventDefault();
      if (event.shiftKey) redo?.();
      else undo?.();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [undo, redo]);
  return (
    <span className="flex">
      <IconButton label="Undo (Ctrl Z)" onClick={undo}>
        <Undo2 aria-hidden className="size-5" />
      </IconButton>
      <IconButton label="Redo (Ctrl Shift Z)" onClick={redo}>
        <Redo2 aria-hidden className="size-5" />
      </IconButton>
    </span>
  );
}

function IconButton({
  label,
  onClick,
  children,
}: {
  label: string;
  onClick: (() => void) | undefined;
  children: ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={!onClick}
      onClick={onClick}
      className="-ml-px flex size-11 items-center justify-center border border-edge bg-field first:rounded-l-md last:rounded-r-md enabled:hover:bg-sheet disabled:text-edge"
    >
      {children}
    </button>
  );
}
