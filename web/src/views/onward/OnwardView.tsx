import type { Result } from '@puntada/core/craft';
import type { Work, WorkLog } from '@puntada/core/records';
import { courseWord, goOnWords, onwardSaid, setSaid } from '@puntada/core/words';
import type { RestPlan } from '@puntada/core/work';
import { useCallback, useState } from 'react';
import { Link, useParams } from 'react-router';
import { problemsOf, useWorkQuery } from '../../api/api.ts';
import { useLog } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';
import { Chosen } from './Chosen.tsx';
import { Former } from './Former.tsx';
import { Ways } from './Ways.tsx';

/** The rest of a work, planned anew from the row in hand. */
export default function OnwardView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  const { data: log, error: logError } = useLog(id, true);
  const work = useArrived(log && data);
  const refusal = problemsOf(error ?? logError);
  return (
    <>
      <Head title={work?.wish.title ?? 'The rest'} under={onwardSaid.planRestAgainWhat}>
        {work ? <ButtonLink to={`/works/${id}/work`}>{goOnWords(work)}</ButtonLink> : null}
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1360px] px-6 pt-5 pb-12">
        <Problems problems={refusal} />
        {work && work.state !== 'begun' ? (
          <p className="text-[17px]">
            {work.state === 'wished' ? (
              <>
                Nothing made yet: <Link to={`/works/${id}/size`}>choose a size</Link>.
              </>
            ) : (
              onwardSaid.thisProjectFinishedNothing
            )}
          </p>
        ) : null}
        {work?.state === 'begun' && log ? <Rest work={work} log={log} /> : null}
      </main>
    </>
  );
}

/** Whether the rows of the first cloth are worked: of those after it the plan can only be told on the page of the set. */
function offTheHook({ progress, size }: Work): boolean {
  return size !== null && progress.rows > size.rows;
}

/** Every way for the rest, from the worker; nothing until it has found them. */
function useRest(work: Work, log: WorkLog): Result<RestPlan[]> | undefined {
  return useAnswer(useCallback(() => planner.onward(work, log.entries, log.steps), [work, log]));
}

function Rest({ work, log }: { work: Work; log: WorkLog }) {
  const found = useRest(work, log);
  const [taken, setTaken] = useState(0);
  if (offTheHook(work)) {
    return (
      <div className="grid max-w-[70ch] justify-items-start gap-4 text-[17px]">
        <p>{work.wish.pieces > 1 || work.wish.set ? onwardSaid.firstIsOff : onwardSaid.allRowsDone}</p>
        {work.wish.pieces > 1 || work.wish.set ? (
          <ButtonLink to={`/works/${work.id}/set`}>{setSaid.openSet}</ButtonLink>
        ) : (
          <ButtonLink to={`/works/${work.id}/finish`}>Finishing</ButtonLink>
        )}
      </div>
    );
  }
  if (!found) return <Waiting words={onwardSaid.workingOutWaysTo} workedOut />;
  if (!found.ok) return <Problems problems={found.problems} />;
  const plans = found.value;
  const word = courseWord(plans[0]?.making ?? 'flat');
  const plan = plans[Math.min(taken, plans.length - 1)];
  const { rows, runs } = work.progress;
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0">
        <p className="pb-3 text-[17px]">
          <b className="count">{rows}</b> of <b className="count">{work.size?.rows}</b> {word.toLowerCase()}s are done
          {runs ? `; ${word.toLowerCase()} ${rows + 1}, already started, will be finished` : ''}.
          {plans[0]?.measured ? onwardSaid.sizesUseWhatYou : ''}
        </p>
        <Ways plans={plans} taken={taken} work={work} onTake={setTaken} />
        {plans[0]?.chance === undefined ? (
          <p className="pt-2 text-[14px] text-soft">
            {onwardSaid.toSeeWhetherYarn} <Link to={`/works/${work.id}/log`}>log</Link> {onwardSaid.givesBetterAnswer}
          </p>
        ) : null}
        <Former work={work} />
      </div>
      {plan && plans[0] ? <Chosen work={work} plan={plan} planned={plans[0]} /> : null}
    </div>
  );
}
