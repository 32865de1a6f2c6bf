import { decimal, type Policy, type Result, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import type { Wish, Work } from '@puntada/core/records';
import { hoursText, needSaid, policyNames, stateWord, upper } from '@puntada/core/words';
import type { Strip } from '@puntada/core/work';
import { useCallback, useState } from 'react';
import { useParams } from 'react-router';
import { problemsOf, usePreferences, useWorkQuery } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Stages } from '../../app/Stages.tsx';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { DraftHead, DraftProblems } from '../../parts/DraftHead.tsx';
import { GramsField } from '../../parts/GramsField.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TermLine } from '../../parts/TermLine.tsx';
import { useArrived } from '../../parts/useArrived.ts';
import { useGrams } from '../../parts/useGrams.ts';
import { type PlanDraft, usePlanDraft } from '../../parts/usePlanDraft.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';

/** Three small strips of the maker's own yarn: carried, cut, up the side; made, weighed, looked at, decided. */
export default function StripsView() {
  const { id = '' } = useParams();
  const { data, error } = useWorkQuery(id);
  const work = useArrived(data);
  if (work) return <StripsOfWork key={work.id} work={work} />;
  return (
    <>
      <Head title="Test strips" />
      <main id="main" className="p-6">
        {error ? <Problems problems={problemsOf(error)} /> : null}
      </main>
    </>
  );
}

function StripsOfWork({ work }: { work: Work }) {
  const draft = usePlanDraft(work);
  const strips = useStrips(draft.wish);
  return (
    <>
      <Head title={work.wish.title} under={needSaid.testStripsOneSmall}>
        <DraftHead draft={draft} settled={work.state !== 'wished'} />
        <Stages work={work} here="yarn" />
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1180px] px-6 pt-5 pb-12">
        <DraftProblems draft={draft} />
        {strips && !strips.ok ? <Problems problems={strips.problems} kind="warning" /> : null}
        {strips ? null : <Waiting words="Planning the strips…" workedOut />}
        {strips?.ok ? <Strips work={work} draft={draft} strips={strips.value} /> : null}
        <div className="mt-6">
          <ButtonLink to={`/works/${work.id}/yarn`}>Back to Yarn</ButtonLink>
        </div>
      </main>
    </>
  );
}

function useStrips(wish: Wish): Result<Strip[]> | undefined {
  const key = JSON.stringify(wish);
  return useAnswer(useCallback(() => planner.strips(JSON.parse(key)), [key]));
}

function Strips({ work, draft, strips }: { work: Work; draft: PlanDraft; strips: readonly Strip[] }) {
  const settled = work.state !== 'wished';
  const { wish, change } = draft;
  const [first] = strips;
  return (
    <div className="grid gap-5">
      {first ? (
        <p className="max-w-[70ch] text-[17px]">
          Each strip: chain <b className="count">{first.chains}</b>, <b className="count">{first.rows}</b> rows of{' '}
          <b className="count">{first.stitches}</b>
          {needSaid.withYourOwnYarn}
        </p>
      ) : null}
      <ul className="grid gap-x-8 gap-y-6 md:grid-cols-3">
        {strips.map((strip) => (
          <OneStrip
            key={`${strip.policy} ${strip.weighed ?? ''}`}
            strip={strip}
            chosen={wish.policy === strip.policy}
            settled={settled}
            onWeigh={(grams) => change({ strips: { ...wish.strips, [strip.policy]: grams } })}
            onTake={(policy) => change({ policy })}
          />
        ))}
      </ul>
      {settled ? <p className="text-[15px] text-soft">{needSaid.thisProjectSoThis(stateWord(work.state))}</p> : null}
    </div>
  );
}

interface StripProps {
  readonly strip: Strip;
  readonly chosen: boolean;
  readonly settled: boolean;
  readonly onWeigh: (grams: number) => void;
  readonly onTake: (policy: Policy) => void;
}

function OneStrip({ strip, chosen, settled, onWeigh, onTake }: StripProps) {
  const { told } = usePreferences();
  const typed = useGrams(strip.weighed, 500);
  const { grams } = typed;
  const [tried, setTried] = useState(false);
  return (
    <li className={`grid content-start gap-3 border-t-4 pt-3 ${chosen ? 'border-ink' : 'border-rule'}`}>
      <h2 className="text-[21px]">
        {upper(policyNames[strip.policy])}
        {chosen ? (
          <span className="ml-2 font-sans text-[14px] font-normal text-verdigris">{needSaid.usedInThisPlan}</span>
        ) : null}
      </h2>
      <dl>
        <TermLine term={needSaid.endsStrip} value={String(strip.ends)} />
        <TermLine term="Expected weight" value={`${decimal(strip.grams, 1)} g`} />
        {strip.ratio === undefined ? null : (
          <TermLine term={needSaid.yarnComparedWithEstimate} value={percent(strip.ratio)} />
        )}
        <TermLine
          term="Whole piece, yarn"
          value={`about ${yarnLengthNumber(strip.pieceMetres, told)} ${yarnLengthUnit(told)}`}
        />
        <TermLine term="Whole piece, ends" value={String(strip.pieceEnds)} />
        <TermLine term="Whole piece, time" value={hoursText(strip.pieceTime)} />
      </dl>
      <form
        aria-label={`Weigh the strip: ${policyNames[strip.policy]}`}
        noValidate
        className="flex items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          setTried(true);
          if (grams !== undefined) onWeigh(grams);
        }}
      >
        <div className="w-[110px]">
          <GramsField typed={typed} tried={tried} like="4.2" />
        </div>
        <div className="pt-[25px]">
          <Button type="submit" disabled={settled}>
            Save
          </Button>
        </div>
      </form>
      <Button disabled={settled || chosen} onClick={() => onTake(strip.policy)}>
        Use this way
      </Button>
    </li>
  );
}

function percent(ratio: number): string {
  const off = Math.round((ratio - 1) * 100);
  return off === 0 ? 'as expected' : `${off > 0 ? '+' : '−'}${Math.abs(off)} %`;
}
