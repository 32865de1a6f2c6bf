import { decimal, figure, isSamePattern, sourceOf } from '@puntada/core/craft';
import type { ChangedSwatch, StoredSwatch, Swatch, SwatchCount, WorkSummary } from '@puntada/core/records';
import { metresText, policyNames, swatchesSaid } from '@puntada/core/words';
import { swatchFigures } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { problemsOf, useChangeWorkMutation, usePreferences, useWorksQuery } from '../../api/api.ts';
import {
  useChangeSwatchMutation,
  usePutBackRecordMutation,
  useRemoveSwatchMutation,
  useSwatchesQuery,
} from '../../api/records.ts';
import { Missing } from '../../app/Missing.tsx';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { DraftProblems, SavedWords } from '../../parts/DraftHead.tsx';
import { gaugeSpan } from '../../parts/gaugeSpan.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { Saver } from '../../parts/saver.ts';
import { TextField } from '../../parts/TextField.tsx';
import { offerUndo } from '../../parts/undoOffer.ts';
import { sentOf, useSaver } from '../../parts/useSaver.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { planner } from '../../worker/planner.ts';
import type { SwatchWork } from '../../worker/swatchWork.ts';
import { useAnswer } from '../../worker/useAnswer.ts';
import { Counts } from './Counts.tsx';
import { Weighing } from './Weighing.tsx';

/** One swatch: how it is made, what was counted and weighed on it, and the plans that go by it. */
export default function SwatchPage() {
  const { id } = useParams();
  const { data: swatches, error } = useSwatchesQuery();
  const stored = swatches?.find((each) => each.id === id);
  if (stored) return <OpenSwatch key={stored.id} stored={stored} />;
  if (swatches) {
    return (
      <Missing what={swatchesSaid.thisSwatchNotIn}>
        <ButtonLink to="/swatches">{swatchesSaid.openSwatchBook}</ButtonLink>
      </Missing>
    );
  }
  return (
    <>
      <Head title="Swatch" />
      <Shelves />
      <main id="main" className="p-6">
        {error ? <Problems problems={problemsOf(error)} /> : <Waiting words="Opening the swatch…" />}
      </main>
    </>
  );
}

function OpenSwatch({ stored }: { stored: StoredSwatch }) {
  const navigate = useNavigate();
  const { id } = stored;
  const [change] = useChangeSwatchMutation();
  const [remove, removing] = useRemoveSwatchMutation();
  const [putBack] = usePutBackRecordMutation();
  const [moved, setMoved] = useState<ChangedSwatch['plans']>([]);
  const [sure, setSure] = useState(false);
  const [saved, saver] = useSaver(
    `swatch ${id}`,
    () =>
      new Saver<Swatch>({
        value: stored.swatch,
        revision: stored.revision,
        async send(swatch, revision) {
          const answer = await change({ id, revision, swatch });
          if (answer.data) setMoved(answer.data.plans);
          return sentOf(answer);
        },
      }),
  );
  const swatch = saved.value;
  const update = (part: Partial<Swatch>) => saver.change({ ...saver.state().value, ...part });
  const throwAway = async () => {
    saver.leave();
    const answer = await remove(id);
    if (answer.error) return;
    navigate('/swatches');
    offerUndo({ did: `${swatch.title} is deleted.`, undo: () => putBack({ kind: 'swatch', id }), on: '/swatches' });
  };
  const { terms, hand, manner } = usePreferences();
  const made = useAnswer(
    useMemo(() => () => planner.swatchWork(swatch, { terms, hand, manner }), [swatch, terms, hand, manner]),
  );
  return (
    <>
      <Head
        title={swatch.title}
        under={`${swatch.hook ? `${figure(swatch.hook)} mm hook, ` : ''}${policyNames[swatch.policy]}`}
      >
        <SavedWords state={saved.state} />
      </Head>
      <Shelves />
      <main
        id="main"
        className="mx-auto grid w-full max-w-[1440px] gap-x-10 gap-y-8 px-6 pt-5 pb-12 lg:grid-cols-[minmax(0,1fr)_400px]"
      >
        <div className="grid min-w-0 content-start gap-6">
          <DraftProblems draft={{ ...saved, keepMine: saver.keepMine }} />
          <Problems problems={problemsOf(removing.error)} />
          <Moved plans={moved} />
          <Figures swatch={swatch} />
          <Counts
            counts={swatch.counts}
            units={swatch.units}
            onChange={(counts: SwatchCount[]) => {
              const before = swatch.counts;
              update({ counts });
              if (counts.length < before.length) {
                offerUndo({ did: 'Count deleted.', undo: () => update({ counts: before }) });
              }
            }}
          />
          <Weighing swatch={swatch} reading={made?.reading} onChange={(weight) => update({ weight })} />
          <Note note={swatch.note} onChange={(note) => update({ note })} />
        </div>
        <aside className="grid content-start gap-6">
          <HowToMake swatch={swatch} plan={made?.plan} />
          <PlansOf stored={stored} reading={made?.reading} />
          {sure ? (
            <div className="flex gap-3">
              <Button onClick={throwAway}>Yes, delete it</Button>
              <Button kind="quiet" onClick={() => setSure(false)}>
                Keep it
              </Button>
            </div>
          ) : (
            <button
              type="button"
              onClick={() => setSure(true)}
              className="min-h-11 justify-self-start text-[15px] text-soft underline underline-offset-4 hover:text-ink"
            >
              Delete this swatch
            </button>
          )}
        </aside>
      </main>
    </>
  );
}

