import { yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import { finishedFigure, hoursText, metresText, restName } from '@puntada/core/words';
import type { RestPlan } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { problemsOf, usePreferences, useSendTicksMutation, type Work } from '../../api/api.ts';
import { dropTicks, keepTick, waitingTicks } from '../../api/outbox.ts';
import { useGoOnwardMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { Craft } from '../../parts/Craft.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TermLine } from '../../parts/TermLine.tsx';
import { useStrip, WorkStrip } from '../../parts/WorkStrip.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { Lasts } from './Lasts.tsx';

/** The way that is looked at: its cloth, what it costs against the plan, and to take it. */
export function Chosen({ work, plan, planned }: { work: Work; plan: RestPlan; planned: RestPlan }) {
  const { told } = usePreferences();
  const navigate = useNavigate();
  const [go, going] = useGoOnwardMutation();
  const [send, sending] = useSendTicksMutation();
  const [width, setWidth] = useState(0);
  // The work as it would be, for its picture.
  const shown = useMemo(
    (): Work => ({ ...work, wish: plan.wish, begun: plan.begun, progress: { rows: plan.stays, runs: 0 } }),
    [work, plan],
  );
  const strip = useStrip(shown, width);
  const waiting = waitingTicks(localStorage, work.id).length;
  const take = async () => {
    if (plan.rip) {
      const to = { rows: plan.stays, runs: 0 };
      const tick = keepTick(localStorage, work.id, work.progress, to, Date.now(), crypto.randomUUID());
      const back = await send({ id: work.id, ticks: [tick] });
      if (!back.data) return;
      dropTicks(localStorage, work.id, [tick]);
    }
    const { wish, begun, kind } = plan;
    const answer = await go({ id: work.id, revision: work.revision, wish, begun, kind });
    if (answer.data) navigate(`/works/${work.id}/work`);
  };
  const as = plan.kind === 'planned';
  return (
    <aside aria-label="The way looked at" className="grid content-start gap-3 lg:sticky lg:top-4">
      <h2 className="text-[23px]">
        <Craft>{restName(plan.kind, work.wish.closing, plan.wish.ending)}</Craft>
      </h2>
      <WorkStrip
        strip={strip}
        onWidth={setWidth}
        label={`The cloth in ${plan.rows} rows, ${plan.stays} of them worked`}
      />
      <ul>
        {plan.colours.map(({ letter, left, chance }) => {
          const yarn = work.wish.yarns.find((each) => each.letter === letter);
          const before = planned.colours.find((each) => each.letter === letter)?.left.mid ?? 0;
          return (
            <li key={letter} className="flex items-center gap-3 border-t border-rule py-2">
              <YarnChip letter={letter} shade={yarn?.shade ?? '#888888'} size={36} />
              <p className="min-w-0 flex-1 leading-snug">
                <b className="count text-[18px]">{left.mid < 0.05 ? 'Nothing' : metresText(left, told)}</b>{' '}
                <span className="text-[15px] text-soft">
                  to come{as ? '' : `, ${differs(left.mid - before, told)}`}
                </span>
                <span className="block text-[15px]">
                  What you have: <Lasts chance={chance} sure={work.wish.sure} />
                </span>
              </p>
            </li>
          );
        })}
      </ul>
      <dl className="border-t border-rule text-[16px]">
        <TermLine term="Size" value={finishedFigure(plan.width, plan.height, told, plan.circle)} />
        <TermLine term="Ends to weave in" value={String(plan.ends)} />
        <TermLine term="Still to work" value={hoursText(plan.time)} />
        {plan.rip ? (
          <TermLine
            term="Comes out"
            value={`${plan.rip.cells} stitches, about ${Math.max(1, Math.round(plan.rip.seconds / 60))} min of work`}
          />
        ) : null}
      </dl>
      {as ? (
        <p className="text-[15px] text-soft">
          This is the plan as it stands. Look at another way, and take it if it is better.
        </p>
      ) : (
        <>
          <Button kind="next" onClick={take} disabled={going.isLoading || sending.isLoading || waiting > 0}>
            Go on this way
          </Button>
          <p className="text-[14px] text-soft">
            {waiting > 0
              ? 'Steps are still waiting to be stored; go on when they are.'
              : 'The plan of now is kept below, and can be looked at again.'}
          </p>
        </>
      )}
      <Problems problems={problemsOf(going.error ?? sending.error)} />
    </aside>
  );
}

function differs(metres: number, told: Parameters<typeof yarnLengthNumber>[1]): string {
  const text = yarnLengthNumber(Math.abs(metres), told);
  if (Number(text) === 0) return 'the same';
  return `${text} ${yarnLengthUnit(told)} ${metres < 0 ? 'less' : 'more'}`;
}
