import { figure, readNumber } from '@puntada/core/craft';
import { eveningsSaid } from '@puntada/core/words';
import type { Week } from '@puntada/core/work';
import { useState } from 'react';
import { problemsOf } from '../../api/api.ts';
import { useSetMinutesMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';

const days = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** Minutes at the hook on each day of the week. */
export function WeekOfMinutes({ minutes }: { minutes: Week }) {
  const [set, setting] = useSetMinutesMutation();
  const [typed, setTyped] = useState(minutes.map(String));
  const [tried, setTried] = useState(false);
  const read = typed.map((text) => (text.trim() === '' ? 0 : readNumber(text)));
  const wrong = read.map((each) => each === undefined || !Number.isInteger(each) || each < 0 || each > 1440);
  const changed = typed.some((text, i) => text !== String(minutes[i]));
  const hours = read.reduce<number>((sum, each, i) => sum + (wrong[i] ? 0 : (each ?? 0)), 0) / 60;
  return (
    <form
      aria-label={eveningsSaid.minutesWeek}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!wrong.includes(true)) void set(read.map((each) => each ?? 0));
      }}
    >
      <h2 className="border-b border-ink pb-1 text-[19px]">Your week</h2>
      <div className="grid grid-cols-2 gap-x-4 gap-y-2 py-3">
        {days.map((day, i) => {
          const text = typed[i] ?? '';
          return (
            <TextField
              key={day}
              label={day}
              value={text}
              onChange={(text) => setTyped(typed.map((each, at) => (at === i ? text : each)))}
              inputMode="numeric"
              after="min"
              className="count"
              wrong={(tried || text !== String(minutes[i])) && wrong[i] ? eveningsSaid.typeWholeMinutes0 : undefined}
            />
          );
        })}
      </div>
      <p className="pb-2 text-[15px] text-soft">
        <b className="count text-ink">{figure(hours, 1)}</b> hours per week
      </p>
      {changed ? (
        <Button type="submit" disabled={setting.isLoading}>
          Save this week
        </Button>
      ) : null}
      <Problems problems={problemsOf(setting.error)} />
    </form>
  );
}
