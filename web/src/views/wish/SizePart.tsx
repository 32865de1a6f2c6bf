import { bindPattern, findPattern, inRounds, techniqueOf } from '@puntada/core/craft';
import { itemNamed, measureOf } from '@puntada/core/plan';
import { courseWord, upper, wishSaid } from '@puntada/core/words';
import { useFormContext } from 'react-hook-form';
import { useChangePreferences } from '../../api/api.ts';
import { Choice } from '../../parts/Choice.tsx';
import { Drop } from './Drop.tsx';
import { Field, Part } from './Field.tsx';
import { Insert } from './Insert.tsx';
import { More } from './More.tsx';
import { bedOf, bedSize, beds, forSmallChildren, upWord, usualSize } from './usual.ts';
import { isCircle, isTubeForm, typedSize, type WishFormValues } from './wishForm.ts';

const measureWords = {
  flat: 'laid flat',
  round: wishSaid.allWayRound,
  diameter: 'across its circle',
} as const;
type TubeWidth = keyof typeof measureWords;

const endWords = {
  'as-begun': wishSaid.sameColourAsFirst,
  whole: wishSaid.withWholeRepeat,
  any: 'Anywhere',
} as const;

/** What the width of a tube means: half of the round, all of it, or across the circle. */
function TubeMeasure() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { item, across } = watch();
  const usual = measureOf({ item, across: undefined });
  const now: TubeWidth = across || (usual === 'around' ? 'round' : usual);
  return (
    <div>
      <p className="label">{wishSaid.workedInRoundsWidth}</p>
      <Choice
        label={wishSaid.widthMeasured}
        value={now}
        options={(Object.keys(measureWords) as TubeWidth[]).map((value) => ({ value, words: measureWords[value] }))}
        onChange={(next) => setValue('across', next, { shouldDirty: true })}
      />
    </div>
  );
}

