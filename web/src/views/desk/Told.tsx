import type { Drawing, Place } from '@puntada/core/craft';
import type { Mend, Study } from '@puntada/core/plan';
import { costWords, deskSaid, likelySlipWords, mendWords, refusedWords, widthWords } from '@puntada/core/words';
import { useCallback, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';

interface Props {
  readonly drawing: Drawing;
  readonly study: Study | undefined;
  readonly onShow: (place: Place) => void;
  readonly onMend: (mend: Mend) => void;
}

/** Cells that are told at once; the others are crossed out on the chart. */
const few = 4;

/** What is told of a drawing while it is drawn: whether it can be worked, how to mend it, and what it costs. */
export function Told({ drawing, study, onShow, onMend }: Props) {
  const { terms } = usePreferences();
  const [all, setAll] = useState(false);
  if (!study) return <p className="text-[15px] text-soft">Looking it over…</p>;
  const { refused, problems, slips, lone } = study;
  const works = !refused.length && !problems.length;
  const shown = all ? refused : refused.slice(0, few);
  return (
    <div className="grid gap-3 text-[15px]">
      <p
        role="status"
        className={`border-l-4 px-3 py-2 text-[17px] font-semibold ${works ? 'border-verdigris bg-verdigris-pale' : 'border-brick bg-brick-pale'}`}
      >
        {works
          ? '✓ Can be worked'
          : refused.length
            ? `✕ ${refused.length} ${refused.length === 1 ? 'cell' : 'cells'} cannot be worked`
            : '✕ Cannot be worked yet'}
      </p>
      <Problems problems={problems} />
      {shown.length ? (
        <ul className="grid gap-2">
          {shown.map((each) => (
            <li key={`${each.row} ${each.cell}`} className="border-b border-rule pb-2">
              <p>{refusedWords(each, terms)}</p>
              <p className="flex flex-wrap gap-2 pt-1">
                <Button onClick={() => onShow(each)}>Show</Button>
                <Mends drawing={drawing} at={each} onMend={onMend} />
              </p>
            </li>
          ))}
        </ul>
      ) : null}
      {refused.length > few ? (
        <Button kind="quiet" onClick={() => setAll(!all)} className="justify-self-start">
          {all ? 'Show fewer' : `Show all ${refused.length}`}
        </Button>
      ) : null}
      {slips.length ? (
        <section aria-label="Likely slips">
          <h3 className="text-[16px]">Likely slips</h3>
          <ul className="grid gap-1 pt-1">
            {slips.slice(0, 6).map((slip) => (
              <li key={`${slip.row} ${slip.run}`} className="flex items-start justify-between gap-2">
                <span>
                  <span aria-hidden>△ </span>
                  {likelySlipWords(slip)}
                </span>
                <Button className="shrink-0" onClick={() => onShow({ row: slip.row - 1, cell: 0 })}>
                  Show
                </Button>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
      <ul className="grid gap-1">
        {[...widthWords(study), ...costWords(study)].map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {lone.length ? (
        <Button kind="quiet" className="justify-self-start" onClick={() => onShow(lone[0] as Place)}>
          {deskSaid.showFirstLoneStitch}
        </Button>
      ) : null}
    </div>
  );
}

function Mends({ drawing, at, onMend }: { drawing: Drawing; at: Place; onMend: (mend: Mend) => void }) {
  const { terms } = usePreferences();
  const { row, cell } = at;
  const ask = useCallback(() => planner.mendsFor(drawing, { row, cell }), [drawing, row, cell]);
  const mends = useAnswer(ask);
  return mends?.map((mend) => (
    <Button key={mendWords(mend, at, terms)} onClick={() => onMend(mend)}>
      {mendWords(mend, at, terms)}
    </Button>
  ));
}
