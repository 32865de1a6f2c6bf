import type { Schedule } from '@puntada/core/records';
import { appSaid, chanceText, eveningsSaid, hoursText, printedWorking } from '@puntada/core/words';
import {
  type Day,
  evening,
  type Finish,
  finishes,
  type Pending,
  restAfter,
  restFor,
  rests,
  type Week,
} from '@puntada/core/work';
import { memo, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { problemsOf, usePreferences, useWorksQuery } from '../../api/api.ts';
import { useScheduleQuery, useSetDueMutation } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { dates } from '../../parts/dates.ts';
import { Empty } from '../../parts/Empty.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useGrowing } from '../../parts/useGrowing.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { DayField } from './DayField.tsx';
import { FinishBar, RuleOfDays } from './FinishBar.tsx';
import { finishScale } from './finishScale.ts';
import { WeekOfMinutes } from './WeekOfMinutes.tsx';

function today(): Day {
  return new Date().toLocaleDateString('sv-SE');
}

/** What to do this evening, and when everything will be finished. */
export default function EveningsView() {
  const { data, error } = useScheduleQuery();
  const schedule = useArrived(data);
  return (
    <>
      <Head title="Evenings" under={eveningsSaid.whatToMakeThis} />
      <Shelves />
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1360px] grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-9 px-6 pt-5 pb-12 lg:grid-cols-[minmax(0,1fr)_300px]"
      >
        {error ? <Problems problems={problemsOf(error)} /> : null}
        {schedule ? (
          <>
            <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] content-start gap-9">
              <ThisEvening works={schedule.works} week={schedule.minutes} />
              <Works works={schedule.works} week={schedule.minutes} />
            </div>
            <aside className="grid content-start gap-6">
              <WeekOfMinutes key={schedule.minutes.join()} minutes={schedule.minutes} />
              <section aria-label="Calendar">
                <h2 className="border-b border-ink pb-1 text-[19px]">Calendar</h2>
                <p className="py-2 text-[15px]">
                  <a href="/api/schedule/evenings.ics" download className="font-semibold">
                    {eveningsSaid.saveAsCalendar}
                  </a>
                  {eveningsSaid.fourWeeksEveningsLikely}
                </p>
              </section>
            </aside>
          </>
        ) : error ? null : (
          <Waiting words={eveningsSaid.addingUpHours} />
        )}
      </main>
    </>
  );
}

function ThisEvening({ works, week }: { works: Schedule['works']; week: Week }) {
  const sittings = evening(works, week, today());
  const minutes = sittings.reduce((sum, each) => sum + each.minutes, 0);
  const pauses = rests(minutes);
  return (
    <section aria-label="This evening">
      <h2 className="border-b border-ink pb-1 text-[19px]">This evening</h2>
      {sittings.length ? (
        <ul>
          {sittings.map(({ id, rows, minutes: own, done }, i) => (
            <li
              key={id}
              className="flex flex-wrap items-center justify-between gap-x-5 gap-y-2 border-b border-rule py-3"
            >
              <p className="min-w-0">
                <span className="block font-display text-[22px] font-semibold">
                  {works.find((work) => work.id === id)?.title}
                </span>
                <span className="text-[17px]">
                  {done ? (
                    'to its end'
                  ) : (
                    <>
                      about <b className="count text-[20px]">{rows}</b> {rows === 1 ? 'row' : 'rows'}
                    </>
                  )}
                  , <b className="count">{own}</b> min
                </span>
              </p>
              <ButtonLink to={`/works/${id}/work`} kind={i === 0 ? 'next' : 'plain'}>
                Go on making
              </ButtonLink>
            </li>
          ))}
        </ul>
      ) : (
        <Empty acts={works.length ? null : <ButtonLink to="/wish">New project</ButtonLink>}>
          {works.length ? eveningsSaid.noTimeSetAside : eveningsSaid.whatToMakeOn}
        </Empty>
      )}
      {sittings.length ? (
        <p className="pt-2 text-[15px] text-soft">
          {eveningsSaid.ifPainStaysStop(pauses ? eveningsSaid.restYourHandsMinutes(restFor, restAfter, pauses) : '')}
        </p>
      ) : null}
    </section>
  );
}

/** So many projects are drawn at once. */
const few = 12;

