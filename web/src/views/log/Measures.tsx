import { lengthNumber, parseLength, unitWord } from '@puntada/core/craft';
import { prepareCloth } from '@puntada/core/plan';
import type { Measuring } from '@puntada/core/records';
import { entryLabel } from '@puntada/core/records';
import { clothAsWorked, driftOf, isDrifting } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { problemsOf, usePreferences } from '../../api/api.ts';
import { useAddEntryMutation } from '../../api/records.ts';
import { Button } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import type { LogProps } from './logProps.ts';

/** Width and height on the way, and what the piece will end up as. */
export function Measures({ work, log, cloth }: Pick<LogProps, 'work' | 'log' | 'cloth'>) {
  const { told } = usePreferences();
  const [add, adding] = useAddEntryMutation();
  const [width, setWidth] = useState('');
  const [height, setHeight] = useState('');
  const [tried, setTried] = useState(false);
  const { units } = work.wish;
  const planned = useMemo(() => {
    const prepared = prepareCloth(work.wish, cloth);
    return prepared.ok ? clothAsWorked(prepared.value, cloth.fabric) : undefined;
  }, [work.wish, cloth]);
  const measures = log.entries.filter((entry): entry is Measuring => entry.kind === 'measure').toReversed();
  const wrong = (text: string) => text.trim() !== '' && !parseLength(text, units).ok;
  const keep = async () => {
    setTried(true);
    if (wrong(width) || wrong(height) || (!width.trim() && !height.trim())) return;
    const entry: Measuring = {
      ...entryLabel,
      kind: 'measure',
      id: crypto.randomUUID(),
      at: Date.now(),
      position: work.progress,
      ...(width.trim() ? { width: width.trim() } : {}),
      ...(height.trim() ? { height: height.trim() } : {}),
    };
    const answer = await add({ id: work.id, entry });
    if (answer.error) return;
    setWidth('');
    setHeight('');
    setTried(false);
  };
  const size = (mm: number) => `${lengthNumber(mm, told)} ${unitWord(told)}`;
  return (
    <section aria-label="Measured">
      <h2 className="border-b border-ink pb-1 text-[19px]">Measured as you go</h2>
      <ul>
        {measures.slice(0, 4).map((each) => {
          const drift = planned && driftOf(each, planned, units);
          const off = (ratio: number | undefined) => {
            if (ratio === undefined) return '';
            const percent = Math.round((ratio - 1) * 100);
            return percent === 0
              ? ', as planned'
              : `, ${Math.abs(percent)} % ${percent > 0 ? 'over' : 'under'} the plan`;
          };
          return (
            <li key={each.id} className="border-b border-rule py-2 text-[16px]">
              After row <b className="count">{each.position.rows}</b>:{' '}
              {each.width ? `${each.width} wide${off(drift?.width)}` : ''}
              {each.width && each.height ? '; ' : ''}
              {each.height ? `${each.height} high${off(drift?.height)}` : ''}.
              {drift && isDrifting(drift) ? (
                <span className="block text-ochre">
                  <span aria-hidden>△ </span>
                  At this rate it will end up{' '}
                  {[
                    drift.finalWidth && `${size(drift.finalWidth)} wide`,
                    drift.finalHeight && `${size(drift.finalHeight)} high`,
                  ]
                    .filter(Boolean)
                    .join(' and ')}
                  .
                </span>
              ) : null}
            </li>
          );
        })}
      </ul>
      <form
        aria-label="Measure it now"
        noValidate
        className="mt-3 flex flex-wrap items-start gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <div className="w-[120px]">
          <TextField
            label={`Width, ${units}`}
            value={width}
            onChange={setWidth}
            className="count"
            wrong={tried && wrong(width) ? 'Type 24 or 9 1/2 in.' : undefined}
          />
        </div>
        <div className="w-[120px]">
          <TextField
            label={`Height, ${units}`}
            value={height}
            onChange={setHeight}
            className="count"
            wrong={tried && wrong(height) ? 'Type 24 or 9 1/2 in.' : undefined}
          />
        </div>
        <div className="pt-[25px]">
          <Button type="submit" disabled={adding.isLoading}>
            Save measurement
          </Button>
        </div>
      </form>
      <p className="pt-1 text-[14px] text-soft">Off the hook, laid flat, without its border.</p>
      <Problems problems={problemsOf(adding.error)} />
    </section>
  );
}
