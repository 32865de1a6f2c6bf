import { findPattern, readPattern } from '@puntada/core/craft';
import type { StoredPattern } from '@puntada/core/records';
import { deskSaid } from '@puntada/core/words';
import { useId, useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useChangePatternMutation } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { useBookShades } from '../../parts/bookShades.ts';
import { ownPattern } from '../../parts/ownPattern.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { keyOfOwn } from '../../parts/useShelf.ts';

/** A pattern that grows from round to round: written, not drawn; its cloth beside it. */
export function WrittenOnly({ stored }: { stored: StoredPattern }) {
  const id = useId();
  const [save, saving] = useChangePatternMutation();
  const [text, setText] = useState(stored.pattern.text);
  const shadesOf = useBookShades();
  const read = readPattern(text);
  const found = findPattern(stored.pattern.text);
  const name = found.ok ? found.value.name : 'Pattern';
  const keep = () => {
    if (!read.ok) return;
    void save({
      id: stored.id,
      revision: stored.revision,
      pattern: ownPattern(stored.id, read.value, stored.pattern.note),
    });
  };
  return (
    <>
      <Head title={name} page="Chart desk" under={deskSaid.thisPatternGrowsFrom}>
        <ButtonLink to={`/book/${keyOfOwn(stored.id)}`}>{deskSaid.toPatternBook}</ButtonLink>
      </Head>
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1180px] gap-8 px-6 pt-5 pb-10 lg:grid-cols-[minmax(0,1fr)_330px]"
      >
        <div className="grid content-start gap-3">
          <label htmlFor={id} className="label">
            Pattern notation
          </label>
          <textarea
            id={id}
            className="field min-h-[380px] py-2 font-mono text-[15px]"
            spellCheck={false}
            value={text}
            aria-invalid={!read.ok}
            onChange={(event) => setText(event.target.value)}
          />
          {read.ok ? null : <Problems problems={read.problems} />}
          <Problems problems={problemsOf(saving.error)} />
          <Button onClick={keep} disabled={!read.ok || saving.isLoading} className="justify-self-start">
            Save it
          </Button>
        </div>
        {read.ok ? <PatternPicture pattern={text} shades={shadesOf(read.value)} side={330} /> : null}
      </main>
    </>
  );
}
