import { figure, type LengthUnit, parseLength, readNumber } from '@puntada/core/craft';
import type { SwatchCount } from '@puntada/core/records';
import { swatchesSaid } from '@puntada/core/words';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { announce } from '../../parts/announce.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { dates } from '../../parts/dates.ts';
import { gaugeSpan } from '../../parts/gaugeSpan.ts';
import { TextField } from '../../parts/TextField.tsx';

interface Props {
  readonly counts: readonly SwatchCount[];
  readonly units: LengthUnit;
  readonly onChange: (counts: SwatchCount[]) => void;
}

/** What was counted on the swatch, one line a count, and a place for the next. */
export function Counts({ counts, units, onChange }: Props) {
  return (
    <section aria-label="Counts">
      <h2 className="border-b border-ink pb-1 text-[19px]">Counts</h2>
      {counts.length ? (
        <table className="w-full text-left text-[16px]">
          <caption className="sr-only">What was counted</caption>
          <thead className="text-[14px] text-soft">
            <tr>
              <th scope="col" className="py-1.5 font-semibold">
                Counted
              </th>
              <th scope="col" className="font-semibold">
                Over
              </th>
              <th scope="col" className="font-semibold">
                When
              </th>
              <th scope="col">
                <span className="sr-only">Delete</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {counts.map((count, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: a count has no name of its own, and the list is only added to
              <tr key={`${i}-${count.what}-${count.count}-${count.over}`} className="border-t border-rule">
                <td className="py-1">
                  <b className="count text-[18px]">{figure(count.count)}</b> {count.what}
                </td>
                <td className="count whitespace-nowrap">{count.over}</td>
                <td className="text-[15px] text-soft">
                  {count.washed ? 'washed' : 'unwashed'}
                  {count.on ? `, ${dates.day(count.on)}` : ''}
                </td>
                <td className="w-11">
                  <button
                    type="button"
                    aria-label={`Delete ${count.count} ${count.what} over ${count.over}`}
                    onClick={() => onChange(counts.filter((_, at) => at !== i))}
                    className="flex size-11 items-center justify-center rounded-md text-soft hover:bg-sheet hover:text-ink"
                  >
                    <Trash2 aria-hidden className="size-4" />
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
      <NextCount units={units} onAdd={(count) => onChange([...counts, count])} />
    </section>
  );
}

function NextCount({ units, onAdd }: { units: LengthUnit; onAdd: (count: SwatchCount) => void }) {
  const [what, setWhat] = useState<SwatchCount['what']>('stitches');
  const [count, setCount] = useState('');
  const [over, setOver] = useState(gaugeSpan(units).words);
  const [washed, setWashed] = useState(false);
  const [tried, setTried] = useState(false);
  const number = readNumber(count) ?? 0;
  const countWrong = number <= 0 || number > 1000;
  const span = parseLength(over, units);
  const overWrong = !span.ok || span.value < 10 || span.value > 1000;
  const add = () => {
    setTried(true);
    if (countWrong || overWrong) return;
    onAdd({ what, count: number, over: over.trim(), washed, on: today() });
    setCount('');
    setTried(false);
    setWhat(what === 'stitches' ? 'rows' : 'stitches');
    announce(`${number} ${what} over ${over.trim()} saved.`);
  };
  return (
    <form
      aria-label="Add a count"
      noValidate
      className="mt-3 flex flex-wrap items-start gap-x-4 gap-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        add();
      }}
    >
      <div>
        <p className="label">Counted</p>
        <Choice
          label="What you counted"
          value={what}
          options={[
            { value: 'stitches', words: 'stitches' },
            { value: 'rows', words: 'rows' },
          ]}
          onChange={setWhat}
        />
      </div>
      <div className="w-[110px]">
        <TextField
          label={what === 'stitches' ? 'Stitches' : 'Rows'}
          value={count}
          onChange={setCount}
          inputMode="decimal"
          className="count text-[18px]"
          wrong={tried && countWrong ? swatchesSaid.typeCountSuchAs : undefined}
        />
      </div>
      <div className="w-[120px]">
        <TextField
          label="Over"
          value={over}
          onChange={setOver}
          className="count text-[18px]"
          wrong={tried && overWrong ? swatchesSaid.typeSpan1Cm : undefined}
        />
      </div>
      <div>
        <p className="label">The swatch was</p>
        <Choice
          label="The swatch was"
          value={washed ? 'washed' : 'worked'}
          options={[
            { value: 'worked', words: 'unwashed' },
            { value: 'washed', words: 'washed' },
          ]}
          onChange={(next) => setWashed(next === 'washed')}
        />
      </div>
      <div className="self-end">
        <Button type="submit">Save this count</Button>
      </div>
    </form>
  );
}

function today(): string {
  const now = new Date();
  const two = (n: number) => String(n).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
