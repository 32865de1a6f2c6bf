import type { LengthUnit } from '@puntada/core/craft';
import { lengthReads, type Wish } from '@puntada/core/records';
import { useState } from 'react';

interface Props {
  readonly tolerance: string | undefined;
  readonly units: LengthUnit;
  readonly onChange: (part: Partial<Wish>) => void;
}

/** How far off the wish a size may be; kept once it is a length, or empty. */
export function Tolerance({ tolerance, units, onChange }: Props) {
  const [typed, setTyped] = useState(tolerance ?? '');
  const good = typed.trim() === '' || lengthReads(typed, units);
  const keep = () => {
    const next = typed.trim() || undefined;
    if (good && next !== tolerance) onChange({ tolerance: next });
  };
  return (
    <div>
      <label htmlFor="tolerance" className="mb-0.5 block text-[14px] text-soft">
        How far off may it be?
      </label>
      <span className="flex items-center gap-2">
        <input
          id="tolerance"
          className="field count w-[96px]"
          value={typed}
          placeholder="any"
          autoComplete="off"
          aria-invalid={!good}
          aria-describedby={good ? undefined : 'tolerance-wrong'}
          onChange={(event) => setTyped(event.target.value)}
          onBlur={keep}
          onKeyDown={(event) => event.key === 'Enter' && keep()}
        />
        {/[a-z"”]/i.test(typed) ? null : <span className="text-[15px] text-soft">{units}</span>}
      </span>
      {good ? null : (
        <p id="tolerance-wrong" role="alert" className="mt-1 text-[14px] text-brick">
          <span aria-hidden>✕ </span>
          {`“${typed}” is not a length. Type 2 ${units}, or leave it empty.`}
        </p>
      )}
    </div>
  );
}
