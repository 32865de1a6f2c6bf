import { fibres, parseLabel, weightClasses, yarnLengthUnit } from '@puntada/core/craft';
import type { DrawerYarn } from '@puntada/core/records';
import { drawerSaid, fibreName, weightName } from '@puntada/core/words';
import { useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { useProblemWords } from '../../parts/Craft.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { readYarn, type YarnValues } from './yarnForm.ts';

interface Props {
  readonly start: YarnValues;
  readonly title: string;
  readonly save: string;
  readonly busy: boolean;
  readonly onSave: (yarn: DrawerYarn) => void;
  readonly onCancel?: (() => void) | undefined;
}

/** One yarn: what its label says, and how much of it there is. */
export function YarnForm({ start, title, save, busy, onSave, onCancel }: Props) {
  const words = useProblemWords();
  const [values, setValues] = useState(start);
  const [label, setLabel] = useState('');
  const [tried, setTried] = useState(false);
  const { units } = usePreferences();
  const read = readYarn(values, units);
  const wrong = (tried && read.wrong) || {};
  const set = (part: Partial<YarnValues>) => setValues({ ...values, ...part });
  const field = (name: keyof YarnValues, text: string) => ({
    label: text,
    value: values[name],
    wrong: wrong[name],
    onChange: (typed: string) => set({ [name]: typed }),
  });
  const takeLabel = (typed: string) => {
    setLabel(typed);
    const said = parseLabel(typed);
    if (!said.ok) return;
    const round = (value: number) => String(Math.round(value * 100) / 100);
    const metres = round(said.value.metres);
    set({ ballMetres: units === 'cm' ? metres : `${metres} m`, ballGrams: round(said.value.grams) });
  };
  const said = label.trim() ? parseLabel(label) : undefined;
  return (
    <form
      aria-label={title}
      className="grid gap-4"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (read.yarn) onSave(read.yarn);
      }}
    >
      <h2 className="border-b border-ink pb-1 text-[19px]">{title}</h2>
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_60px] gap-3">
        <TextField {...field('line', 'Yarn')} />
        <TextField {...field('name', 'Shade')} />
        <TextField {...field('shade', 'Colour')} type="color" className="px-1" />
      </div>
      <TextField
        label={drawerSaid.labelInOneLine}
        value={label}
        onChange={takeLabel}
        placeholder="100 g = 210 m"
        wrong={said && !said.ok ? said.problems[0] && words(said.problems[0]).hint : undefined}
      />
      <div className="grid grid-cols-3 gap-3">
        <TextField
          {...field('ballMetres', `${yarnLengthUnit(units)} per ball`)}
          inputMode="decimal"
          className="count"
        />
        <TextField {...field('ballGrams', 'g per ball')} inputMode="decimal" className="count" />
        <TextField {...field('lot', 'Dye lot')} />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <SelectField {...field('weight', 'Weight')}>
          {weightClasses.map((weight) => (
            <option key={weight} value={weight}>
              {weight} {weightName(weight)}
            </option>
          ))}
        </SelectField>
        <SelectField {...field('fibre', 'Fibre')}>
          {fibres.map((fibre) => (
            <option key={fibre} value={fibre}>
              {fibreName(fibre)}
            </option>
          ))}
        </SelectField>
      </div>
      <TextField {...field('blend', 'Blend (optional)')} placeholder="60 cotton, 40 acrylic" />
      <div className="grid grid-cols-3 gap-3">
        <TextField {...field('balls', 'Whole balls')} inputMode="numeric" className="count" />
        <TextField {...field('parts', 'Opened balls (g)')} placeholder="31 g, 12.5 g" className="count" />
        <TextField {...field('price', 'Price per ball')} inputMode="decimal" className="count" />
      </div>
      <div className="flex flex-wrap gap-3">
        <Button type="submit" disabled={busy}>
          {save}
        </Button>
        {onCancel ? (
          <Button kind="quiet" onClick={onCancel}>
            Cancel
          </Button>
        ) : null}
      </div>
    </form>
  );
}
