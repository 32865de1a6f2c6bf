import { patternOf, printPattern } from '@puntada/core/craft';
import type { Terms } from '@puntada/core/words';
import { deskSaid } from '@puntada/core/words';
import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { Button } from '../../parts/Button.tsx';
import { useBookShades } from '../../parts/bookShades.ts';
import { Choice } from '../../parts/Choice.tsx';
import { writtenRows } from '../../parts/dropped.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { useWritten } from '../../parts/useWritten.ts';
import { startOn, WrittenLines } from '../../parts/WrittenLines.tsx';
import type { Keep } from './keep.ts';

const example = deskSaid.exampleOfRows;

/** Rows as somebody wrote them, pasted whole: read line by line, checked against each other, drawn beside. */
export function PasteRows({ busy, keep }: { busy: boolean; keep: Keep }) {
  const id = useId();
  const navigate = useNavigate();
  const [text, setText] = useState(() => writtenRows.take() ?? '');
  const [name, setName] = useState('');
  const [terms, setTerms] = useState<Terms | 'told'>('told');
  const read = useWritten(text, terms === 'told' ? undefined : terms);
  const title = name.trim().replaceAll('"', '”').slice(0, 80) || 'Written rows';
  const pattern = read?.drawing && { ...patternOf(read.drawing), name: title };
  const shadesOf = useBookShades();
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div className="grid content-start gap-4">
        <div>
          <label htmlFor={id} className="label">
            {deskSaid.rowsOneOrMore}
          </label>
          <textarea
            id={id}
            className="field min-h-[300px] py-2 font-mono text-[15px] leading-snug"
            spellCheck={false}
            placeholder={example}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </div>
        <div className="grid gap-4 sm:grid-cols-[minmax(0,1fr)_auto]">
          <TextField label="Name" value={name} onChange={setName} placeholder="Written rows" maxLength={80} />
          <Choice
            above="Terms"
            small
            label="Terms"
            value={terms}
            options={[
              { value: 'told', words: 'As it tells' },
              { value: 'US', words: 'US' },
              { value: 'UK', words: 'UK' },
            ]}
            onChange={setTerms}
          />
        </div>
      </div>
      <section aria-label="What was read" aria-live="polite" className="grid content-start gap-3">
        {read ? <WrittenLines read={read} /> : <p className="text-[17px] text-soft">{deskSaid.pasteRowsAndRead}</p>}
        {pattern ? (
          <div className="flex flex-wrap items-start gap-4">
            <PatternPicture pattern={printPattern(pattern)} shades={shadesOf(pattern)} side={220} />
            <div className="grid gap-2">
              <Button kind="next" disabled={busy} onClick={() => void keep(pattern)}>
                {deskSaid.openItOnDesk}
              </Button>
              <Button disabled={busy} onClick={() => read && navigate('/wish', startOn(pattern, read))}>
                {deskSaid.startProjectOnIt}
              </Button>
            </div>
          </div>
        ) : null}
      </section>
    </div>
  );
}
