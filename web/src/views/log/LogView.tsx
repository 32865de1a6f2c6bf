import type { Estimate } from '@puntada/core/craft';
import {
  type OwnPace,
  rowsAmong,
  rowsIn,
  secondsBy,
  secondsWorking,
  standingAt,
  unknownPace,
  type Working,
} from '@puntada/core/plan';
import {
  clothOf,
  goOnWords,
  hoursText,
  logColumns,
  logSaid,
  logTable,
  placeName,
  printedWorking,
  timeWords,
} from '@puntada/core/words';
import {
  cellsInHand,
  foretoldHours,
  handworkOfRows,
  type LogTimes,
  partWorked,
  timeSoFarWorking,
} from '@puntada/core/work';
import { csvFormatRows } from 'd3-dsv';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { problemsOf, usePreferences, useWorkQuery } from '../../api/api.ts';
import { useLog } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { download } from '../../parts/download.ts';
import { fileName } from '../../parts/fileName.ts';
import { Problems } from '../../parts/Problems.tsx';
import { Unread } from '../../parts/Unread.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useWorkCloth } from '../../parts/useWorkCloth.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { useWorkCosts } from '../../worker/useWorkCosts.ts';
import { useWorkTimes } from '../../worker/useWorkTimes.ts';
import { AtTheEnd } from './AtTheEnd.tsx';
import { HandTable } from './HandTable.tsx';
import type { LogProps } from './logProps.ts';
import { Measures } from './Measures.tsx';
import { Notes } from './Notes.tsx';
import { PaceChart } from './PaceChart.tsx';
import { Photos } from './Photos.tsx';
import { ProgressChart } from './ProgressChart.tsx';
import { Sessions } from './Sessions.tsx';
import { YarnOnTheScale } from './YarnOnTheScale.tsx';

/** What really happened at a work: sessions and pace, yarn on the scale, measurements, notes, and how it came out. */
export default function LogView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  const work = useArrived(data);
  // Steps made since it was last read belong to it.
  const { data: told, error: logError } = useLog(id, true);
  const log = useArrived(told);
  const cloth = useWorkCloth(work);
  const costs = useWorkCosts(work);
  const times = useWorkTimes(work, log);
  const refusal = problemsOf(error ?? logError);
  return (
    <>
      <Head title={work?.wish.title ?? 'Log'} under={logSaid.logTimeYarnSize}>
        {work?.state === 'begun' ? <ButtonLink to={`/works/${id}/onward`}>{logSaid.planRestAgain}</ButtonLink> : null}
        {work ? <ButtonLink to={`/works/${id}/print`}>Print</ButtonLink> : null}
        {work ? <ButtonLink to={`/works/${id}/work`}>{goOnWords(work)}</ButtonLink> : null}
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1280px] px-6 pt-5 pb-12">
        <Problems problems={refusal} />
        <Unread kind="entries" work={id} />
        {work && work.state === 'wished' ? (
          <div className="grid max-w-[70ch] gap-6">
            <p className="text-[17px]">
              Nothing made yet: <Link to={`/works/${id}/size`}>{logSaid.chooseSizeAndStart}</Link>.
            </p>
            {log ? <Notes work={work} log={log} placeOf={(row) => `row ${row}`} /> : null}
          </div>
        ) : null}
        {work && log && cloth && costs && times && work.state !== 'wished' ? (
          <Log work={work} log={log} cloth={cloth} costs={costs} times={times} />
        ) : refusal.length || work?.state === 'wished' ? null : (
          <Waiting words="Opening the log…" workedOut />
        )}
      </main>
    </>
  );
}

