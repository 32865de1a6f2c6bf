import { patternOf, printPattern } from '@puntada/core/craft';
import type { Terms, Written, WrittenLine } from '@puntada/core/words';
import { deskSaid } from '@puntada/core/words';
import { startTransition, useEffect, useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { useBookShades } from '../../parts/bookShades.ts';
import { Choice } from '../../parts/Choice.tsx';
import { useProblemText } from '../../parts/Craft.tsx';
import { writtenRows } from '../../parts/dropped.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { planner } from '../../worker/planner.ts';
import type { Keep } from './keep.ts';

/** ms without a change before a text is read. */
const rest = 250;

const example = deskSaid.exampleOfRows;

/** Rows as somebody wrote them, pasted whole: read line by line, checked against each other, drawn beside. */
export function PasteRows({ busy, keep }: { busy: boolean; keep: Keep }) {
  const id = useId();
  const navigate = useNavigate();
  const usual = usePreferences().terms;
  const [text, setText] = useState(() => writtenRows.take() ?? '');
  const [name, setName] = useState('');
  const [terms, setTerms] = useState<Terms | 'told'>('told');
  const [read, setRead] = useState<Written>();
  useEffect(() => {
    let current = true;
    const timer = setTimeout(async () => {
      const chosen = terms === 'told' ? undefined : terms;
      const found = text.trim()
        ? await planner.readWritten(text, { key: 'own', name: 'x', terms: chosen, usual })
        : undefined;
      if (current) startTransition(() => setRead(found));
    }, rest);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [text, terms, usual]);
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
        {read ? <Reading read={read} /> : <p className="text-[17px] text-soft">{deskSaid.pasteRowsAndRead}</p>}
        {pattern ? (
          <div className="flex flex-wrap items-start gap-4">
            <PatternPicture pattern={printPattern(pattern)} shades={shadesOf(pattern)} side={220} />
            <div className="grid gap-2">
              <Button kind="next" disabled={busy} onClick={() => void keep(pattern)}>
                {deskSaid.openItOnDesk}
              </Button>
              <Button
                disabled={busy}
                onClick={() => {
                  const chain = read?.chain;
                  const width = chain ? { width: { by: 'chain', count: String(chain) } } : {};
                  navigate('/wish', {
                    state: { form: { pattern: { key: printPattern(pattern), numbers: {} }, ...width } },
                  });
                }}
              >
                {deskSaid.startProjectOnIt}
              </Button>
            </div>
          </div>
        ) : null}
      </section>
    </div>
  );
}

/** How each line was understood, and what is wrong between them. */
function Reading({ read }: { read: Written }) {
  const { lines, colours, terms, problems } = read;
  return (
    <>
      <p className="text-[15px]">
        Read in {terms} terms
        {colours.length
          ? `; ${colours.map(({ letter, name }) => (letter === name ? letter : `${letter} is ${name}`)).join(', ')}`
          : ''}
        .
      </p>
      <Problems problems={problems} />
      <ol className="max-h-[320px] overflow-y-auto border-t border-rule">
        {lines.map((line) => (
          <li key={line.line} className="border-b border-rule py-1.5 text-[15px]">
            <LineRead line={line} />
          </li>
        ))}
      </ol>
    </>
  );
}

function LineRead({ line: { line, text, what, rows, stitches, problem, taken } }: { line: WrittenLine }) {
  const sentence = useProblemText();
  const said = rows ? (rows[0] === rows[1] ? `row ${rows[0]}` : `rows ${rows[0]} to ${rows[1]}`) : undefined;
  const good = !problem && what !== 'unread';
  return (
    <>
      <p className={good ? '' : 'text-brick'}>
        <span aria-hidden>{good ? (what === 'note' ? '· ' : '✓ ') : '✕ '}</span>
        <span className="sr-only">Line {line}: </span>
        {what === 'note' ? 'passed over' : what === 'chain' ? 'the chain' : (said ?? 'not read')}
        {stitches ? `, ${stitches} stitches` : ''}
        {taken?.length ? `, ${taken.map((each) => `“${each.word}” read as ${each.meant}`).join(', ')}` : ''}
      </p>
      {good ? null : (
        <>
          <p className="font-mono text-[13px] text-soft">{text.slice(0, 160)}</p>
          {problem ? <p>{sentence(problem)}</p> : null}
        </>
      )}
    </>
  );
}
