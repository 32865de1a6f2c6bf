import { type BoundPattern, chainsFor, type Fabric, must, stitchKind, techniqueOf } from '@puntada/core/craft';
import { firstRows, placeOfRow, type Sequence, StrandBook, standingAt } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';
import {
  type AdviceRequest,
  clothOf,
  courseWord,
  explainCourse,
  foundationWords,
  legend,
  rowLine,
  rowsSaid,
  type Terms,
  writeRow,
} from '@puntada/core/words';
import { ZoomIn, ZoomOut } from 'lucide-react';
import { type ReactNode, useDeferredValue, useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { problemsOf, useChangePreferences, usePreferences, useWorkQuery } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Stages } from '../../app/Stages.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { CopyButton } from '../../parts/CopyButton.tsx';
import { shapeOf } from '../../parts/cloth/clothLayout.ts';
import { Problems } from '../../parts/Problems.tsx';
import { AddNote, useNotes } from '../../parts/RowNotes.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useWorkCloth, type WorkCloth } from '../../parts/useWorkCloth.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { clothOfPiece } from '../../parts/workCloth.ts';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { useWorkCosts } from '../../worker/useWorkCosts.ts';
import { Chart } from './Chart.tsx';
import { WrittenRows } from './WrittenRows.tsx';

/** Chart and written rows side by side, one selection. */
export default function RowsView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  const work = useArrived(data);
  const cloth = useWorkCloth(work);
  const costs = useWorkCosts(work?.begun ? work : undefined);
  // Of a set, the cloth in hand is told once the whole is counted.
  const waits = work?.begun && work.wish.pieces > 1 && !costs;
  if (work && cloth && !waits) return <Rows key={work.id} work={work} cloth={cloth} sequence={costs?.sequence} />;
  return (
    <>
      <Head title="Rows">{work ? <Stages work={work} here="rows" /> : null}</Head>
      <main id="main" className="p-6">
        {error ? (
          <Problems problems={problemsOf(error)} />
        ) : cloth === null ? (
          <p className="text-soft">{rowsSaid.noSizeFitsThis}</p>
        ) : (
          <Waiting words="Writing the rows…" workedOut />
        )}
      </main>
    </>
  );
}

