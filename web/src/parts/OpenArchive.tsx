import { type LookedInto, lookedIntoSchema, takenOverSchema } from '@puntada/core/records';
import { copiesSaid, holdsWords } from '@puntada/core/words';
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { z } from 'zod';
import type { Jobs } from '../api/jobs.ts';
import { Button } from './Button.tsx';
import { dates } from './dates.ts';
import { FileField } from './FileField.tsx';

const takenWords = {
  new: copiesSaid.openedItsOnYour,
  merged: copiesSaid.youHadThisProject,
  beside: copiesSaid.yourCopyFollowsAnother,
} as const;

interface Given {
  readonly id: string;
  readonly name: string;
  readonly found: LookedInto;
}

/**
 * A backup or a project from a file: looked into, asked about, and only then put in its place.
 * @param file that is already there; without it one is asked for
 */
export function OpenArchive({ jobs, file }: { jobs: Jobs; file?: File | undefined }) {
  const [given, setGiven] = useState<Given>();
  const [taken, setTaken] = useState<{ words: string; id: string }>();
  const open = async (archive: File) => {
    setGiven(undefined);
    setTaken(undefined);
    const id = await jobs.send(`Reading ${archive.name}…`, archive);
    const found = id && (await jobs.run('Looking into it…', `/incoming/${id}/look`, lookedIntoSchema));
    if (id && found) setGiven({ id, name: archive.name, found });
  };
  const opened = useRef<File>(undefined);
  useEffect(() => {
    if (!file || opened.current === file) return;
    opened.current = file;
    void open(file);
  });
  const leave = ({ id }: Given) => {
    setGiven(undefined);
    jobs.forget(id);
  };
  const putBack = async ({ id }: Given) => {
    setGiven(undefined);
    const done = await jobs.run('Putting it back…', `/incoming/${id}/restore`, z.looseObject({ works: z.number() }));
    // The bench is opened anew, with what was put back.
    if (done) location.assign('/');
  };
  const takeIn = async ({ id }: Given) => {
    setGiven(undefined);
    const done = await jobs.run('Opening the project…', `/incoming/${id}/take-in`, takenOverSchema);
    if (done) setTaken({ words: takenWords[done.how], id: done.id });
  };
  return (
    <section aria-label="Open a file">
      {file ? null : (
        <>
          <h2 className="border-b border-ink pb-1 text-[19px]">Open a file</h2>
          <p className="pt-3 text-[16px]">{copiesSaid.backupWholeBenchOr}</p>
        </>
      )}
      {file ? null : (
        <FileField
          label={copiesSaid.openBackupOrProject}
          accept=".zip,application/zip,.json,application/json"
          disabled={jobs.going !== undefined}
          className="mt-3 rounded-md border border-ink px-4 text-[16px] font-semibold no-underline! hover:bg-sheet"
          onFile={(archive) => void open(archive)}
        />
      )}
      <p role="status" className="text-[15px] text-verdigris empty:hidden">
        {taken ? (
          <>
            {taken.words} <Link to={`/works/${taken.id}/log`}>Look at it</Link>
          </>
        ) : null}
      </p>
      {given?.found.holds === 'project' ? (
        <Question onLeave={() => leave(given)} action="Open this project" onDo={() => void takeIn(given)}>
          {copiesSaid.holdsOneProjectOpening(given.name, given.found.titles.join(', '))}
        </Question>
      ) : null}
      {given?.found.holds === 'bench' ? (
        <Question
          grave
          onLeave={() => leave(given)}
          action={copiesSaid.replaceEverythingWithIt}
          onDo={() => void putBack(given)}
        >
          {copiesSaid.wasMadeOnAnd(given.name, dates.date(Date.parse(given.found.madeAt)), holdsWords(given.found))}
        </Question>
      ) : null}
    </section>
  );
}

interface QuestionProps {
  readonly action: string;
  /** Everything else gives way to it. */
  readonly grave?: boolean;
  readonly onDo: () => void;
  readonly onLeave: () => void;
  readonly children: React.ReactNode;
}

/** What a file would do, before it does it. */
function Question({ action, grave = false, onDo, onLeave, children }: QuestionProps) {
  return (
    <div
      className={`mt-3 border-l-4 px-3 py-2 ${grave ? 'border-ochre bg-ochre-pale' : 'border-verdigris bg-verdigris-pale'}`}
    >
      <p className="text-[15px]">{children}</p>
      <div className="mt-2 flex gap-3">
        <Button onClick={onDo}>{action}</Button>
        <Button kind="quiet" onClick={onLeave}>
          Cancel
        </Button>
      </div>
    </div>
  );
}
