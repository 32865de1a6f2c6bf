import type { Problem } from '@puntada/core/craft';
import { differenceWords, workSaid } from '@puntada/core/words';
import { findRow, readSeenRow, runsToTap } from '@puntada/core/work';
import { Delete } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Button } from '../../../parts/Button.tsx';
import { Problems } from '../../../parts/Problems.tsx';
import { TextField } from '../../../parts/TextField.tsx';
import { yarnClass, yarnStyle } from '../../../parts/YarnChip.tsx';
import type { HelpProps } from './helpProps.ts';

/** So many runs can be tapped; the rest is typed. */
const taps = 10;
/** So many candidates are told. */
const shown = 12;

/** Which row it is, from what the last two look like: their runs tapped or typed. */
export function FindRow({ work, cloth, position, onGo, close }: HelpProps) {
  const { fabric, bound } = cloth;
  const [last, setLast] = useState('');
  const [below, setBelow] = useState('');
  const [found, setFound] = useState<ReturnType<typeof findRow>>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [a = '', b = a] = bound.colours;
  const look = () => {
    const top = readSeenRow(last, fabric.count, bound.colours);
    const under = below.trim() ? readSeenRow(below, fabric.count, bound.colours) : undefined;
    const wrong = [...(top.ok ? [] : top.problems), ...(under && !under.ok ? under.problems : [])];
    setProblems(wrong);
    setFound(
      top.ok && !wrong.length
        ? findRow(fabric, bound, top.value, under?.ok ? under.value : undefined, position.rows)
        : undefined,
    );
  };
  return (
    <form
      aria-label="Find my row"
      noValidate
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        look();
      }}
    >
      <p className="text-[15px] text-soft">{workSaid.tapOrTypeWhat(a, b)}</p>
      <div className="grid gap-x-6 gap-y-4 sm:grid-cols-2">
        <SeenRow label="Your last row" text={last} onText={setLast} work={work} cloth={cloth} />
        <SeenRow label={workSaid.rowUnderIt} text={below} onText={setBelow} work={work} cloth={cloth} />
      </div>
      <Button type="submit" className="justify-self-start">
        {workSaid.whichRowIt}
      </Button>
      <Problems problems={problems} />
      <div aria-live="polite">
        {found && !found.length ? <p>{workSaid.noRowThisProject}</p> : null}
        {found?.length ? (
          <ul>
            {found.slice(0, shown).map((each) => (
              <li key={each.row} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2">
                <b className="count text-[22px]">Row {each.row}</b>
                <span className="min-w-0 flex-1 text-[15px] text-soft">
                  {each.row === position.rows ? <b className="text-ink">{workSaid.whereYourCounterStands} </b> : null}
                  {each.tells ? differenceWords(each.tells) : ''}
                </span>
                <Button
                  onClick={() => {
                    onGo({ rows: each.row, runs: 0 });
                    close();
                  }}
                >
                  Row {each.row} is done
                </Button>
              </li>
            ))}
          </ul>
        ) : null}
        {found && found.length > shown ? (
          <p className="pt-2">{workSaid.andMoreFartherFrom(found.length - shown)}</p>
        ) : null}
      </div>
    </form>
  );
}

interface SeenRowProps extends Pick<HelpProps, 'work' | 'cloth'> {
  readonly label: string;
  readonly text: string;
  readonly onText: (text: string) => void;
}

/** One row as it is seen: typed, or run by run from those that the cloth has. */
function SeenRow({ label, text, onText, work, cloth }: SeenRowProps) {
  const runs = useMemo(() => runsToTap(cloth.fabric, cloth.bound, taps), [cloth]);
  const [a, b = a] = cloth.bound.colours;
  const shadeOf = (letter: string) => work.wish.yarns.find((yarn) => yarn.letter === letter)?.shade ?? '#888888';
  return (
    <fieldset className="min-w-0">
      <legend className="sr-only">{label}</legend>
      <TextField label={label} value={text} onChange={onText} className="font-mono" placeholder={`4${a} 4${b}`} />
      <p className="flex flex-wrap gap-1.5 pt-2">
        {runs.map(({ count, colour }) => (
          <button
            key={`${count}${colour}`}
            type="button"
            aria-label={`${label}: add ${count} ${colour}`}
            onClick={() => onText(`${text.trim()} ${count}${colour}`.trim())}
            className={`${yarnClass(colour)} count min-h-11 min-w-11 rounded-sm border border-ink/40 px-2 text-[17px]`}
            style={yarnStyle(shadeOf(colour))}
          >
            {count}
            {colour}
          </button>
        ))}
        <button
          type="button"
          aria-label={workSaid.deleteLastOne(label)}
          disabled={!text.trim()}
          onClick={() => onText(text.trim().split(/\s+/).slice(0, -1).join(' '))}
          className="inline-flex min-h-11 min-w-11 items-center justify-center rounded-sm border border-edge hover:bg-sheet disabled:text-edge"
        >
          <Delete aria-hidden className="size-5" />
        </button>
      </p>
    </fieldset>
  );
}
