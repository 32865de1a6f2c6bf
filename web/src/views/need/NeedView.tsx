import type { Problem } from '@puntada/core/craft';
import type { PlanDocument, Wish, Work } from '@puntada/core/records';
import { chanceText, enoughWords, needSaid, upper, yarnPartName } from '@puntada/core/words';
import { useMemo } from 'react';
import { useParams } from 'react-router';
import { problemsOf, useWorkQuery } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Stages } from '../../app/Stages.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { DraftHead, DraftProblems } from '../../parts/DraftHead.tsx';
import { Figure, shownFigure } from '../../parts/Figure.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { type PlanDraft, usePlanDraft } from '../../parts/usePlanDraft.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { usePlanDocument } from '../../worker/usePlanDocument.ts';
import { Beside } from './Beside.tsx';
import { ChanceSteps } from './ChanceSteps.tsx';
import { Policies } from './Policies.tsx';

/** What the work takes of every yarn, how sure that is, and what each way with the idle colour costs. */
export default function NeedView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  const work = useArrived(data);
  if (work) return <NeedOfWork key={work.id} work={work} />;
  return (
    <>
      <Head title="Yarn" />
      <main id="main" className="p-6">
        {error ? <Problems problems={problemsOf(error)} /> : null}
      </main>
    </>
  );
}

function NeedOfWork({ work }: { work: Work }) {
  const draft = usePlanDraft(work);
  const settled = work.state !== 'wished';
  return (
    <>
      <Head title={work.wish.title} under={needSaid.howMuchYouNeed}>
        <DraftHead draft={draft} settled={settled} />
        <Stages work={work} here="yarn" />
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1440px] px-6 pt-4 pb-10">
        <DraftProblems draft={draft} />
        <Need work={work} draft={draft} settled={settled} />
      </main>
    </>
  );
}

function Need({ work, draft, settled }: { work: Work; draft: PlanDraft; settled: boolean }) {
  const { id, begun } = work;
  const { wish } = draft;
  // Once it is begun it is the cloth on the hook that takes its yarn.
  const planned = useMemo(() => ({ wish: begun ? work.wish : wish, begun }), [begun, work.wish, wish]);
  const { document, problems, busy } = usePlanDocument(planned);
  if (problems.length) return <Problems problems={problems} />;
  if (!document) return <Waiting words={needSaid.workingOutYarn} workedOut />;
  return (
    <div aria-busy={busy} className={busy ? 'opacity-60' : ''}>
      <ul>
        {document.colours.map((colour) => (
          <ColourNeed
            key={colour.letter}
            colour={colour}
            workings={document.workings.yarn.find(({ letter }) => letter === colour.letter)}
            wish={wish}
            made={document.pattern.made}
          />
        ))}
      </ul>
      <section className="mt-8">
        <h2 className="border-b border-ink pb-1 text-[19px]">{needSaid.whatToDoWith}</h2>
        <div className="pt-3">
          <Problems
            problems={document.warnings.filter(({ code }) => code === 'many-ends') as Problem[]}
            kind="warning"
          />
        </div>
        <Policies document={document} settled={settled} onTake={(policy) => draft.change({ policy })} />
        <div className="mt-3">
          <ButtonLink to={`/works/${id}/strips`}>{needSaid.compareThemOnTest}</ButtonLink>
        </div>
      </section>
      <section className="mt-8">
        <h2 className="border-b border-ink pb-1 text-[19px]">Compare patterns</h2>
        <Beside wish={wish} />
      </section>
      <section className="mt-8 grid gap-x-10 gap-y-4 lg:grid-cols-2">
        <div>
          <h2 className="border-b border-ink pb-1 text-[19px]">{needSaid.howToBeMore}</h2>
          <p className="py-2 text-[15px] text-soft">{needSaid.whatYouCouldMeasure}</p>
          <ul>
            {document.measureNext.map((next) => (
              <li key={next.what} className="flex justify-between gap-4 border-b border-rule py-2 text-[16px]">
                <span>{upper(next.what)}</span>
                <span className="count shrink-0">{next.within}</span>
              </li>
            ))}
          </ul>
        </div>
        <div>
          <h2 className="border-b border-ink pb-1 text-[19px]">One size smaller</h2>
          {document.savings.length ? (
            document.savings.map((saving) => (
              <p key={saving} className="border-b border-rule py-2 text-[16px]">
                {saving}
              </p>
            ))
          ) : (
            <p className="py-2 text-[15px] text-soft">{needSaid.oneSizeNarrowerOr}</p>
          )}
          <p className="py-2 text-[15px] text-soft">{needSaid.buyItAllAt}</p>
        </div>
      </section>
    </div>
  );
}

