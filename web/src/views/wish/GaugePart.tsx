import {
  decimal,
  figure,
  findPattern,
  isSamePattern,
  type LengthUnit,
  readNumber,
  sourceOf,
} from '@puntada/core/craft';
import type { HookAdvice } from '@puntada/core/plan';
import type { StoredSwatch, Swatch } from '@puntada/core/records';
import { hookWords, wishSaid } from '@puntada/core/words';
import { swatchFigures } from '@puntada/core/work';
import { useFormContext } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { useSwatchesQuery } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { useCraftWords } from '../../parts/Craft.tsx';
import { gaugeSpan } from '../../parts/gaugeSpan.ts';
import { SelectField } from '../../parts/SelectField.tsx';
import { planner } from '../../worker/planner.ts';
import { Field } from './Field.tsx';
import { MorePart } from './More.tsx';
import { readWish, type WishFormValues } from './wishForm.ts';

/**
 * The hook and the gauge: of a swatch in the book, counted elsewhere, or typical until there is one.
 * @param advice what is known of the hook for this wish; nothing while it cannot be planned
 */
export function GaugePart({ advice }: { advice: HookAdvice | undefined }) {
  const craft = useCraftWords();
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { from } = watch('gauge');
  const { data: swatches } = useSwatchesQuery();
  const counted = swatches?.filter(({ swatch }) => swatchFigures(swatch)) ?? [];
  return (
    <MorePart
      name="gauge"
      title={craft('Hook and {gauge}')}
      summary={<GaugeSummary />}
      hint={wishSaid.countInThisPattern}
    >
      <div className="grid gap-4">
        <div className="flex flex-wrap items-end gap-x-6 gap-y-4">
          <div className="w-[104px]">
            <Field name="hook" label="Hook (mm)" inputMode="decimal" className="count text-[18px]" />
          </div>
          <Choice
            label={craft('Gauge')}
            value={from}
            options={[
              { value: 'typical', words: wishSaid.typicalForThisYarn },
              { value: 'counted', words: 'I counted it' },
              { value: 'swatch', words: 'From a swatch' },
            ]}
            onChange={(next) => {
              setValue('gauge.from', next, { shouldDirty: true });
              const [only] = counted;
              if (next === 'swatch' && only && !watch('gauge.taken')) void takeSwatch(setValue, only);
            }}
          />
        </div>
        {advice ? <p className="max-w-[62ch] text-[15px] text-soft">{hookWords(advice).map(craft).join(' ')}</p> : null}
        {from === 'counted' ? (
          <div className="flex flex-wrap gap-x-10 gap-y-4">
            <Pair of="stitches" what="Stitches" />
            <Pair of="rows" what="Rows" />
          </div>
        ) : null}
        {from === 'swatch' ? <FromSwatch counted={counted} /> : null}
        {from === 'typical' ? (
          <p className="max-w-[62ch] text-[15px] text-ochre">
            <span aria-hidden>≈ </span>
            {wishSaid.typicalFiguresNotYet}
          </p>
        ) : null}
        <PlanASwatch />
      </div>
    </MorePart>
  );
}

/** Hook and gauge in a line. */
function GaugeSummary() {
  const { watch } = useFormContext<WishFormValues>();
  const { gauge, hook } = watch();
  const { from, stitches, rows } = gauge;
  const words =
    from === 'typical'
      ? wishSaid.typicalForThisYarnUntil
      : from === 'counted'
        ? wishSaid.stitchesInRowsIn(stitches.count, stitches.over, rows.count, rows.over)
        : 'from a swatch';
  return (
    <span>
      {hook.trim() ? `${hook} mm, ` : ''}
      {words}
    </span>
  );
}

type SetValue = ReturnType<typeof useFormContext<WishFormValues>>['setValue'];

async function takeSwatch(setValue: SetValue, { id, swatch }: StoredSwatch): Promise<void> {
  // What its weight tells is laid and measured, which is the worker's to do.
  setValue('gauge.taken', await planner.swatchGauge(id, swatch), { shouldDirty: true });
  if (swatch.hook) setValue('hook', String(swatch.hook), { shouldDirty: true });
}

