import { type Drawing, readRowsText, rowsText } from '@puntada/core/craft';
import { deskSaid } from '@puntada/core/words';
import { useId, useMemo, useState } from 'react';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';

/** The rows as runs, one line a row, to be typed and changed; the chart follows as soon as they can be read. */
export function RowsPanel({ drawing, onChange }: { drawing: Drawing; onChange: (drawing: Drawing) => void }) {
  const id = useId();
  const now = useMemo(() => rowsText(drawing), [drawing]);
  const [typed, setTyped] = useState<string>();
  const text = typed ?? now;
  const read = typed === undefined || typed === now ? undefined : readRowsText(drawing, typed);
  return (
    <div className="grid gap-3">
      <div>
        <label htmlFor={id} className="label">
          Rows as runs, row 1 first
        </label>
        <textarea
          id={id}
          className="field min-h-[230px] py-2 font-mono text-[14px] leading-snug"
          spellCheck={false}
          wrap="off"
          value={text}
          aria-invalid={read?.ok === false}
          onChange={(event) => setTyped(event.target.value)}
        />
      </div>
      {read && !read.ok ? <Problems problems={read.problems} /> : null}
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={!read?.ok}
          onClick={() => {
            if (!read?.ok) return;
            onChange(read.value);
            setTyped(undefined);
          }}
        >
          Draw these rows
        </Button>
        {typed === undefined ? null : (
          <Button kind="quiet" onClick={() => setTyped(undefined)}>
            As they were
          </Button>
        )}
      </div>
      <p className="text-[15px] text-soft">
        {deskSaid.countAndColourOr} <span className="font-mono">3A 2B</span>. What repeats may stand between bars:{' '}
        <span className="font-mono">2A | 3B 3A | 2A</span>
        {deskSaid.beginLineWith} <span className="font-mono">first:</span> or <span className="font-mono">last:</span>{' '}
        {deskSaid.whereItWorkedOnce}
      </p>
    </div>
  );
}
