import { good, type ToldUnit } from '@puntada/core/craft';
import {
  asWideAsHigh,
  chooseSizes,
  fitSizes,
  type HeightOffer,
  isTube,
  onlySize,
  type Prepared,
  prepareWork,
  type Sizes,
  type ThawedWork,
  thaw,
  type WidthOffer,
} from '@puntada/core/plan';
import type { Wish, Work } from '@puntada/core/records';
import { finishedFigure, goOnWords, matSaid, placedWords, stateWord, techniqueWords } from '@puntada/core/words';
import { useMemo, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { problemsOf, useBeginWorkMutation, usePreferences, useWorkQuery } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Stages } from '../../app/Stages.tsx';
import { ActBar } from '../../parts/ActBar.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { DraftHead, DraftProblems } from '../../parts/DraftHead.tsx';
import { Figure } from '../../parts/Figure.tsx';
import { Notice } from '../../parts/Notice.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TakeBackStart } from '../../parts/TakeBackStart.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { type PlanDraft, usePlanDraft } from '../../parts/usePlanDraft.ts';
import { useRested } from '../../parts/useRested.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';
import { sizeKey, useFigures } from '../../worker/useFigures.ts';
import { Alternatives } from './Alternatives.tsx';
import { BallSteps } from './BallSteps.tsx';
import { FromDrawer } from './FromDrawer.tsx';
import { Mat, rowWord } from './Mat.tsx';
import { Rules } from './Rules.tsx';
import { Ticket } from './Ticket.tsx';

/** The fit mat: only the sizes that the pattern allows, and what each comes to. */
export default function MatView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  const work = useArrived(data);
  // Begun and planned are two views of it: each begins with what the server has.
  if (work) return <MatOfWork key={`${work.id} ${work.state}`} work={work} />;
  return (
    <>
      <Head title="Size" />
      <main id="main" className="p-6">
        {error ? <Problems problems={problemsOf(error)} /> : <Waiting words={matSaid.workingOutSizes} />}
      </main>
    </>
  );
}

/** The chosen notches: the wish's choice where it is still on offer, else the nearest. */
function chosenOffers(prepared: Prepared, wish: Wish, sizes: Sizes): { width: WidthOffer; height: HeightOffer } {
  const { choice } = wish;
  const width = sizes.across.offers.find((offer) => offer.stitches === choice?.stitches) ?? sizes.across.chosen;
  const height = sizes.up.offers.find((offer) => offer.rows === choice?.rows) ?? sizes.up.chosen;
  return asWideAsHigh(prepared, { width, height });
}

/** What there is to fit: every size near a wish, or the one size of a cloth that is on the hook. */
function fitOf(work: Work, wish: Wish, told: ToldUnit) {
  const prepared = prepareWork({ wish, begun: work.begun }, told);
  if (!prepared.ok) return { problems: prepared.problems };
  const back = work.begun ? thaw(work.begun) : undefined;
  if (!back?.ok) return { prepared: prepared.value, sizes: fitSizes(prepared.value) };
  const { fabric } = back.value;
  const only = onlySize(prepared.value, fabric.count, wish.choice?.rows ?? fabric.courses);
  return { prepared: prepared.value, sizes: good(only), cloth: back.value };
}

