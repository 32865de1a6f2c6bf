import { firstBelief, isDoubtful } from '@puntada/core/craft';
import type { Swatch } from '@puntada/core/records';
import { problemText, swatchesSaid } from '@puntada/core/words';
import { useState } from 'react';
import { Button } from '../../parts/Button.tsx';
import { GramsField } from '../../parts/GramsField.tsx';
import { ReadInGrams } from '../../parts/ReadInGrams.tsx';
import { SelectField } from '../../parts/SelectField.tsx';
import { useGrams } from '../../parts/useGrams.ts';
import type { SwatchWork } from '../../worker/swatchWork.ts';

interface Props {
  readonly swatch: Swatch;
  /** What its weight tells; nothing while that is counted, or where it was not weighed. */
  readonly reading: SwatchWork['reading'];
  readonly onChange: (weight: Swatch['weight']) => void;
}

/** The swatch on the scale: what it says of the yarn that this hand really takes. */
export function Weighing({ swatch, reading, onChange }: Props) {
  const typed = useGrams(swatch.weight?.grams);
  const { grams } = typed;
  const [scale, setScale] = useState(String(swatch.weight?.scale ?? 1));
  const [tried, setTried] = useState(false);
  const keep = () => {
    setTried(true);
    if (grams !== undefined) onChange({ grams, scale: Number(scale) });
  };
  return (
    <section aria-label="Weight">
      <h2 className="border-b border-ink pb-1 text-[19px]">Weight</h2>
      <form
        aria-label="Weigh it"
        noValidate
        className="mt-3 flex flex-wrap items-start gap-x-4 gap-y-3"
        onSubmit={(event) => {
          event.preventDefault();
          keep();
        }}
      >
        <div className="w-[130px]">
          <GramsField typed={typed} tried={tried} like="13.2" />
        </div>
        <div className="w-[170px]">
          <SelectField label={swatchesSaid.scaleReadsTo} value={scale} onChange={setScale}>
            <option value="0.05">± 0.05 g</option>
            <option value="0.1">± 0.1 g</option>
            <option value="0.5">± 0.5 g</option>
            <option value="1">± 1 g</option>
            <option value="5">± 5 g</option>
          </SelectField>
        </div>
        <div className="self-end">
          <Button type="submit">Save weight</Button>
        </div>
        {swatch.weight ? (
          <div className="self-end">
            <Button kind="quiet" onClick={() => onChange(undefined)}>
              Delete the weight
            </Button>
          </div>
        ) : null}
      </form>
      <ReadInGrams />
      <p className="mt-2 max-w-[64ch] text-[15px]" aria-live="polite">
        {weightWords(swatch, reading)}
      </p>
    </section>
  );
}

function weightWords(swatch: Swatch, reading: SwatchWork['reading']): string {
  if (!swatch.weight) return swatchesSaid.weighItDryBefore;
  if (!reading) return 'Counting…';
  if (!reading.ok) return reading.problems[0] ? problemText(reading.problems[0]) : '';
  const percent = Math.round((Math.exp(reading.value.ratio) - 1) * 100);
  const sure = Math.round(reading.value.error * 1.6449 * 100);
  const than = percent === 0 ? 'as much yarn as' : `${Math.abs(percent)} % ${percent > 0 ? 'more' : 'less'} yarn than`;
  const doubt = isDoubtful(firstBelief('measured'), reading.value) ? swatchesSaid.thisLooksFarOff : '';
  return swatchesSaid.youUseEstimatedAccurate(than, sure, doubt);
}
