import { setSaid } from '@puntada/core/words';
import { type Filling, filled, fillings, itemsOfOneYarn } from '@puntada/core/work';
import { Plus, X } from 'lucide-react';
import { useFormContext } from 'react-hook-form';
import { Button } from '../../parts/Button.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { YarnPicker } from '../../parts/YarnPicker.tsx';
import { Field } from './Field.tsx';
import { MorePart } from './More.tsx';
import { colouringOf, hasOtherBack, itemsOfForm, yarnFromDrawer } from './setForm.ts';
import type { WishFormValues } from './wishForm.ts';

/** Letters of the further yarns of a set stand behind those of the pattern. */
const letters = 'ABCDEFGH';

/** The items of a set, each in its own colours: a small table, filled at once or item by item. */
export function SetPart() {
  const { watch, setValue, register } = useFormContext<WishFormValues>();
  const form = watch();
  const { yarns, set } = form;
  const items = itemsOfForm(form);
  const palette = [...yarns, ...set.yarns];
  const colouring = colouringOf(form);
  const change = (table: readonly (readonly number[])[]) =>
    setValue(
      'set.items',
      table.map((row) => [...row]),
      { shouldDirty: true },
    );
  const offered = fillings.filter((how) => how !== 'rotate-others' || palette.length > 2);
  const add = () => {
    const [first] = yarns;
    if (first)
      setValue(
        `set.yarns.${set.yarns.length}`,
        { ...first, name: '', shade: '#7a8a99', drawer: '', balls: '', partGrams: '' },
        { shouldDirty: true },
      );
  };
  const remove = (yarn: number) => {
    const number = yarns.length + yarn;
    setValue(
      'set.yarns',
      set.yarns.filter((_, i) => i !== yarn),
      { shouldDirty: true },
    );
    // Items that had it take what they had at first.
    change(
      colouring.map((row) => row.map((each, colour) => (each === number ? colour : each > number ? each - 1 : each))),
    );
  };
  const twice = itemsOfOneYarn(colouring);
  const ways = new Set(colouring.map((row) => row.join())).size;
  return (
    <MorePart
      name="set"
      title={setSaid.coloursOfEach}
      hint={setSaid.coloursHint}
      summary={<span>{setSaid.projects(ways, items, set.apart, hasOtherBack(form))}</span>}
    >
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
        {set.yarns.map((yarn, i) => (
          <div
            key={letters[yarns.length + i]}
            className="grid grid-cols-[44px_minmax(0,1fr)_44px] gap-3 sm:grid-cols-[44px_220px_minmax(0,260px)_44px]"
          >
            <label className="relative mt-[23px] block size-11 cursor-pointer">
              <span className="sr-only">{setSaid.shadeOfFurther(yarns.length + i + 1)}</span>
              <YarnChip letter={letters[yarns.length + i] ?? ''} shade={yarn.shade} size={44} />
              <input
                type="color"
                aria-label={setSaid.shadeOfFurther(yarns.length + i + 1)}
                className="absolute inset-0 size-full cursor-pointer opacity-0"
                {...register(`set.yarns.${i}.shade`)}
              />
            </label>
            <Field name={`set.yarns.${i}.name`} label={setSaid.nameOfFurther(yarns.length + i + 1)} />
            <div className="max-sm:col-span-3 max-sm:row-start-2">
              <YarnPicker
                letter={letters[yarns.length + i] ?? ''}
                value={yarn.drawer}
                onPick={(stored) =>
                  setValue(
                    `set.yarns.${i}`,
                    { ...yarn, ...(stored ? yarnFromDrawer(stored, form.units) : { drawer: '' }) },
                    { shouldDirty: true },
                  )
                }
              />
            </div>
            <button
              type="button"
              aria-label={setSaid.removeYarn(yarn.name || setSaid.yarnNumber(yarns.length + i + 1))}
              onClick={() => remove(i)}
              className="mt-[23px] flex size-11 items-center justify-center rounded-sm text-soft hover:bg-sheet hover:text-ink max-sm:col-start-3 max-sm:row-start-1"
            >
              <X aria-hidden className="size-4" />
            </button>
          </div>
        ))}
        {palette.length < letters.length ? (
          <div>
            <Button onClick={add}>
              <Plus aria-hidden className="size-4" />
              {setSaid.furtherYarn}
            </Button>
          </div>
        ) : null}
        <div className="-ml-4 flex flex-wrap gap-x-1">
          {offered.map((how: Filling) => (
            <Button key={how} kind="quiet" onClick={() => change(filled(how, items, yarns.length, palette.length))}>
              {setSaid.fillings[how]}
            </Button>
          ))}
        </div>
        <ol>
          {colouring.map((row, item) => {
            const name = setSaid.item(item + 1);
            return (
              <li key={name} className="flex flex-wrap items-center gap-x-4 gap-y-1.5 border-b border-rule py-1.5">
                <span className="w-[60px] text-[15px]">{name}</span>
                {row.map((yarn, colour) => (
                  <span
                    key={yarns[colour]?.letter}
                    className="flex max-w-[230px] min-w-[112px] flex-1 items-center gap-2"
                  >
                    <YarnChip letter={letters[yarn] ?? ''} shade={palette[yarn]?.shade ?? '#888888'} size={28} />
                    <select
                      aria-label={setSaid.yarnFor(yarns[colour]?.letter ?? '', item + 1)}
                      className="field min-w-0 flex-1"
                      value={yarn}
                      onChange={(event) => {
                        const chosen = Number(event.target.value);
                        change(
                          colouring.map((each, i) =>
                            i === item ? each.map((old, j) => (j === colour ? chosen : old)) : each,
                          ),
                        );
                      }}
                    >
                      {palette.map((each, number) => (
                        <option key={letters[number]} value={number}>
                          {each.name || setSaid.yarnNumber(number + 1)}
                        </option>
                      ))}
                    </select>
                  </span>
                ))}
              </li>
            );
          })}
        </ol>
        <label className="flex min-h-11 items-center gap-3 text-[16px]">
          <input type="checkbox" className="size-5 shrink-0 accent-verdigris" {...register('set.apart')} />
          {setSaid.apart}
        </label>
        <p
          className={`text-[15px] ${twice.length ? 'text-brick' : 'text-soft'}`}
          role={twice.length ? 'alert' : undefined}
        >
          {twice.length ? (
            <>
              <span aria-hidden>✕ </span>
              {setSaid.oneYarnTwice(twice.map((item) => setSaid.item(item + 1).toLowerCase()).join(', '))}
            </>
          ) : (
            setSaid.projects(ways, items, set.apart, hasOtherBack(form))
          )}
        </p>
      </div>
    </MorePart>
  );
}
