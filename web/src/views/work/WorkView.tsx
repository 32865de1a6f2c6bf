import { firstRows, nextRow, placeOfRow, standingAt, workCourse } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import {
  clothOf,
  courseWord,
  pieceApartWords,
  placeName,
  spokenRun,
  stepName,
  stepSaid,
  tugWords,
  workSaid,
} from '@puntada/core/words';
import { costsOfPiece, type Position, piecesApart } from '@puntada/core/work';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { problemsOf, usePreferences, useWorkQuery } from '../../api/api.ts';
import { useQueue } from '../../api/queue/browserQueue.ts';
import { useLog } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { LastingWords } from '../../parts/LastingWords.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { NotesOf, useNotes } from '../../parts/RowNotes.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useWorkCloth, type WorkCloth } from '../../parts/useWorkCloth.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { clothOfPiece } from '../../parts/workCloth.ts';
import { useWorkCosts } from '../../worker/useWorkCosts.ts';
import { AllWorked } from './AllWorked.tsx';
import { ChainInHand } from './ChainInHand.tsx';
import { ClothAndEnd } from './ClothAndEnd.tsx';
import { HelpAtRow } from './help/HelpAtRow.tsx';
import { lettingGo } from './lettingGo.ts';
import { OpenEndBand } from './OpenEndBand.tsx';
import { ReadingSettings } from './ReadingSettings.tsx';
import { Ribbon } from './Ribbon.tsx';
import { RowHead } from './RowHead.tsx';
import { RunWords } from './RunWords.tsx';
import { Sitting } from './Sitting.tsx';
import { StepButtons } from './StepButtons.tsx';
import { Skip, StepInHand } from './StepInHand.tsx';
import { useCounter } from './useCounter.ts';
import { useLasting } from './useLasting.ts';
import { useAwake, useReading, useRoom } from './useReading.ts';
import { useRowInHand } from './useRowInHand.ts';
import { useSaying } from './useSpoken.ts';
import { useSteps } from './useSteps.ts';
import { WorkHead } from './WorkHead.tsx';

/** The row in hand. */
export default function WorkView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id, { pollingInterval: 15000 });
  // A step is counted from what this browser still holds; before that is known, none can be made.
  const { ready } = useQueue();
  const work = useArrived(ready ? data : undefined);
  const cloth = useWorkCloth(work);
  if (work && cloth && work.state !== 'wished') return <AtWork key={work.id} work={work} cloth={cloth} />;
  return (
    <>
      <Head title="Make" />
      <main id="main" className="grid max-w-[70ch] gap-4 p-6">
        {error ? <Problems problems={problemsOf(error)} /> : null}
        {work?.state === 'wished' ? (
          <>
            <p>{workSaid.thisProjectIsntStarted}</p>
            <ButtonLink to={`/works/${id}/size`} kind="next">
              Choose a size
            </ButtonLink>
          </>
        ) : null}
        {!error && (!work || (work.state !== 'wished' && cloth === undefined)) ? (
          <Waiting words="Opening your project…" workedOut />
        ) : null}
      </main>
    </>
  );
}

