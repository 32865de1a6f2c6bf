import { decimal, figure, findPattern, readNumber, sourceOf } from '@puntada/core/craft';
import type { StoredSwatch, Swatch } from '@puntada/core/records';
import { policyNames, swatchesSaid } from '@puntada/core/words';
import { hookFor, swatchFigures } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { problemsOf, usePreferences } from '../../api/api.ts';
import { useSwatchesQuery } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Empty } from '../../parts/Empty.tsx';
import { gaugeSpan } from '../../parts/gaugeSpan.ts';
import { PatternPicture } from '../../parts/PatternPicture.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { Unread } from '../../parts/Unread.tsx';
import { planner } from '../../worker/planner.ts';
import type { SwatchWork } from '../../worker/swatchWork.ts';
import { useAnswer } from '../../worker/useAnswer.ts';

/** All swatches side by side, and which hook to try for a wished gauge. */
export default function SwatchBook() {
  const { data: swatches, error } = useSwatchesQuery();
  const { units } = usePreferences();
  const { words: over, of10cm: span } = gaugeSpan(units);
  const ask = useMemo(
    () => swatches && (() => planner.swatchReadings(swatches.map(({ swatch }) => swatch))),
    [swatches],
  );
  const readings = useAnswer(ask);
  return (
    <>
      <Head title="Swatch book" under={swatchesSaid.countsWeightsAndHooks}>
        <ButtonLink to="/swatches/new" kind="next">
          Plan a swatch
        </ButtonLink>
      </Head>
      <Shelves />
      <main id="main" className="mx-auto w-full max-w-[1440px] px-6 pt-4 pb-12">
        {error ? <Problems problems={problemsOf(error)} /> : null}
        {swatches && !swatches.length ? (
          <Empty acts={<ButtonLink to="/swatches/new">Plan a swatch</ButtonLink>}>
            {swatchesSaid.yourSwatchesWillStand}
          </Empty>
        ) : null}
        {swatches?.length ? (
          <div className="overflow-x-auto">
            <table className="folds w-full text-left sm:min-w-[760px]">
              <caption className="sr-only">Your swatches</caption>
              <thead className="text-[14px] text-soft">
                <tr className="border-b border-ink">
                  <th scope="col" className="py-2 font-semibold">
                    Swatch
                  </th>
                  <th scope="col" className="font-semibold">
                    Hook
                  </th>
                  <th scope="col" className="font-semibold">
                    Idle yarn
                  </th>
                  <th scope="col" className="text-right font-semibold">
                    Stitches in {over}
                  </th>
                  <th scope="col" className="text-right font-semibold">
                    Rows in {over}
                  </th>
                  <th scope="col" className="text-right font-semibold">
                    Washed
                  </th>
                  <th scope="col" className="text-right font-semibold">
                    Yarn used
                  </th>
                </tr>
              </thead>
              <tbody>
                {swatches.map((stored, i) => (
                  <SwatchRow key={stored.id} stored={stored} reading={readings?.[i]} span={span} />
                ))}
              </tbody>
            </table>
          </div>
        ) : null}
        <Unread kind="swatches" />
        {swatches ? <WhichHook swatches={swatches} over={over} span={span} /> : null}
      </main>
    </>
  );
}

function patternName({ pattern }: Swatch): string {
  const found = findPattern(sourceOf(pattern));
  return found.ok ? found.value.name : 'own pattern';
}

function SwatchRow({ stored, reading, span }: { stored: StoredSwatch; reading: SwatchWork['reading']; span: number }) {
  const { swatch } = stored;
  const worked = swatchFigures(swatch);
  const washed = swatch.counts.some((count) => count.washed) ? swatchFigures(swatch, true) : undefined;
  const over = (value: number | undefined) => (value === undefined ? '–' : decimal(value * span, 1));
  return (
    <tr className="border-b border-rule">
      <th scope="row" className="py-2.5 pr-4 text-left font-normal">
        <span className="flex items-center gap-4">
          <PatternPicture
            pattern={sourceOf(swatch.pattern) || 'block-check'}
            stitch={swatch.pattern.stitch}
            shades={swatch.yarns.map((yarn) => yarn.shade)}
            side={56}
          />
          <span className="min-w-0">
            <Link
              to={`/swatches/${stored.id}`}
              className="inline-flex min-h-11 items-center text-[18px] font-semibold no-underline hover:underline"
            >
              {swatch.title}
            </Link>
            <span className="block text-[14px] text-soft">{patternName(swatch)}</span>
          </span>
        </span>
      </th>
      <td data-head="Hook" className="count whitespace-nowrap">
        {swatch.hook ? `${figure(swatch.hook)} mm` : '–'}
      </td>
      <td data-head="Idle yarn" className="text-[15px]">
        {policyNames[swatch.policy]}
      </td>
      {worked ? (
        <>
          <td data-head="Stitches" className="count text-right text-[20px]">
            {over(worked.stitches)}
          </td>
          <td data-head="Rows" className="count text-right text-[20px]">
            {over(worked.rows)}
          </td>
          <td data-head="Washed" className="count text-right">
            {washed ? `${over(washed.stitches)} × ${over(washed.rows)}` : '–'}
          </td>
        </>
      ) : (
        <td colSpan={3} className="sm:pl-6 text-[15px] text-ochre">
          not counted yet
        </td>
      )}
      <td data-head="Yarn used" className="count text-right">
        {reading?.ok ? ratioText(reading.value.ratio) : '–'}
      </td>
    </tr>
  );
}

function ratioText(ratio: number): string {
  const percent = Math.round((Math.exp(ratio) - 1) * 100);
  return percent === 0 ? 'as estimated' : `${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`;
}

/** From the counted swatches: the hook to try next for a wished count. */
function WhichHook({ swatches, over, span }: { swatches: readonly StoredSwatch[]; over: string; span: number }) {
  const [wanted, setWanted] = useState('');
  const counted = swatches.flatMap(({ id, swatch }) => {
    const figures = swatchFigures(swatch);
    return figures && swatch.hook ? [{ id, title: swatch.title, hook: swatch.hook, figures }] : [];
  });
  if (!counted.length) return null;
  const stitches = readNumber(wanted) ?? 0;
  const good = stitches >= 2 && stitches <= 60;
  return (
    <section aria-label="Which hook" className="mt-8 max-w-[760px]">
      <h2 className="border-b border-ink pb-1 text-[19px]">Which hook?</h2>
      <div className="mt-3 flex flex-wrap items-start gap-6">
        <div className="w-[230px]">
          <TextField
            label={swatchesSaid.stitchesYouWantIn(over)}
            value={wanted}
            onChange={setWanted}
            inputMode="decimal"
            className="count text-[18px]"
            wrong={wanted.trim() && !good ? swatchesSaid.typeCountSuchAs15 : undefined}
          />
        </div>
        {good ? (
          <ul className="min-w-0 flex-1 text-[16px]">
            {counted.map(({ id, title, hook, figures }) => {
              const next = hookFor((100 * span) / stitches, { hook, stitchWidth: figures.stitchWidth });
              return (
                <li key={id} className="flex justify-between gap-4 border-b border-rule py-1.5">
                  <span>{title}</span>
                  <span>
                    {next === hook ? 'keep the' : 'try'} <b className="count text-[18px]">{figure(next)} mm</b>
                  </span>
                </li>
              );
            })}
          </ul>
        ) : null}
      </div>
      <p className="mt-2 text-[14px] text-soft">{swatchesSaid.halfMillimetreChangesStitch}</p>
    </section>
  );
}
