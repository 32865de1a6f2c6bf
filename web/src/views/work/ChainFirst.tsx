import { workSaid } from '@puntada/core/words';
import { Button } from '../../parts/Button.tsx';
import type { FirstChain } from './useFirstChain.ts';

/** The chain before the first row: twenty at a time, with a marker after each, so that nobody counts to a hundred twice. */
export function ChainFirst({ chain: { chains, counted, next, more, fewer } }: { chain: FirstChain }) {
  return (
    <section aria-label={workSaid.firstChain} className="flex flex-wrap items-center gap-x-5 gap-y-1 pb-2">
      <p className="text-[19px]">
        {workSaid.firstChain}: <b className="count text-[26px]">{counted}</b> of <b className="count">{chains}</b>
        {counted >= chains ? (
          <span className="text-verdigris"> ✓</span>
        ) : counted ? (
          <span className="text-soft">; {workSaid.markerNow}</span>
        ) : null}
      </p>
      {next > 0 ? (
        <Button onClick={more} title={workSaid.markerEach}>
          {workSaid.chainMore(next)}
          <kbd className="rounded-sm border border-edge px-1.5 text-[13px] font-medium max-sm:hidden">C</kbd>
        </Button>
      ) : null}
      {counted ? (
        <Button kind="quiet" onClick={fewer}>
          {workSaid.chainFewer}
        </Button>
      ) : null}
    </section>
  );
}