/** How big, in lengths or in counts; or what a chain already made would come to. */
export function SizePart() {
  const { watch, setValue, register } = useFormContext<WishFormValues>();
  const change = useChangePreferences();
  const { units, item, pattern: chosen, width, height, ending } = watch();
  const { key, made } = chosen;
  const found = findPattern(key);
  const pattern = found.ok ? found.value : undefined;
  const blocks = pattern?.across.word ?? 'repeats';
  const bands = pattern?.up.word ?? 'repeats';
  const [usualWidth, usualHeight] = usualSize(item, units);
  const technique = pattern ? techniqueOf(pattern) : undefined;
  const numbers = Object.fromEntries(Object.entries(chosen.numbers).map(([name, text]) => [name, Number(text)]));
  const bound = pattern && bindPattern(pattern, { numbers });
  const counted = technique?.ok ? technique.value.width.word : 'stitches';
  const round = isCircle(key);
  const tube = isTubeForm({ pattern: chosen });
  const course = pattern ? courseWord((made ? inRounds(pattern, made) : pattern).made).toLowerCase() : 'row';
  // Begun with one block, whatever its width.
  const cornered = technique?.ok === true && technique.value.diagonal === true;
  const [wide, high] = [typedSize(width), typedSize(height)];
  const widths = {
    length: { label: 'Width', after: units, start: usualWidth },
    chain: { label: 'Chains in it', after: 'chains', start: '37' },
    stitches: { label: `${upper(counted)} across`, after: counted, start: '36' },
    repeats: { label: `${upper(blocks)} across`, after: blocks, start: '9' },
  } as const;
  const heights = {
    length: { label: round ? 'Diameter' : upper(upWord(item)), after: units, start: usualHeight },
    rows: { label: upper(`${course}s`), after: `${course}s`, start: round ? '11' : '44' },
    repeats: { label: `${upper(bands)} up`, after: bands, start: '11' },
  } as const;
  // A unit that was typed needs no second one behind it.
  const after = (by: string, text: string, words: string) => (by === 'length' && /[a-z"”]/i.test(text) ? '' : words);
  return (
    <Part title="How big?" hint={wishSaid.roughSizeWillDo}>
      <div className="grid gap-4">
        {itemNamed(item).asks.includes('insert') ? <Insert /> : null}
        {tube && width.by === 'length' ? <TubeMeasure /> : null}
        {itemNamed(item).asks.includes('drop') ? <Drop /> : null}
        {itemNamed(item).asks.includes('bed') && width.by === 'length' && height.by === 'length' ? (
          <div>
            <p className="label">{wishSaid.whereItWillLie}</p>
            <Choice
              label={wishSaid.whereItWillLie}
              value={bedOf(units, width.length, height.length)}
              options={beds
                .filter(({ bed }) => !itemNamed(item).wish.smallChildren || forSmallChildren.includes(bed))
                .map(({ bed }) => ({ value: bed, words: bed }))}
              onChange={(bed) => {
                if (!bed) return;
                const [across, up] = bedSize(bed, units);
                setValue('width.length', across, { shouldDirty: true });
                setValue('height.length', up, { shouldDirty: true });
                // Its cautions are those of a small child's things.
                if (forSmallChildren.includes(bed)) setValue('smallChildren', true, { shouldDirty: true });
              }}
            />
          </div>
        ) : null}
        <div className="flex flex-wrap items-start gap-4">
          {round ? null : (
            <>
              <div className="w-[190px]">
                <Field
                  name={`width.${wide.field}`}
                  label={widths[width.by].label}
                  after={after(width.by, wide.text, widths[width.by].after)}
                  className="count text-[18px]"
                  inputMode={width.by === 'length' ? 'text' : 'numeric'}
                />
              </div>
              <span aria-hidden className="mt-[33px] text-[20px] text-soft">
                ×
              </span>
            </>
          )}
          <div className="w-[190px]">
            <Field
              name={`height.${high.field}`}
              label={heights[height.by].label}
              after={after(height.by, high.text, heights[height.by].after)}
              className="count text-[18px]"
            />
            {height.by === 'repeats' && bound?.ok ? (
              <p className="mt-1 text-[14px] text-soft">
                {upper(bands)} of {bound.value.up.works.multiple} {course}s each
              </p>
            ) : null}
          </div>
          <div>
            <p className="label">Units</p>
            <Choice
              label="Units"
              value={units}
              options={[
                { value: 'cm', words: 'cm' },
                { value: 'in', words: 'in' },
              ]}
              onChange={(next) => change({ units: next })}
            />
          </div>
        </div>
        <More name="size" words={wishSaid.countInStitchesRows}>
          <div className="grid gap-4">
            <div className="flex flex-wrap gap-x-6 gap-y-3">
              {round ? null : (
                <Choice
                  label="Width given as"
                  value={width.by}
                  options={[
                    { value: 'length', words: 'Width' },
                    ...(cornered && width.by !== 'chain'
                      ? []
                      : [{ value: 'chain' as const, words: wishSaid.iAlreadyHaveChain }]),
                    { value: 'stitches', words: upper(counted) },
                    // Where a repeat is called as what is counted, one of them is enough.
                    ...(blocks === counted ? [] : [{ value: 'repeats' as const, words: upper(blocks) }]),
                  ]}
                  onChange={(next) => {
                    setValue('width.by', next, { shouldDirty: true });
                    setValue(next === 'length' ? 'width.length' : 'width.count', widths[next].start);
                  }}
                />
              )}
              <Choice
                label={round ? 'Size given as' : 'Height given as'}
                value={height.by}
                options={
                  round
                    ? [
                        { value: 'length', words: 'Diameter' },
                        { value: 'rows', words: 'Rounds' },
                      ]
                    : [
                        { value: 'length', words: `${upper(upWord(item))}` },
                        { value: 'rows', words: upper(`${course}s`) },
                        { value: 'repeats', words: upper(bands) },
                      ]
                }
                onChange={(next) => {
                  setValue('height.by', next, { shouldDirty: true });
                  setValue(next === 'length' ? 'height.length' : 'height.count', heights[next].start);
                }}
              />
            </div>
            <div>
              <p className="label">The last {course} ends</p>
              <Choice
                label={wishSaid.whereItMayEnd}
                value={ending}
                options={(Object.keys(endWords) as (keyof typeof endWords)[]).map((value) => ({
                  value,
                  words: endWords[value],
                }))}
                onChange={(next) => setValue('ending', next, { shouldDirty: true })}
              />
            </div>
            <label className="flex min-h-11 w-fit cursor-pointer items-center gap-2.5 text-[16px]">
              <input type="checkbox" className="size-5 accent-ink" {...register('open')} />
              {wishSaid.stopAnywhereTreatThis}
            </label>
          </div>
        </More>
      </div>
    </Part>
  );
}
