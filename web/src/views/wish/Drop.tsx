import { parseLength, printLength } from '@puntada/core/craft';
import { strapAcross, strapJoining, strapWanted } from '@puntada/core/plan';
import { wishSaid } from '@puntada/core/words';
import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { TextField } from '../../parts/TextField.tsx';
import type { WishFormValues } from './wishForm.ts';

/** mm, where the width of the strap is not typed as a length. */
const usualWidth = 30;

/** The length of a strap from how low the bag is to hang. */
export function Drop() {
  const { setValue, watch } = useFormContext<WishFormValues>();
  const { told } = usePreferences();
  const { units, width } = watch();
  const [typed, setTyped] = useState('');
  const drop = parseLength(typed, units);
  const wide = width.by === 'length' ? parseLength(width.length, units) : undefined;
  const good = drop.ok && drop.value > 0;
  const make = good ? strapAcross(drop.value, wide?.ok && wide.value > 0 ? wide.value : usualWidth) : 0;
  const take = () => {
    setValue('height.by', 'length', { shouldDirty: true });
    setValue('height.length', printLength(make, told), { shouldDirty: true });
  };
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-1">
      <div className="w-[130px]">
        <TextField
          label={`Drop, ${units}`}
          className="count text-[18px]"
          value={typed}
          onChange={setTyped}
          wrong={typed.trim() && !good ? wishSaid.typeDropSuchAs(units) : undefined}
        />
      </div>
      <Button disabled={!good} onClick={take}>
        {good ? wishSaid.makeStrapLong(printLength(make, told)) : 'Use this length'}
      </Button>
      <p className="basis-full text-[14px] text-soft" aria-live="polite">
        {good
          ? wishSaid.twiceDropPlusTo(printLength(strapJoining, told), printLength(strapWanted(drop.value), told))
          : wishSaid.fromShoulderOrHand}
      </p>
    </div>
  );
}