/** The plans that the last change moved, and how. */
function Moved({ plans }: { plans: ChangedSwatch['plans'] }) {
  if (!plans.length) return null;
  return (
    <div role="status" className="border-l-4 border-verdigris bg-verdigris-pale px-4 py-3">
      <p className="font-semibold">{swatchesSaid.thisSwatchAndNow(plans.length)}</p>
      <ul>
        {plans.map((plan) => (
          <li key={plan.id} className="py-0.5 text-[15px]">
            <Link to={`/works/${plan.id}/size`} className="underline underline-offset-4">
              {plan.title}
            </Link>{' '}
            {plan.words}.
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The gauge that came of it, large. */
function Figures({ swatch }: { swatch: Swatch }) {
  const { units } = usePreferences();
  const worked = swatchFigures(swatch);
  const washed = swatch.counts.some((count) => count.washed) ? swatchFigures(swatch, true) : undefined;
  const { words: over, of10cm: span } = gaugeSpan(units);
  if (!worked) {
    return <p className="text-[18px]">{swatchesSaid.makeItAndLay(over)}</p>;
  }
  return (
    <dl className="grid grid-cols-2 gap-x-8 gap-y-3 border-b border-rule pb-5 sm:grid-cols-4">
      <Big term={`stitches in ${over}`} value={decimal(worked.stitches * span, 1)} />
      <Big term={`rows in ${over}`} value={decimal(worked.rows * span, 1)} />
      {washed ? (
        <Big
          term="washed, stitches × rows"
          value={`${decimal(washed.stitches * span, 1)} × ${decimal(washed.rows * span, 1)}`}
        />
      ) : (
        <Big term="washed" value="not counted" quiet />
      )}
      <Big term="accurate to" value={`± ${Math.max(1, Math.round(worked.within * 100))} %`} />
    </dl>
  );
}

function Big({ term, value, quiet = false }: { term: string; value: string; quiet?: boolean }) {
  return (
    <div>
      <dt className="text-[14px] text-soft">{term}</dt>
      <dd
        className={
          quiet
            ? 'text-[17px] text-soft'
            : `count whitespace-nowrap leading-tight ${value.length > 8 ? 'pt-1 text-[21px]' : 'text-[28px]'}`
        }
      >
        {value}
      </dd>
    </div>
  );
}

function Note({ note, onChange }: { note: string; onChange: (note: string) => void }) {
  return (
    <TextField label="Note" value={note} onChange={onChange} maxLength={400} placeholder={swatchesSaid.howItFeelsHow} />
  );
}

/** How the swatch is made, a few lines, and its first rows. */
function HowToMake({ swatch, plan }: { swatch: Swatch; plan: SwatchWork['plan'] | undefined }) {
  const { told } = usePreferences();
  if (!plan) return <Waiting words="Planning the swatch…" workedOut />;
  if (!plan.ok) return <Problems problems={plan.problems} />;
  const { chains, across, up, grouped } = plan.value;
  const blocks = up.word === 'blocks up';
  const metres = plan.value.yarn.map((need) => `${need.letter} ${metresText(need.metres, told)}`).join(', ');
  return (
    <section aria-label={swatchesSaid.howToMakeIt}>
      <h2 className="border-b border-ink pb-1 text-[19px]">{swatchesSaid.howToMakeIt}</h2>
      <div className="mt-3 flex gap-4">
        <PatternPicture
          pattern={sourceOf(swatch.pattern) || 'block-check'}
          stitch={swatch.pattern.stitch}
          shades={swatch.yarns.map((yarn) => yarn.shade)}
          side={120}
        />
        <p className="text-[16px]">
          {chains ? (
            <>
              Chain <b className="count text-[20px]">{chains}</b>,{' '}
            </>
          ) : null}
          work <b className="count text-[20px]">{up.count}</b> {blocks ? 'rows of blocks' : up.word} of{' '}
          <b className="count text-[20px]">{across.count}</b>
          {across.word === 'stitches' || blocks ? '' : ` ${across.word}`}. Yarn needed: {metres}.
        </p>
      </div>
      <ol className="mt-3 border-t border-rule text-[15px]">
        {grouped.map((line) => (
          <li key={line} className="border-b border-rule py-1.5">
            {line}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Plans that go by this swatch, and those that could. */
function PlansOf({ stored, reading }: { stored: StoredSwatch; reading: SwatchWork['reading'] }) {
  const { data: works } = useWorksQuery();
  const [change, changing] = useChangeWorkMutation();
  const counted = swatchFigures(stored.swatch) !== undefined;
  const goesBy = ({ wish: { gauge } }: WorkSummary) => gauge.from === 'counted' && gauge.swatch === stored.id;
  const using = works?.filter(goesBy) ?? [];
  const fitting =
    works?.filter(
      (work) =>
        work.state === 'wished' &&
        !goesBy(work) &&
        isSamePattern(sourceOf(work.wish.pattern), sourceOf(stored.swatch.pattern)),
    ) ?? [];
  const use = async (work: WorkSummary) => {
    const wish = await planner.withSwatch(work.wish, stored.id, stored.swatch);
    if (wish.ok) await change({ id: work.id, revision: work.revision, wish: wish.value });
  };
  return (
    <section aria-label="Projects">
      <h2 className="border-b border-ink pb-1 text-[19px]">Projects using this swatch</h2>
      {using.length ? (
        <ul>
          {using.map((work) => (
            <li key={work.id} className="border-b border-rule py-1.5">
              <Link to={`/works/${work.id}/size`} className="underline underline-offset-4">
                {work.wish.title}
              </Link>
            </li>
          ))}
        </ul>
      ) : (
        <p className="py-2 text-[15px] text-soft">None yet.</p>
      )}
      {reading && !reading.ok ? <Problems problems={reading.problems} kind="warning" /> : null}
      {counted && fitting.length ? (
        <div className="mt-3 grid gap-2">
          <p className="text-[15px] text-soft">{swatchesSaid.plannedInSamePattern}</p>
          {fitting.map((work) => (
            <Button
              key={work.id}
              onClick={() => void use(work)}
              disabled={changing.isLoading}
              className="justify-start text-left"
            >
              Use it for {work.wish.title}
            </Button>
          ))}
        </div>
      ) : null}
      <Problems problems={problemsOf(changing.error)} />
    </section>
  );
}