function Log({ work, log, cloth, costs, times }: Omit<LogProps, 'placeOf'> & { readonly times: LogTimes }) {
  const { sessions, pace } = times;
  const { rows } = work.progress;
  const { sequence } = costs;
  const stands = standingAt(sequence, rows);
  const placeOf = (units: number) => placeName(sequence, units, work.wish.item);
  const done = cellsInHand(cloth, costs, work.progress);
  const foretold = useMemo(() => foretoldHours(costs, work.wish.pace ?? unknownPace), [costs, work.wish.pace]);
  const toCome = handworkOfRows(costs, work.progress, done);
  const left = secondsBy(pace, toCome);
  const saveTable = () => {
    const table = csvFormatRows([[...logColumns], ...logTable(log.entries, sessions, rowsAmong(sequence))]);
    download(`${fileName(work.wish.title)}-log.csv`, table, 'text/csv');
  };
  return (
    <div className="grid gap-x-10 gap-y-9 lg:grid-cols-[minmax(0,1.25fr)_minmax(0,1fr)]">
      <div className="grid min-w-0 content-start gap-9">
        <section aria-label="Time" className="min-w-0">
          <h2 className="border-b border-ink pb-1 text-[19px]">Time</h2>
          <Figures
            sessions={sessions}
            pace={pace}
            left={left}
            how={secondsWorking(pace, toCome)}
            rows={stands.rows}
            of={rowsIn(sequence, stands.piece)}
            cloth={clothOf(sequence, stands, work.wish.item)}
          />
          <ProgressChart points={times.line} foretold={foretold} left={left} />
          <PaceChart sessions={sessions} pace={pace} />
          <HandTable pace={pace} />
          <Sessions workId={work.id} sessions={sessions} log={log} />
        </section>
        <Notes work={work} log={log} placeOf={placeOf} />
        <Photos work={work} log={log} sequence={sequence} placeOf={placeOf} />
      </div>
      <div className="grid min-w-0 content-start gap-9">
        <YarnOnTheScale
          work={work}
          log={log}
          cloth={cloth}
          costs={costs}
          part={partWorked(costs, work.progress, done)}
          placeOf={placeOf}
        />
        <Measures work={work} log={log} cloth={cloth} sequence={sequence} placeOf={placeOf} />
        <AtTheEnd work={work} log={log} cloth={cloth} times={times} costs={costs} />
        <section aria-label="Share this project">
          <h2 className="border-b border-ink pb-1 text-[19px]">Share this project</h2>
          <p className="py-2 text-[16px]">
            <a href={`/api/handover/${work.id}`} download className="font-semibold">
              {logSaid.saveThisProjectAs}
            </a>
            {logSaid.itsPlanEveryRow}
          </p>
          <Button kind="quiet" className="-ml-4" onClick={saveTable}>
            {logSaid.saveLogAs}
          </Button>
        </section>
      </div>
    </div>
  );
}

function Figures({
  sessions,
  pace,
  left,
  how,
  rows,
  of,
  cloth,
}: {
  sessions: LogTimes['sessions'];
  pace: OwnPace;
  left: Estimate;
  /** How the time left comes about. */
  how: Working;
  rows: number;
  of: number;
  /** Which one it is, where there are several. */
  cloth: string;
}) {
  const worked = sessions.reduce((sum, each) => sum + each.seconds, 0);
  const own = Math.round((pace.ratio - 1) * 100);
  const against = own === 0 ? 'average' : `${Math.abs(own)} % ${own > 0 ? 'slower' : 'quicker'}`;
  return (
    <dl className="grid grid-cols-2 gap-x-8 gap-y-3 py-3 sm:grid-cols-4">
      <Big term={cloth ? `Rows done, ${cloth}` : 'Rows done'} value={`${rows} of ${of}`} />
      <Big
        term="Time so far"
        value={timeWords(worked)}
        working={sessions.length ? timeSoFarWorking(sessions) : undefined}
      />
      <Big term="Your pace" value={sessions.length ? against : 'not known yet'} small />
      <Big
        term="Time left"
        value={left.mid > 30 ? hoursText(left) : 'nothing'}
        working={left.mid > 30 ? how : undefined}
      />
    </dl>
  );
}

interface BigProps {
  readonly term: string;
  readonly value: string;
  readonly working?: Working | undefined;
  readonly small?: boolean;
}

function Big({ term, value, working, small = false }: BigProps) {
  const { told, terms } = usePreferences();
  return (
    <div>
      <dt className="text-[14px] text-soft">{term}</dt>
      <dd className={small ? 'text-[17px] leading-tight' : 'count text-[21px] leading-tight whitespace-nowrap'}>
        <Worked working={working && printedWorking(working, told, terms)}>{value}</Worked>
      </dd>
    </div>
  );
}
