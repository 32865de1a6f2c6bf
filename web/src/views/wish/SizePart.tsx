import { useFormContext } from 'react-hook-form';
import { Choice } from '../../parts/Choice.tsx';
import { Field, Part } from './Field.tsx';
import type { WishFormValues } from './wishForm.ts';

const afterWidth = { length: '', chain: 'chains', stitches: 'stitches' } as const;

/** How big, in lengths or in counts; or what a chain already made would come to. */
export function SizePart() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { units, widthBy, heightBy } = watch();
  return (
    <Part title="About how big" hint="The mat then shows only the sizes that the pattern allows.">
      <div className="grid gap-4">
        <div className="flex flex-wrap gap-x-6 gap-y-3">
          <Choice
            label="Width given as"
            value={widthBy}
            options={[
              { value: 'length', words: 'A width' },
              { value: 'chain', words: 'A chain already made' },
              { value: 'stitches', words: 'Stitches' },
            ]}
            onChange={(next) => {
              setValue('widthBy', next);
              setValue('width', next === 'length' ? (units === 'cm' ? '24' : '9 1/2') : next === 'chain' ? '37' : '36');
            }}
          />
          <Choice
            label="Height given as"
            value={heightBy}
            options={[
              { value: 'length', words: 'A height' },
              { value: 'rows', words: 'Rows' },
            ]}
            onChange={(next) => {
              setValue('heightBy', next);
              setValue('height', next === 'length' ? (units === 'cm' ? '24' : '9 1/2') : '44');
            }}
          />
        </div>
        <div className="flex flex-wrap items-start gap-4">
          <div className="w-[190px]">
            <Field
              name="width"
              label={widthBy === 'length' ? 'Width' : widthBy === 'chain' ? 'Chains made' : 'Stitches across'}
              after={widthBy === 'length' ? units : afterWidth[widthBy]}
              className="count text-[18px]"
              inputMode={widthBy === 'length' ? 'text' : 'numeric'}
            />
          </div>
          <span aria-hidden className="mt-[33px] text-[20px] text-soft">
            ×
          </span>
          <div className="w-[190px]">
            <Field
              name="height"
              label={heightBy === 'length' ? 'Height' : 'Rows'}
              after={heightBy === 'length' ? units : 'rows'}
              className="count text-[18px]"
            />
          </div>
          <div>
            <p className="label">Bare numbers are in</p>
            <Choice
              label="Bare numbers are in"
              value={units}
              options={[
                { value: 'cm', words: 'cm' },
                { value: 'in', words: 'in' },
              ]}
              onChange={(next) => setValue('units', next, { shouldDirty: true })}
            />
          </div>
        </div>
      </div>
    </Part>
  );
}
