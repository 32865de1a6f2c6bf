import {
  againstBelow,
  countedIn,
  courseWord,
  leftIn,
  StrandBook,
  type StrandOrder,
  startWords,
  turnAfter,
  type WorkedCourse,
  workCourse,
} from '@puntada/core';
import { useEffect, useMemo } from 'react';
import { useParams } from 'react-router';
import { problemsOf, usePreferences, useWorkQuery, type Work } from '../../api/api.ts';
import { useLogQuery } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Button, ButtonLink, Key } from '../../parts/Button.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { LastingWords } from '../../parts/LastingWords.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useWorkCloth, type WorkCloth } from '../../parts/useWorkCloth.ts';
import { useWorkCosts } from '../../worker/useWorkCosts.ts';
import { AllWorked } from './AllWorked.tsx';
import { spokenRun } from './closeWords.ts';
import { HelpAtRow } from './help/HelpAtRow.tsx';
import { hintsAt } from './hintsAt.ts';
import { idleWords } from './idleWords.ts';
import { lettingGo } from './lettingGo.ts';
import { OpenEndBand } from './OpenEndBand.tsx';
import { ReadingSettings } from './ReadingSettings.tsx';
import { Ribbon } from './Ribbon.tsx';
import { RowEnd } from './RowEnd.tsx';
import { Sitting } from './Sitting.tsx';
import { speakerOf } from './speaker.ts';
import { tugWords } from './tugWords.ts';
import { useCounter } from './useCounter.ts';
import { useLasting } from './useLasting.ts';
import { useAwake, useReading } from './useReading.ts';
import { useSteps } from './useSteps.ts';
import { WorkedCloth } from './WorkedCloth.tsx';
import { WorkHead } from './WorkHead.tsx';

const speaker = speakerOf(window);

/** The row in hand. */
export default function WorkView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id, { pollingInterval: 15000 });
  const work = useArrived(data);
  const cloth = useWorkCloth(work);
  if (work && cloth && work.state !== 'wished') return <AtWork key={work.id} work={work} cloth={cloth} />;
  return (
    <>
      <Head title="Work" />
      <main id="main" className="grid max-w-[70ch] gap-4 p-6">
        {error ? <Problems problems={problemsOf(error)} /> : null}
        {work?.state === 'wished' ? (
          <>
            <p>This work is not begun yet. Choose its size first.</p>
            <ButtonLink to={`/works/${id}/size`} kind="next">
              Choose the size
            </ButtonLink>
          </>
        ) : null}
        {!error && !work ? <p className="text-soft">Taking up the work…</p> : null}
      </main>
    </>
  );
}

