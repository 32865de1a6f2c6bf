import { lengthNumber, parseLength } from '@puntada/core/craft';
import { coverFor } from '@puntada/core/plan';
import { wishSaid } from '@puntada/core/words';
import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/TextField.tsx';
import type { WishFormValues } from './wishForm.ts';

/** A cover sits full when it is a little smaller than its insert. */
export function Insert() {
  const { setValue, watch } = useFormContext<WishFormValues>();
  const [insert, setInsert] = useState('');
  const units = watch('units');
  const side = parseLength(insert, units);
  const good = side.ok && side.value > 0;
  const take = () => {
    const cover = good ? lengthNumber(coverFor(side.value), units === 'in' ? 'in-decimals' : units) : '';
    setValue('width.by', 'length', { shouldDirty: true });
    setValue('height.by', 'length', { shouldDirty: true });
    setValue('width.length', cover, { shouldDirty: true });
    setValue('height.length', cover, { shouldDirty: true });
  };
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div className="w-[132px]">
        <TextField
          label={`Insert, ${units}`}
          className="count text-[18px]"
          value={insert}
          onChange={setInsert}
          wrong={insert.trim() && !good ? wishSaid.typeInsertSuchAs(units) : undefined}
        />
      </div>
      <Button disabled={!good} onClick={take}>
        Make it 4 % smaller
      </Button>
    </div>
  );
}
