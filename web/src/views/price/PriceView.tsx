import { decimal, numberOrText } from '@puntada/core/craft';
import type { PlanDocument, Work } from '@puntada/core/records';
import { priceSaid } from '@puntada/core/words';
import { type Costs, materialsOf, materialsTimes, type PriceWay, pricesOf } from '@puntada/core/work';
import { useState } from 'react';
import { useParams } from 'react-router';
import { problemsOf, useChangePreferences, usePreferences, useWorkQuery } from '../../api/api.ts';
import { useDrawerQuery } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { TextField } from '../../parts/TextField.tsx';
import { Waiting } from '../../parts/Waiting.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { usePlanDocument } from '../../worker/usePlanDocument.ts';
import { useTyped } from './useTyped.ts';

/** What one of a project costs its maker, three ways to a price, and what an hour then earns. */
export default function PriceView() {
  const { id = '' } = useParams();
  const { data: work, error } = useWorkQuery(id);
  const { document, problems } = usePlanDocument(work && { wish: work.wish, begun: work.begun });
  return (
    <>
      <Head title={work?.wish.title ?? 'Price'} under={priceSaid.whatItCosts}>
        <ButtonLink to={`/works/${id}/labels`}>Labels</ButtonLink>
        <ButtonLink to={`/works/${id}/finish`}>Finishing</ButtonLink>
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1180px] px-6 pt-5 pb-12">
        <Problems problems={error ? problemsOf(error) : problems} />
        {work?.wish.set?.part ? (
          <p className="mb-5 border-l-4 border-ochre bg-ochre-pale px-3 py-2 text-[16px]">
            {priceSaid.partOnly(work.wish.set.part)}
          </p>
        ) : null}
        {work && document ? (
          <Price work={work} document={document} />
        ) : problems.length || error ? null : (
          <Waiting words={priceSaid.countingCosts} workedOut />
        )}
      </main>
    </>
  );
}

/** A typed amount; nothing where the field is empty, 0 or more. */
function amountOf(text: string): number | undefined {
  const read = text.trim() ? numberOrText(text) : undefined;
  return typeof read === 'number' && read >= 0 ? read : undefined;
}

function wrongAmount(text: string): string | undefined {
  return !text.trim() || amountOf(text) !== undefined ? undefined : priceSaid.typeAmount;
}

