import { findPattern, isWritten } from '@puntada/core/craft';
import { firstRows } from '@puntada/core/plan';
import { readShape, swatchSchema, type Work } from '@puntada/core/records';
import { courseWord, tugWords, workSaid } from '@puntada/core/words';
import { type Position, swatchPiece } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { HomeLink } from '../../app/Shell.tsx';
import { Title } from '../../app/Title.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { useBookShades } from '../../parts/bookShades.ts';
import { Problems } from '../../parts/Problems.tsx';
import { keyOfOwn, useShelf } from '../../parts/useShelf.ts';
import { useWorkCloth, type WorkCloth } from '../../parts/useWorkCloth.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { ClothAndEnd } from './ClothAndEnd.tsx';
import { lettingGo } from './lettingGo.ts';
import { ReadingSettings } from './ReadingSettings.tsx';
import { Ribbon } from './Ribbon.tsx';
import { RowHead } from './RowHead.tsx';
import { RunWords } from './RunWords.tsx';
import { StepButtons } from './StepButtons.tsx';
import type { Counter } from './useCounter.ts';
import { useAwake, useReading, useRoom } from './useReading.ts';
import { useRowInHand } from './useRowInHand.ts';
import { useSpoken } from './useSpoken.ts';
import { useSteps } from './useSteps.ts';

/** Rows that tell whether a pattern reads well on the hook. */
const rehearsed = 4;

/** The first rows of a pattern as they would be worked, without any project: nothing of it is kept. */
export default function RehearsalView() {
  const { key = '' } = useParams();
  const { own, known } = useShelf();
  const shadesOf = useBookShades();
  const source = own.find(({ stored }) => stored && keyOfOwn(stored.id) === key)?.source ?? (known ? key : undefined);
  const piece = useMemo(() => {
    const found = source === undefined ? undefined : findPattern(source);
    if (!found?.ok || source === undefined) return found && !found.ok ? found : undefined;
    const pattern = found.value;
    const shades = shadesOf(pattern);
    const swatch = readShape(swatchSchema, {
      title: pattern.name,
      pattern: isWritten(source) ? { key: pattern.key, text: source } : { key: source },
      hook: 5,
      yarns: pattern.colours.map((letter, i) => ({
        letter,
        name: letter,
        shade: shades[i] ?? '#888888',
        weight: 4,
        fibre: 'cotton',
      })),
    });
    return swatch.ok ? swatchPiece(swatch.value) : swatch;
  }, [source, shadesOf]);
  const work = useMemo(
    (): Work | undefined =>
      piece?.ok
        ? {
            id: `rehearsal ${key}`,
            revision: 1,
            state: 'wished',
            wish: piece.value,
            begun: null,
            progress: { rows: 0, runs: 0 },
            size: null,
            fromChain: false,
            archived: false,
            deletedAt: null,
            notice: null,
            due: null,
            changedAt: '',
          }
        : undefined,
    [piece, key],
  );
  const cloth = useWorkCloth(work);
  const back = key.startsWith(keyOfOwn('')) ? `/desk/${key.slice(keyOfOwn('').length)}` : `/book/${key}`;
  if (work && cloth) return <Rehearsal work={work} cloth={cloth} back={back} />;
  const problems =
    piece && !piece.ok ? piece.problems : cloth === null ? [{ code: 'nothing-to-rehearse', path: '' }] : [];
  return (
    <main id="main" className="grid max-w-[70ch] gap-4 p-6">
      <Title className="text-[26px]">Rehearsal</Title>
      <Problems problems={problems} />
      {problems.length ? (
        <ButtonLink to={back}>{workSaid.backToPattern}</ButtonLink>
      ) : (
        <Waiting words={workSaid.layingFirstRows} workedOut />
      )}
    </main>
  );
}

