import type { FormerPlan, FrozenWork, Wish, Work } from '@puntada/core/records';
import { finishedFigure, hoursText, metresFigure, placeName, restName } from '@puntada/core/words';
import type { PlanFigures } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { useFormerQuery } from '../../api/records.ts';
import { dates } from '../../parts/dates.ts';
import { TermLine } from '../../parts/TermLine.tsx';
import { useStrip, WorkStrip } from '../../parts/WorkStrip.tsx';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';
import { useWorkCosts } from '../../worker/useWorkCosts.ts';

/** The plans that this work has left behind, beside the one of now: each whole, from its first row to the last end. */
export function Former({ work }: { work: Work }) {
  const { data: plans } = useFormerQuery(work.id);
  if (!plans?.length) return null;
  return (
    <section className="mt-8" aria-label="Earlier plans">
      <h2 className="border-b border-ink pb-1 text-[19px]">Earlier plans</h2>
      <ul>
        <OnePlan work={work} name="Current plan" />
        {plans.map((plan, i) => (
          <OneFormer key={plan.revision} plan={plan} work={work} ending={(plans[i - 1] ?? work).wish.ending} />
        ))}
      </ul>
    </section>
  );
}

/** @param ending of the plan that it was left for */
function OneFormer({ plan, work, ending }: { plan: FormerPlan; work: Work; ending: Wish['ending'] }) {
  const { wish, begun, rowsWorked, leftAt, leftFor } = plan;
  const { revision } = plan;
  const was = useMemo(
    (): Work => ({ ...work, revision, wish, begun, progress: { rows: rowsWorked, runs: 0 } }),
    [work, revision, wish, begun, rowsWorked],
  );
  const sequence = useWorkCosts(was)?.sequence;
  const until = sequence ? placeName(sequence, rowsWorked, wish.item) : '…';
  const why = restName(leftFor, wish.closing, ending).toLowerCase();
  return <OnePlan work={was} name={`Until ${until},  ${dates.moment(Date.parse(leftAt))}`} under={`for: ${why}`} />;
}

/** A plan with its cloth and what all of it comes to. */
function OnePlan({ work, name, under }: { work: Work; name: string; under?: string }) {
  const { told } = usePreferences();
  const [width, setWidth] = useState(0);
  const strip = useStrip(work, width);
  const figures = useFigures(work.wish, work.begun);
  return (
    <li className="grid gap-x-6 gap-y-2 border-b border-rule py-3 sm:grid-cols-[250px_minmax(0,1fr)]">
      <div className="text-[15px]">
        <p className="font-semibold">{name}</p>
        {under ? <p className="text-soft">{under}</p> : null}
        {figures ? (
          <dl>
            <TermLine term="Rows" value={String(figures.rows)} />
            <TermLine term="Size" value={finishedFigure(figures.width, figures.height, told, figures.circle)} />
            {figures.yarn.map(({ letter, metres }) => (
              <TermLine key={letter} term={letter} value={metresFigure(metres, told)} />
            ))}
            <TermLine term="Ends" value={String(figures.ends)} />
            <TermLine term="Time" value={hoursText(figures.time)} />
          </dl>
        ) : null}
      </div>
      <WorkStrip strip={strip} onWidth={setWidth} label={`${name}: how it looks`} />
    </li>
  );
}

/** What a plan comes to, from the worker; nothing until then. */
function useFigures(wish: Wish, begun: FrozenWork | null): PlanFigures | undefined {
  const ask = useMemo(() => begun && (() => planner.planFigures(wish, begun)), [wish, begun]);
  const found = useAnswer(ask ?? undefined);
  return found?.ok ? found.value : undefined;
}
