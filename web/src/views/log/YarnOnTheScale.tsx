import { yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import { prepareCloth, type Working } from '@puntada/core/plan';
import { weighingsIn } from '@puntada/core/records';
import { endsAtText, enoughText, type LastingOn, logSaid, printedWorking } from '@puntada/core/words';
import {
  type ColourQuestion,
  colourNow,
  colourQuestions,
  leftWorking,
  narrowing,
  predictedWorking,
  usedWorking,
} from '@puntada/core/work';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { Problems } from '../../parts/Problems.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import type { LogProps } from './logProps.ts';
import { OneWeighing, Weigh } from './Weigh.tsx';
import { YarnChart } from './YarnChart.tsx';

/** Each colour as the balls on the scale tell it, and the next weighing. */
export function YarnOnTheScale({
  work,
  log,
  cloth,
  costs,
  part,
  placeOf,
}: Pick<LogProps, 'work' | 'log' | 'cloth' | 'costs' | 'placeOf'> & { part: number }) {
  const { wish, progress } = work;
  const { told } = usePreferences();
  const questions = useMemo(() => {
    const prepared = prepareCloth(wish, cloth);
    return prepared.ok ? colourQuestions(prepared.value, costs, log.entries) : [];
  }, [wish, cloth, costs, log]);
  return (
    <section aria-label="Yarn">
      <h2 className="border-b border-ink pb-1 text-[19px]">{logSaid.yarnOnScale}</h2>
      <ul>
        {questions.map((question) => (
          <li key={question.yarn.letter} className="border-b border-rule py-3">
            <div className="flex gap-3">
              <YarnChip letter={question.yarn.letter} shade={question.yarn.shade} size={36} />
              <Told
                id={work.id}
                on={{ rows: cloth.fabric.courses, sequence: costs.sequence, item: wish.item }}
                question={{ ...question, now: progress, part }}
              />
            </div>
            <ul>
              {weighingsIn(log.entries)
                .filter(({ letter }) => letter === question.yarn.letter)
                .toReversed()
                .map((weighing) => (
                  <li key={weighing.id} className="border-t border-rule text-[15px]">
                    <OneWeighing
                      weighing={weighing}
                      log={log}
                      workId={work.id}
                      place={placeOf(weighing.position.rows)}
                    />
                  </li>
                ))}
            </ul>
            <YarnChart letter={question.yarn.letter} known={narrowing(question)} metres={question.metres} told={told} />
          </li>
        ))}
      </ul>
      <Weigh work={work} log={log} />
    </section>
  );
}

function Told({ id, on, question }: { id: string; on: LastingOn; question: ColourQuestion }) {
  const { told, terms } = usePreferences();
  const print = (working: Working | undefined) => working && printedWorking(working, told, terms);
  const found = colourNow(question);
  const metres = (value: number) => `${yarnLengthNumber(value, told)} ${yarnLengthUnit(told)}`;
  if (!found.ok) return <Problems problems={found.problems} kind="warning" />;
  const { used, usedByRule, left, chance, endsAt, doubtful, predicted } = found.value;
  const off = used && usedByRule ? Math.round((used / usedByRule - 1) * 100) : undefined;
  return (
    <div className="min-w-0 text-[16px]">
      <p>
        {used === undefined ? (
          <>
            {logSaid.notWeighedYetEstimated}{' '}
            <b className="count">
              <Worked working={print(predictedWorking(question))}>{metres(predicted)}</Worked>
            </b>{' '}
            used so far.
          </>
        ) : (
          <>
            <b className="count">
              <Worked working={print(usedWorking(question))}>{metres(used)}</Worked>
            </b>{' '}
            used
            {off === undefined || off === 0
              ? ', as expected'
              : `, ${Math.abs(off)} % ${off > 0 ? 'more' : 'less'} than expected`}
            .
          </>
        )}
      </p>
      <p>
        {left.mid < 0.05 ? (
          logSaid.nothingLeftToUse
        ) : (
          <>
            Still to use{' '}
            <b className="count">
              <Worked working={print(leftWorking(question, left))}>
                {yarnLengthNumber(left.low, told)}–{metres(left.high)}
              </Worked>
            </b>
          </>
        )}
        {chance === undefined || left.mid < 0.05 ? null : (
          <>
            {logSaid.whatYouHave} <b className="font-semibold">{enoughText(chance)}</b>
          </>
        )}
        .
      </p>
      {endsAt && (chance ?? 1) < 0.95 ? (
        <p className="text-brick">
          <span aria-hidden>✕ </span>
          It ends {endsAtText(endsAt, on)}.{' '}
          <Link to={`/works/${id}/onward`} className="underline underline-offset-4">
            {logSaid.planRestAgain}
          </Link>
        </p>
      ) : null}
      {doubtful ? (
        <p className="text-ochre">
          <span aria-hidden>△ </span>
          {logSaid.thisWeightLooksFar}
        </p>
      ) : null}
    </div>
  );
}