/** A counter of this page alone. */
function useOwnCounter(): Counter {
  const [position, setPosition] = useState<Position>({ rows: 0, runs: 0 });
  return {
    position,
    waiting: 0,
    refused: undefined,
    step: (next) => setPosition((at) => next(at) ?? at),
  };
}

function Rehearsal({ work, cloth, back }: { work: Work; cloth: WorkCloth; back: string }) {
  const navigate = useNavigate();
  const preferences = usePreferences();
  const { terms, hand } = preferences;
  const counter = useOwnCounter();
  const { position } = counter;
  const { fabric } = cloth;
  const word = courseWord(fabric.making);
  const rows = Math.min(rehearsed, fabric.courses);
  const over = position.rows >= rows;
  const row = useRowInHand(cloth, over ? { rows: fabric.courses, runs: 0 } : position, preferences);
  const sequence = useMemo(() => firstRows(cloth, false), [cloth]);
  const steps = useSteps(cloth, counter, sequence);
  const [reading, changeReading] = useReading();
  useRoom(reading.dark);
  useAwake(reading.awake);
  const heard = useSpoken(row, terms, reading.aloud);
  const shadeOf = (letter: string) => work.wish.yarns.find((yarn) => yarn.letter === letter)?.shade ?? '#888888';
  return (
    <div
      className={`flex flex-col bg-paper text-ink ${reading.big ? 'min-h-[83.4dvh]' : 'min-h-dvh'}`}
      style={reading.big ? { zoom: 1.2 } : undefined}
    >
      <header className="flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule px-6 py-2 max-sm:gap-x-3">
        <HomeLink />
        <div className="min-w-0 flex-1 max-sm:basis-[58%]">
          <Title className="text-[22px]">{workSaid.rehearsalOf(work.wish.title)}</Title>
        </div>
        <p className="text-[15px] text-soft">{workSaid.nothingOfThisKept}</p>
        <ReadingSettings reading={reading} onChange={changeReading} />
        <ButtonLink to={back}>{workSaid.backToPattern}</ButtonLink>
      </header>
      <main id="main" className="flex min-h-0 flex-1 flex-col">
        <p role="status" className="sr-only" data-testid="heard">
          {heard}
        </p>
        {row ? (
          <>
            <section className="px-6 pt-4 pb-2">
              <RowHead row={row} cloth={cloth} hand={hand}>
                <span className="text-soft">{workSaid.rowsRehearsed(rows, word.toLowerCase())}</span>
              </RowHead>
              <Ribbon
                course={row.course}
                word={word}
                done={row.at}
                terms={terms}
                hand={hand}
                shadeOf={shadeOf}
                onDone={lettingGo(steps.run)}
              />
              <RunWords
                key={`${row.course.number} ${row.at}`}
                terms={terms}
                row={row}
                word={word}
                tug={tugWords(reading.tug, row.course, row.at, row.idle.length > 0, word.toLowerCase())}
              />
            </section>
            <ClothAndEnd
              row={row}
              cloth={cloth}
              rows={position.rows}
              ahead={reading.ahead}
              word={word}
              terms={terms}
              hand={hand}
            />
          </>
        ) : (
          <section className="grid max-w-[70ch] content-start gap-4 p-6 text-[19px]">
            <h2 className="text-[26px]">{workSaid.rehearsedAll(rows, word.toLowerCase())}</h2>
            <p>{workSaid.nothingWasChanged}</p>
            <div className="flex flex-wrap gap-3">
              <Button kind="next" onClick={() => steps.go({ rows: 0, runs: 0 })}>
                Once more
              </Button>
              <Button onClick={() => navigate(back)}>{workSaid.backToPattern}</Button>
            </div>
          </section>
        )}
      </main>
      <StepButtons
        steps={steps}
        row={row}
        step={undefined}
        word={word}
        hand={hand}
        placeWords={(n) => `${word.toLowerCase()} ${n + 1}`}
      >
        {null}
      </StepButtons>
    </div>
  );
}