interface ColourNeedProps {
  readonly colour: PlanDocument['colours'][number];
  readonly workings: PlanDocument['workings']['yarn'][number] | undefined;
  readonly wish: Wish;
  readonly made: string;
}

/** One colour: the range, where it goes, the balls with their chance, and where each ball ends. */
function ColourNeed({ colour, workings, wish, made }: ColourNeedProps) {
  const yarn = wish.yarns.find((each) => each.letter === colour.letter);
  const whole = (colour.metres.low + colour.metres.high) / 2;
  return (
    <li className="grid grid-cols-[minmax(0,1fr)] gap-x-8 gap-y-3 border-b border-rule py-5 lg:grid-cols-[250px_minmax(0,1fr)_330px]">
      <div className="flex items-start gap-3">
        <YarnChip letter={colour.letter} shade={yarn?.shade ?? '#888888'} size={44} />
        <div className="min-w-0">
          <h2 className="text-[19px]">{colour.name}</h2>
          <p className="leading-tight">
            <Worked working={workings?.metres}>
              <Figure of={shownFigure(colour.metres)} className="text-[26px]" />
            </Worked>
          </p>
          <p>
            <Worked working={workings?.grams}>
              <Figure of={shownFigure(colour.grams)} className="text-[16px]" />
            </Worked>
          </p>
        </div>
      </div>
      <table className="w-full self-start text-[16px]">
        <caption className="sr-only">{needSaid.whereMetresGo(colour.letter)}</caption>
        <tbody>
          {Object.entries(colour.parts).map(([name, metres]) => (
            <tr key={name} className="border-b border-rule last:border-b-0">
              <th scope="row" className="py-1 text-left font-normal whitespace-nowrap">
                {yarnPartName(name)}
              </th>
              <td aria-hidden className="w-full px-3">
                <span
                  className="block h-2.5 bg-ink/75"
                  style={{ width: `${Math.max(0.6, (50 * (metres.low + metres.high)) / whole)}%` }}
                />
              </td>
              <td className="py-1 text-right whitespace-nowrap">
                <Figure of={shownFigure(metres)} className="text-[15px]" />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="self-start">
        {colour.chances.length ? (
          <ChanceSteps sure={wish.sure} chances={colour.chances} need={colour.balls?.short ?? ''} workings={workings} />
        ) : (
          <p className="text-[15px] text-soft">{needSaid.addGramsAndMetres}</p>
        )}
        {colour.drawer ? (
          <p className="mt-2 text-[15px]">
            {needSaid.whatYouHave} <b className="font-semibold">{enoughWords(colour.drawer.chance)}</b>{' '}
            <span className="whitespace-nowrap">
              (<Worked working={workings?.drawer}>{chanceText(colour.drawer.chance)}</Worked>)
            </span>
          </p>
        ) : null}
        {colour.ballEnds.map((end) => (
          <p key={end.ball} className="mt-1 text-[15px] text-soft">
            {needSaid.ballEnds(end.ball, end.between, end.joinAfter, made)}
          </p>
        ))}
      </div>
    </li>
  );
}
