import { useFormContext } from 'react-hook-form';
import { Choice } from '../../parts/Choice.tsx';
import { Field, Part } from './Field.tsx';
import type { WishFormValues } from './wishForm.ts';

/** The gauge: counted on a swatch as it will be worked, or typical until there is one. */
export function GaugePart() {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { gaugeFrom } = watch();
  return (
    <Part title="Gauge" hint="Counted in this pattern, strands and all, 2 stitches from any edge.">
      <div className="grid gap-4">
        <Choice
          label="Gauge"
          value={gaugeFrom}
          options={[
            { value: 'typical', words: 'Typical for the yarn' },
            { value: 'counted', words: 'Counted on my swatch' },
          ]}
          onChange={(next) => setValue('gaugeFrom', next, { shouldDirty: true })}
        />
        {gaugeFrom === 'counted' ? (
          <div className="flex flex-wrap gap-x-10 gap-y-4">
            <Pair count="stitchCount" span="stitchSpan" what="Stitches" />
            <Pair count="rowCount" span="rowSpan" what="Rows" />
          </div>
        ) : (
          <p className="max-w-[62ch] text-[15px] text-ochre">
            <span aria-hidden>≈ </span>
            Typical, not yours: every size and yarn figure is then a range. A swatch narrows it.
          </p>
        )}
      </div>
    </Part>
  );
}

function Pair({ count, span, what }: { count: string; span: string; what: string }) {
  return (
    <div className="flex items-start gap-3">
      <div className="w-[104px]">
        <Field name={count} label={what} inputMode="decimal" className="count text-[18px]" />
      </div>
      <span className="mt-9 text-soft">over</span>
      <div className="w-[124px]">
        <Field name={span} label={`Span of the ${what.toLowerCase()}`} className="count text-[18px]" />
      </div>
    </div>
  );
}
