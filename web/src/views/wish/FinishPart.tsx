import { findFoundation } from '@puntada/core/craft';
import { itemNamed, type Question } from '@puntada/core/plan';
import { borderPatternKeys } from '@puntada/core/records';
import { joinLabel, openSides, setSaid, wishSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { useFormContext } from 'react-hook-form';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { Field, SelectOf } from './Field.tsx';
import { MorePart } from './More.tsx';
import { backPatterns, panelsOfForm } from './setForm.ts';
import { isCircle, isSewn, isTubeForm, type WishFormValues } from './wishForm.ts';

/** How the rounds of a border may be worked. */
const borderKinds = ['plain', 'envelope', ...borderPatternKeys] as const;

/** A border with a second colour. */
function isPattern(as: WishFormValues['border']['as'] | undefined): boolean {
  return borderPatternKeys.some((key) => key === as);
}

/** What is done when the cloth is off the hook: each item asks only what belongs to it. */
export function FinishPart() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { item, border, weaving, finish, units, pattern, foundation, closing } = watch();
  const { flap, seam, strap } = finish;
  const tube = isTubeForm({ pattern });
  const told = useCraftWords();
  const { asks } = itemNamed(item);
  const shows = (question: Question) => asks.includes(question);
  const bordered = shows('border') && Number(border.rounds) > 0;
  return (
    <MorePart name="finish" title="Finishing" hint={wishSaid.finishingAddsSizeYarn} summary={<FinishSummary />}>
      <div className="flex flex-wrap items-start gap-x-5 gap-y-4">
        {shows('border') ? (
          <div className="w-[136px]">
            <Field
              name="border.rounds"
              label={told(wishSaid.borderRoundsSc)}
              inputMode="numeric"
              className="count text-[18px]"
            />
          </div>
        ) : null}
        {bordered ? (
          <div className="w-[104px]">
            <LetterOf name="border.colour" label="Border in" />
          </div>
        ) : null}
        {bordered ? (
          <div className="w-[250px]">
            <SelectOf name="border.as" label={wishSaid.borderAs}>
              {borderKinds
                .filter((kind) => kind !== 'envelope' || !tube)
                .map((kind) => (
                  <option key={kind} value={kind}>
                    {wishSaid.borderKinds[kind]}
                  </option>
                ))}
            </SelectOf>
          </div>
        ) : null}
        {bordered && isPattern(border.as) ? (
          <div className="w-[104px]">
            <LetterOf name="border.second" label={wishSaid.borderSecond} />
          </div>
        ) : null}
        {bordered && !tube && !isCircle(pattern.key) ? (
          <div className="w-[250px]">
            <SelectOf name="border.by" label={wishSaid.borderSides}>
              <option value="gauge">{told(wishSaid.byGauge)}</option>
              <option value="rule">{wishSaid.byRule}</option>
            </SelectOf>
          </div>
        ) : null}
        {shows('ring') ? (
          <div className="w-[150px]">
            <Field name="finish.ring" label="Hanging ring (inside width)" className="count text-[18px]" />
          </div>
        ) : null}
        {shows('strap') ? (
          <div className="w-[216px]">
            <SelectOf name="finish.strap.kind" label="Strap">
              <option value="">none</option>
              <option value="chain cord">chain cord</option>
              <option value="sc along">{told('{sc} along its length')}</option>
              <option value="sc across">{told('{sc} across')}</option>
              <option value="hdc">{told('{hdc}')}</option>
              <option value="dc">{told('{dc}')}</option>
              <option value="bought">{wishSaid.cordYouBuyOr}</option>
            </SelectOf>
          </div>
        ) : null}
        {shows('strap') && strap.kind ? (
          <>
            <div className="w-[130px]">
              <Field name="finish.strap.drop" label="Drop" className="count text-[18px]" />
            </div>
            <div className="w-[130px]">
              <Field name="finish.strap.width" label="Strap width" className="count text-[18px]" />
            </div>
          </>
        ) : null}
        {shows('seam') ? (
          <div className="w-[196px]">
            <SelectOf name="finish.seam" label={joinLabel(item, tube, flap.trim() !== '')}>
              <option value="">nothing</option>
              <option value="sc">{told('{sc} through both')}</option>
              <option value="slip stitch">slip stitch</option>
              <option value="whipped">whip stitch</option>
              <option value="mattress">mattress stitch</option>
            </SelectOf>
          </div>
        ) : null}
        {shows('seam') && seam ? (
          <div className="w-[104px]">
            <LetterOf name="finish.seamColour" label={wishSaid.seamIn} />
          </div>
        ) : null}
        {shows('ring') && finish.ring ? (
          <div className="w-[104px]">
            <LetterOf name="finish.ringColour" label={wishSaid.ringIn} />
          </div>
        ) : null}
        {closing ? (
          <div className="w-[130px]">
            <LetterOf name="finish.closingColour" label={wishSaid.closingIn} />
          </div>
        ) : null}
        {shows('flap') && !tube ? (
          <div className="w-[150px]">
            <Field
              name="finish.flap"
              label={wishSaid.flapIfMadeIn}
              placeholder={units === 'cm' ? '10 cm' : '4 in'}
              className="count text-[18px]"
            />
          </div>
        ) : null}
        <div className="w-[196px]">
          <SelectOf name="wash" label="First wash">
            <option value="">leave it out</option>
            <option value="cotton-hot">cotton, hot</option>
            <option value="acrylic">acrylic</option>
            <option value="wool-blocked">wool, wet blocked</option>
            <option value="superwash-tumbled">superwash, tumbled</option>
          </SelectOf>
        </div>
        {itemNamed(item).mouth ? (
          <div className="w-[216px]">
            <SelectOf name="finish.mouth" label={wishSaid.mouthEdge}>
              <option value="">none</option>
              <option value="plain">{told(wishSaid.mouthRound)}</option>
              <option value="eyelets">{wishSaid.mouthEyelets}</option>
            </SelectOf>
          </div>
        ) : null}
        {itemNamed(item).mouth && finish.mouth && !tube ? (
          <div className="w-[216px]">
            <SelectOf name="finish.mouthEdge" label={wishSaid.mouthIs}>
              <option value="last">{wishSaid.mouthEdges.last}</option>
              <option value="foundation">{wishSaid.mouthEdges.foundation}</option>
            </SelectOf>
          </div>
        ) : null}
        {panelsOfForm(watch()) === 2 ? (
          <div className="w-[216px]">
            <SelectOf name="back" label={setSaid.backIs}>
              <option value="">{setSaid.backs.same}</option>
              <option value="twin">{setSaid.backs.twin}</option>
              <option value="plain">{setSaid.backs.plain}</option>
              {backPatterns(watch()).map(({ key, name }) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </SelectOf>
          </div>
        ) : null}
        {shows('seam') && seam ? (
          <p className="max-w-[62ch] basis-full text-[14px] text-soft">
            {openSides({
              item,
              tube,
              flap: flap.trim() !== '',
              onChain: !foundation || findFoundation(foundation)?.sides === 2,
            })}
          </p>
        ) : null}
        <div className="basis-full">
          <p className="label">{wishSaid.howDoYouFeel}</p>
          <Choice
            label={wishSaid.howDoYouFeel}
            value={weaving}
            options={[
              { value: 'hate', words: wishSaid.idRatherAvoidIt },
              { value: 'usual', words: 'I don’t mind' },
              { value: 'easy', words: 'I like it' },
            ]}
            onChange={(next) => setValue('weaving', next, { shouldDirty: true })}
          />
          <p className="mt-1 text-[14px] text-soft">{wishSaid.fewerEndsYouWant}</p>
        </div>
        <div className="flex basis-full flex-wrap gap-x-8 gap-y-2">
          {shows('seam') && isSewn(seam) ? <Tick name="finish.longEnd">{wishSaid.longEnd}</Tick> : null}
          <Tick name="closing">{told(wishSaid.plainClosingRowSc)}</Tick>
          {itemNamed(item).folds ? <Tick name="fold">{wishSaid.foldIt}</Tick> : null}
          <Tick name="smallChildren">{wishSaid.forBabyOrSmall}</Tick>
        </div>
      </div>
    </MorePart>
  );
}

type ColourField = 'border.colour' | 'border.second' | `finish.${'closing' | 'seam' | 'ring'}Colour`;

/** One of the yarns, by its letter. */
function LetterOf({ name, label }: { name: ColourField; label: string }) {
  const { watch } = useFormContext<WishFormValues>();
  return (
    <SelectOf name={name} label={label}>
      {watch('yarns').map(({ letter }) => (
        <option key={letter} value={letter}>
          {letter}
        </option>
      ))}
    </SelectOf>
  );
}

/** What is done when it is off the hook, in a line. */
function FinishSummary() {
  const { watch } = useFormContext<WishFormValues>();
  const { item, border, finish, closing, smallChildren, wash, fold } = watch();
  const { asks } = itemNamed(item);
  const rounds = asks.includes('border') ? Number(border.rounds) : 0;
  const parts = [
    rounds > 0 ? `a border of ${rounds} ${rounds === 1 ? 'round' : 'rounds'}` : '',
    closing ? 'a closing row' : '',
    asks.includes('strap') && finish.strap.kind ? 'a strap' : '',
    asks.includes('ring') && finish.ring.trim() ? 'a hanging ring' : '',
    asks.includes('seam') && finish.seam ? 'seams' : '',
    wash ? 'a first wash' : '',
    fold && itemNamed(item).folds ? wishSaid.folded : '',
    smallChildren ? wishSaid.forBabyOrSmallChild : '',
  ].filter(Boolean);
  return <span>{parts.length ? parts.join(', ') : wishSaid.onlyEndsToWeave}</span>;
}

function Tick({
  name,
  children,
}: {
  name: 'closing' | 'fold' | 'smallChildren' | 'finish.longEnd';
  children: ReactNode;
}) {
  const { register } = useFormContext<WishFormValues>();
  return (
    <label className="flex min-h-11 cursor-pointer items-center gap-2.5 text-[16px]">
      <input type="checkbox" className="size-5 accent-ink" {...register(name)} />
      {children}
    </label>
  );
}
