import { figure, type Problem, parseMass } from '@puntada/core/craft';
import type { Weighing, Work, WorkLog } from '@puntada/core/records';
import { entryLabel, weighingsIn } from '@puntada/core/records';
import { logSaid } from '@puntada/core/words';
import { impossibleIn, unlikelyWeight } from '@puntada/core/work';
import { useRef, useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { announce, toFirstField } from '../../parts/announce.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { ReadInGrams } from '../../parts/ReadInGrams.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { EntryRow } from './EntryRow.tsx';
import { useEntry } from './useEntry.ts';
import { useScale } from './useScale.ts';

/** What is in the way of a weighing: refused where it cannot be, asked about once where it is unlikely. */
function useDoubts(log: WorkLog) {
  const [doubts, setDoubts] = useState<{ wrong: readonly Problem[]; asked: readonly Problem[] }>(none);
  return {
    ...doubts,
    clear: () => setDoubts(none),
    /** @returns whether it is to be kept */
    passes(entry: Weighing): boolean {
      const wrong = impossibleIn(entry, 'cm');
      const asked = wrong.length || doubts.asked.length ? [] : unlikelyWeight(entry, weighingsIn(log.entries));
      setDoubts({ wrong, asked });
      return !wrong.length && !asked.length;
    },
  };
}

const none = { wrong: [], asked: [] };

interface OneProps {
  readonly weighing: Weighing;
  readonly log: WorkLog;
  readonly workId: string;
  /** `row 5`, `dishcloth 2, row 5`. */
  readonly place: string;
}

/** A weighing as it was kept, to be corrected or deleted. */
export function OneWeighing({ weighing, log, workId, place }: OneProps) {
  const { letter, ball } = weighing;
  const entry = useEntry(workId);
  const doubts = useDoubts(log);
  const [before, setBefore] = useState(String(weighing.before));
  const [after, setAfter] = useState(String(weighing.after));
  const [start, now] = [parseMass(before), parseMass(after)];
  const good = start.ok && start.value > 0 && now.ok && now.value >= 0;
  const keep = async () => {
    if (!start.ok || !now.ok || !good) return false;
    const beforeIsLabel = weighing.beforeIsLabel && start.value === weighing.before;
    const corrected = { ...weighing, before: start.value, after: now.value, beforeIsLabel };
    return doubts.passes(corrected) && entry.correct(corrected);
  };
  return (
    <>
      <EntryRow
        name={logSaid.weighingBallAfter(ball, letter, place)}
        busy={entry.busy}
        onRemove={() => void entry.remove(weighing, 'Weighing deleted.')}
        onKeep={keep}
        fields={
          <>
            <div className="w-[120px]">
              <TextField
                label="Started at (g)"
                value={before}
                onChange={setBefore}
                inputMode="decimal"
                className="count"
                wrong={start.ok && start.value > 0 ? undefined : 'Type grams, such as 50.'}
              />
            </div>
            <div className="w-[120px]">
              <TextField
                label="Weighed (g)"
                value={after}
                onChange={setAfter}
                inputMode="decimal"
                className="count"
                wrong={now.ok && now.value >= 0 ? undefined : 'Type grams, such as 38.'}
              />
            </div>
          </>
        }
      >
        After <b className="count">{place}</b>, ball {ball}:{' '}
        <span className="count">
          {figure(weighing.before)} → {figure(weighing.after)} g
        </span>
      </EntryRow>
      <Problems problems={doubts.wrong} />
      <Problems problems={doubts.asked} kind="warning" />
      <Problems problems={entry.problems} />
    </>
  );
}

/** The next weighing: read from the scale that ships with Puntada, or typed. */
export function Weigh({ work, log }: { work: Work; log: WorkLog }) {
  const [add, adding] = useAddEntryMutation();
  const scale = useScale();
  const place = useRef<HTMLFormElement>(null);
  const doubts = useDoubts(log);
  const [letter, setLetter] = useState(work.wish.yarns[0]?.letter ?? 'A');
  const [ball, setBall] = useState('1');
  const yarn = work.wish.yarns.find((each) => each.letter === letter);
  const known = log.entries.find(
    (entry): entry is Weighing => entry.kind === 'weigh' && entry.letter === letter && entry.ball === Number(ball),
  );
  const label = known ? String(known.before) : yarn?.ballGrams === undefined ? '' : String(yarn.ballGrams);
  const [before, setBefore] = useState<string>();
  const [after, setAfter] = useState('');
  const [bound, setBound] = useState('1');
  const [lies, setLies] = useState('');
  const [tried, setTried] = useState(false);
  const put = parseMass(lies);
  const onScale = put.ok ? put.value : undefined;
  const begun = before ?? label;
  const [start, now] = [parseMass(begun), parseMass(after)];
  const whichBall = Number(ball);
  const ballGood = Number.isInteger(whichBall) && whichBall >= 1 && whichBall <= 99;
  const good = start.ok && start.value > 0 && now.ok && now.value >= 0 && ballGood;
  const keep = async () => {
    setTried(true);
    if (!start.ok || !now.ok || !good) return;
    const entry: Weighing = {
      ...entryLabel,
      kind: 'weigh',
      id: crypto.randomUUID(),
      at: Date.now(),
      letter,
      ball: Number(ball),
      before: start.value,
      beforeIsLabel: known ? known.beforeIsLabel : before === undefined || begun === label,
      after: now.value,
      scale: Number(bound),
      position: work.progress,
    };
    if (!doubts.passes(entry)) return;
    const answer = await add({ id: work.id, entry });
    if (answer.error) return;
    doubts.clear();
    setAfter('');
    announce(logSaid.weighingBallSaved(ball, letter));
    toFirstField(place.current);
    setTried(false);
  };
  return (
    <form
      ref={place}
      aria-label="Weigh a ball"
      noValidate
      className="mt-3 grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void keep();
      }}
    >
      <div className="grid grid-cols-2 gap-3 items-end sm:grid-cols-[90px_80px_1fr_1fr_1fr]">
        <SelectField label="Colour" value={letter} onChange={setLetter}>
          {work.wish.yarns.map((each) => (
            <option key={each.letter} value={each.letter}>
              {each.letter}
            </option>
          ))}
        </SelectField>
        <TextField
          label="Ball"
          value={ball}
          onChange={setBall}
          inputMode="numeric"
          className="count"
          wrong={tried && !ballGood ? logSaid.typeWholeNumberSuch : undefined}
        />
        <TextField
          label="Started at (g)"
          value={begun}
          onChange={setBefore}
          inputMode="decimal"
          className="count"
          wrong={tried && !(start.ok && start.value > 0) ? 'Type grams, such as 50.' : undefined}
        />
        <TextField
          label="Weighs now (g)"
          value={after}
          onChange={setAfter}
          inputMode="decimal"
          className="count"
          wrong={tried && !(now.ok && now.value >= 0) ? 'Type grams, such as 38.' : undefined}
        />
        <SelectField label={logSaid.scaleAccurateTo} value={bound} onChange={setBound}>
          <option value="0.1">± 0.1 g</option>
          <option value="0.5">± 0.5 g</option>
          <option value="1">± 1 g</option>
        </SelectField>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <Button type="submit" disabled={adding.isLoading}>
          {doubts.asked.length ? 'Save it anyway' : 'Save weighing'}
        </Button>
      </div>
      <ReadInGrams />
      <Problems problems={doubts.wrong} />
      <Problems problems={doubts.asked} kind="warning" />
      <details>
        <summary className="min-h-11 cursor-pointer py-2.5 text-[15px] underline underline-offset-4">
          Practice scale
        </summary>
        <div className="flex flex-wrap items-end gap-3">
          <div className="w-[150px]">
            <TextField label={logSaid.onScaleG} value={lies} onChange={setLies} inputMode="decimal" className="count" />
          </div>
          <Button
            onClick={async () => {
              const { grams, bound: reads } = await scale.read(onScale);
              if (grams === undefined || reads === undefined) return;
              setAfter(String(grams));
              setBound(String(reads));
            }}
          >
            Read it
          </Button>
          <Button onClick={() => void scale.zero(onScale)}>{logSaid.setItToZero}</Button>
          <p aria-live="polite" className="pb-3 text-[14px] text-soft">
            {scale.words}
          </p>
        </div>
      </details>
      <Problems problems={problemsOf(adding.error)} />
    </form>
  );
}
