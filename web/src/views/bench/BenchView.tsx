import type { DraftWish, WorkSummary } from '@puntada/core/records';
import { benchSaid, itemName } from '@puntada/core/words';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { problemsOf, useWorksQuery } from '../../api/api.ts';
import { useDraftsQuery } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { Skeleton } from '../../parts/Skeleton.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { Unread } from '../../parts/Unread.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useGrowing } from '../../parts/useGrowing.ts';
import { BinList } from './BinList.tsx';
import { FirstUse } from './FirstUse.tsx';
import { has, inOrder, type Order } from './inOrder.ts';
import { WorkRow } from './WorkRow.tsx';

/** Projects among which one is found at a glance. */
const fewProjects = 12;

/** Every work on the go as a strip of its own cloth, and where to start another. */
export default function BenchView() {
  const { data, error, isLoading } = useWorksQuery();
  const works = useArrived(data);
  const { data: drafts } = useDraftsQuery();
  const [awayShown, setAwayShown] = useState(false);
  const [find, setFind] = useState('');
  const [item, setItem] = useState('');
  const [order, setOrder] = useState<Order>('need');
  const wanted = find.trim() !== '' || item !== '';
  const found =
    works?.filter((work) => has(work, find, itemName(work.wish.item)) && (!item || work.wish.item === item)) ?? [];
  const here = found.filter((work) => !work.archived);
  const away = found.filter((work) => work.archived);
  const of = (state: WorkSummary['state']) =>
    inOrder(
      here.filter((work) => work.state === state),
      // What is finished is due no more.
      state === 'finished' && order === 'need' ? 'latest' : order,
    );
  const [begun, wished, finished] = [of('begun'), of('wished'), of('finished')];
  const drawn = useGrowing(here.length, 3);
  // What stands below the rows waits for them, so that nothing moves.
  const whole = works !== undefined && drawn >= here.length;
  const half = drafts?.filter((draft) => !works?.some((work) => work.id === draft.id)) ?? [];
  const empty = works?.length === 0 && drafts !== undefined && !half.length;
  return (
    <>
      <Head
        title="Bench"
        under={
          empty
            ? benchSaid.yourProjectsWillStand
            : works
              ? count(begun.length, wished.length, finished.length)
              : '\u00a0'
        }
      >
        {works && !empty ? (
          <ButtonLink to="/wish" kind={begun.length ? 'plain' : 'next'}>
            <Plus aria-hidden className="size-5" />
            New project
          </ButtonLink>
        ) : null}
      </Head>
      <Shelves />
      <main id="main" className="mx-auto w-full max-w-[1440px] px-6 pb-12">
        {error ? (
          <div className="mt-4">
            <Problems problems={problemsOf(error)} />
          </div>
        ) : null}
        {isLoading ? (
          <>
            <p role="status" className="mt-7 border-b border-rule pb-1 text-[17px] text-soft">
              Opening your projects…
            </p>
            <Skeleton rows={4} height={144} />
          </>
        ) : null}
        {works && works.length > fewProjects ? (
          <div className="mt-4 grid max-w-[820px] grid-cols-2 gap-x-5 gap-y-2 sm:grid-cols-3">
            <div className="max-sm:col-span-2">
              <TextField label="Find a project" value={find} onChange={setFind} />
            </div>
            <SelectField label="Show" value={item} onChange={setItem}>
              <option value="">All things</option>
              {[...new Set(works.map(({ wish }) => wish.item))].map((each) => (
                <option key={each} value={each}>
                  {itemName(each)}
                </option>
              ))}
            </SelectField>
            <SelectField label="Order" value={order} onChange={(next) => setOrder(next as Order)}>
              <option value="need">Needs you first</option>
              <option value="latest">Latest worked first</option>
              <option value="name">By name</option>
            </SelectField>
          </div>
        ) : null}
        {works?.length && !found.length ? (
          <p className="pt-6 text-soft">
            {find.trim() ? benchSaid.noProjectHasIn(find.trim()) : benchSaid.noSuchProject}
          </p>
        ) : null}
        <Group title="In progress" works={firstOf(begun, drawn)} first />
        {works && drawn >= begun.length ? <HalfDone drafts={half} /> : null}
        <Group title="Planned" works={firstOf(wished, drawn - begun.length)} first={begun.length === 0} />
        <Group title="Finished" works={firstOf(finished, drawn - begun.length - wished.length)} first={false} />
        {whole ? <Unread kind="works" /> : null}
        {empty ? <FirstUse /> : null}
        {whole && away.length ? (
          <div className="mt-6">
            <Button kind="quiet" aria-expanded={awayShown} onClick={() => setAwayShown(!awayShown)} className="-ml-4">
              {awayShown ? 'Hide the archive' : `Show the archive (${away.length})`}
            </Button>
            {awayShown || wanted ? <Group title="Archive" works={away} first={false} /> : null}
          </div>
        ) : null}
        {whole ? <BinList /> : null}
        {whole ? (
          <p className="mt-8 flex flex-wrap gap-x-6 text-[15px]">
            <Link to="/open" className="inline-flex min-h-11 items-center">
              Open a file
            </Link>
            <Link to="/copies" className="inline-flex min-h-11 items-center">
              Safe copies
            </Link>
          </p>
        ) : null}
      </main>
    </>
  );
}

/** The first so many of a list. */
function firstOf<T>(list: readonly T[], most: number): readonly T[] {
  return list.slice(0, Math.max(0, most));
}

function count(begun: number, wished: number, finished: number): string {
  const parts = [`${begun} in progress`, `${wished} planned`];
  if (finished) parts.push(`${finished} finished`);
  return parts.join(' · ');
}

function Group({ title, works, first }: { title: string; works: readonly WorkSummary[]; first: boolean }) {
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

/** Wishes that were begun to be typed and are not yet whole. */
function HalfDone({ drafts }: { drafts: readonly DraftWish[] }) {
  if (!drafts.length) return null;
  return (
    <section>
      <h2 className="mt-7 border-b border-ink pb-1 text-[17px]">Drafts</h2>
      <ul>
        {drafts.map((draft) => (
          <li key={draft.id} className="flex items-center justify-between gap-4 border-b border-rule py-3">
            <h3 className="min-w-0 text-[20px]">
              <Link to={`/wish?draft=${draft.id}`} className="no-underline hover:underline">
                {draft.title || 'Untitled project'}
              </Link>
            </h3>
            <ButtonLink to={`/wish?draft=${draft.id}`} className="shrink-0">
              Keep editing
            </ButtonLink>
          </li>
        ))}
      </ul>
    </section>
  );
}
