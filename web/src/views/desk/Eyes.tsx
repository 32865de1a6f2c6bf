import type { Eyes as EyesOf } from '@puntada/core/craft';
import { SelectField } from '../../parts/SelectField.tsx';

export type Seen = 'as it is' | EyesOf;

const words: Readonly<Record<Seen, string>> = {
  'as it is': 'As it is',
  grey: 'In grey',
  'red-blind': 'Without red',
  'green-blind': 'Without green',
  'blue-blind': 'Without blue',
};

/** How the drawing looks to other eyes, and in grey. */
export function Eyes({ value, onChange }: { value: Seen; onChange: (seen: Seen) => void }) {
  return (
    <SelectField label="Look at it" value={value} onChange={(next) => onChange(next as Seen)}>
      {(Object.keys(words) as Seen[]).map((seen) => (
        <option key={seen} value={seen}>
          {words[seen]}
        </option>
      ))}
    </SelectField>
  );
}
