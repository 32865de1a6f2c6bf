import { decimal } from '@puntada/core/craft';
import type { Copy } from '@puntada/core/records';
import { lookedIntoSchema } from '@puntada/core/records';
import { copiesSaid, holdsWords } from '@puntada/core/words';
import { useState } from 'react';
import { z } from 'zod';
import { problemsOf } from '../../api/api.ts';
import { type Jobs, useJobs } from '../../api/jobs.ts';
import { useCopiesQuery } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { announce } from '../../parts/announce.ts';
import { Button } from '../../parts/Button.tsx';
import { dates } from '../../parts/dates.ts';
import { Empty } from '../../parts/Empty.tsx';
import { JobProgress } from '../../parts/JobProgress.tsx';
import { OpenArchive } from '../../parts/OpenArchive.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { Waiting } from '../../parts/Waiting.tsx';

const made = z.object({ name: z.string() });

const reasonWords: Readonly<Record<Copy['reason'], string>> = {
  asked: copiesSaid.youAskedForIt,
  day: copiesSaid.copyDay,
  'before-restore': copiesSaid.beforeCopyWasPut,
  'before-import': copiesSaid.beforeTableWasRead,
  'before-migration': copiesSaid.whenNewerTookOver,
};

/** When a copy was made; to the second where another was made in the same minute. */
function whenOf({ madeAt }: Copy, copies: readonly Copy[]): string {
  const when = dates.moment(Date.parse(madeAt));
  const alike = copies.filter((each) => dates.moment(Date.parse(each.madeAt)) === when);
  return alike.length > 1 ? dates.exact(Date.parse(madeAt)) : when;
}

/** `412 kB`, `3.4 MB`. */
function sizeWords(bytes: number): string {
  return bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} kB` : `${decimal(bytes / 1_000_000, 1)} MB`;
}

/** Everything as one file, a file in its place again, and the copies that are kept meanwhile. */
export default function CopiesView() {
  const { data: copies, error, refetch } = useCopiesQuery();
  const jobs = useJobs();
  const save = async () => {
    const copy = await jobs.run(copiesSaid.makingCopyAndReading, '/copies', made);
    if (!copy) return;
    void refetch();
    location.assign(`/api/copies/${encodeURIComponent(copy.name)}`);
    announce(copiesSaid.copyWholeAndBeing);
  };
  return (
    <>
      <Head title="Safe copies" under={copiesSaid.backUpEverythingOpen} />
      <Shelves />
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1180px] gap-x-12 gap-y-9 px-6 pt-5 pb-12 lg:grid-cols-[360px_minmax(0,1fr)]"
      >
        <div className="grid content-start gap-9">
          <section aria-label="Back up">
            <h2 className="border-b border-ink pb-1 text-[19px]">Back up</h2>
            <p className="py-3 text-[16px]">{copiesSaid.oneFileWithEvery}</p>
            <Button kind="next" disabled={jobs.going !== undefined} onClick={() => void save()}>
              {copiesSaid.backUpEverythingTo}
            </Button>
          </section>
          <OpenArchive jobs={jobs} />
          <JobProgress jobs={jobs} />
          <Problems problems={jobs.problems} />
        </div>
        <section aria-label={copiesSaid.copiesKeptOnThis} className="min-w-0">
          <h2 className="border-b border-ink pb-1 text-[19px]">{copiesSaid.copiesKeptOnThis}</h2>
          <p className="pt-3 text-[15px] text-soft">{copiesSaid.puntadaMakesOneOn}</p>
          {error ? <Problems problems={problemsOf(error)} /> : null}
          {copies || error ? null : <Waiting words="Looking for copies…" rows={3} height={64} />}
          {copies && !copies.length ? <Empty>{copiesSaid.yourFirstCopyWill}</Empty> : null}
          <ul>
            {copies?.map((copy) => (
              <CopyRow key={copy.name} copy={copy} when={whenOf(copy, copies)} jobs={jobs} />
            ))}
          </ul>
        </section>
      </main>
    </>
  );
}

function CopyRow({ copy, when, jobs }: { copy: Copy; when: string; jobs: Jobs }) {
  const [told, setTold] = useState('');
  const [sure, setSure] = useState(false);
  const busy = jobs.going !== undefined;
  const at = `/copies/${encodeURIComponent(copy.name)}`;
  const check = async () => {
    setTold('');
    const found = await jobs.run(copiesSaid.readingCopyThrough, `${at}/check`, lookedIntoSchema);
    if (found) setTold(`✓ Whole: ${holdsWords(found)}.`);
  };
  const putBack = async () => {
    setSure(false);
    const done = await jobs.run(copiesSaid.puttingCopyBack, `${at}/restore`, z.looseObject({ works: z.number() }));
    if (done) location.assign('/');
  };
  return (
    <li className="grid gap-1 border-b border-rule py-3">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <p className="min-w-[230px] flex-1 text-[16px]">
          <b>{when}</b>
          <span className="block text-[15px] text-soft">
            {reasonWords[copy.reason]} · {sizeWords(copy.bytes)}
          </span>
        </p>
        <Button disabled={busy} onClick={() => setSure(true)} aria-label={`Put back: ${when}`}>
          Put it back
        </Button>
        <Button kind="quiet" disabled={busy} onClick={() => void check()} aria-label={`Check: ${when}`}>
          Check it
        </Button>
        <a
          href={`/api${at}`}
          download
          aria-label={copiesSaid.saveAsFile(when)}
          className="inline-flex min-h-11 items-center text-[15px] underline underline-offset-4"
        >
          {copiesSaid.saveAsFileShort}
        </a>
      </div>
      <p role="status" className="text-[15px] text-verdigris empty:hidden">
        {told}
      </p>
      {sure ? (
        <div className="border-l-4 border-ochre bg-ochre-pale px-3 py-2">
          <p className="text-[15px]">{copiesSaid.thisReplacesEverythingOn}</p>
          <div className="mt-2 flex gap-3">
            <Button onClick={() => void putBack()}>{copiesSaid.replaceEverythingWithIt}</Button>
            <Button kind="quiet" onClick={() => setSure(false)}>
              Cancel
            </Button>
          </div>
        </div>
      ) : null}
    </li>
  );
}