function AtWork({ work, cloth }: { work: Work; cloth: WorkCloth }) {
  const { terms, hand } = usePreferences();
  const counter = useCounter(work);
  const { fabric, bound, foundation } = cloth;
  const { position } = counter;
  const word = courseWord(fabric.making).toLowerCase();
  const finished = position.rows >= fabric.courses;
  const course = useMemo(
    () => (finished ? undefined : workCourse(fabric, bound, foundation, position.rows)),
    [fabric, bound, foundation, position.rows, finished],
  );
  const next = useMemo(() => {
    if (!course || course.number >= fabric.courses) return undefined;
    const after = workCourse(fabric, bound, foundation, course.number);
    return startWords(after, foundation, fabric.making, fabric.count, { terms });
  }, [course, fabric, bound, foundation, terms]);
  const told = useCraftWords();
  const strands = useMemo(() => new StrandBook(cloth.strands, bound), [cloth.strands, bound]);
  const steps = useSteps(cloth, counter);
  const costs = useWorkCosts(work);
  const orders = course ? strands.orders(course.number - 1) : [];
  const run = course?.runs[position.runs];
  const shadeOf = (letter: string) => work.wish.yarns.find((yarn) => yarn.letter === letter)?.shade ?? '#888888';
  const idle = course
    ? idleWords(course, position.runs, orders, attachedIn(course, position.runs, strands, orders))
    : [];
  const others = orders.flatMap((order) => order.other);
  const [reading, changeReading] = useReading();
  const { data: log } = useLogQuery(work.id, { refetchOnMountOrArgChange: true });
  const lasts = useLasting(work.wish, costs, log, position.rows);
  const below = useMemo(
    () => (course && run ? againstBelow(fabric, bound, course.number - 1, run) : undefined),
    [fabric, bound, course, run],
  );
  const hints = useMemo(
    () => (course ? hintsAt({ fabric, bound, foundation }, course, position.runs) : []),
    [fabric, bound, foundation, course, position.runs],
  );
  const tug = course ? tugWords(reading.tug, course, position.runs, idle.length > 0) : undefined;
  useAwake(reading.awake);
  const said =
    run && course
      ? `${spokenRun(run, terms)}${position.runs === 0 ? `, ${courseWord(fabric.making)} ${course.number}` : ''}`
      : '';
  useEffect(() => {
    if (reading.aloud && said) speaker.say(said);
  }, [reading.aloud, said]);
  return (
    <div
      data-room={reading.dark ? 'dark' : undefined}
      style={reading.big ? { zoom: 1.2 } : undefined}
      className={`flex flex-col bg-paper text-ink ${reading.big ? 'min-h-[83.4dvh]' : 'min-h-dvh'}`}
    >
      <WorkHead work={work} counter={counter}>
        <ReadingSettings reading={reading} onChange={changeReading} />
      </WorkHead>
      <main id="main" className="flex min-h-0 flex-1 flex-col">
        {course && run ? (
          <>
            <section className="px-6 pt-4 pb-2">
              <div className="flex flex-wrap items-baseline gap-x-4 pb-2">
                <span className="font-display text-[46px] leading-none font-bold tabular-nums" data-testid="row-number">
                  {courseWord(fabric.making)} {course.number}
                </span>
                <span className="count text-[22px] font-medium text-soft">of {fabric.courses}</span>
                <span className="rounded-sm border-2 border-ink px-2 text-[19px] font-semibold">{course.side}</span>
                <span className="text-[22px]">{hand === 'right' ? '← right to left' : 'left to right →'}</span>
                {position.runs === 0 ? (
                  <span className="text-[22px] text-soft">
                    {startWords(course, foundation, fabric.making, fabric.count, { terms })}
                  </span>
                ) : null}
                <span className="-my-2 ml-auto flex flex-wrap items-center gap-x-5 text-[17px]">
                  <LastingWords workId={work.id} told={lasts} sure={work.wish.sure} rows={fabric.courses} />
                  {log ? <Sitting workId={work.id} log={log} step={`${position.rows} ${position.runs}`} /> : null}
                </span>
              </div>
              {work.wish.open && costs && position.runs === 0 ? (
                <OpenEndBand work={work} cloth={cloth} costs={costs} rows={position.rows} />
              ) : null}
              <Ribbon
                course={course}
                done={position.runs}
                terms={terms}
                hand={hand}
                shadeOf={shadeOf}
                onDone={lettingGo(steps.run)}
              />
              <p className="flex flex-wrap gap-x-8 gap-y-1 pt-3 text-[24px] leading-tight">
                {idle.map((words) => (
                  <span key={words}>{words}</span>
                ))}
                {below ? (
                  <span>
                    <span className="text-soft">{courseWord(fabric.making)} below: </span>
                    {below}
                  </span>
                ) : null}
                {tug ? <span className="text-ochre">{tug}</span> : null}
                <span className="text-soft">
                  <span className="count font-medium">{leftIn(course, position.runs)}</span> {countedIn(course)} left in
                  the {word}
                </span>
              </p>
              {/* Kept free where nothing is to be told, so that the cloth below does not jump. */}
              <p className="min-h-[25px] pt-1 text-[17px] leading-tight text-soft">{told(hints.join(' '))}</p>
            </section>
            <section className="grid min-h-[220px] flex-1 lg:grid-cols-[minmax(0,1fr)_330px]">
              <WorkedCloth
                fabric={fabric}
                shades={cloth.shades}
                hand={hand}
                proportion={cloth.proportion}
                rows={position.rows}
                ahead={reading.ahead}
                stitchesDone={run.from - 1}
                stitchesInHand={run.count}
              />
              <RowEnd
                course={course}
                word={word}
                hanging={strands.hangingWords(course.number - 1)}
                others={others}
                terms={terms}
                next={next}
                turn={turnAfter(strands.twists, course.number - 1)}
                twists={strands.twists[course.number - 1] ?? 0}
                balls={strands.balls(course.number - 1, hand)}
              />
            </section>
          </>
        ) : (
          <AllWorked work={work} cloth={cloth} waiting={counter.waiting} />
        )}
      </main>
      <footer
        className={`sticky bottom-0 flex flex-wrap items-center gap-x-3 gap-y-2 border-t border-rule bg-paper px-6 py-3 max-sm:grid max-sm:grid-cols-2 max-sm:px-4 max-sm:[&_kbd]:hidden ${hand === 'left' ? 'flex-row-reverse' : ''}`}
      >
        <Button onClick={lettingGo(steps.back)} disabled={!steps.canGoBack} className="min-h-14">
          One back <Key>Backspace</Key>
        </Button>
        <HelpAtRow
          work={work}
          cloth={cloth}
          position={position}
          done={run ? run.from - 1 : 0}
          costs={costs}
          terms={terms}
          onGo={(to) => counter.step(() => to)}
        />
        <span className="flex-1 max-sm:hidden" />
        {course ? (
          <>
            <Button onClick={lettingGo(steps.row)} className="min-h-14">
              {courseWord(fabric.making)} {course.number} done <Key>Enter</Key>
            </Button>
            <Button
              kind="next"
              onClick={lettingGo(steps.run)}
              shortcut="Space"
              className="min-h-14 min-w-[220px] justify-between text-[20px] max-lg:order-last max-lg:basis-full max-lg:justify-center max-sm:min-w-0"
            >
              Run done
            </Button>
          </>
        ) : null}
      </footer>
    </div>
  );
}

/**
 * Colours that hang on the work while a run is worked: those that hung after the row below, those used since, and
 * those that are laid in to be carried from here.
 */
function attachedIn(course: WorkedCourse, run: number, strands: StrandBook, orders: readonly StrandOrder[]): string[] {
  const current = course.runs[run];
  if (!current) return [];
  const last = current.from + current.count - 1;
  const before = course.number > 1 ? strands.hanging(course.number - 2).map((strand) => strand.colour) : [];
  const used = course.runs.slice(0, run).map((each) => each.colour);
  const laidIn = orders.filter((order) => order.carried.some((each) => each.from <= last)).map((order) => order.colour);
  return [...new Set([...before, ...used, ...laidIn])].sort();
}