function AtWork({ work, cloth: whole }: { work: Work; cloth: WorkCloth }) {
  const preferences = usePreferences();
  const { terms, hand, told } = preferences;
  const counter = useCounter(work);
  const { position } = counter;
  const costs = useWorkCosts(work);
  const sequence = costs?.sequence;
  // Until the whole is counted the rows of the first cloth are all that is known of it.
  const first = useMemo(() => firstRows(clothOfPiece(whole, 0), whole.fromChain === true), [whole]);
  const known = sequence ?? first;
  const stands = standingAt(known, position.rows);
  const cloth = useMemo(() => clothOfPiece(whole, stands.piece), [whole, stands.piece]);
  const { fabric } = cloth;
  const word = courseWord(fabric.making);
  const unit = stands.unit;
  const local = useMemo(() => {
    const inRow = unit?.kind === 'row';
    return { rows: inRow ? stands.rows : fabric.courses, runs: inRow ? position.runs : 0 };
  }, [unit, stands.rows, fabric.courses, position.runs]);
  const row = useRowInHand(cloth, local, preferences, whole.fromChain === true || stands.piece > 0);
  const steps = useSteps(whole, counter, known);
  const which = sequence ? clothOf(sequence, stands, work.wish.item) : '';
  const { data: log } = useLog(work.id, true);
  const lasts = useLasting(work, whole, costs, log, position.rows);
  const notes = useNotes(work.id);
  // What the cloth in hand was found to differ by from the one that it is to match.
  const apart = useMemo(() => {
    if (!sequence || sequence.pieces < 2 || !log) return [];
    const measures = log.entries.filter((entry) => entry.kind === 'measure');
    return piecesApart(measures, sequence, work.wish.units)
      .filter(({ piece }) => piece === stands.piece)
      .map((each) => pieceApartWords(each, work.wish.item, told));
  }, [sequence, log, work.wish.units, work.wish.item, stands.piece, told]);
  const [reading, changeReading] = useReading();
  useRoom(reading.dark);
  useAwake(reading.awake);
  const stepNow = unit?.kind === 'step' ? unit.step : undefined;
  const spoken = row ? spokenRun(row.course, row.run, terms) : stepNow ? stepSaid(stepNow, position.runs, terms) : '';
  // A row is said with how it begins: the turn and its chain, in whole words.
  const said = row?.at === 0 ? `${word} ${row.course.number}: ${row.beginsSaid}. ${spoken}` : spoken;
  const place = row ? `; ${word.toLowerCase()} ${row.course.number} of ${fabric.courses}` : '';
  const heard = spoken ? `${spoken}${place}${which ? `; ${which}` : ''}` : '';
  const onChain = stepNow?.code === 'chain';
  useSaying(said, reading.aloud);
  const shadeOf = (letter: string) => work.wish.yarns.find((yarn) => yarn.letter === letter)?.shade ?? '#888888';
  const done = row ? row.run.from - 1 : 0;
  // A row of the cloth in hand, as a place of the whole.
  const goTo = (to: Position) => steps.go({ rows: placeOfRow(known, stands.piece, to.rows), runs: to.runs });
  const placeWords = (rows: number) => placeName(known, rows + 1, work.wish.item, word.toLowerCase());
  // Whether the yarn lasts, and the clock.
  const beside = (
    <>
      <LastingWords
        workId={work.id}
        told={lasts}
        sure={work.wish.sure}
        on={{ rows: fabric.courses, sequence, item: work.wish.item }}
      />
      {log ? <Sitting workId={work.id} log={log} step={`${position.rows} ${position.runs}`} /> : null}
    </>
  );
  return (
    <div
      style={reading.big ? { zoom: 1.2 } : undefined}
      className={`flex flex-col bg-paper text-ink ${reading.big ? 'min-h-[83.4dvh]' : 'min-h-dvh'}`}
    >
      <WorkHead work={work} counter={counter}>
        <ReadingSettings reading={reading} onChange={changeReading} />
      </WorkHead>
      <main id="main" className="flex min-h-0 flex-1 flex-col">
        <p role="status" className="sr-only" data-testid="heard">
          {heard}
        </p>
        {row ? (
          <>
            <section className="px-6 pt-4 pb-2">
              {which ? <p className="pb-1 text-[19px] font-semibold">{which}</p> : null}
              <RowHead row={row} cloth={cloth} hand={hand}>
                {beside}
              </RowHead>
              {work.wish.open && costs && row.at === 0 && cloth === whole ? (
                <OpenEndBand
                  work={work}
                  cloth={cloth}
                  costs={costs}
                  rows={local.rows}
                  before={position.rows - local.rows}
                />
              ) : null}
              <Ribbon
                course={row.course}
                word={word}
                done={row.at}
                terms={terms}
                hand={hand}
                shadeOf={shadeOf}
                onDone={lettingGo(steps.run)}
              />
              {apart.map((words) => (
                <p key={words} className="border-l-4 border-ochre bg-ochre-pale px-3 py-1.5 text-[16px]">
                  {words}
                </p>
              ))}
              <NotesOf notes={notes.get(position.rows + 1)} />
              <RunWords
                key={`${stands.piece} ${row.course.number} ${row.at}`}
                terms={terms}
                row={row}
                word={word}
                tug={tugWords(reading.tug, row.course, row.at, row.idle.length > 0, word.toLowerCase())}
              />
            </section>
            <ClothAndEnd
              row={row}
              cloth={cloth}
              rows={local.rows}
              ahead={reading.ahead}
              word={word}
              terms={terms}
              hand={hand}
            />
          </>
        ) : stepNow && onChain ? (
          <ChainInHand
            step={stepNow}
            at={position.runs}
            which={which}
            cloth={cloth}
            shadeOf={shadeOf}
            first={workCourse(fabric, cloth.bound, cloth.foundation, 0)}
            told={beside}
          >
            <NotesOf notes={notes.get(position.rows + 1)} />
            <Skip workId={work.id} name={stepName(stepNow)} rows={position.rows} onSkip={steps.row} />
          </ChainInHand>
        ) : (
          <AllWorked
            work={work}
            cloth={cloth}
            waiting={counter.waiting}
            which={which}
            last={!sequence || !nextRow(sequence, position.rows)}
            open={stepNow !== undefined}
          >
            {stepNow ? (
              <StepInHand
                key={position.rows}
                work={work}
                step={stepNow}
                at={position.runs}
                cloth={cloth}
                sequence={cloth === whole ? sequence : undefined}
                shadeOf={shadeOf}
                told={beside}
              >
                <NotesOf notes={notes.get(position.rows + 1)} />
                <Skip workId={work.id} name={stepName(stepNow)} rows={position.rows} onSkip={steps.row} />
              </StepInHand>
            ) : null}
          </AllWorked>
        )}
      </main>
      <StepButtons steps={steps} row={row} step={stepNow} word={word} hand={hand} placeWords={placeWords}>
        <HelpAtRow
          work={work}
          cloth={cloth}
          position={onChain ? { rows: 0, runs: 0 } : local}
          done={done}
          costs={costs && costsOfPiece(costs, stands.piece)}
          terms={terms}
          onGo={goTo}
        />
      </StepButtons>
    </div>
  );
}
