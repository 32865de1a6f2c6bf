import { readNumber } from '@puntada/core/craft';
import { coverFor } from '@puntada/core/plan';
import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { Button } from '../../parts/Button.tsx';
import type { WishFormValues } from './wishForm.ts';

/** A cover sits full when it is a little smaller than its insert. */
export function Insert() {
  const { setValue, watch } = useFormContext<WishFormValues>();
  const [insert, setInsert] = useState('');
  const side = readNumber(insert) ?? 0;
  const good = side > 0;
  const take = () => {
    const cover = String(Math.round(coverFor(side) * 10) / 10);
    setValue('width.by', 'length', { shouldDirty: true });
    setValue('height.by', 'length', { shouldDirty: true });
    setValue('width.length', cover, { shouldDirty: true });
    setValue('height.length', cover, { shouldDirty: true });
  };
  return (
    <div className="flex items-end gap-2">
      <div className="w-[112px]">
        <label htmlFor="insert" className="label">
          Insert, {watch('units')}
        </label>
        <input
          id="insert"
          className="field count text-[18px]"
          inputMode="decimal"
          value={insert}
          onChange={(event) => setInsert(event.target.value)}
        />
      </div>
      <Button disabled={!good} onClick={take}>
        Make it 4 % smaller
      </Button>
    </div>
  );
}
