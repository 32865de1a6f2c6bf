import { findPattern, isWritten, patternBook } from '@puntada/core/craft';
import { itemKinds, itemNamed, techniquesFor } from '@puntada/core/plan';
import type { Item } from '@puntada/core/records';
import { itemName, wishSaid } from '@puntada/core/words';
import { useFormContext } from 'react-hook-form';
import { Choice } from '../../parts/Choice.tsx';
import { Field, Part } from './Field.tsx';
import { More } from './More.tsx';
import { takePattern } from './takePattern.ts';
import { piecesOf, usualFinish, usualMade, usualNumbers, usualSize, usualTitle } from './usual.ts';
import { isTubeForm, type WishFormValues } from './wishForm.ts';

/** What it is to be. Choosing it sets what people usually make, unless the size was touched. */
export function ItemPart() {
  const { watch, setValue, formState } = useFormContext<WishFormValues>();
  const choose = (item: Item) => {
    setValue('item', item, { shouldDirty: true });
    // A name that was only offered goes with the item.
    if (itemKinds.some((preset) => usualTitle(preset.item) === watch('title'))) setValue('title', usualTitle(item));
    const units = watch('units');
    const usual = usualFinish(item, units);
    setValue('border.rounds', usual.border.rounds);
    setValue('closing', usual.closing);
    setValue('finish', usual.finish);
    const found = findPattern(watch('pattern.key'));
    const pattern = found.ok ? found.value : undefined;
    const technique = pattern?.technique;
    const offered = techniquesFor(item);
    // A pattern of the maker's own stays, whatever it is to go into: what cannot be is said, and another can be chosen.
    const own = isWritten(watch('pattern.key'));
    if (!technique || (!offered.includes(technique) && !own)) {
      const first = patternBook.find((each) => each.technique === offered[0]);
      if (first) takePattern({ setValue, watch }, first.key);
    } else if (pattern) {
      if (!formState.dirtyFields.pattern?.numbers) setValue('pattern.numbers', usualNumbers(item, pattern));
      // What lies double is made in rounds unless the maker chooses otherwise.
      setValue('pattern.made', usualMade(item, pattern));
      setValue('foundation', '');
    }
    // Two panels are one bag in rounds.
    const tube = isTubeForm(watch());
    setValue('pieces', tube ? piecesOf(item, usual.pieces, true) : usual.pieces);
    setValue('across', '');
    // Its cautions are those of a small child's things.
    setValue('smallChildren', itemNamed(item).wish.smallChildren ?? false);
    setValue('ending', itemNamed(item).wish.ending ?? 'as-begun');
    const { dirtyFields } = formState;
    if (dirtyFields.width || dirtyFields.height || watch('width.by') !== 'length') return;
    const [width, height] = usualSize(item, units);
    setValue('width.length', width);
    setValue('height.length', height);
  };
  return (
    <Part title={wishSaid.whatYouMaking}>
      <div className="grid gap-4">
        <Choice
          label={wishSaid.whatYouMaking}
          value={watch('item')}
          options={itemKinds.map(({ item }) => ({ value: item, words: itemName(item) }))}
          onChange={choose}
        />
        <More name="about" words={wishSaid.nameNumberAndDate(watch('title'))}>
          <div className="grid max-w-[620px] grid-cols-[minmax(0,1fr)_110px] gap-4 sm:grid-cols-[minmax(0,1fr)_110px_170px]">
            <div>
              <Field name="title" label="Project name" />
            </div>
            <div>
              <Field
                name="pieces"
                label={itemNamed(watch('item')).countsPanels && !isTubeForm(watch()) ? 'Panels' : 'How many'}
                inputMode="numeric"
                className="count text-[18px]"
              />
            </div>
            <div>
              <Field name="due" label="Needed by (optional)" type="date" />
            </div>
          </div>
        </More>
      </div>
    </Part>
  );
}
