import { useFormContext } from 'react-hook-form';
import { Choice } from '../../parts/Choice.tsx';
import { Field, Part } from './Field.tsx';
import { type ShownItem, shownItems, usualSizes, type WishFormValues } from './wishForm.ts';

const names: Readonly<Record<ShownItem, string>> = {
  dishcloth: 'Dishcloth',
  blanket: 'Blanket',
  'bag panel': 'Bag panel',
  scarf: 'Scarf',
  mat: 'Mat',
};

/** What it is to be. Choosing it sets the size people usually make, unless the size was touched. */
export function ItemPart() {
  const { watch, setValue, formState } = useFormContext<WishFormValues>();
  const choose = (item: ShownItem) => {
    setValue('item', item, { shouldDirty: true });
    const { dirtyFields } = formState;
    if (dirtyFields.width || dirtyFields.height || watch('widthBy') !== 'length') return;
    const [width, height] = usualSizes[item][watch('units')];
    setValue('width', width);
    setValue('height', height);
  };
  return (
    <Part title="What">
      <div className="grid gap-4">
        <Choice
          label="What it is"
          value={watch('item')}
          options={shownItems.map((value) => ({ value, words: names[value] }))}
          onChange={choose}
        />
        <div className="max-w-[420px]">
          <Field name="title" label="What you call it" />
        </div>
      </div>
    </Part>
  );
}
