import type { BinKind } from '@puntada/core/records';
import { benchSaid } from '@puntada/core/words';
import { useState } from 'react';
import { problemsOf, useBinQuery, useBinWorkMutation } from '../../api/api.ts';
import { useBinnedQuery, usePutBackRecordMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { dates } from '../../parts/dates.ts';
import { Problems } from '../../parts/Problems.tsx';

const kinds: Readonly<Record<BinKind, string>> = {
  yarn: benchSaid.yarnDrawer,
  swatch: 'a swatch',
  draft: 'a half-typed project',
  pattern: benchSaid.patternYourOwn,
};

/** What was deleted in the last 30 days, projects first, each to be put back. */
export function BinList() {
  const { data } = useBinQuery();
  const [open, setOpen] = useState(false);
  const [bin, binning] = useBinWorkMutation();
  const { data: others } = useBinnedQuery();
  const [putBack, puttingBack] = usePutBackRecordMutation();
  const count = (data?.length ?? 0) + (others?.length ?? 0);
  if (!count) return null;
  return (
    <div className="mt-2">
      <Button kind="quiet" aria-expanded={open} onClick={() => setOpen(!open)} className="-ml-4">
        {open ? 'Hide the bin' : `Show the bin (${count})`}
      </Button>
      {open ? (
        <section>
          <h2 className="mt-4 border-b border-ink pb-1 text-[17px]">Bin</h2>
          <p className="pt-2 text-[15px] text-soft">{benchSaid.whatHereDeletedFor}</p>
          <ul>
            {data?.map(({ id, revision, wish, deletedAt }) => (
              <li key={id} className="flex flex-wrap items-center justify-between gap-x-4 border-b border-rule py-3">
                <h3 className="min-w-0 text-[20px] wrap-anywhere">{wish.title}</h3>
                <p className="flex-1 text-[15px] text-soft">
                  {deletedAt ? `deleted on ${dates.date(Date.parse(deletedAt))}` : ''}
                </p>
                <Button
                  aria-label={`Put it back: ${wish.title}`}
                  disabled={binning.isLoading}
                  onClick={() => void bin({ id, revision, deleted: false })}
                >
                  Put it back
                </Button>
              </li>
            ))}
            {others?.map(({ kind, id, title, deletedAt }) => (
              <li key={id} className="flex flex-wrap items-center justify-between gap-x-4 border-b border-rule py-3">
                <h3 className="min-w-0 text-[20px] wrap-anywhere">{title}</h3>
                <p className="flex-1 text-[15px] text-soft">
                  {kinds[kind]}, deleted on {dates.date(Date.parse(deletedAt))}
                </p>
                <Button
                  aria-label={`Put it back: ${title}`}
                  disabled={puttingBack.isLoading}
                  onClick={() => void putBack({ kind, id })}
                >
                  Put it back
                </Button>
              </li>
            ))}
          </ul>
          <Problems problems={problemsOf(binning.error ?? puttingBack.error)} />
        </section>
      ) : null}
    </div>
  );
}
