import {
  bindPattern,
  fibres,
  findPattern,
  parseLabel,
  smallestRun,
  weightClasses,
  yarnLengthUnit,
} from '@puntada/core/craft';
import type { StoredYarn } from '@puntada/core/records';
import { fibreName, weightName, wishSaid } from '@puntada/core/words';
import { useState } from 'react';
import { useFormContext } from 'react-hook-form';
import { useProblemWords } from '../../parts/Craft.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { YarnPicker } from '../../parts/YarnPicker.tsx';
import { Contrast } from './Contrast.tsx';
import { Field, FieldError, SelectOf } from './Field.tsx';
import { metresText } from './formUnits.ts';
import { More, MorePart } from './More.tsx';
import { yarnFromDrawer } from './setForm.ts';
import type { WishFormValues } from './wishForm.ts';

/** The yarns: from the drawer or typed, with what the label says as far as there is one. */
export function ColoursPart() {
  const { watch, register, setValue } = useFormContext<WishFormValues>();
  const { yarns, pattern, units } = watch();
  const pick = (i: number, stored: StoredYarn | undefined) => {
    const set = (name: string, value: string) =>
      setValue(`yarns.${i}.${name}` as 'title', value, { shouldDirty: true });
    if (!stored) set('drawer', '');
    else for (const [name, value] of Object.entries(yarnFromDrawer(stored, units))) set(name, value);
  };
  /** The yarn takes a letter, and the yarn that had it takes its own: what they are stays with them. */
  const deal = (i: number, letter: string) => {
    const own = yarns[i];
    const other = yarns.findIndex((yarn) => yarn.letter === letter);
    if (!own || other < 0 || other === i) return;
    const dealt = yarns.map((yarn, j) => {
      if (j === i) return { ...(yarns[other] as typeof yarn), letter: own.letter };
      return j === other ? { ...own, letter } : yarn;
    });
    setValue('yarns', dealt, { shouldDirty: true });
  };
  return (
    <MorePart name="yarns" title="Yarns" hint={wishSaid.makeLighterYarnNo} summary={<YarnSummary yarns={yarns} />}>
      <div className="grid gap-6">
        {yarns.map((yarn, i) => (
          <div key={yarn.letter} className="grid grid-cols-[44px_minmax(0,1fr)] gap-3">
            <label className="relative mt-[23px] block size-11 cursor-pointer" title={`Shade of ${yarn.letter}`}>
              <span className="sr-only">Shade of {yarn.letter}</span>
              <YarnChip letter={yarn.letter} shade={yarn.shade} size={44} />
              <input
                type="color"
                aria-label={`Shade of ${yarn.letter}`}
                className="absolute inset-0 size-full cursor-pointer opacity-0"
                {...register(`yarns.${i}.shade`)}
              />
            </label>
            <div className="grid min-w-0 gap-3">
              <div className="grid gap-3 sm:grid-cols-[minmax(0,1fr)_230px]">
                <Field name={`yarns.${i}.name`} label={`Name of ${yarn.letter}`} />
                {yarn.drawer ? null : <LabelLine index={i} />}
              </div>
              <YarnPicker letter={yarn.letter} value={yarn.drawer} onPick={(stored) => pick(i, stored)} />
              <More name="label" words={wishSaid.weightFibreMetresAnd(yarn.letter)}>
                <div className="grid gap-3 sm:grid-cols-[145px_104px_94px_94px]">
                  <SelectOf name={`yarns.${i}.weight`} label="Weight">
                    {weightClasses.map((weight) => (
                      <option key={weight} value={weight}>
                        {weight} {weightName(weight)}
                      </option>
                    ))}
                  </SelectOf>
                  <SelectOf name={`yarns.${i}.fibre`} label="Fibre">
                    {fibres.map((fibre) => (
                      <option key={fibre} value={fibre}>
                        {fibreName(fibre)}
                      </option>
                    ))}
                  </SelectOf>
                  <Field
                    name={`yarns.${i}.ballMetres`}
                    label={`${yarnLengthUnit(units)} per ball`}
                    inputMode="decimal"
                    className="count"
                  />
                  <Field name={`yarns.${i}.ballGrams`} label="g per ball" inputMode="decimal" className="count" />
                  <div className="flex flex-wrap gap-3 sm:col-span-full">
                    <div className="w-[112px]">
                      <Field
                        name={`yarns.${i}.balls`}
                        label={yarn.drawer ? 'Balls set aside' : 'Balls you have'}
                        inputMode="numeric"
                        className="count"
                      />
                    </div>
                    <div className="w-[112px]">
                      <Field
                        name={`yarns.${i}.partGrams`}
                        label="Opened ball (g)"
                        inputMode="decimal"
                        className="count"
                      />
                    </div>
                    <div className="w-[230px]">
                      <Field name={`yarns.${i}.blend`} label="Blend (optional)" placeholder="60 cotton, 40 acrylic" />
                    </div>
                    {yarns.length > 1 ? (
                      <div className="w-[96px]">
                        <SelectField label="Letter" value={yarn.letter} onChange={(letter) => deal(i, letter)}>
                          {yarns.map(({ letter }) => (
                            <option key={letter} value={letter}>
                              {letter}
                            </option>
                          ))}
                        </SelectField>
                      </div>
                    ) : null}
                  </div>
                </div>
              </More>
            </div>
          </div>
        ))}
        <FieldError name="yarns" />
        <Contrast yarns={yarns} run={narrowestRun(pattern.key, pattern.numbers)} />
      </div>
    </MorePart>
  );
}

