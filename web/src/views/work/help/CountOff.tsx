import { causeWords, workSaid } from '@puntada/core/words';
import { oneOff } from '@puntada/core/work';
import { useState } from 'react';
import { TextField } from '../../../parts/TextField.tsx';
import type { HelpProps } from './helpProps.ts';
import { Rescue } from './Rescue.tsx';

/** What a count that is wrong may mean, and what each way out costs. */
export function CountOff(props: HelpProps) {
  const { cloth, position, counted: unit, costs } = props;
  const { fabric, bound } = cloth;
  const row = Math.min(fabric.courses, position.rows + 1);
  const [counted, setCounted] = useState('');
  const should = (fabric.starts[row] as number) - (fabric.starts[row - 1] as number);
  const number = Number(counted);
  const off = counted.trim() && Number.isInteger(number) && number > 0 ? number - should : undefined;
  return (
    <div className="grid gap-4">
      <div className="flex items-end gap-4">
        <div className="w-[190px]">
          <TextField
            label={workSaid.stitchesYouCountIn(row)}
            value={counted}
            onChange={setCounted}
            inputMode="numeric"
            className="count text-[20px]"
          />
        </div>
        <p className="pb-2 text-[17px]">
          It should be <b className="count">{should}</b> {unit}.
        </p>
      </div>
      <div aria-live="polite">
        {off === 0 ? <p className="text-verdigris">✓ That is right.</p> : null}
        {off ? (
          <ol>
            {oneOff(fabric, bound, row, off)
              .map(causeWords)
              .map(({ cause, look, cure }) => (
                <li key={cause} className="border-b border-rule py-2">
                  <p className="font-semibold">{cause}</p>
                  <p>{look}</p>
                  <p className="text-soft">{cure}</p>
                </li>
              ))}
          </ol>
        ) : null}
        {off && costs ? <Rescue {...props} costs={costs} row={row} /> : null}
      </div>
    </div>
  );
}