/** The swatches that are counted, those of this pattern first. */
function FromSwatch({ counted }: { counted: readonly StoredSwatch[] }) {
  const { watch, setValue } = useFormContext<WishFormValues>();
  const { pattern, gauge, hook } = watch();
  const { taken } = gauge;
  const { units } = usePreferences();
  if (!counted.length) return <p className="text-[15px] text-soft">{wishSaid.noSwatchHasBeen}</p>;
  const same = (each: StoredSwatch) => Number(isSamePattern(sourceOf(each.swatch.pattern), pattern.key));
  const sorted = [...counted].sort((a, b) => same(b) - same(a));
  const chosen = sorted.find((each) => each.id === taken?.swatch);
  return (
    <div className="max-w-[520px]">
      <SelectField
        label="Swatch"
        value={chosen?.id ?? ''}
        onChange={(id) => {
          const found = sorted.find((each) => each.id === id);
          if (found) void takeSwatch(setValue, found);
        }}
      >
        {chosen ? null : <option value="">choose one</option>}
        {sorted.map(({ id, swatch }) => (
          <option key={id} value={id}>
            {swatchWords(swatch, units)}
          </option>
        ))}
      </SelectField>
      {chosen ? <Mismatch swatch={chosen.swatch} pattern={pattern.key} hook={hook} /> : null}
    </div>
  );
}

function swatchWords(swatch: Swatch, units: LengthUnit): string {
  const { words, of10cm } = gaugeSpan(units);
  const figures = swatchFigures(swatch);
  const counts = figures
    ? `${decimal(figures.stitches * of10cm, 1)} × ${decimal(figures.rows * of10cm, 1)} in ${words}`
    : '';
  return `${swatch.title}: ${counts}`;
}

/** What the swatch was made in otherwise than the wish will be. */
function Mismatch({ swatch, pattern, hook }: { swatch: Swatch; pattern: string; hook: string }) {
  const own = sourceOf(swatch.pattern);
  const other = own && !isSamePattern(own, pattern) ? findPattern(own) : undefined;
  const typed = readNumber(hook);
  const words = [
    other?.ok ? wishSaid.thisSwatchInAnother(other.value.name) : '',
    swatch.hook && typed && typed !== swatch.hook ? wishSaid.thisSwatchWasMade(figure(swatch.hook)) : '',
  ].filter(Boolean);
  if (!words.length) return null;
  return (
    <p className="mt-2 border-l-4 border-ochre bg-ochre-pale px-3 py-2 text-[15px]">
      <span aria-hidden>△ </span>
      {words.join(' ')}
    </p>
  );
}

/** A swatch of this very wish, to be planned now. */
function PlanASwatch() {
  const { watch } = useFormContext<WishFormValues>();
  const navigate = useNavigate();
  const start = () => {
    const read = readWish(watch());
    if (!read.ok) return;
    const { title, pattern, policy, hook, yarns } = read.value;
    const swatch = { title: `${title.slice(0, 60)}, swatch`, pattern, policy, yarns, ...(hook ? { hook } : {}) };
    navigate('/swatches/new', { state: { swatch } });
  };
  return (
    <div>
      <Button kind="quiet" onClick={start} className="-ml-4">
        {wishSaid.planSwatchForThis}
      </Button>
    </div>
  );
}

function Pair({ of, what }: { of: 'stitches' | 'rows'; what: string }) {
  return (
    <div className="flex items-start gap-3">
      <div className="w-[104px]">
        <Field name={`gauge.${of}.count`} label={what} inputMode="decimal" className="count text-[18px]" />
      </div>
      <span className="mt-9 text-soft">over</span>
      <div className="w-[124px]">
        <Field name={`gauge.${of}.over`} label={`Span of the ${what.toLowerCase()}`} className="count text-[18px]" />
      </div>
    </div>
  );
}
