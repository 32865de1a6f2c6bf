import type { Work } from '@puntada/core/records';
import { appSaid } from '@puntada/core/words';
import { memo } from 'react';
import { Link, NavLink } from 'react-router';

const stages = ['wish', 'size', 'rows', 'yarn', 'finish', 'work'] as const;
type Stage = (typeof stages)[number];
const words: Readonly<Record<Stage, string>> = {
  wish: 'Idea',
  size: 'Size',
  rows: 'Rows',
  yarn: 'Yarn',
  finish: 'Finishing',
  work: 'Make',
};

interface Props {
  readonly work: Work;
  readonly here: Stage;
  /** Takes what is typed here with it before another stage is opened; nothing where all of it is stored. */
  readonly leave?: ((to: string) => void) | undefined;
}

/** The order of work as a running seam: what is settled is sewn, what is to come is only marked. */
export const Stages = memo(function Stages({ work, here, leave }: Props) {
  const settled = work.state === 'wished' ? 1 : 5;
  return (
    <>
      {work.wish.set || work.wish.pieces > 1 ? (
        <Link to={`/works/${work.id}/set`} className="inline-flex min-h-11 items-center text-[15px]">
          {appSaid.theSet}
        </Link>
      ) : null}
      <nav aria-label={appSaid.stagesThisProject} className="max-sm:basis-full">
        <ol className="flex max-[360px]:-mx-4">
          {stages.map((stage, i) => {
            const current = stage === here;
            const sewn = i < settled;
            const open = work.state !== 'wished' || stage !== 'work';
            const dot = current
              ? 'border-ink bg-paper border-[3px] size-4'
              : sewn
                ? 'border-verdigris bg-verdigris size-3'
                : 'border-edge bg-paper size-3';
            const inside = (
              <>
                <span className="relative flex h-5 w-full items-center justify-center">
                  {i < stages.length - 1 ? <Seam sewn={i < settled} /> : null}
                  <span className={`relative rounded-full border-2 ${dot}`} />
                </span>
                <span className={current ? 'font-semibold text-ink' : 'text-soft'}>{words[stage]}</span>
              </>
            );
            const look =
              'flex min-h-11 w-full min-w-11 flex-col items-center text-[14px] whitespace-nowrap no-underline max-sm:text-[13px] max-sm:tracking-tight max-[360px]:text-[12px]';
            return (
              <li key={stage} className="min-w-0 flex-1 sm:w-[64px] sm:flex-none">
                {open ? (
                  <NavLink
                    to={`/works/${work.id}/${stage}`}
                    className={`${look} rounded-md hover:bg-sheet`}
                    onClick={(event) => {
                      const own = event.button === 0 && !event.metaKey && !event.ctrlKey && !event.shiftKey;
                      if (!leave || !own || stage === here) return;
                      event.preventDefault();
                      leave(`/works/${work.id}/${stage}`);
                    }}
                  >
                    {inside}
                  </NavLink>
                ) : (
                  <span className={look} title={appSaid.startProjectFirst}>
                    {inside}
                  </span>
                )}
              </li>
            );
          })}
        </ol>
      </nav>
    </>
  );
});

/** The thread from one stage to the next. */
function Seam({ sewn }: { sewn: boolean }) {
  return (
    <span
      className={`absolute top-1/2 left-1/2 -mt-px w-full border-t-2 border-dashed ${sewn ? 'border-verdigris' : 'border-rule'}`}
    />
  );
}
