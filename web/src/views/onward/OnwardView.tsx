import {
  chanceText,
  courseWord,
  finishedText,
  hoursText,
  metresText,
  type RestPlan,
  type Result,
  unitWord,
  yarnLengthNumber,
  yarnLengthUnit,
} from '@puntada/core';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { problemsOf, usePreferences, useSendTicksMutation, useWorkQuery, type Work } from '../../api/api.ts';
import { dropTicks, keepTick, waitingTicks } from '../../api/outbox.ts';
import { useGoOnwardMutation, useLogQuery, type WorkLog } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { Figure } from '../../parts/Figure.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useStrip, WorkStrip } from '../../parts/WorkStrip.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { planner } from '../../worker/planner.ts';
import { Former } from './Former.tsx';
import { restName } from './onwardWords.ts';

/** The rest of a work, planned anew from the row in hand. */
export default function OnwardView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  const { data: log, error: logError } = useLogQuery(id, { refetchOnMountOrArgChange: true });
  const work = useArrived(log && data);
  const refusal = problemsOf(error ?? logError);
  return (
    <>
      <Head title={work?.wish.title ?? 'The rest'} under="The rest, planned anew: what is worked stays">
        {work ? <ButtonLink to={`/works/${id}/work`}>Back to the row</ButtonLink> : null}
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1360px] px-6 pt-5 pb-12">
        <Problems problems={refusal} />
        {work && work.state !== 'begun' ? (
          <p className="text-[17px]">
            {work.state === 'wished' ? (
              <>
                Nothing is worked yet: <Link to={`/works/${id}/size`}>choose its size</Link>.
              </>
            ) : (
              'This work is finished: there is no rest to plan.'
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
  const [found, setFound] = useState<Result<RestPlan[]>>();
  useEffect(() => {
    let current = true;
    void planner.onward(work, log.entries, log.ticks).then((answer) => {
      if (current) setFound(answer);
    });
    return () => {
      current = false;
    };
  }, [work, log]);
  return found;
}

function Rest({ work, log }: { work: Work; log: WorkLog }) {
  const found = useRest(work, log);
  const [taken, setTaken] = useState(0);
  if (!found) return <p className="text-soft">Laying every way it could go on…</p>;
  if (!found.ok) return <Problems problems={found.problems} />;
  const plans = found.value;
  const word = courseWord(plans[0]?.making ?? 'flat');
  const plan = plans[Math.min(taken, plans.length - 1)];
  const { rows, runs } = work.progress;
  return (
    <div className="grid gap-x-10 gap-y-8 lg:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0">
        <p className="pb-3 text-[17px]">
          <b className="count">{rows}</b> of <b className="count">{work.size?.rows}</b> {word.toLowerCase()}s are worked
          {runs ? `; ${word.toLowerCase()} ${rows + 1}, which is begun, is worked to its end` : ''}.
        </p>
        <Ways plans={plans} taken={taken} work={work} onTake={setTaken} />
        {plans[0]?.chance === undefined ? (
          <p className="pt-2 text-[14px] text-soft">
            Whether it lasts can be told once the balls you have stand in the wish; a ball weighed in the{' '}
            <Link to={`/works/${work.id}/log`}>log</Link> makes it sure.
          </p>
        ) : null}
        <Former work={work} />
      </div>
      {plan && plans[0] ? <Chosen work={work} plan={plan} planned={plans[0]} /> : null}
    </div>
  );
}

interface WaysProps {
  readonly plans: readonly RestPlan[];
  readonly taken: number;
  readonly work: Work;
  readonly onTake: (index: number) => void;
}

/** All ways in a table: size, what is still to come of each yarn and whether it lasts, ends, hours. */
function Ways({ plans, taken, work, onTake }: WaysProps) {
  const { told } = usePreferences();
  const typical = plans[0]?.width.source === 'typical' || plans[0]?.height.source === 'typical';
  const letters = plans[0]?.colours.map(({ letter }) => letter) ?? [];
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse text-[15px]">
        <caption className="sr-only">Ways for the rest of this work</caption>
        <thead>
          <tr className="text-[14px] text-soft">
            <th scope="col" className="min-w-[180px] py-2 pl-3 text-left font-normal">
              The rest
            </th>
            <Heading>Rows</Heading>
            <Heading>
              {typical ? 'Typically' : 'Finished'}, {unitWord(told)}
            </Heading>
            {letters.map((letter) => (
              <Heading key={letter}>{letter} to come</Heading>
            ))}
            <Heading>Lasts</Heading>
            <Heading>Ends</Heading>
            <Heading>Time</Heading>
          </tr>
        </thead>
        <tbody>
          {plans.map((plan, i) => (
            <tr key={plan.kind} className={`border-t border-rule ${i === taken ? 'bg-sheet' : ''}`}>
              <th
                scope="row"
                className={`border-l-4 p-0 text-left font-normal ${i === taken ? 'border-ink' : 'border-transparent'}`}
              >
                <button
                  type="button"
                  aria-pressed={i === taken}
                  onClick={() => onTake(i)}
                  className={`min-h-11 w-full px-2 text-left hover:underline ${i === taken ? 'font-semibold' : ''}`}
                >
                  {restName(plan.kind, work.wish.closing)}
                </button>
              </th>
              <Cell>{plan.rows}</Cell>
              <Cell wrap>
                {finishedText(plan.width, plan.height, told, plan.circle)
                  .replace(' typical', '')
                  .replace(` ${unitWord(told)}`, '')}
              </Cell>
              {plan.colours.map(({ letter, left }) => (
                <Cell key={letter}>{left.mid < 0.05 ? 'nothing' : metresText(left, told)}</Cell>
              ))}
              <Cell>
                <Lasts chance={plan.chance} sure={plan.wish.sure} />
              </Cell>
              <Cell>{plan.ends}</Cell>
              <Cell>{hoursText(plan.time)}</Cell>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** Whether the yarn lasts: never by colour alone. */
function Lasts({ chance, sure }: { chance: number | undefined; sure: number }) {
  if (chance === undefined) return <span className="text-soft">not known</span>;
  const good = chance >= sure;
  return (
    <span className={good ? 'text-verdigris' : 'text-brick'}>
      <span aria-hidden>{good ? '✓ ' : '✕ '}</span>
      {chanceText(chance)}
    </span>
  );
}

function Heading({ children }: { children: React.ReactNode }) {
  return (
    <th scope="col" className="px-2 py-2 text-right font-normal whitespace-nowrap">
      {children}
    </th>
  );
}

/** @param wrap a long range may go over two lines */
function Cell({ children, wrap = false }: { children: React.ReactNode; wrap?: boolean }) {
  return (
    <td className={`count px-2 text-right text-[14px] font-medium ${wrap ? 'min-w-[104px]' : 'whitespace-nowrap'}`}>
      {children}
    </td>
  );
}

/** The way that is looked at: its cloth, what it costs against the plan, and to take it. */
function Chosen({ work, plan, planned }: { work: Work; plan: RestPlan; planned: RestPlan }) {
  const { told } = usePreferences();
  const navigate = useNavigate();
  const [go, going] = useGoOnwardMutation();
  const [send, sending] = useSendTicksMutation();
  const [width, setWidth] = useState(0);
  const shown = useShown(work, plan);
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
      <h2 className="text-[23px]">{restName(plan.kind, work.wish.closing)}</h2>
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
        <Line term="Size" value={finishedText(plan.width, plan.height, told, plan.circle)} />
        <Line term="Ends to weave in" value={String(plan.ends)} />
        <Line term="Still to work" value={hoursText(plan.time)} />
        {plan.rip ? (
          <Line
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

/** The work as it would be, for its picture. */
function useShown(work: Work, plan: RestPlan): Work {
  const [shown, setShown] = useState<Work>(work);
  useEffect(() => {
    setShown({ ...work, wish: plan.wish, begun: plan.begun, progress: { rows: plan.stays, runs: 0 } });
  }, [work, plan]);
  return shown;
}

function differs(metres: number, told: Parameters<typeof yarnLengthNumber>[1]): string {
  const text = yarnLengthNumber(Math.abs(metres), told);
  if (Number(text) === 0) return 'the same';
  return `${text} ${yarnLengthUnit(told)} ${metres < 0 ? 'less' : 'more'}`;
}

function Line({ term, value }: { term: string; value: string }) {
  return (
    <div className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
      <dt className="text-soft">{term}</dt>
      <dd className="text-right">
        <Figure text={value} />
      </dd>
    </div>
  );
}
