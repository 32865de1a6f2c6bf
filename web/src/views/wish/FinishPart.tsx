import type { Item } from '@puntada/core/records';
import type { ReactNode } from 'react';
import { useFormContext } from 'react-hook-form';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { Field, Part } from './Field.tsx';
import { isTubeForm, type WishFormValues } from './wishForm.ts';

const asksStrap: readonly Item[] = ['bag', 'bag panel'];
const asksRing: readonly Item[] = ['potholder'];
const asksSeam: readonly Item[] = ['bag', 'cushion cover', 'potholder'];
const asksBorder: readonly Item[] = ['blanket', 'mat', 'round mat', 'dishcloth', 'cushion cover'];

/** What is done when the cloth is off the hook: each item asks only what belongs to it. */
export function FinishPart() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { item, yarns, strapKind, border, weaving, flap, seam, units, pattern, made, foundation } = watch();
  const tube = isTubeForm({ pattern, made });
  const told = useCraftWords();
  const shows = (items: readonly Item[]) => items.includes(item);
  return (
    <Part title="Finishing" hint="It takes size, yarn and time, so it is planned with the cloth.">
      <div className="flex flex-wrap items-start gap-x-5 gap-y-4">
        {shows(asksBorder) ? (
          <div className="w-[136px]">
            <Field
              name="border"
              label={told('Border, rounds of sc')}
              inputMode="numeric"
              className="count text-[18px]"
            />
          </div>
        ) : null}
        {shows(asksBorder) && Number(border) > 0 ? (
          <Select name="borderColour" label="Border in" width="w-[104px]">
            {yarns.map((yarn) => (
              <option key={yarn.letter} value={yarn.letter}>
                {yarn.letter}
              </option>
            ))}
          </Select>
        ) : null}
        {shows(asksRing) ? (
          <div className="w-[150px]">
            <Field name="ring" label="Hanging ring, inside" className="count text-[18px]" />
          </div>
        ) : null}
        {shows(asksStrap) ? (
          <Select name="strapKind" label="Strap" width="w-[216px]">
            <option value="">none</option>
            <option value="chain cord">chain cord</option>
            <option value="sc along">{told('sc along its length')}</option>
            <option value="sc across">{told('sc across')}</option>
            <option value="hdc">{told('hdc')}</option>
            <option value="dc">{told('dc')}</option>
            <option value="bought">a cord, bought or made</option>
          </Select>
        ) : null}
        {shows(asksStrap) && strapKind ? (
          <>
            <div className="w-[130px]">
              <Field name="strapDrop" label="Drop" className="count text-[18px]" />
            </div>
            <div className="w-[130px]">
              <Field name="strapWidth" label="Strap width" className="count text-[18px]" />
            </div>
          </>
        ) : null}
        {shows(asksSeam) ? (
          <Select name="seam" label={tube ? 'Closed with' : joinWords(item, flap)} width="w-[196px]">
            <option value="">nothing</option>
            <option value="sc">{told('sc through both')}</option>
            <option value="slip stitch">slip stitch</option>
            <option value="whipped">whip stitch</option>
            <option value="mattress">mattress stitch</option>
          </Select>
        ) : null}
        {item === 'cushion cover' && !tube ? (
          <div className="w-[150px]">
            <Field
              name="flap"
              label="Flap, if one cloth"
              placeholder={units === 'cm' ? '10 cm' : '4 in'}
              className="count text-[18px]"
            />
          </div>
        ) : null}
        <Select name="wash" label="First washing" width="w-[196px]">
          <option value="">is not reckoned with</option>
          <option value="cotton-hot">cotton, hot</option>
          <option value="acrylic">acrylic</option>
          <option value="wool-blocked">wool, wet blocked</option>
          <option value="superwash-tumbled">superwash, tumbled</option>
        </Select>
        {shows(asksSeam) && seam ? (
          <p className="max-w-[62ch] basis-full text-[14px] text-soft">
            {closedWhere({ item, tube, flap, onChain: !foundation || foundation.startsWith('both') })}
          </p>
        ) : null}
        <div className="basis-full">
          <p className="label">Weaving in ends</p>
          <Choice
            label="Weaving in ends"
            value={weaving}
            options={[
              { value: 'hate', words: 'I would rather not' },
              { value: 'usual', words: 'It is part of it' },
              { value: 'easy', words: 'I like it' },
            ]}
            onChange={(next) => setValue('weaving', next, { shouldDirty: true })}
          />
          <p className="mt-1 text-[14px] text-soft">The fewer you want, the more is carried instead of cut.</p>
        </div>
        <div className="flex basis-full flex-wrap gap-x-8 gap-y-2">
          <Tick name="closing">{told('A plain closing row of sc')}</Tick>
          <Tick name="smallChildren">For a small child</Tick>
        </div>
      </div>
    </Part>
  );
}

function joinWords(item: Item, flap: string): string {
  if (item === 'bag') return 'Panels joined with';
  return flap.trim() || item === 'potholder' ? 'Closed with' : 'Panels joined with';
}

/** Which sides are really open, and so are closed. */
function closedWhere({
  item,
  tube,
  flap,
  onChain,
}: {
  item: Item;
  tube: boolean;
  flap: string;
  onChain: boolean;
}): string {
  if (tube && item === 'bag')
    return onChain
      ? 'In rounds on both sides of a chain: nothing is left to join.'
      : 'A ring is open below: its lower edge is closed.';
  if (tube) {
    return onChain
      ? 'On both sides of a chain its lower end is closed already: one seam, at the top.'
      : 'A ring is open below and above: two seams.';
  }
  if (item === 'cushion cover' && flap.trim()) return 'One cloth, folded over with its flap: two sides are closed.';
  if (item === 'cushion cover') return 'Two panels: three sides, then the insert, then the fourth.';
  return item === 'bag'
    ? 'Two panels at three sides; the mouth stays open.'
    : 'The cloth is folded and its sides are closed.';
}

function Select({
  name,
  label,
  width,
  children,
}: {
  name: keyof WishFormValues;
  label: string;
  width: string;
  children: ReactNode;
}) {
  const { register } = useFormContext<WishFormValues>();
  return (
    <div className={width}>
      <label htmlFor={name} className="label">
        {label}
      </label>
      <select id={name} className="field" {...register(name as 'seam')}>
        {children}
      </select>
    </div>
  );
}

function Tick({ name, children }: { name: 'closing' | 'smallChildren'; children: ReactNode }) {
  const { register } = useFormContext<WishFormValues>();
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2.5 text-[16px]">
      <input type="checkbox" className="size-5 accent-ink" {...register(name)} />
      {children}
    </label>
  );
}
