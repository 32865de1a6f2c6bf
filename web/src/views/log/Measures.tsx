import { type LengthUnit, lengthNumber, type Problem, parseLength, unitWord, withUnit } from '@puntada/core/craft';
import { prepareCloth, type Sequence, standingAt } from '@puntada/core/plan';
import type { Measuring } from '@puntada/core/records';
import { entryLabel } from '@puntada/core/records';
import { logSaid, pieceApartWords } from '@puntada/core/words';
import {
  clothAsWorked,
  driftOf,
  impossibleIn,
  isDrifting,
  type Planned,
  piecesApart,
  unlikelyMeasure,
} from '@puntada/core/work';
import { useMemo, useRef, useState } from 'react';
import { problemsOf, usePreferences } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { announce, toFirstField } from '../../parts/announce.ts';
import { Button } from '../../parts/Button.tsx';
import { useProblemWords } from '../../parts/Craft.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { EntryRow } from './EntryRow.tsx';
import type { LogProps } from './logProps.ts';
import { useEntry } from './useEntry.ts';

/** So many are in sight; the rest on demand. */
const shown = 4;

/** Width and height on the way, and what the piece will end up as. */
export function Measures({
  work,
  log,
  cloth,
  sequence,
  placeOf,
}: Pick<LogProps, 'work' | 'log' | 'cloth' | 'placeOf'> & { sequence: Sequence }) {
  const [add, adding] = useAddEntryMutation();
  const [all, setAll] = useState(false);
  const place = useRef<HTMLFormElement>(null);
  const { units } = work.wish;
  const planned = useMemo(() => {
    const prepared = prepareCloth(work.wish, cloth);
    return prepared.ok ? clothAsWorked(prepared.value, cloth.fabric) : undefined;
  }, [work.wish, cloth]);
  const measures = log.entries.filter((entry): entry is Measuring => entry.kind === 'measure').toReversed();
  const { told } = usePreferences();
  const apart = piecesApart([...measures].reverse(), sequence, units);
  const form = useMeasureForm({ units, planned, sequence });
  const keep = async () => {
    const entry = form.read({
      ...entryLabel,
      kind: 'measure',
      id: crypto.randomUUID(),
      at: Date.now(),
      position: work.progress,
    });
    if (!entry) return;
    const answer = await add({ id: work.id, entry });
    if (answer.error) return;
    form.clear();
    announce('Measurement saved.');
    toFirstField(place.current);
  };
  return (
    <section aria-label="Measured">
      <h2 className="border-b border-ink pb-1 text-[19px]">{logSaid.measuredAsYouGo}</h2>
      {apart.map((each) => (
        <p key={`${each.piece} ${each.side}`} className="flex gap-2 pt-2 text-[16px] text-brick">
          <span aria-hidden>△</span>
          {pieceApartWords(each, work.wish.item, told)}
        </p>
      ))}
      <ul>
        {measures.slice(0, all ? undefined : shown).map((each) => (
          <li key={each.id} className="border-b border-rule text-[16px]">
            <OneMeasure
              measure={each}
              planned={planned}
              units={units}
              sequence={sequence}
              workId={work.id}
              place={placeOf(each.position.rows)}
            />
          </li>
        ))}
      </ul>
      {measures.length > shown ? (
        <button
          type="button"
          aria-expanded={all}
          onClick={() => setAll(!all)}
          className="min-h-11 text-[15px] underline underline-offset-4"
        >
          {all ? `The latest ${shown} only` : `All ${measures.length} measurements`}
        </button>
      ) : null}
      <form
        ref={place}
        aria-label="Measure it now"
        noValidate
        className="mt-3 flex flex-wrap items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        {form.fields}
        <div className="pt-[25px]">
          <Button type="submit" disabled={adding.isLoading}>
            {form.asked.length ? 'Save it anyway' : 'Save measurement'}
          </Button>
        </div>
      </form>
      <Problems problems={form.asked} kind="warning" />
      <p className="pt-1 text-[14px] text-soft">{logSaid.offHookLaidFlat}</p>
      <Problems problems={problemsOf(adding.error)} />
    </section>
  );
}

interface MeasureForm {
  readonly units: LengthUnit;
  readonly planned: Planned | undefined;
  readonly sequence: Sequence;
  readonly from?: Measuring;
}

/** A measurement by the rows of the cloth that was measured: a set counts on through all of its cloths. */
function onItsCloth(measure: Measuring, sequence: Sequence): Measuring {
  return { ...measure, position: { ...measure.position, rows: standingAt(sequence, measure.position.rows).rows } };
}

