import { yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import { workSaid } from '@puntada/core/words';
import { ripBack } from '@puntada/core/work';
import { useState } from 'react';
import { usePreferences } from '../../../api/api.ts';
import { Button } from '../../../parts/Button.tsx';
import { TextField } from '../../../parts/TextField.tsx';
import type { HelpProps } from './helpProps.ts';
import { Line } from './Line.tsx';

/** Back to a row that stays, at a known cost. */
export function Rip({ cloth, position, done, counted, costs, onGo, close }: HelpProps) {
  const { told } = usePreferences();
  const [to, setTo] = useState(String(Math.max(0, position.rows - 1)));
  const row = Number(to);
  const good = to.trim() !== '' && Number.isInteger(row) && row >= 0 && row <= position.rows;
  const cost = good && costs ? ripBack(costs, position, done, row) : undefined;
  return (
    <form
      aria-label="Rip back"
      noValidate
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (!good) return;
        onGo({ rows: row, runs: 0 });
        close();
      }}
    >
      <div className="w-[230px]">
        <TextField
          label={workSaid.lastRowToKeep}
          value={to}
          onChange={setTo}
          inputMode="numeric"
          className="count text-[20px]"
          wrong={good ? undefined : workSaid.typeRowFrom0(position.rows)}
        />
      </div>
      {cost ? (
        <dl aria-live="polite" className="max-w-[440px]">
          <Line term="Unravels">
            {cost.rows} {cost.rows === 1 ? 'row' : 'rows'}, {cost.cells} {counted}
          </Line>
          {cost.metres.map((metres, i) => (
            <Line key={cloth.bound.colours[i]} term={`Freed of ${cloth.bound.colours[i]}`}>
              about {yarnLengthNumber(metres, told)} {yarnLengthUnit(told)}
            </Line>
          ))}
          <Line term="To redo it">about {Math.max(1, Math.round(cost.seconds / 60))} min</Line>
        </dl>
      ) : null}
      <p className="text-[15px] text-soft">{workSaid.logKeepsTheseRows}</p>
      <Button type="submit" disabled={!good} className="justify-self-start">
        {workSaid.ripBackToRow(good ? row : '…')}
      </Button>
    </form>
  );
}
