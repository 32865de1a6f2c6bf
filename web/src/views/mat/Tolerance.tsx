import { type LengthUnit, parseLength, unitWord, withUnit } from '@puntada/core/craft';
import type { Wish } from '@puntada/core/records';
import { matSaid } from '@puntada/core/words';
import { useState } from 'react';
import { usePreferences } from '../../api/api.ts';

interface Props {
  readonly tolerance: string | undefined;
  /** In which it was typed, where it has no unit. */
  readonly units: LengthUnit;
  readonly onChange: (part: Partial<Wish>) => void;
}

/** How far off the wish a size may be; kept once it is a length, or empty. */
export function Tolerance({ tolerance, units: planned, onChange }: Props) {
  const units = unitWord(usePreferences().told);
  // With its unit, it stays what it is whatever the units of the plan are.
  const [typed, setTyped] = useState(tolerance ? withUnit(tolerance, planned) : '');
  const read = parseLength(typed, units);
  const good = typed.trim() === '' || (read.ok && read.value >= 0);
  const keep = () => {
    const next = typed.trim() ? withUnit(typed, units) : undefined;
    if (good && next !== tolerance) onChange({ tolerance: next });
  };
  return (
    <div>
      <label htmlFor="tolerance" className="mb-0.5 flex min-h-6 items-end text-[14px] text-soft">
        {matSaid.howFarOffMay}
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
          {matSaid.notLengthType2(typed, units)}
        </p>
      )}
    </div>
  );
}