function MatOfWork({ work }: { work: Work }) {
  const draft = usePlanDraft(work);
  const { told } = usePreferences();
  const { wish } = draft;
  const settled = work.state !== 'wished';
  // The choice alone moves no notch, so it is left out of what the sizes hang on.
  const rulesKey = JSON.stringify({ ...wish, choice: undefined });
  const rows = settled ? wish.choice?.rows : undefined;
  const fit = useMemo(() => {
    const bare = JSON.parse(rulesKey) as Wish;
    const { choice } = work.wish;
    return fitOf(work, rows === undefined || !choice ? bare : { ...bare, choice }, told);
  }, [rulesKey, told, work, rows]);
  const craft = useCraftWords();
  const sizes = fit.sizes?.ok ? fit.sizes.value : undefined;
  const refused = fit.problems ?? (fit.sizes.ok ? [] : fit.sizes.problems);
  const anywhere = refused.some((problem) => problem.anywhere !== undefined);
  return (
    <>
      <Head title={wish.title} under={fit.prepared ? craft(patternLine(fit.prepared)) : undefined}>
        <DraftHead draft={draft} settled={settled} />
        <Stages work={work} here="size" />
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1440px] px-6 pt-3 pb-8">
        <Notice text={work.notice} />
        <DraftProblems draft={draft} />
        {refused.length ? (
          <div className="grid max-w-[70ch] gap-4 py-4">
            <Problems problems={refused} />
            <div className="flex flex-wrap gap-3">
              <ButtonLink to={`/works/${work.id}/wish`}>Change the idea</ButtonLink>
              {anywhere && !settled ? (
                <Button onClick={() => draft.change({ ending: 'any', choice: undefined })}>
                  {matSaid.letItStopAt}
                </Button>
              ) : null}
            </div>
          </div>
        ) : null}
        {fit.prepared && sizes ? (
          <SizeChooser
            work={work}
            prepared={fit.prepared}
            sizes={sizes}
            wish={wish}
            draft={draft}
            settled={settled}
            cloth={fit.cloth}
          />
        ) : null}
      </main>
    </>
  );
}

/** Up to so many stitches every height is measured at once, for the picture of balls. */
const quickCells = 20_000;

function cellsOf({ across, up }: Sizes): number {
  return across.chosen.stitches * up.chosen.rows;
}

function patternLine(prepared: Prepared): string {
  const { bound } = prepared;
  const { b, r } = bound.numbers;
  const blocks = b !== undefined && r !== undefined ? ` ${b} × ${r}, {${bound.stitch}}` : '';
  return `${bound.pattern.name}${blocks}, ${techniqueWords(prepared.technique.key).name}`;
}

interface ChooserProps {
  readonly work: Work;
  readonly prepared: Prepared;
  readonly sizes: Sizes;
  readonly wish: Wish;
  readonly draft: PlanDraft;
  readonly settled: boolean;
  /** What is on the hook. */
  readonly cloth: ThawedWork | undefined;
}

