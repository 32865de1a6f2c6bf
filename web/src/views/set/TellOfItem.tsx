import { numberOrText } from '@puntada/core/craft';
import { entryLabel, type Work } from '@puntada/core/records';
import { setSaid } from '@puntada/core/words';
import { type FormEvent, useState } from 'react';
import { problemsOf, usePreferences } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { announce } from '../../parts/announce.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';
import type { ItemEntry } from '../../parts/useSet.ts';

interface Props {
  readonly work: Work;
  readonly item: number;
  readonly name: string;
  readonly told: ItemEntry | undefined;
  readonly onDone: () => void;
}

/** Whom an item is for, until when, and what became of it. */
export function TellOfItem({ work, item, name, told, onDone }: Props) {
  const [add, adding] = useAddEntryMutation();
  const { currency } = usePreferences();
  const [whom, setWhom] = useState(told?.whom ?? '');
  const [by, setBy] = useState(told?.by ?? '');
  const [fate, setFate] = useState<string>(told?.fate ?? '');
  const [price, setPrice] = useState(told?.price === undefined ? '' : String(told.price));
  const amount = price.trim() ? numberOrText(price) : undefined;
  const wrongPrice = fate === 'sold' && amount !== undefined && !(typeof amount === 'number' && amount >= 0);
  const keep = async (event: FormEvent) => {
    event.preventDefault();
    if (wrongPrice) return;
    const entry: ItemEntry = {
      ...entryLabel,
      kind: 'item',
      id: crypto.randomUUID(),
      at: Date.now(),
      item,
      whom: whom.trim(),
      ...(by ? { by } : {}),
      ...(fate ? { fate: fate as NonNullable<ItemEntry['fate']> } : {}),
      ...(fate === 'sold' && typeof amount === 'number' ? { price: amount } : {}),
    };
    if ((await add({ id: work.id, entry })).error) return;
    announce(setSaid.told);
    onDone();
  };
  return (
    <form
      aria-label={setSaid.tell(name)}
      noValidate
      className="flex flex-wrap items-end gap-3 py-3"
      onSubmit={(event) => void keep(event)}
      onKeyDown={(event) => event.key === 'Escape' && onDone()}
    >
      <div className="w-[240px]">
        <TextField label={setSaid.whom} value={whom} onChange={setWhom} maxLength={80} autoFocus />
      </div>
      <div className="w-[170px]">
        <TextField label={setSaid.by} type="date" value={by} onChange={setBy} />
      </div>
      <div className="w-[170px]">
        <SelectField label={setSaid.became} value={fate} onChange={setFate}>
          {Object.entries(setSaid.fates).map(([key, words]) => (
            <option key={key} value={key === 'none' ? '' : key}>
              {words}
            </option>
          ))}
        </SelectField>
      </div>
      {fate === 'sold' ? (
        <div className="w-[150px]">
          <TextField
            label={setSaid.price}
            inputMode="decimal"
            className="count"
            value={price}
            onChange={setPrice}
            after={currency}
            wrong={wrongPrice ? setSaid.typePrice : undefined}
          />
        </div>
      ) : null}
      <Button type="submit" disabled={adding.isLoading}>
        Save
      </Button>
      <Button kind="quiet" onClick={onDone}>
        Cancel
      </Button>
      <Problems problems={problemsOf(adding.error)} />
    </form>
  );
}
