import { useMemo, useState } from 'react';
import type { Work } from '../../api/api.ts';
import { type FormerPlan, useFormerQuery } from '../../api/records.ts';
import { useStrip, WorkStrip } from '../../parts/WorkStrip.tsx';
import { restName } from './onwardWords.ts';

const day = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** The plans that this work has left behind, each as it was. */
export function Former({ work }: { work: Work }) {
  const { data: plans } = useFormerQuery(work.id);
  if (!plans?.length) return null;
  return (
    <section className="mt-8" aria-label="Plans left behind">
      <h2 className="border-b border-ink pb-1 text-[19px]">Plans left behind</h2>
      <ul>
        {plans.map((plan) => (
          <OneFormer key={plan.revision} plan={plan} work={work} />
        ))}
      </ul>
    </section>
  );
}

function OneFormer({ plan, work }: { plan: FormerPlan; work: Work }) {
  const [width, setWidth] = useState(0);
  const was = useMemo(
    (): Work => ({ ...work, wish: plan.wish, begun: plan.begun, progress: { rows: plan.rowsWorked, runs: 0 } }),
    [work, plan],
  );
  const strip = useStrip(was, width);
  const { border, closing } = plan.wish;
  return (
    <li className="grid gap-x-6 gap-y-2 border-b border-rule py-3 sm:grid-cols-[240px_minmax(0,1fr)]">
      <p className="text-[15px]">
        <b className="count text-[18px]">{plan.begun.courses.length}</b> rows
        {border ? `, ${border.rounds} of border` : ''}
        {closing ? ', closed with sc' : ''}
        <span className="block text-soft">
          left at row {plan.rowsWorked} on {day.format(new Date(plan.leftAt))}
        </span>
        <span className="block text-soft">for: {restName(plan.leftFor, closing).toLowerCase()}</span>
      </p>
      <WorkStrip
        strip={strip}
        onWidth={setWidth}
        label={`The plan of ${plan.begun.courses.length} rows that was left`}
      />
    </li>
  );
}
