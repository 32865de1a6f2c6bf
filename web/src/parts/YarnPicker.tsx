import { figure } from '@puntada/core/craft';
import type { DrawerYarn, StoredYarn } from '@puntada/core/records';
import { partsSaid } from '@puntada/core/words';
import { useDrawerQuery } from '../api/records.ts';
import { SelectField } from './SelectField.tsx';

/** A yarn out of the drawer for one colour; nothing to choose from while the drawer is empty. */
export function YarnPicker({
  letter,
  value,
  onPick,
}: {
  letter: string;
  value: string | undefined;
  onPick: (stored: StoredYarn | undefined) => void;
}) {
  const { data: yarns } = useDrawerQuery();
  if (!yarns?.length) return null;
  return (
    <SelectField
      label={`${letter} from the drawer`}
      value={value ?? ''}
      onChange={(id) => onPick(yarns.find((each) => each.id === id))}
    >
      <option value="">{partsSaid.notFromDrawer}</option>
      {yarns.map(({ id, yarn }) => (
        <option key={id} value={id}>
          {pickerWords(yarn)}
        </option>
      ))}
    </SelectField>
  );
}

function pickerWords({ line, name, lot, balls, parts }: DrawerYarn): string {
  const begun = parts.length ? ` + ${figure(parts.reduce((sum, grams) => sum + grams, 0))} g` : '';
  return `${line}, ${name}${lot ? `, lot ${lot}` : ''}: ${balls} ${balls === 1 ? 'ball' : 'balls'}${begun}`;
}
