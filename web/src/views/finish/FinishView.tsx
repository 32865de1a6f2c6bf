import { itemNamed } from '@puntada/core/plan';
import type { Item, PlanDocument, Work } from '@puntada/core/records';
import { finishSaid, upper } from '@puntada/core/words';
import { MapPin } from 'lucide-react';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import {
  problemsOf,
  useChangePreferences,
  useEndWorkMutation,
  useFaceWorkMutation,
  usePreferences,
  useWorkQuery,
} from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Stages } from '../../app/Stages.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { Figure, shownFigure } from '../../parts/Figure.tsx';
import { FinishDrawing } from '../../parts/finish/FinishDrawing.tsx';
import { stepsOfOne } from '../../parts/finish/layout.ts';
import { Problems } from '../../parts/Problems.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useWorkCloth } from '../../parts/useWorkCloth.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';
import { usePlanDocument } from '../../worker/usePlanDocument.ts';

/** What is done when the cloth is off the hook, counted, in the order of doing. */
export default function FinishView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  const work = useArrived(data);
  const { document, problems } = usePlanDocument(work);
  return (
    <>
      <Head title={work?.wish.title ?? 'Finishing'} under={finishSaid.afterLastRowClosing}>
        {work ? <Stages work={work} here="finish" /> : null}
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1440px] px-6 pt-5 pb-10">
        <Problems problems={error ? problemsOf(error) : problems} />
        {document && work ? <Finishing document={document} work={work} /> : null}
        {!document && !problems.length && !error ? (
          <Waiting words={finishSaid.countingFinishingSteps} workedOut />
        ) : null}
      </main>
    </>
  );
}

function Finishing({ document, work }: { document: PlanDocument; work: Work }) {
  const cloth = useWorkCloth(work);
  const key = `${work.id} ${work.revision}`;
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the work
  const part = useAnswer(useMemo(() => () => planner.setPart(work), [key]));
  const steps = useMemo(() => (part ? stepsOfOne(part.sequence) : new Map<string, never>()), [part]);
  const [shown, setShown] = useState<string>();
  const list = useRef<HTMLDivElement>(null);
  // A place shows its step.
  const show = (step: string) => {
    setShown(step);
    list.current?.querySelector(`[data-step="${step}"]`)?.scrollIntoView({ block: 'nearest' });
  };
  return (
    <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[minmax(0,1fr)_440px]">
      <div ref={list} className="max-lg:order-2">
        <FinishingSteps document={document} work={work} shown={shown} onShow={setShown} />
      </div>
      <aside className="lg:sticky lg:top-4 lg:self-start">
        <FinishDrawing
          document={document}
          wish={work.wish}
          cloth={cloth ?? undefined}
          steps={steps}
          shown={shown}
          onShow={show}
        />
        <Off document={document} item={work.wish.item} />
        <p className="mt-5 flex flex-wrap gap-3">
          <ButtonLink to={`/works/${work.id}/labels`}>Labels for it</ButtonLink>
          <ButtonLink to={`/works/${work.id}/price`}>{finishSaid.costAndPrice}</ButtonLink>
        </p>
      </aside>
    </div>
  );
}

interface StepsProps {
  readonly document: PlanDocument;
  readonly work: Work;
  readonly shown: string | undefined;
  readonly onShow: (step: string) => void;
}

/** The steps of the finishing as they are shown. */
export function FinishingSteps({ document, work, shown, onShow }: StepsProps) {
  const { toWeave: ends, closedIn: closed } = document.ends;
  const { pattern } = document;
  const several = document.size.items > 1;
  const { ends: weaving } = usePreferences();
  const [end, ending] = useEndWorkMutation();
  const change = useChangePreferences();
  return (
    <div>
      <ol>
        <Step title={finishSaid.lastCourse(document.pattern.made)} note="">
          {pattern.ends ? <p>{pattern.ends}</p> : null}
          <p>{document.ending}</p>
          {document.endingOpen ? (
            <Choice
              label={finishSaid.howLastLoop}
              value={work.wish.lastLoop ?? 'drawn'}
              options={(['drawn', 'locked'] as const).map((value) => ({ value, words: finishSaid.lastLoops[value] }))}
              onChange={(next) => {
                void end({ id: work.id, revision: work.revision, lastLoop: next });
                change({ lastLoop: next });
              }}
            />
          ) : null}
          <Problems problems={problemsOf(ending.error)} />
        </Step>
        {document.finish.map((part) => (
          <Step
            key={part.name}
            title={upper(part.name)}
            note={finishSaid.stitchesIn(part.stitches, part.rounds, part.colour)}
            of={several ? finishSaid.forEach : undefined}
            place={part.part}
            shown={shown === part.part}
            onShow={onShow}
          >
            {part.name === 'seam' ? <Outside work={work} /> : null}
            {part.steps.map((step) => (
              <p key={step}>{step}</p>
            ))}
          </Step>
        ))}
        <Step
          title="Ends"
          place={document.endPlaces.length ? 'ends' : undefined}
          shown={shown === 'ends'}
          onShow={onShow}
          note={<Worked working={document.workings.ends}>{finishSaid.toWeaveIn(ends)}</Worked>}
          of={several ? finishSaid.forAll(document.size.items) : undefined}
        >
          <p>{finishSaid.endsOf(document.colours)}</p>
          {closed ? <p>{finishSaid.closedIn(closed)}</p> : null}
          <p>{finishSaid.endsDone[weaving]}</p>
          <Choice
            label={finishSaid.howEnds}
            value={weaving}
            options={(['woven', 'knotted', 'over'] as const).map((value) => ({
              value,
              words: finishSaid.endWays[value],
            }))}
            onChange={(next) => change({ ends: next })}
          />
          {weaving === 'over' ? <p className="text-[15px] text-soft">{finishSaid.endsTime}</p> : null}
        </Step>
      </ol>
      {document.cautions.length ? (
        <section className="mt-6">
          <h2 className="border-b border-ink pb-1 text-[19px]">Take care</h2>
          {document.cautions.map((caution) => (
            <p key={caution.text} className="mt-2 border-l-4 border-ochre bg-ochre-pale px-3 py-2 text-[16px]">
              <span aria-hidden>△ </span>
              {caution.text}
            </p>
          ))}
        </section>
      ) : null}
    </div>
  );
}