function Price({ work, document }: { work: Work; document: PlanDocument }) {
  const { currency, rate } = usePreferences();
  const change = useChangePreferences();
  const { data: drawer } = useDrawerQuery();
  const [typed, set] = useTyped(work.id);
  const [own, setOwn] = useState(rate ? String(rate) : '');
  const items = Math.max(1, document.size.items);
  const colours = document.colours.map(({ letter, name, metres }) => {
    const yarn = work.wish.yarns.find((each) => each.letter === letter);
    const stored = drawer?.find(({ id }) => id === yarn?.drawer)?.yarn;
    const ball = amountOf(typed[`ball ${letter}`] ?? '') ?? stored?.price;
    const ballMetres = yarn?.ballMetres ?? stored?.ballMetres;
    const perMetre = ball !== undefined && ballMetres ? ball / ballMetres : undefined;
    const shade = yarn?.shade ?? '#888888';
    const all = metres.mid ?? ((metres.low ?? 0) + (metres.high ?? 0)) / 2;
    return { letter, name, shade, metres: all / items, perMetre, ball, ballMetres, stored: stored?.price };
  });
  const [low, high] = document.time.hours;
  const extras = ['insert', 'label', 'packaging', 'other'] as const;
  const costs: Costs = {
    yarn: colours,
    extras: extras.map((each) => amountOf(typed[each] ?? '') ?? 0),
    // In tenths, as they are shown.
    hours: Math.round((10 * (low + high)) / 2 / items) / 10,
    rate,
  };
  const materials = materialsOf(costs);
  const money = (amount: number) => `${decimal(amount, 2)} ${currency}`;
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div className="grid content-start gap-7">
        <section aria-label="Yarn">
          <h2 className="border-b border-ink pb-1 text-[19px]">{priceSaid.yarnOfOne(items)}</h2>
          {colours.map(({ letter, name, shade, metres, perMetre, ballMetres, stored }) => (
            <div key={letter} className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-rule py-3">
              <span className="flex min-w-[180px] flex-1 items-center gap-2 text-[16px]">
                <YarnChip letter={letter} shade={shade} />
                <span className="min-w-0 wrap-anywhere">
                  {name}, <b className="count">{decimal(metres, 0)} m</b>
                </span>
              </span>
              <div className="w-[150px]">
                <TextField
                  label={priceSaid.priceOfBall(letter)}
                  inputMode="decimal"
                  className="count"
                  value={typed[`ball ${letter}`] ?? ''}
                  placeholder={stored === undefined ? '' : decimal(stored, 2)}
                  onChange={(text) => set(`ball ${letter}`, text)}
                  wrong={wrongAmount(typed[`ball ${letter}`] ?? '')}
                  after={currency}
                />
              </div>
              <p className="count w-[110px] pb-2.5 text-right text-[16px]">
                {perMetre === undefined ? (ballMetres ? '–' : priceSaid.noMetres) : money(metres * perMetre)}
              </p>
            </div>
          ))}
        </section>
        <section aria-label={priceSaid.whatGoesWithIt} className="grid gap-3">
          <h2 className="border-b border-ink pb-1 text-[19px]">{priceSaid.whatGoesWithIt}</h2>
          <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
            {extras.map((each) => (
              <TextField
                key={each}
                label={priceSaid.extras[each]}
                inputMode="decimal"
                className="count"
                value={typed[each] ?? ''}
                onChange={(text) => set(each, text)}
                wrong={wrongAmount(typed[each] ?? '')}
              />
            ))}
          </div>
        </section>
        <section aria-label={priceSaid.yourHour} className="grid gap-3">
          <h2 className="border-b border-ink pb-1 text-[19px]">{priceSaid.yourHour}</h2>
          <div className="grid grid-cols-[minmax(0,1fr)_110px] gap-3 sm:max-w-[360px]">
            <TextField
              label={priceSaid.hourIsToEarn}
              inputMode="decimal"
              className="count"
              value={own}
              onChange={(text) => {
                setOwn(text);
                const amount = amountOf(text);
                if (amount !== undefined || !text.trim()) change({ rate: Math.min(10_000, amount ?? 0) });
              }}
              wrong={wrongAmount(own)}
            />
            <TextField
              label="Currency"
              value={currency}
              maxLength={4}
              onChange={(text) => change({ currency: text.trim() })}
            />
          </div>
          <p className="text-[15px] text-soft">{priceSaid.keptInSettings}</p>
        </section>
      </div>
      <section aria-label={priceSaid.threeWays} aria-live="polite" className="content-start">
        <h2 className="border-b border-ink pb-1 text-[19px]">{priceSaid.threeWays}</h2>
        <dl className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 gap-y-1 py-3 text-[16px]">
          <dt>{priceSaid.materials}</dt>
          <dd className="count text-right font-semibold">{money(materials.money)}</dd>
          <dt>{priceSaid.hoursOfWork}</dt>
          <dd className="count text-right font-semibold">{decimal(costs.hours, 1)} h</dd>
        </dl>
        {materials.unknown.length ? (
          <p className="pb-2 text-[15px] text-brick">△ {priceSaid.priceUnknown(materials.unknown.join(', '))}</p>
        ) : null}
        <ul>
          {pricesOf(costs, amountOf(typed.asked ?? '')).map((way) => (
            <Way key={way.way} way={way} money={money} />
          ))}
        </ul>
        <div className="max-w-[260px] pt-3">
          <TextField
            label={priceSaid.whatOthersAsk}
            inputMode="decimal"
            className="count"
            value={typed.asked ?? ''}
            onChange={(text) => set('asked', text)}
            wrong={wrongAmount(typed.asked ?? '')}
            after={currency}
          />
        </div>
        <p className="pt-4 text-[14px] text-soft">{priceSaid.localRules}</p>
      </section>
    </div>
  );
}

function Way({ way: { way, price, hour }, money }: { way: PriceWay; money: (amount: number) => string }) {
  return (
    <li className="flex flex-wrap items-baseline justify-between gap-x-4 border-b border-rule py-3">
      <span className="min-w-0 flex-1 text-[16px]">
        {priceSaid.ways[way](materialsTimes)}
        {hour === undefined ? null : (
          <span className="block text-[15px] text-soft">
            {hour < 0 ? priceSaid.hourCosts(money(-hour)) : priceSaid.hourEarns(money(hour))}
          </span>
        )}
      </span>
      <b className="count text-[26px]">{money(price)}</b>
    </li>
  );
}
