import {
  asWideAsHigh,
  chooseSizes,
  fitSizes,
  type HeightOffer,
  type Prepared,
  prepare,
  type Sizes,
  type WidthOffer,
  type Wish,
} from '@puntada/core';
import { useEffect, useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { problemsOf, useBeginWorkMutation, usePreferences, useWorkQuery, type Work } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Stages } from '../../app/Stages.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { DraftHead, DraftProblems } from '../../parts/DraftHead.tsx';
import { Notice } from '../../parts/Notice.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { type PlanDraft, usePlanDraft } from '../../parts/usePlanDraft.ts';
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
  if (work) return <MatOfWork key={work.id} work={work} />;
  return (
    <>
      <Head title="Size" />
      <main id="main" className="p-6">
        {error ? <Problems problems={problemsOf(error)} /> : <p className="text-soft">Unrolling the mat…</p>}
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

function MatOfWork({ work }: { work: Work }) {
  const draft = usePlanDraft(work);
  const { told } = usePreferences();
  const { wish } = draft;
  const settled = work.state !== 'wished';
  // The choice alone moves no notch, so it is left out of what the sizes hang on.
  const rulesKey = JSON.stringify({ ...wish, choice: undefined });
  const fit = useMemo(() => {
    const prepared = prepare(JSON.parse(rulesKey) as Wish, told);
    return prepared.ok ? { prepared: prepared.value, sizes: fitSizes(prepared.value) } : undefined;
  }, [rulesKey, told]);
  const craft = useCraftWords();
  const sizes = fit?.sizes.ok ? fit.sizes.value : undefined;
  return (
    <>
      <Head title={wish.title} under={fit ? craft(patternLine(fit.prepared)) : undefined}>
        <DraftHead draft={draft} settled={settled} />
        <Stages work={work} here="size" />
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1440px] px-6 pt-3 pb-8">
        <Notice text={work.notice} />
        <DraftProblems draft={draft} />
        {fit && !fit.sizes.ok ? (
          <div className="grid max-w-[70ch] gap-4 py-4">
            <Problems problems={fit.sizes.problems} />
            <ButtonLink to={`/works/${work.id}/wish`}>Change the wish</ButtonLink>
          </div>
        ) : null}
        {fit && sizes ? (
          <SizeChooser work={work} prepared={fit.prepared} sizes={sizes} wish={wish} draft={draft} settled={settled} />
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
  const blocks = b !== undefined && r !== undefined ? ` ${b} × ${r}, ${bound.stitch}` : '';
  return `${bound.pattern.name}${blocks}, ${prepared.technique.name}`;
}

interface ChooserProps {
  readonly work: Work;
  readonly prepared: Prepared;
  readonly sizes: Sizes;
  readonly wish: Wish;
  readonly draft: PlanDraft;
  readonly settled: boolean;
}

function SizeChooser({ work, prepared, sizes, wish, draft, settled }: ChooserProps) {
  const navigate = useNavigate();
  const { told: units } = usePreferences();
  const [begin, beginning] = useBeginWorkMutation();
  const { width, height } = useMemo(() => chosenOffers(prepared, wish, sizes), [prepared, wish, sizes]);
  const chosen = { stitches: width.stitches, rows: height.rows };
  const isCircle = prepared.technique.key === 'wedge-circle';
  const choices = useMemo(() => chooseSizes(prepared, sizes), [prepared, sizes]);
  const counted = prepared.yarns.every((yarn) => yarn.ballGrams !== undefined);
  const steps = counted && cellsOf(sizes) < quickCells ? sizes.up.offers : [];
  const wanted = [
    chosen,
    ...choices.map((choice) => ({ stitches: choice.width.stitches, rows: choice.height.rows })),
    ...steps.slice(0, 40).map((offer) => ({ stitches: width.stitches, rows: offer.rows })),
  ];
  const figures = useFigures(wish, wanted);
  const choose = (part: Partial<typeof chosen>) => {
    if (!settled) draft.change({ choice: { ...chosen, ...part } });
  };
  const start = async () => {
    draft.handOver();
    const answer = await begin({ id: work.id, revision: draft.revision, wish: { ...wish, choice: chosen } });
    if (answer.data) navigate(`/works/${work.id}/work`);
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (event.key !== 'Enter' || settled || target?.closest('button, a, input, select')) return;
      void start();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-[minmax(0,1fr)_344px]">
      <div className="min-w-0">
        {settled ? (
          <p className="pb-3 text-[15px] text-soft">This work is {work.state}; its size is settled.</p>
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
          onWidth={(offer) => choose({ stitches: offer.stitches })}
          onHeight={(offer) => choose({ rows: offer.rows })}
        />
        <p className="mt-2 text-[14px] text-soft">
          Drag an edge, or press ← → ↑ ↓ on it. Long notches: {isCircle ? '' : 'both edges alike, '}ends as it began.
        </p>
        <div className="mt-3">
          <Alternatives
            choices={choices}
            figures={figures}
            chosen={chosen}
            units={units}
            prepared={prepared}
            onChoose={(choice) => choose({ stitches: choice.width.stitches, rows: choice.height.rows })}
          />
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
      <div className="grid content-start gap-4 pt-1">
        <Problems problems={sizes.warnings} kind="warning" />
        <Ticket
          prepared={prepared}
          sizes={sizes}
          width={width}
          height={height}
          figures={figures.get(sizeKey(chosen))}
          units={units}
        />
        {settled ? null : <FromDrawer wish={wish} onTake={choose} />}
        {settled ? (
          <ButtonLink to={`/works/${work.id}/work`} kind="next">
            Go on working
          </ButtonLink>
        ) : (
          <div className="border-t border-transparent bg-paper lg:sticky lg:bottom-0 lg:border-ink lg:py-3">
            <Button
              kind="next"
              shortcut="Enter"
              onClick={start}
              disabled={beginning.isLoading || draft.state === 'saving'}
              className="w-full justify-between text-[19px]"
            >
              {width.chains ? `Begin: chain ${width.chains}` : 'Begin: make a ring'}
            </Button>
          </div>
        )}
        {beginning.error ? <Problems problems={problemsOf(beginning.error)} /> : null}
        <p className="text-[14px] text-soft">
          Yarn is a forecast until it is weighed: nine times out of ten it lies in this range. Balls are enough 19 times
          in 20.
        </p>
      </div>
    </div>
  );
}