function Rows({ work, cloth: whole, sequence }: { work: Work; cloth: WorkCloth; sequence: Sequence | undefined }) {
  const changePreferences = useChangePreferences();
  const { terms, hand, manner, told } = usePreferences();
  const notes = useNotes(work.id);
  const begun = work.state !== 'wished';
  // The chart is of one cloth: of that which is in hand. Until all are counted the first is known.
  const first = useMemo(() => firstRows(clothOfPiece(whole, 0), whole.fromChain === true), [whole]);
  const known = sequence ?? first;
  const stands = standingAt(known, work.progress.rows);
  const cloth = useMemo(() => clothOfPiece(whole, stands.piece), [whole, stands.piece]);
  const { fabric, bound, foundation } = cloth;
  const inHand = begun && stands.rows < fabric.courses ? stands.rows + 1 : undefined;
  const before = placeOfRow(known, stands.piece, 0);
  // What was noted at the chain stands with the row that is worked into it.
  const under = known.units[before - 1];
  const onChain = under?.kind === 'step' && under.step.code === 'chain';
  const notesAt = (row: number) =>
    row === 1 && onChain ? [...(notes.get(before) ?? []), ...(notes.get(before + 1) ?? [])] : notes.get(before + row);
  const which = begun ? clothOf(known, stands, work.wish.item) : '';
  // Until another row is chosen the row in hand is, also when it moves on: what waits to be sent may be found late.
  const [chosen, setSelected] = useState<number>();
  const selected = chosen ?? inHand ?? 1;
  const [zoom, setZoom] = useState<number>();
  // The words come a moment after the chart: both at once would hold the page up.
  const after = useDeferredValue(true, false);
  const [face, setFace] = useState<'RS' | 'WS'>('RS');
  const [swapped, setSwapped] = useState(false);
  const [hangs, setHangs] = useState(false);
  const seen = useMemo(() => (swapped ? { ...cloth, shades: cloth.shades.toReversed() } : cloth), [cloth, swapped]);
  const seenHand = (face === 'RS') === (hand === 'right') ? 'right' : 'left';
  const [cell, setCell] = useState(16);
  const zoomBy = (by: number) => setZoom(Math.max(smallestCell, Math.min(largestCell, Math.round(cell * by))));
  const request = useMemo((): AdviceRequest => {
    const strands = new StrandBook(cloth.strands, bound, cloth.ending);
    const technique = must(techniqueOf(bound.pattern));
    return {
      fabric,
      bound,
      foundation,
      strands,
      terms,
      hand,
      manner,
      technique,
      into: work.wish.into,
      ending: cloth.ending,
      units: told,
    };
  }, [fabric, bound, foundation, cloth.strands, cloth.ending, terms, hand, manner, told, work.wish.into]);
  return (
    <div className="flex min-h-dvh flex-col lg:h-dvh">
      <Head title={work.wish.title} under={which ? `${which}; ${beginsWith(cloth)}` : beginsWith(cloth)}>
        <Link to={`/works/${work.id}/print`} className="inline-flex min-h-11 items-center px-2">
          Print
        </Link>
        <Stages work={work} here="rows" />
      </Head>
      <main id="main" className="mx-auto flex min-h-0 w-full max-w-[1440px] flex-1 flex-col px-6 pt-3 pb-5">
        <div className="flex flex-wrap items-center gap-x-4 gap-y-2 pb-3">
          <Choice
            small
            label="Stitch names"
            value={terms}
            options={[
              { value: 'US', words: 'US terms' },
              { value: 'UK', words: 'UK terms' },
            ]}
            onChange={(next) => changePreferences({ terms: next })}
          />
          <Choice
            small
            label="Hook hand"
            value={hand}
            options={[
              { value: 'right', words: 'Right hand' },
              { value: 'left', words: 'Left hand' },
            ]}
            onChange={(next) => changePreferences({ hand: next })}
          />
          <Choice
            small
            label={rowsSaid.howRowsWritten}
            value={manner}
            options={[
              { value: 'compact', words: 'Short' },
              { value: 'printed', words: 'As printed' },
            ]}
            onChange={(next) => changePreferences({ manner: next })}
          />
          <ul className="flex gap-5">
            {work.wish.yarns.map((yarn) => (
              <li key={yarn.letter} className="flex items-center gap-2 text-[15px]">
                <YarnChip letter={yarn.letter} shade={yarn.shade} size={26} />
                {yarn.name}
              </li>
            ))}
          </ul>
          <Choice
            small
            label="Side shown"
            value={face}
            options={[
              { value: 'RS', words: 'RS' },
              { value: 'WS', words: 'WS' },
            ]}
            onChange={setFace}
          />
          {cloth.shades.length === 2 ? (
            <label className="flex min-h-11 cursor-pointer items-center gap-2 text-[15px]">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                checked={swapped}
                onChange={(event) => setSwapped(event.target.checked)}
              />
              {rowsSaid.swapAndB}
            </label>
          ) : null}
          {shapeOf(fabric) === 'grid' ? (
            <label className="flex min-h-11 cursor-pointer items-center gap-2 text-[15px]">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                checked={hangs}
                onChange={(event) => setHangs(event.target.checked)}
              />
              Show idle yarn
            </label>
          ) : null}
          <div className="ml-auto flex">
            <ZoomButton label="Smaller cells" onClick={() => zoomBy(1 / 1.3)}>
              <ZoomOut aria-hidden className="size-5" />
            </ZoomButton>
            <ZoomButton label="Larger cells" onClick={() => zoomBy(1.3)}>
              <ZoomIn aria-hidden className="size-5" />
            </ZoomButton>
          </div>
        </div>
        <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)] grid-rows-[minmax(280px,40dvh)_minmax(320px,46dvh)] gap-4 lg:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)] lg:grid-rows-1">
          <Chart
            cloth={seen}
            hand={seenHand}
            selected={selected}
            inHand={inHand}
            onSelect={setSelected}
            zoom={zoom}
            onCell={setCell}
            hanging={hangs ? request.strands : undefined}
          />
          {after ? (
            <WrittenRows
              request={request}
              selected={selected}
              inHand={inHand}
              onSelect={setSelected}
              notesAt={notesAt}
            />
          ) : (
            <div />
          )}
        </div>
        <div className="flex flex-wrap items-start justify-between gap-x-8">
          <AddNote workId={work.id} row={selected} before={before} word={courseWord(fabric.making).toLowerCase()} />
          <CopyButton
            words={`Copy ${courseWord(fabric.making).toLowerCase()} ${selected}`}
            what={() => rowLine(writeRow(request, selected), courseWord(fabric.making), manner)}
          />
          <Legend fabric={fabric} terms={terms} />
          <Why fabric={fabric} bound={bound} number={selected} terms={terms} />
        </div>
      </main>
    </div>
  );
}