/** Asked before anything is closed: which face of the cloth is to be outside. */
function Outside({ work }: { work: Work }) {
  const [face, facing] = useFaceWorkMutation();
  const { outside } = work.wish.finish ?? {};
  return (
    <div
      className={`border-l-4 px-3 py-2 ${outside ? 'border-verdigris bg-verdigris-pale' : 'border-ochre bg-ochre-pale'}`}
    >
      <p className="mb-1.5 font-semibold">Which side faces out?</p>
      <Choice
        label="Which side faces out"
        value={outside ?? ''}
        options={[
          { value: 'RS', words: 'Right side' },
          { value: 'WS', words: 'Wrong side' },
        ]}
        onChange={(next) => {
          if (next) void face({ id: work.id, revision: work.revision, outside: next });
        }}
      />
      <Problems problems={problemsOf(facing.error)} />
    </div>
  );
}

interface StepProps {
  readonly title: string;
  readonly note: ReactNode;
  /** Of how many the note tells, where there are several. */
  readonly of?: string | undefined;
  readonly children: ReactNode;
  /** Its place on the drawing, where it has one. */
  readonly place?: string | undefined;
  readonly shown?: boolean;
  readonly onShow?: (step: string) => void;
}

function Step({ title, note, of, children, place, shown = false, onShow }: StepProps) {
  return (
    <li
      data-step={place}
      className={`grid gap-x-6 border-b border-rule py-4 md:grid-cols-[190px_minmax(0,1fr)] ${shown ? '-ml-4 border-l-4 border-l-verdigris pl-3' : ''}`}
    >
      <div>
        <h2 className="text-[19px]">
          {place && onShow ? (
            <button
              type="button"
              aria-pressed={shown}
              title={finishSaid.showPlace(title)}
              onClick={() => onShow(place)}
              className="-mx-1 -my-2 inline-flex min-h-11 items-center gap-1.5 rounded-sm px-1 text-left hover:bg-sheet"
            >
              {title}
              <MapPin aria-hidden className="size-4 text-soft" />
            </button>
          ) : (
            title
          )}
        </h2>
        {note ? (
          <p className="count text-[14px] font-medium text-soft">
            {note}
            {of ? <span className="block font-sans text-[15px]">{of}</span> : null}
          </p>
        ) : null}
      </div>
      <div className="grid max-w-[68ch] gap-1.5 text-[17px]">{children}</div>
    </li>
  );
}

/** The piece off the hook: folded, banded, and the hours of it. */
function Off({ document, item }: { document: PlanDocument; item: Item }) {
  const { folded: size, size: whole } = document;
  return (
    <dl className="mt-5">
      {itemNamed(item).folds ? (
        <>
          <div className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
            <dt>Folded</dt>
            <dd className="text-right">
              <Figure of={{ text: size.short, typical: size.width.source === 'typical' }} className="text-[16px]" />
            </dd>
          </div>
          <div className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
            <dt>Paper band around {whole.pieces > 1 ? `all ${whole.pieces}` : 'it'}</dt>
            <dd>
              <Figure of={shownFigure(size.band)} className="text-[16px]" />
            </dd>
          </div>
        </>
      ) : null}
      <div className="flex items-baseline justify-between gap-3 border-b border-rule py-1.5">
        <dt>{finishSaid.totalTime(whole.items)}</dt>
        <dd className="count">
          <Worked working={document.workings.time}>{document.time.text}</Worked>
        </dd>
      </div>
    </dl>
  );
}