/** The yarns in a line, and whether their labels are known. */
function YarnSummary({ yarns }: { yarns: WishFormValues['yarns'] }) {
  const labelled = yarns.every(({ ballMetres, ballGrams }) => ballMetres.trim() && ballGrams.trim());
  return (
    <span className="flex flex-wrap items-center gap-x-4 gap-y-1">
      {yarns.map(({ letter, name, shade }) => (
        <span key={letter} className="flex items-center gap-2">
          <YarnChip letter={letter} shade={shade} size={26} />
          {name}
        </span>
      ))}
      <span>{labelled ? '' : wishSaid.noLabelYetYarn}</span>
    </span>
  );
}

function narrowestRun(key: string, typed: Readonly<Record<string, string>>): number {
  const pattern = findPattern(key);
  if (!pattern.ok) return 4;
  const numbers = Object.fromEntries(
    pattern.value.numbers.flatMap(({ name }) => (Number(typed[name]) > 0 ? [[name, Number(typed[name])]] : [])),
  );
  const bound = bindPattern(pattern.value, { numbers });
  return bound.ok ? smallestRun(bound.value) : 4;
}

/** The label typed as it stands on it, in one line; it fills in metres and grams. */
function LabelLine({ index }: { index: number }) {
  const words = useProblemWords();
  const { setValue, getValues, watch } = useFormContext<WishFormValues>();
  const [text, setText] = useState('');
  const read = text.trim() ? parseLabel(text) : undefined;
  const { letter } = watch().yarns[index] ?? {};
  const take = (typed: string) => {
    setText(typed);
    const label = parseLabel(typed);
    if (!label.ok) return;
    const round = (value: number) => Math.round(value * 100) / 100;
    const { units } = getValues();
    setValue(`yarns.${index}.ballMetres`, metresText(round(label.value.metres), units), { shouldDirty: true });
    setValue(`yarns.${index}.ballGrams`, String(round(label.value.grams)), { shouldDirty: true });
  };
  return (
    <div className="min-w-0">
      <label htmlFor={`label-${index}`} className="label">
        {wishSaid.labelInOneLine(letter ?? '')}
      </label>
      <input
        id={`label-${index}`}
        className="field"
        placeholder="100 g = 210 m"
        value={text}
        autoComplete="off"
        onChange={(event) => take(event.target.value)}
      />
      {read && !read.ok ? (
        <p className="mt-1 text-[14px] text-soft">{read.problems[0] ? words(read.problems[0]).hint : null}</p>
      ) : null}
    </div>
  );
}