function SizeChooser({ work, prepared, sizes, wish, draft, settled, cloth }: ChooserProps) {
  const navigate = useNavigate();
  const { told: units, hand } = usePreferences();
  const [begin, beginning] = useBeginWorkMutation();
  const { width, height } = useMemo(() => chosenOffers(prepared, wish, sizes), [prepared, wish, sizes]);
  const chosen = { stitches: width.stitches, rows: height.rows };
  const isCircle = prepared.technique.circle === true;
  const choices = useMemo(() => (settled ? [] : chooseSizes(prepared, sizes)), [prepared, sizes, settled]);
  const counted = prepared.yarns.every((yarn) => yarn.ballGrams !== undefined);
  const steps = !settled && counted && cellsOf(sizes) < quickCells ? sizes.up.offers : [];
  const wanted = settled
    ? []
    : [
        chosen,
        ...choices.map((choice) => ({ stitches: choice.width.stitches, rows: choice.height.rows })),
        ...steps.slice(0, 40).map((offer) => ({ stitches: width.stitches, rows: offer.rows })),
      ];
  const figures = useFigures(wish, wanted);
  const askOwn = useMemo(() => (settled ? () => planner.figuresOfWork(work) : undefined), [settled, work]);
  const own = useAnswer(askOwn);
  // To count what every other way would cost is dear: only where the size rests.
  const endsKey = useRested(
    settled ? '' : JSON.stringify({ wish: { ...wish, choice: undefined }, sizes: [chosen] }),
    400,
  );
  const askEnds = useMemo(() => (endsKey ? () => planner.endsOf(JSON.parse(endsKey)) : undefined), [endsKey]);
  const ends = useAnswer(askEnds);
  const choose = (part: Partial<typeof chosen>) => {
    if (!settled) draft.change({ choice: { ...chosen, ...part } });
  };
  // Whether it was asked for already: what is pressed twice begins once.
  const asked = useRef(false);
  const canBegin = !settled && !beginning.isLoading;
  const start = async () => {
    if (!canBegin || asked.current) return;
    asked.current = true;
    await draft.handOver(async (revision) => {
      const answer = await begin({ id: work.id, revision, wish: { ...wish, choice: chosen } });
      if (answer.data) navigate(`/works/${work.id}/work`);
      return answer.data !== undefined;
    });
    asked.current = false;
  };
  return (
    <div>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_344px] lg:grid-rows-[auto_1fr]">
        <div className="flex min-w-0 flex-col">
          {settled ? (
            <p className="pb-3 text-[15px] text-soft">{matSaid.thisProjectSoIts(stateWord(work.state))}</p>
          ) : (
            <Rules
              edges={prepared.wish.edges}
              ending={wish.ending}
              policy={wish.policy}
              tolerance={wish.tolerance}
              units={wish.units}
              bound={prepared.bound}
              technique={prepared.technique}
              onChange={draft.change}
            />
          )}
          <Mat
            prepared={prepared}
            sizes={sizes}
            width={width}
            height={height}
            units={units}
            cloth={cloth}
            onWidth={(offer) => choose({ stitches: offer.stitches })}
            onHeight={(offer) => choose({ rows: offer.rows })}
            onPlaced={settled ? undefined : (placed) => draft.change({ placed })}
          />
          {placedWords(prepared, width.stitches, height.rows, hand).map((line) => (
            <p key={line} className="mt-2 text-[15px]">
              {line}
            </p>
          ))}
          {settled ? null : (
            <p className="mt-2 text-[14px] text-soft">
              {matSaid.dragEdgeTapMark(isCircle ? 'circle' : isTube(prepared) ? 'tube' : 'flat')}
            </p>
          )}
        </div>
        <div className="grid content-start gap-4 pt-1 lg:col-start-2 lg:row-span-2 lg:row-start-1">
          <Problems problems={[...sizes.warnings, ...(ends ?? [])]} kind="warning" />
          <Ticket
            prepared={prepared}
            sizes={sizes}
            width={width}
            height={height}
            figures={settled ? own : figures.get(sizeKey(chosen))}
            units={units}
          />
          {settled ? null : <FromDrawer wish={wish} onTake={choose} />}
          {settled ? (
            <div className="grid gap-1">
              <ButtonLink to={`/works/${work.id}/work`} kind="next">
                {goOnWords(work)}
              </ButtonLink>
              <TakeBackStart work={work} />
            </div>
          ) : (
            <div className="border-t border-ink bg-paper py-3 max-lg:hidden lg:sticky lg:bottom-0">
              <StartButton chains={width.chains} disabled={!canBegin} onStart={start} />
            </div>
          )}
          {beginning.error ? <Problems problems={problemsOf(beginning.error)} /> : null}
          <p className="text-[14px] text-soft">{matSaid.yarnEstimate9Times}</p>
        </div>
        <div className="min-w-0">
          {settled ? null : (
            <Alternatives
              choices={choices}
              figures={figures}
              chosen={chosen}
              units={units}
              prepared={prepared}
              onChoose={(choice) => choose({ stitches: choice.width.stitches, rows: choice.height.rows })}
            />
          )}
          {steps.length ? (
            <BallSteps
              heights={steps.slice(0, 40)}
              stitches={width.stitches}
              rows={height.rows}
              figures={figures}
              word={rowWord(prepared)}
              circle={isCircle}
              onChoose={(offer) => choose({ rows: offer.rows })}
            />
          ) : null}
        </div>
      </div>
      {settled ? null : (
        <ActBar>
          <p className="min-w-0 flex-1 leading-tight">
            <Figure of={finishedFigure(width.width, height.height, units, isCircle)} className="text-[17px]" />
          </p>
          <StartButton chains={width.chains} disabled={!canBegin} onStart={start} />
        </ActBar>
      )}
    </div>
  );
}

function StartButton({ chains, disabled, onStart }: { chains: number; disabled: boolean; onStart: () => void }) {
  return (
    <Button kind="next" onClick={onStart} disabled={disabled} className="text-[18px] lg:w-full lg:text-[19px]">
      {chains ? `Start with ${chains} chains` : matSaid.startWithRing}
    </Button>
  );
}
