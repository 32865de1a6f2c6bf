import { foundations } from '@puntada/core';
import { RadioGroup } from 'radix-ui';
import { useFormContext } from 'react-hook-form';
import { Choice } from '../../parts/Choice.tsx';
import { Field, FieldError, Part } from './Field.tsx';
import { PatternPicture } from './PatternPicture.tsx';
import { shownPatterns } from './shownPatterns.ts';
import type { WishFormValues } from './wishForm.ts';

/** The stitch pattern, drawn in the maker's own colours, with the numbers it leaves open. */
export function PatternPart() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { pattern: key, stitch, foundation, numbers, yarns } = watch();
  const pattern = shownPatterns.find((each) => each.key === key);
  return (
    <Part title="Pattern" hint="In your colours.">
      <RadioGroup.Root
        value={key}
        onValueChange={(next) => setValue('pattern', next)}
        aria-label="Stitch pattern"
        className="grid gap-3 sm:grid-cols-2"
      >
        {shownPatterns.map((each) => (
          <RadioGroup.Item
            key={each.key}
            value={each.key}
            className="flex items-center gap-4 rounded-md border border-edge bg-white p-2 text-left hover:bg-sheet data-[state=checked]:border-ink data-[state=checked]:outline-2 data-[state=checked]:outline-ink"
          >
            <PatternPicture
              pattern={each.key}
              numbers={numbers}
              stitch={stitch}
              shades={yarns.map((yarn) => yarn.shade)}
            />
            <span className="min-w-0">
              <span className="block font-display text-[17px] font-semibold">{each.name}</span>
              <span className="block text-[14px] leading-snug text-soft">{each.about}</span>
            </span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <FieldError name="pattern" />
      {pattern && (pattern.numbers.length > 0 || pattern.stitches.length > 0) ? (
        <div className="mt-4 flex flex-wrap items-start gap-4">
          {pattern.numbers.map((number) => (
            <div key={number.name} className="w-[150px]">
              <Field
                name={`numbers.${number.name}`}
                label={number.meaning.replace(/^./, (letter) => letter.toUpperCase())}
                inputMode="numeric"
                className="count text-[18px]"
              />
            </div>
          ))}
          {pattern.stitches.length > 1 ? (
            <div>
              <p className="label">Worked in</p>
              <Choice
                label="Worked in"
                value={stitch}
                options={pattern.stitches.map((value) => ({ value, words: value }))}
                onChange={(next) => setValue('stitch', next)}
              />
            </div>
          ) : null}
          {stitch === 'hdc' && pattern.stitches.includes('hdc') ? (
            <div className="w-full max-w-[480px]">
              <label htmlFor="foundation" className="label">
                The first hdc goes into
              </label>
              <select
                id="foundation"
                className="field"
                value={foundation}
                onChange={(event) => setValue('foundation', event.target.value)}
              >
                {foundations
                  .filter((each) => each.key.startsWith('hdc'))
                  .map((each, i) => (
                    <option key={each.key} value={i === 0 ? '' : each.key}>
                      the {each.name}
                    </option>
                  ))}
              </select>
            </div>
          ) : null}
        </div>
      ) : null}
    </Part>
  );
}
