import { rowsLeftWorking } from '@puntada/core/plan';
import type { Wish, WorkSummary } from '@puntada/core/records';
import { appSaid, benchSaid, clothName, goOnWords, printedWorking } from '@puntada/core/words';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import {
  useAddWorkMutation,
  useArchiveWorkMutation,
  useBinWorkMutation,
  usePreferences,
  useWorkQuery,
} from '../../api/api.ts';
import { ButtonLink } from '../../parts/Button.tsx';
import { dates } from '../../parts/dates.ts';
import { offerUndo } from '../../parts/undoOffer.ts';
import { useOwnId } from '../../parts/useOwnId.ts';
import { Worked } from '../../parts/Worked.tsx';
import { useStrip, WorkStrip } from '../../parts/WorkStrip.tsx';
import { YarnSureness } from './YarnSureness.tsx';

const longestTitle = 80;

/** The same wish once more, to be changed at will. */
function CopyWish({ wish }: { wish: Wish }) {
  const navigate = useNavigate();
  const [add, adding] = useAddWorkMutation();
  const [ownId, another] = useOwnId();
  const copy = async () => {
    const { choice: _size, ...rest } = wish;
    const saved = await add({ id: ownId, wish: { ...rest, title: `${wish.title.slice(0, longestTitle - 7)}, again` } });
    if (!saved.data) return;
    another();
    navigate(`/works/${saved.data.id}/wish`);
  };
  return (
    <button
      type="button"
      onClick={copy}
      aria-label={`Make another: ${wish.title}`}
      disabled={adding.isLoading}
      className="min-h-11 min-w-11 text-left text-[15px] text-soft underline underline-offset-4 hover:text-ink"
    >
      Make another
    </button>
  );
}

/** Out of sight on the bench, or back on it. */
function PutAway({ work: { id, revision, archived, wish } }: { work: WorkSummary }) {
  const [archive, archiving] = useArchiveWorkMutation();
  const words = archived ? benchSaid.backToBench : 'Archive';
  return (
    <button
      type="button"
      onClick={() => void archive({ id, revision, archived: !archived })}
      aria-label={`${words}: ${wish.title}`}
      disabled={archiving.isLoading}
      className="min-h-11 min-w-11 text-left text-[15px] text-soft underline underline-offset-4 hover:text-ink"
    >
      {words}
    </button>
  );
}

/** Into the bin, from where it can be put back for 30 days. */
function Bin({ work: { id, revision, wish } }: { work: WorkSummary }) {
  const [bin, binning] = useBinWorkMutation();
  const remove = async () => {
    const answer = await bin({ id, revision, deleted: true });
    if (!answer.data) return;
    const now = answer.data.revision;
    offerUndo({ did: benchSaid.inBin(wish.title), undo: () => bin({ id, revision: now, deleted: false }) });
  };
  return (
    <button
      type="button"
      onClick={remove}
      aria-label={`Delete: ${wish.title}`}
      disabled={binning.isLoading}
      className="min-h-11 min-w-11 text-left text-[15px] text-soft underline underline-offset-4 hover:text-ink"
    >
      Delete
    </button>
  );
}

/** One work on the bench: its name, its next row, and its cloth as far as it has come. */
export function WorkRow({ work: summary, isNext }: { work: WorkSummary; isNext: boolean }) {
  const { data: work } = useWorkQuery(summary.id);
  const { told, terms } = usePreferences();
  const [width, setWidth] = useState(0);
  const strip = useStrip(work, width);
  const { progress, size, state, wish } = summary;
  const first = Math.max(0, progress.rows - (summary.fromChain ? 1 : 0));
  // Of a project whose rest was planned otherwise the cloth in hand may have other rows than those to come.
  const courses = strip?.courses ?? size?.rows;
  const rows = Math.min(strip?.rows ?? first, courses ?? first);
  const left = courses === undefined ? undefined : courses - rows;
  const word = strip?.word ?? 'row';
  const place = state === 'wished' ? 'size' : 'work';
  const action =
    state === 'wished'
      ? 'Choose a size'
      : goOnWords(
          { state, size: size && { ...size, rows: courses ?? size.rows }, progress: { ...progress, rows } },
          word,
        );
  return (
    <li
      className={`${state === 'begun' ? '[contain-intrinsic-block-size:auto_115px]' : '[contain-intrinsic-block-size:auto_91px]'} [content-visibility:auto] grid grid-cols-[minmax(0,1fr)] items-center gap-x-6 gap-y-3 border-b border-rule py-4 sm:grid-cols-[minmax(0,1fr)_auto] lg:grid-cols-[300px_minmax(0,1fr)_176px]`}
    >
      <div className="min-w-0">
        <h3 className={wish.title.length > 44 ? 'text-[17px]' : 'text-[20px]'}>
          <Link to={`/works/${summary.id}/${place}`} className="no-underline hover:underline">
            {wish.title}
          </Link>
        </h3>
        <p className="mt-1 text-[15px] leading-snug text-soft">{strip?.next ?? '…'}</p>
        <p className="flex flex-wrap gap-x-5">
          <CopyWish wish={wish} />
          {state === 'wished' ? null : (
            <Link
              to={`/works/${summary.id}/log`}
              aria-label={`Log: ${wish.title}`}
              className="inline-flex min-h-11 min-w-11 items-center text-[15px] text-soft underline underline-offset-4 hover:text-ink"
            >
              Log
            </Link>
          )}
          <PutAway work={summary} />
          <Bin work={summary} />
        </p>
        <p className={`flex flex-wrap items-center gap-x-4 text-[15px] ${state === 'begun' ? 'min-h-6' : ''}`}>
          {summary.due && state !== 'finished' ? (
            <span>
              due <b>{dates.day(summary.due)}</b>
            </span>
          ) : null}
          {wish.set || wish.pieces > 1 ? (
            <Link
              to={`/works/${summary.id}/set`}
              aria-label={`${appSaid.theSet}: ${wish.title}`}
              className="inline-flex min-h-11 min-w-11 items-center text-[15px] text-soft underline underline-offset-4 hover:text-ink"
            >
              {appSaid.theSet}
            </Link>
          ) : null}
          {work?.state === 'begun' && strip ? <YarnSureness work={work} /> : null}
        </p>
        {summary.notice ? <p className="text-[14px] text-verdigris">{summary.notice}</p> : null}
      </div>
      <div className="min-w-0 sm:order-last sm:col-span-2 lg:order-none lg:col-span-1">
        <WorkStrip
          strip={strip}
          onWidth={setWidth}
          label={`${wish.title}: ${rows} of ${courses ?? 'some'} ${word}s worked`}
        />
      </div>
      <div className="flex flex-col gap-1.5 sm:items-end">
        {size && courses !== undefined && left !== undefined ? (
          <p className="text-[15px] text-soft">
            <Worked
              working={printedWorking(rowsLeftWorking(courses, rows), told, terms)}
              className="count text-[22px] text-ink"
            >
              {left}
            </Worked>{' '}
            {word}
            {left === 1 ? '' : 's'} left of <span className="count text-[15px] font-medium">{courses}</span>
            {strip?.cloths && state === 'begun' ? (
              <span className="block">
                {clothName(wish.item)} <b className="count">{strip.cloths.now}</b> of{' '}
                <span className="count">{strip.cloths.of}</span>
              </span>
            ) : null}
          </p>
        ) : null}
        <ButtonLink
          to={`/works/${summary.id}/${place}`}
          kind={isNext ? 'next' : 'plain'}
          className="w-full whitespace-nowrap"
        >
          {action}
        </ButtonLink>
      </div>
    </li>
  );
}
