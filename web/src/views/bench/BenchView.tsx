import { Plus } from 'lucide-react';
import { problemsOf, useWorksQuery } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { WorkRow } from './WorkRow.tsx';

/** Every work on the go as a strip of its own cloth, and where to start another. */
export function BenchView() {
  const { data: works, error, isLoading } = useWorksQuery();
  const begun = works?.filter((work) => work.state === 'begun') ?? [];
  const wished = works?.filter((work) => work.state === 'wished') ?? [];
  const finished = works?.filter((work) => work.state === 'finished') ?? [];
  return (
    <>
      <Head title="Bench" under={works ? count(begun.length, wished.length, finished.length) : undefined}>
        <ButtonLink to="/book" kind="quiet">
          Pattern book
        </ButtonLink>
        <ButtonLink to="/shopping" kind="quiet">
          Shopping list
        </ButtonLink>
        <ButtonLink to="/given" kind="quiet">
          Check a pattern
        </ButtonLink>
        <ButtonLink to="/words" kind="quiet">
          Words
        </ButtonLink>
        <ButtonLink to="/wish" kind={begun.length ? 'plain' : 'next'}>
          <Plus aria-hidden className="size-5" />
          New wish
        </ButtonLink>
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1440px] px-6 pb-12">
        {error ? (
          <div className="mt-4">
            <Problems problems={problemsOf(error)} />
          </div>
        ) : null}
        {isLoading ? <p className="py-6 text-soft">Laying out the works…</p> : null}
        <Group title="In hand" works={begun} first />
        <Group title="Wished for" works={wished} first={begun.length === 0} />
        <Group title="Finished" works={finished} first={false} />
        {works && works.length === 0 ? (
          <p className="max-w-[44ch] py-10 text-[18px]">
            Nothing on the bench yet. Start with a wish: what it is to be, about how big, and in which two colours.
          </p>
        ) : null}
      </main>
    </>
  );
}

function count(begun: number, wished: number, finished: number): string {
  const parts = [`${begun} in hand`, `${wished} wished for`];
  if (finished) parts.push(`${finished} finished`);
  return parts.join(' · ');
}

function Group({
  title,
  works,
  first,
}: {
  title: string;
  works: readonly Parameters<typeof WorkRow>[0]['work'][];
  first: boolean;
}) {
  if (!works.length) return null;
  return (
    <section>
      <h2 className="mt-7 border-b border-ink pb-1 text-[17px]">{title}</h2>
      <ul>
        {works.map((work, i) => (
          <WorkRow key={work.id} work={work} isNext={first && i === 0} />
        ))}
      </ul>
    </section>
  );
}
