import type { Work } from '@puntada/core/records';
import { appSaid, workSaid } from '@puntada/core/words';
import { CloudOff } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useAway } from '../../api/away.ts';
import { HomeLink } from '../../app/Shell.tsx';
import { Title } from '../../app/Title.tsx';
import { TakeBackStart } from '../../parts/TakeBackStart.tsx';
import type { Counter } from './useCounter.ts';

/** The head of the row in hand: whether every step is stored, and the ways out of here. */
export function WorkHead({ work, counter, children }: { work: Work; counter: Counter; children: ReactNode }) {
  const away = useAway();
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-6 py-2 max-sm:gap-x-3">
      <HomeLink />
      <div className="min-w-0 flex-1 max-sm:basis-[58%]">
        <Title className="text-[22px]">{work.wish.title}</Title>
      </div>
      {/* What is to be worked next is told instead; that a step is kept is only told where it is not. */}
      <p role={counter.refused ? 'alert' : undefined} className="flex items-center gap-2 text-[15px] text-soft">
        {counter.refused ? (
          <span className="text-brick">{workSaid.notSavedSeeNote}</span>
        ) : counter.waiting && away ? (
          <span className="flex items-center gap-2 text-ochre">
            <CloudOff aria-hidden className="size-4" />
            {workSaid.safeInThisBrowser(counter.waiting)}
          </span>
        ) : counter.waiting ? (
          'Saving…'
        ) : (
          <span className="text-verdigris">✓ Saved</span>
        )}
      </p>
      {counter.waiting ? null : <TakeBackStart work={work} />}
      {children}
      {work.wish.set || work.wish.pieces > 1 ? (
        <Link to={`/works/${work.id}/set`} className="inline-flex min-h-11 min-w-11 items-center px-2">
          {appSaid.theSet}
        </Link>
      ) : null}
      <Link to={`/works/${work.id}/rows`} className="inline-flex min-h-11 min-w-11 items-center px-2">
        All rows
      </Link>
      <Link to={`/works/${work.id}/log`} className="inline-flex min-h-11 min-w-11 items-center px-2">
        Log
      </Link>
    </header>
  );
}