/** The two fields of a measurement; what cannot be is refused at its field, what is unlikely is asked about once. */
function useMeasureForm({ units, planned, sequence, from }: MeasureForm) {
  const words = useProblemWords();
  const { told } = usePreferences();
  const known = (text: string | undefined) => (text === undefined ? '' : withUnit(text, units));
  const [typed, setTyped] = useState({ width: known(from?.width), height: known(from?.height) });
  const [wrong, setWrong] = useState<readonly Problem[]>([]);
  const [asked, setAsked] = useState<readonly Problem[]>([]);
  const change = (part: Partial<typeof typed>) => {
    setTyped({ ...typed, ...part });
    setWrong([]);
    setAsked([]);
  };
  const wrongAt = (path: string): string | undefined => {
    const problem = wrong.find((each) => each.path === path);
    if (!problem) return undefined;
    const { message, hint } = words(problem);
    return `${message} ${hint}`;
  };
  return {
    asked,
    clear: () => change({ width: '', height: '' }),
    /** What is typed as an entry; nothing where it cannot be, or is to be asked about first. */
    read(head: Omit<Measuring, 'width' | 'height'>): Measuring | undefined {
      const [width, height] = [typed.width.trim(), typed.height.trim()];
      // With its unit, it stays what it is whatever the units of the plan are.
      const entry: Measuring = {
        ...head,
        ...(width ? { width: withUnit(width, unitWord(told)) } : {}),
        ...(height ? { height: withUnit(height, unitWord(told)) } : {}),
      };
      const impossible = impossibleIn(entry, units);
      const missing: Problem[] = width || height ? [] : [{ code: 'not-a-number', path: 'width', facts: { text: '' } }];
      setWrong([...impossible, ...missing]);
      if (impossible.length || missing.length) return undefined;
      const doubts = asked.length ? [] : unlikelyMeasure(onItsCloth(entry, sequence), planned, unitWord(told));
      setAsked(doubts);
      return doubts.length ? undefined : entry;
    },
    fields: (['width', 'height'] as const).map((side) => (
      <div key={side} className="w-[130px]">
        <TextField
          label={`${side === 'width' ? 'Width' : 'Height'}, ${unitWord(told)}`}
          value={typed[side]}
          onChange={(text) => change({ [side]: text })}
          className="count"
          wrong={wrongAt(side)}
        />
      </div>
    )),
  };
}

function OneMeasure({
  measure,
  planned,
  units,
  sequence,
  workId,
  place,
}: MeasureForm & { measure: Measuring; workId: string; place: string }) {
  const { told } = usePreferences();
  const entry = useEntry(workId);
  const form = useMeasureForm({ units, planned, sequence, from: measure });
  const drift = planned && driftOf(onItsCloth(measure, sequence), planned, units);
  const size = (mm: number) => `${lengthNumber(mm, told)} ${unitWord(told)}`;
  /** As it was typed where it has a unit; else in the units of the maker. */
  const typed = (text: string) => {
    const read = parseLength(text, units);
    return read.ok ? size(read.value) : text;
  };
  const { width: _width, height: _height, ...head } = measure;
  return (
    <>
      <EntryRow
        name={`measurement after ${place}`}
        busy={entry.busy}
        onRemove={() => void entry.remove(measure, 'Measurement deleted.')}
        onKeep={async () => {
          const corrected = form.read(head);
          return corrected !== undefined && entry.correct(corrected);
        }}
        fields={form.fields}
      >
        After <b className="count">{place}</b>:{' '}
        {measure.width ? `${typed(measure.width)} wide${offWords(drift?.width)}` : ''}
        {measure.width && measure.height ? '; ' : ''}
        {measure.height ? `${typed(measure.height)} high${offWords(drift?.height)}` : ''}.
        {drift && isDrifting(drift) ? (
          <span className="block text-ochre">
            <span aria-hidden>△ </span>
            {logSaid.atThisRateIt(
              [
                drift.finalWidth && `${size(drift.finalWidth)} wide`,
                drift.finalHeight && `${size(drift.finalHeight)} high`,
              ]
                .filter(Boolean)
                .join(' and '),
            )}
          </span>
        ) : null}
      </EntryRow>
      <Problems problems={form.asked} kind="warning" />
      <Problems problems={entry.problems} />
    </>
  );
}

function offWords(ratio: number | undefined): string {
  if (ratio === undefined) return '';
  const percent = Math.round((ratio - 1) * 100);
  return percent === 0 ? ', as planned' : `, ${Math.abs(percent)} % ${percent > 0 ? 'over' : 'under'} the plan`;
}
