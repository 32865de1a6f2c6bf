import type { Result } from '@puntada/core/craft';
import type { Work, WorkLog } from '@puntada/core/records';
import { clothName, clothOf, courseWord, goOnWords, onwardSaid, setSaid } from '@puntada/core/words';
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

/** Every way for the rest, from the worker; nothing until it has found them. */
function useRest(work: Work, log: WorkLog): Result<RestPlan[]> | undefined {
  return useAnswer(useCallback(() => planner.onward(work, log.entries, log.steps), [work, log]));
}

function Rest({ work, log }: { work: Work; log: WorkLog }) {
  const found = useRest(work, log);
  const [taken, setTaken] = useState(0);
  if (!found) return <Waiting words={onwardSaid.workingOutWaysTo} workedOut />;
  if (!found.ok) return <Problems problems={found.problems} />;
  const plans = found.value;
  const [planned] = plans;
  if (!planned) {
    return (
      <div className="grid max-w-[70ch] justify-items-start gap-4 text-[17px]">
        <p>{onwardSaid.allRowsDone}</p>
        <ButtonLink to={`/works/${work.id}/finish`}>Finishing</ButtonLink>
      </div>
    );
  }
  const word = courseWord(planned.making).toLowerCase();
  const plan = plans[Math.min(taken, plans.length - 1)];
  const { worked, piece, pieces } = planned;
  const { item } = work.wish;
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0">
        <p className="pb-3 text-[17px]">
          {pieces > 1 ? `${clothOf({ pieces }, { piece }, item)}: ` : ''}
          <b className="count">{worked.rows}</b> of <b className="count">{planned.begun.courses.length}</b> {word}s are
          done
          {worked.runs ? `; ${word} ${worked.rows + 1}, already started, will be finished` : ''}.
          {planned.measured ? onwardSaid.sizesUseWhatYou : ''}
        </p>
        {pieces > 1 ? (
          <p className="pb-3 text-[17px]">
            {planned.matched
              ? onwardSaid.matched(clothName(item), piece)
              : onwardSaid.holdsFrom(clothName(item), piece, pieces)}{' '}
            <Link to={`/works/${work.id}/set`}>{setSaid.openSet}</Link>
          </p>
        ) : null}
        <Ways plans={plans} taken={taken} work={work} onTake={setTaken} />
        {planned.chance === undefined ? (
          <p className="pt-2 text-[14px] text-soft">
            {onwardSaid.toSeeWhetherYarn} <Link to={`/works/${work.id}/log`}>log</Link> {onwardSaid.givesBetterAnswer}
          </p>
        ) : null}
        <Former work={work} />
      </div>
      {plan ? <Chosen work={work} plan={plan} planned={planned} /> : null}
    </div>
  );
}
