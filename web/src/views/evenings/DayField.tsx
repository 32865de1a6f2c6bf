import type { Day } from '@puntada/core/work';
import { useId, useState } from 'react';

interface Props {
  readonly label: string;
  /** What the day is of, for those who do not see it beside. */
  readonly of?: string;
  readonly day: Day | '';
  readonly disabled?: boolean;
  /** A whole day, once it is typed; or none. */
  readonly onDay: (day: Day | '') => void;
}

/** A day; while it is still being typed it counts for nothing. */
export function DayField({ label, of, day, disabled = false, onDay }: Props) {
  const id = useId();
  const [typed, setTyped] = useState<string>(day);
  const keep = () => {
    if (typed !== day && (typed === '' || typed >= '2000')) onDay(typed);
  };
  return (
    <div>
      <label htmlFor={id} className="label">
        {label}
        {of ? <span className="sr-only">: {of}</span> : null}
      </label>
      <input
        id={id}
        type="date"
        className="field"
        disabled={disabled}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key === 'Enter') keep();
        }}
      />
    </div>
  );
}
