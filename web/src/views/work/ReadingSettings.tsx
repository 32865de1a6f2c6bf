import { type Tug, tugs, workSaid } from '@puntada/core/words';
import { Settings2 } from 'lucide-react';
import { Popover } from 'radix-ui';
import { Link } from 'react-router';
import { SelectField } from '../../parts/SelectField.tsx';
import type { Flag, Reading } from './useReading.ts';

const tugWords: Readonly<Record<Tug, string>> = {
  never: 'don’t remind me',
  change: 'at each colour change',
  row: workSaid.atEndEachRow,
  loosely: workSaid.neverILayIt,
};

const words: Readonly<Record<Flag, string>> = {
  big: 'Bigger',
  dark: 'Dark screen',
  aloud: 'Read each step aloud',
  awake: workSaid.keepScreenAwake,
  ahead: workSaid.hideFinishedRowsAnd,
};

/** How the row is read on this device. */
export function ReadingSettings({
  reading,
  onChange,
}: {
  reading: Reading;
  onChange: (part: Partial<Reading>) => void;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger className="inline-flex min-h-11 items-center gap-2 rounded-md px-2 hover:bg-sheet">
        <Settings2 aria-hidden className="size-4" />
        Display
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          aria-label="Display"
          className="z-20 grid rounded-md border border-ink bg-paper p-4 shadow-[0_6px_18px_rgb(43_27_48/0.16)]"
        >
          {(Object.keys(words) as Flag[]).map((name) => (
            <label key={name} className="flex min-h-11 cursor-pointer items-center gap-3">
              <input
                type="checkbox"
                className="size-5 accent-ink"
                checked={reading[name]}
                onChange={(event) => onChange({ [name]: event.target.checked })}
              />
              {words[name]}
            </label>
          ))}
          <SelectField
            label={workSaid.remindMeToPull}
            value={reading.tug}
            onChange={(tug) => onChange({ tug: tug as Tug })}
          >
            {tugs.map((tug) => (
              <option key={tug} value={tug}>
                {tugWords[tug]}
              </option>
            ))}
          </SelectField>
          <p className="mt-2 max-w-[300px] border-t border-rule pt-2 text-[14px] text-soft">
            {workSaid.keysSpaceOrPage}{' '}
            <Link to="/switch" target="_blank">
              {workSaid.practiceClickerAndFoot}
            </Link>
          </p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