/** Why the runs of the selected row stand as they do, opened where it is asked. */
function Why({ fabric, bound, number, terms }: { fabric: Fabric; bound: BoundPattern; number: number; terms: Terms }) {
  const [open, setOpen] = useState(false);
  const word = courseWord(fabric.making).toLowerCase();
  return (
    <div className="max-w-[76ch] pt-1">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        className="min-h-11 text-[15px] underline underline-offset-4"
      >
        {rowsSaid.whyDoesChangeColour(word, number)}
      </button>
      {open ? (
        <div aria-live="polite" className="border-l-4 border-verdigris bg-verdigris-pale px-3 py-1.5 text-[15px]">
          {explainCourse(fabric, bound, number, terms).map((line) => (
            <p key={line}>{line}</p>
          ))}
        </div>
      ) : null}
    </div>
  );
}

/** The abbreviations of this work, spelled out. */
function Legend({ fabric, terms }: { fabric: Fabric; terms: Terms }) {
  const words = useMemo(() => {
    const kinds = [...new Set(fabric.kinds)].map((code) => stitchKind(code).key);
    return legend(kinds, terms).filter((each) => each.abbreviation !== each.words || each.made);
  }, [fabric, terms]);
  const [open, setOpen] = useState(false);
  if (!words.length) return null;
  return (
    <div className="flex flex-wrap items-center gap-x-6">
      <dl className="flex max-w-[100ch] flex-wrap items-center gap-x-6 gap-y-1 pt-2 text-[14px]">
        {words.map(({ abbreviation, words: whole, made }) => (
          <div key={abbreviation} className="flex gap-1.5">
            <dt className="font-mono font-medium">{abbreviation}</dt>
            <dd className="text-soft">
              {[whole === abbreviation ? '' : whole, made && open ? made : ''].filter(Boolean).join(': ')}
            </dd>
          </div>
        ))}
      </dl>
      {words.some(({ made }) => made) ? (
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="min-h-11 text-[15px] underline underline-offset-4"
        >
          {rowsSaid.howToMakeStitches}
        </button>
      ) : null}
    </div>
  );
}

/** What the work begins with, and how much of it there is. */
function beginsWith({ fabric, foundation, bound }: WorkCloth): string {
  const chains = chainsFor(foundation, fabric.count);
  const courses = `${fabric.courses} ${courseWord(fabric.making).toLowerCase()}s`;
  return `${bound.pattern.name}: ${chains ? `${chains} chains` : foundationWords(foundation)}, ${courses}`;
}

const smallestCell = 4;
const largestCell = 44;

function ZoomButton({ label, onClick, children }: { label: string; onClick: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-label={label}
      onClick={onClick}
      className="-ml-px flex size-11 items-center justify-center border border-edge bg-field first:rounded-l-md last:rounded-r-md hover:bg-sheet"
    >
      {children}
    </button>
  );
}
