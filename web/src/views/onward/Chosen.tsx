import { type Problem, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import type { Work } from '@puntada/core/records';
import { hoursText, lengthFigure, metresText, onwardSaid, printedWorking, restName } from '@puntada/core/words';
import type { Position, RestPlan } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { problemsOf, usePreferences } from '../../api/api.ts';
import { queue, useQueue } from '../../api/queue/browserQueue.ts';
import { ticksOf } from '../../api/queue/waiting.ts';
import { useGoOnwardMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { Craft } from '../../parts/Craft.tsx';
import { Lasts } from '../../parts/Lasts.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TermLine } from '../../parts/TermLine.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { useStrip, WorkStrip } from '../../parts/WorkStrip.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';

/** Steps back on the server itself: the rest is planned from there. @returns why it could not, with nothing stepped */
async function ripBack({ id, progress }: Work, to: Position): Promise<Problem | undefined> {
  const tick = queue.step(id, progress, to, crypto.randomUUID());
  const outcome = await queue.settled(tick.id);
  if (outcome === 'taken') return undefined;
  await queue.drop([tick.id]);
  return 'later' in outcome ? outcome.later : outcome.refused;
}

/** The way that is looked at: its cloth, what it costs against the plan, and to take it. */
export function Chosen({ work, plan, planned }: { work: Work; plan: RestPlan; planned: RestPlan }) {
  const { told, terms } = usePreferences();
  const navigate = useNavigate();
  const [go, going] = useGoOnwardMutation();
  const [ripping, setRipping] = useState<'going' | readonly Problem[]>([]);
  const [width, setWidth] = useState(0);
  // The work as it would be, for its picture.
  const shown = useMemo(
    (): Work => ({ ...work, wish: plan.wish, begun: plan.begun, progress: plan.from }),
    [work, plan],
  );
  const strip = useStrip(shown, width);
  const waiting = ticksOf(useQueue().waiting, work.id).length;
  const take = async () => {
    if (plan.rip) {
      setRipping('going');
      const problem = await ripBack(work, plan.from);
      setRipping(problem ? [problem] : []);
      if (problem) return;
    }
    const { wish, begun, kind } = plan;
    const answer = await go({ id: work.id, revision: work.revision, wish, begun, kind });
    if (answer.data) navigate(`/works/${work.id}/work`);
  };
  const as = plan.kind === 'planned';
  return (
    <aside aria-label={onwardSaid.planYouLookingAt} className="grid content-start gap-3 lg:sticky lg:top-4">
      <h2 className="text-[23px]">
        <Craft>{restName(plan.kind, work.wish.closing, plan.wish.ending, plan.exchanged)}</Craft>
      </h2>
      <WorkStrip strip={strip} onWidth={setWidth} label={onwardSaid.pieceInRowsThem(plan.rows, plan.stays)} />
      <ul>
        {plan.colours.map(({ letter, left, leftWorking, chance }) => {
          const yarn = work.wish.yarns.find((each) => each.letter === letter);
          const before = planned.colours.find((each) => each.letter === letter)?.left.mid ?? 0;
          return (
            <li key={letter} className="flex items-center gap-3 border-t border-rule py-2">
              <YarnChip letter={letter} shade={yarn?.shade ?? '#888888'} size={36} />
              <p className="min-w-0 flex-1 leading-snug">
                <b className="count text-[18px]">
                  {left.mid < 0.05 ? (
                    'Nothing'
                  ) : (
                    <Worked working={leftWorking && printedWorking(leftWorking, told, terms)}>
                      {metresText(left, told)}
                    </Worked>
                  )}
                </b>{' '}
                <span className="text-[15px] text-soft">to go{as ? '' : `, ${differs(left.mid - before, told)}`}</span>
                <span className="block text-[15px]">
                  What you have: <Lasts chance={chance} sure={work.wish.sure} />
                </span>
              </p>
            </li>
          );
        })}
      </ul>
      <dl className="border-t border-rule text-[16px]">
        {plan.circle ? null : (
          <TermLine
            term="Width"
            value={lengthFigure(plan.width, told)}
            working={printedWorking(plan.sizeWorkings.width, told, terms)}
          />
        )}
        <TermLine
          term={plan.circle ? 'Diameter' : 'Height'}
          value={lengthFigure(plan.height, told)}
          working={printedWorking(plan.sizeWorkings.height, told, terms)}
        />
        <TermLine
          term={onwardSaid.endsToWeaveIn}
          value={String(plan.ends)}
          working={printedWorking(plan.endsWorking, told, terms)}
        />
        <TermLine
          term="Time left"
          value={hoursText(plan.time)}
          working={printedWorking(plan.timeWorking, told, terms)}
        />
        {plan.rip ? (
          <TermLine
            term="Rip back"
            value={onwardSaid.stitchesAboutMinWork(plan.rip.cells, Math.max(1, Math.round(plan.rip.seconds / 60)))}
          />
        ) : null}
      </dl>
      {as ? (
        <p className="text-[15px] text-soft">{onwardSaid.thisYourCurrentPlan}</p>
      ) : (
        <>
          <Button kind="next" onClick={take} disabled={going.isLoading || ripping === 'going' || waiting > 0}>
            {onwardSaid.switchToThisPlan}
          </Button>
          <p className="text-[14px] text-soft">
            {waiting > 0 ? onwardSaid.someStepsStillBeing : onwardSaid.yourCurrentPlanKept}
          </p>
        </>
      )}
      <Problems problems={ripping === 'going' ? [] : [...ripping, ...problemsOf(going.error)]} />
    </aside>
  );
}

function differs(metres: number, told: Parameters<typeof yarnLengthNumber>[1]): string {
  const text = yarnLengthNumber(Math.abs(metres), told);
  if (!/[1-9]/.test(text)) return 'the same';
  return `${text} ${yarnLengthUnit(told)} ${metres < 0 ? 'less' : 'more'}`;
}