function Works({ works, week }: { works: Schedule['works']; week: Week }) {
  const found = useMemo(() => finishes(works, week, today()), [works, week]);
  const scale = useMemo(() => finishScale(found, works, today()), [found, works]);
  const drawn = useGrowing(found.length, few);
  return (
    <section aria-label="When they will be finished">
      <h2 className="border-b border-ink pb-1 text-[19px]">When they will be finished</h2>
      <p className="py-2 text-[15px] text-soft">{eveningsSaid.oneProjectAfterAnother}</p>
      <RuleOfDays scale={scale} />
      <ul>
        {found.slice(0, drawn).map((finish) => {
          const work = works.find((each) => each.id === finish.id);
          return work ? <OneWork key={work.id} work={work} finish={finish} scale={scale} /> : null;
        })}
      </ul>
      <DueWish works={works} />
    </section>
  );
}

interface OneWorkProps {
  readonly work: Schedule['works'][number];
  readonly finish: Finish;
  readonly scale: ReturnType<typeof finishScale>;
}

const OneWork = memo(function OneWork({ work, finish, scale }: OneWorkProps) {
  const { told, terms } = usePreferences();
  const [setDue, setting] = useSetDueMutation();
  const { early, likely, late, chance } = finish;
  const sure = (chance ?? 1) >= 0.8;
  return (
    <li className="grid gap-x-6 gap-y-1 border-b border-rule py-3 md:grid-cols-[minmax(0,1fr)_170px]">
      <div className="min-w-0">
        <p className="flex flex-wrap items-baseline gap-x-4">
          <Link to={`/works/${work.id}/log`} className="text-[18px] font-semibold no-underline hover:underline">
            {work.title}
          </Link>
          {work.items ? (
            <span className="text-[15px]">{eveningsSaid.itemsDone(work.items.done, work.items.of)}</span>
          ) : null}
          {work.inSet || work.items ? (
            <Link
              to={`/works/${work.id}/set`}
              aria-label={`${appSaid.theSet}: ${work.title}`}
              className="inline-flex min-h-6 items-center text-[15px] text-soft max-sm:min-h-11 max-sm:min-w-11"
            >
              {appSaid.theSet}
            </Link>
          ) : null}
          <span className="count ml-auto text-[15px] text-soft">
            <Worked working={printedWorking(work.working, told, terms)}>{hoursText(work.left)} left</Worked>
          </span>
        </p>
        <FinishBar finish={finish} due={work.due} scale={scale} />
        <p className="text-[16px]">
          {likely ? (
            <>
              likely <b>{dates.day(likely)}</b>, from {early ? dates.day(early) : '…'} to{' '}
              {late ? dates.day(late) : 'no date yet'}
            </>
          ) : (
            eveningsSaid.withTheseMinutesThere
          )}
          {chance !== undefined && work.due ? (
            <span className={`ml-3 ${sure ? 'text-verdigris' : 'text-brick'}`}>
              <span aria-hidden>{sure ? '✓ ' : '✕ '}</span>
              {chanceText(chance)} by {dates.day(work.due)}
            </span>
          ) : null}
        </p>
      </div>
      <div>
        <DayField
          key={work.due}
          label="Due"
          of={work.title}
          day={work.due ?? ''}
          onDay={(day) => void setDue({ id: work.id, due: day || null })}
        />
        <Problems problems={problemsOf(setting.error)} />
      </div>
    </li>
  );
});

/** A work that is only wished for counts once it is due. */
function DueWish({ works }: { works: readonly Pending[] }) {
  const { data } = useWorksQuery();
  const [setDue, setting] = useSetDueMutation();
  const [id, setId] = useState('');
  const wishes = data?.filter(
    (each) => each.state === 'wished' && !each.archived && !works.some((work) => work.id === each.id),
  );
  if (!wishes?.length) return null;
  const add = async (due: Day) => {
    if (!id || !due) return;
    await setDue({ id, due });
    setId('');
  };
  return (
    <div className="flex flex-wrap items-end gap-4 pt-4">
      <div className="w-[300px] max-w-full">
        <SelectField label={eveningsSaid.addPlannedProject} value={id} onChange={setId}>
          <option value="">choose a project</option>
          {wishes.map((each) => (
            <option key={each.id} value={each.id}>
              {each.wish.title}
            </option>
          ))}
        </SelectField>
      </div>
      <DayField label="on" disabled={!id} day="" onDay={(day) => void add(day)} />
      <Problems problems={problemsOf(setting.error)} />
    </div>
  );
}
