import type { Problem } from '@puntada/core/craft';
import { openSaid, techniqueWords } from '@puntada/core/words';
import { useEffect, useRef, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { problemsOf, useAddWorkMutation } from '../../api/api.ts';
import { useJobs } from '../../api/jobs.ts';
import { useAddPatternMutation, useAddYarnsMutation } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Button } from '../../parts/Button.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { droppedFile, pictureForDesk, writtenRows } from '../../parts/dropped.ts';
import { FileField } from '../../parts/FileField.tsx';
import { JobProgress } from '../../parts/JobProgress.tsx';
import { OpenArchive } from '../../parts/OpenArchive.tsx';
import { ownPattern } from '../../parts/ownPattern.ts';
import { Problems } from '../../parts/Problems.tsx';
import { type Found, kindOfFile } from './kindOfFile.ts';

interface Opened {
  readonly file: File;
  /** Nothing while it is looked into. */
  readonly found?: Found;
  readonly problems: readonly Problem[];
}

/** Any file of ours: looked into first, told what it is, and done with as the maker says. */
export default function OpenView() {
  const [opened, setOpened] = useState<Opened>();
  const jobs = useJobs();
  const { key } = useLocation();
  const latest = useRef<File>(undefined);
  const open = async (file: File) => {
    latest.current = file;
    setOpened({ file, problems: [] });
    const found = await kindOfFile(file);
    if (latest.current !== file) return;
    setOpened(found.ok ? { file, found: found.value, problems: [] } : { file, problems: found.problems });
  };
  // What was dropped on another page is here with the address; on this page it comes with a new one.
  // biome-ignore lint/correctness/useExhaustiveDependencies: once for each arrival
  useEffect(() => {
    const dropped = droppedFile.take();
    if (dropped) void open(dropped);
  }, [key]);
  return (
    <>
      <Head title="Open a file" under={openSaid.saysWhatItFound} />
      <Shelves />
      <main id="main" className="mx-auto grid w-full max-w-[760px] content-start gap-5 px-6 pt-6 pb-12">
        <div className="grid justify-items-center gap-3 rounded-md border-2 border-dashed border-edge px-6 py-10 text-center">
          <FileField
            label="Choose a file"
            accept=""
            className="rounded-md border border-ink px-4 text-[16px] font-semibold no-underline! hover:bg-sheet"
            onFile={(file) => void open(file)}
          />
          <p className="text-[15px] text-soft">{openSaid.dropAnywhere}</p>
        </div>
        <div aria-live="polite" className="grid gap-4">
          {opened && !opened.found && !opened.problems.length ? (
            <p className="text-[16px]">{openSaid.lookingInto(opened.file.name)}</p>
          ) : null}
          {opened?.found?.kind === 'archive' ? (
            <>
              <OpenArchive jobs={jobs} file={opened.file} />
              <JobProgress jobs={jobs} />
              <Problems problems={jobs.problems} />
            </>
          ) : opened?.found ? (
            <Answer key={opened.file.name + opened.file.lastModified} file={opened.file} found={opened.found} />
          ) : null}
        </div>
        <Problems problems={opened?.problems ?? []} />
      </main>
    </>
  );
}

/** What was found, and the one thing that can be done with it. */
function Answer({ file, found }: { file: File; found: Exclude<Found, { kind: 'archive' }> }) {
  const { name } = file;
  const navigate = useNavigate();
  const told = useCraftWords();
  const [addPattern, adding] = useAddPatternMutation();
  const [addYarns, bringing] = useAddYarnsMutation();
  const [addWork, starting] = useAddWorkMutation();
  const id = useRef(crypto.randomUUID()).current;
  const wrong = problemsOf(adding.error ?? bringing.error ?? starting.error);
  switch (found.kind) {
    case 'pattern': {
      const { pattern, note } = found.pattern;
      const add = async () => {
        const made = await addPattern({ id, pattern: ownPattern(id, pattern, note) });
        if (made.data) navigate(`/desk/${id}`);
      };
      const technique = told(techniqueWords(pattern.technique).name);
      return (
        <Told words={openSaid.foundPattern(name, pattern.name, technique)} problems={wrong}>
          <Button kind="next" onClick={() => void add()} disabled={adding.isLoading}>
            {openSaid.addToPatterns}
          </Button>
        </Told>
      );
    }
    case 'yarns': {
      const { yarns } = found;
      const bring = async () => {
        const stored = await addYarns(yarns);
        if (stored.data) navigate('/drawer');
      };
      return (
        <Told words={openSaid.foundYarns(name, yarns.length)} problems={wrong}>
          <Button kind="next" onClick={() => void bring()} disabled={bringing.isLoading || !yarns.length}>
            {openSaid.addYarns(yarns.length)}
          </Button>
        </Told>
      );
    }
    case 'idea': {
      const start = async () => {
        const made = await addWork({ id, wish: found.wish });
        if (made.data) navigate(`/works/${made.data.id}/wish`);
      };
      return (
        <Told words={openSaid.foundIdea(name, found.wish.title)} problems={wrong}>
          <Button kind="next" onClick={() => void start()} disabled={starting.isLoading}>
            {openSaid.startFromIdea}
          </Button>
        </Told>
      );
    }
    case 'picture':
      return (
        <Told words={openSaid.foundPicture(name)}>
          <Button
            kind="next"
            onClick={() => {
              pictureForDesk.put(file);
              navigate('/desk');
            }}
          >
            {openSaid.beginChart}
          </Button>
        </Told>
      );
    case 'rows': {
      const read = () => {
        writtenRows.put(found.text);
        navigate('/desk?way=rows');
      };
      const lines = found.text.split('\n').filter((line) => line.trim()).length;
      return (
        <Told words={openSaid.foundRows(name, lines)}>
          <Button kind="next" onClick={read}>
            {openSaid.readAtDesk}
          </Button>
        </Told>
      );
    }
    case 'only-out':
      return <Told words={`${name} ${openSaid.foundOut[found.what]}`} />;
  }
}

interface ToldProps {
  readonly words: string;
  readonly problems?: readonly Problem[];
  readonly children?: React.ReactNode;
}

function Told({ words, problems = [], children }: ToldProps) {
  return (
    <div className="grid justify-items-start gap-3 border-l-4 border-verdigris bg-verdigris-pale px-4 py-3">
      <p className="text-[17px] wrap-anywhere">{words}</p>
      {children}
      <Problems problems={problems} />
    </div>
  );
}
