import { findPattern, takesFigures, techniqueNamed } from '@puntada/core/craft';
import { wishSaid } from '@puntada/core/words';
import { useFormContext } from 'react-hook-form';
import { Link } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { useShelf } from '../../parts/useShelf.ts';
import { Field } from './Field.tsx';
import type { PlacedValues } from './formValues.ts';
import { usualYarn } from './usual.ts';
import type { WishFormValues } from './wishForm.ts';

/** Figures at most, as many as a wish takes. */
const most = 6;

/** Yarns for the colours of a pattern and of what is put on it: those that are there already, else the usual. */
function yarnsFor(key: string, placed: readonly PlacedValues[], kept: WishFormValues['yarns']) {
  const letters = new Set<string>();
  for (const source of [key, ...placed.map(({ text }) => text)]) {
    const found = findPattern(source);
    for (const letter of found.ok ? found.value.colours : []) letters.add(letter);
  }
  return [...letters].sort().map((letter) => kept.find((yarn) => yarn.letter === letter) ?? usualYarn(letter));
}

/** Figures, words and pictures of one’s own that are put on the pattern once, each at its margins. */
export function PlacedPart() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { pattern, placed, yarns } = watch();
  const { own } = useShelf();
  const found = findPattern(pattern.key);
  const ground = found.ok ? techniqueNamed(found.value.technique) : undefined;
  const figures = own.filter(({ pattern: each }) => {
    const technique = techniqueNamed(each.technique);
    return technique !== undefined && takesFigures(technique);
  });
  const put = (next: PlacedValues[]) => {
    setValue('placed', next, { shouldDirty: true });
    setValue('yarns', yarnsFor(pattern.key, next, yarns), { shouldDirty: true });
  };
  if (!ground || !takesFigures(ground) || (!figures.length && !placed.length)) return null;
  return (
    <section aria-label={wishSaid.putOnItOnce} className="mt-4 border-t border-rule pt-3">
      <h3 className="text-[17px]">{wishSaid.putOnItOnce}</h3>
      <p className="max-w-[62ch] text-[15px] text-soft">
        {wishSaid.wordOrFigureYour} <Link to="/desk">Make one</Link>
      </p>
      <ul className="grid gap-3 pt-2">
        {placed.map((figure, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: the order of figures is what they are
          <li key={`${i} ${figure.text.slice(0, 60)}`} className="border-b border-rule pb-3">
            <Placed figure={figure} index={i} onRemove={() => put(placed.filter((_, n) => n !== i))} />
          </li>
        ))}
      </ul>
      {placed.length < most && figures.length ? (
        <div className="max-w-[340px] pt-2">
          <SelectField
            label="Add a figure"
            value=""
            onChange={(text) => {
              if (!text) return;
              const margin = '5 cm';
              put([...placed, { text, across: { from: 'middle', margin }, up: { from: 'middle', margin } }]);
            }}
          >
            <option value="">{wishSaid.chooseOneYourPatterns}</option>
            {figures.map(({ source, pattern: each, stored }) => (
              <option key={stored?.id ?? source} value={source}>
                {each.name}
              </option>
            ))}
          </SelectField>
        </div>
      ) : null}
    </section>
  );
}

function Placed({ figure, index, onRemove }: { figure: PlacedValues; index: number; onRemove: () => void }) {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { hand } = usePreferences();
  const found = findPattern(figure.text);
  const name = found.ok ? found.value.name : '';
  const shades = watch('yarns');
  const colours = found.ok ? found.value.colours : [];
  // Row 1 begins at the right of a right hand.
  const [begin, end] = hand === 'right' ? ['right', 'left'] : ['left', 'right'];
  const set = (way: 'across' | 'up', from: PlacedValues['across']['from']) =>
    setValue(`placed.${index}.${way}.from`, from, { shouldDirty: true });
  return (
    <div className="grid gap-2">
      <p className="flex items-center gap-3 text-[16px]">
        <PatternPicture
          pattern={figure.text}
          shades={colours.map((letter) => shades.find((yarn) => yarn.letter === letter)?.shade ?? '#888888')}
          side={44}
        />
        <b className="min-w-0 flex-1 font-semibold wrap-anywhere">{name}</b>
        <Button kind="quiet" onClick={onRemove} aria-label={`Take ${name} off`}>
          Take off
        </Button>
      </p>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <Choice
          above="Across"
          small
          label={`${name}, across`}
          value={figure.across.from}
          options={[
            { value: end === 'left' ? 'end' : 'begin', words: 'From the left' },
            { value: 'middle', words: 'Middle' },
            { value: begin === 'right' ? 'begin' : 'end', words: 'From the right' },
          ]}
          onChange={(from) => set('across', from as PlacedValues['across']['from'])}
        />
        {figure.across.from === 'middle' ? null : (
          <div className="w-[110px]">
            <Field name={`placed.${index}.across.margin`} label="Margin" className="count" />
          </div>
        )}
        <Choice
          above="Up"
          small
          label={`${name}, up`}
          value={figure.up.from}
          options={[
            { value: 'begin', words: 'From below' },
            { value: 'middle', words: 'Middle' },
            { value: 'end', words: 'From above' },
          ]}
          onChange={(from) => set('up', from)}
        />
        {figure.up.from === 'middle' ? null : (
          <div className="w-[110px]">
            <Field name={`placed.${index}.up.margin`} label="Margin" className="count" />
          </div>
        )}
      </div>
    </div>
  );
}
