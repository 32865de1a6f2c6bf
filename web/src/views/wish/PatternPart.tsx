import {
  type BoundPattern,
  bindPattern,
  findFoundation,
  patternBook,
  presetOf,
  type StitchPattern,
  techniqueOf,
  techniques,
} from '@puntada/core';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { arrowsAtOnce } from '../../parts/arrowsAtOnce.ts';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Field, FieldError, Part } from './Field.tsx';
import { takePattern } from './takePattern.ts';
import { usualYarn } from './usual.ts';
import type { WishFormValues } from './wishForm.ts';

/** The stitch pattern, drawn in the maker's own colours, with the numbers it leaves open. */
export function PatternPart() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { pattern: key, stitch, numbers, yarns, item } = watch();
  const [technique, setTechnique] = useState('offered');
  const pattern = patternBook.find((each) => each.key === key);
  const offered = presetOf(item).techniques;
  const shown = patternBook.filter(
    (each) =>
      each.key === key || (technique === 'offered' ? offered.includes(each.technique) : each.technique === technique),
  );
  const told = useCraftWords();
  const take = (next: string) => takePattern({ setValue, watch }, next);
  return (
    <Part title="Pattern" hint="In your colours, at its true proportion.">
      <div className="mb-3 max-w-[340px]">
        <label htmlFor="technique" className="label">
          Made in
        </label>
        <select
          id="technique"
          className="field"
          value={technique}
          onChange={(event) => setTechnique(event.target.value)}
        >
          <option value="offered">every technique that suits</option>
          {techniques.map((each) => (
            <option key={each.key} value={each.key}>
              {told(each.name)}
            </option>
          ))}
        </select>
      </div>
      <ToggleGroup.Root
        onKeyDownCapture={arrowsAtOnce}
        type="single"
        value={key}
        onValueChange={(next) => next && take(next)}
        aria-label="Stitch pattern"
        className="grid max-h-[560px] gap-3 overflow-y-auto p-1 sm:grid-cols-2"
      >
        {shown.map((each) => (
          <ToggleGroup.Item
            key={each.key}
            value={each.key}
            className="flex items-center gap-4 rounded-md border border-edge bg-white p-2 [contain-intrinsic-size:auto_122px] [content-visibility:auto] text-left hover:bg-sheet data-[state=on]:border-ink data-[state=on]:outline-2 data-[state=on]:outline-ink"
          >
            <PatternPicture
              pattern={each.key}
              numbers={each.key === key ? numbers : {}}
              stitch={each.key === key ? stitch : undefined}
              shades={each.colours.map(
                (letter) => (yarns.find((yarn) => yarn.letter === letter) ?? usualYarn(letter)).shade,
              )}
            />
            <span className="min-w-0">
              <span className="block font-display text-[17px] font-semibold">{each.name}</span>
              <span className="block text-[14px] leading-snug text-soft">{told(each.about)}</span>
            </span>
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      <FieldError name="pattern" />
      {pattern ? <Numbers pattern={pattern} /> : null}
    </Part>
  );
}

function boundOf(pattern: StitchPattern, stitch: string): BoundPattern | undefined {
  const own = pattern.stitches.includes(stitch) ? { stitch } : {};
  const bound = bindPattern(pattern, own);
  return bound.ok ? bound.value : undefined;
}

/** What a pattern leaves open: its numbers, colours and stitch, and how the first row begins. */
function Numbers({ pattern }: { pattern: StitchPattern }) {
  const { watch, setValue, register } = useFormContext<WishFormValues>();
  const { stitch, yarns } = watch();
  const told = useCraftWords();
  const technique = techniqueOf(pattern);
  const bound = boundOf(pattern, stitch);
  const ways = technique.ok && bound ? technique.value.foundations(bound) : [];
  const { fewestColours: fewest, mostColours: most } = pattern;
  const letters = [...'ABCDEFGH'];
  return (
    <div className="mt-4 flex flex-wrap items-start gap-4">
      {pattern.numbers.map((number) => (
        <div key={number.name} className="w-[150px]">
          <Field
            name={`numbers.${number.name}`}
            label={number.meaning.replace(/^./, (letter) => letter.toUpperCase())}
            placeholder={String(number.usual)}
            inputMode="numeric"
            className="count text-[18px]"
          />
        </div>
      ))}
      {fewest < most ? (
        <div>
          <p className="label">Colours</p>
          <Choice
            label="Colours"
            value={String(yarns.length)}
            options={Array.from({ length: most - fewest + 1 }, (_, i) => String(fewest + i)).map((value) => ({
              value,
              words: value,
            }))}
            onChange={(next) =>
              setValue(
                'yarns',
                letters
                  .slice(0, Number(next))
                  .map((letter) => yarns.find((yarn) => yarn.letter === letter) ?? usualYarn(letter)),
              )
            }
          />
        </div>
      ) : null}
      {pattern.stitches.length > 1 ? (
        <div>
          <p className="label">Worked in</p>
          <Choice
            label="Worked in"
            value={pattern.stitches.includes(stitch) ? stitch : (pattern.stitches[0] ?? '')}
            options={pattern.stitches.map((value) => ({ value, words: told(value) }))}
            onChange={(next) => {
              setValue('stitch', next);
              setValue('foundation', '');
            }}
          />
        </div>
      ) : null}
      {ways.length > 1 ? (
        <div className="w-full max-w-[620px]">
          <label htmlFor="foundation" className="label">
            The first {told(bound?.stitch ?? '')} goes into
          </label>
          <select id="foundation" className="field" {...register('foundation')}>
            {ways.map((way, i) => (
              <option key={way} value={i === 0 ? '' : way}>
                {findFoundation(way)?.name}
              </option>
            ))}
          </select>
        </div>
      ) : null}
    </div>
  );
}
