import { decimal, numberOrText, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import type { PlanDocument, Wish, Work, WorkSummary } from '@puntada/core/records';
import { priceSaid } from '@puntada/core/words';
import { type Costs, materialsOf, materialsTimes, type PriceWay, pricesOf, setTotals } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { problemsOf, useChangePreferences, usePreferences, useWorkQuery, useWorksQuery } from '../../api/api.ts';
import { useDrawerQuery } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Choice } from '../../parts/Choice.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { projectsOfSet } from '../../parts/setMembers.ts';
import { TextField } from '../../parts/TextField.tsx';
import { countedIn, type SetProject, useSet } from '../../parts/useSet.ts';
import { Waiting } from '../../parts/Waiting.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { usePlanDocument } from '../../worker/usePlanDocument.ts';
import { useTyped } from './useTyped.ts';

/** What one of a project costs its maker, or one of a whole set; three ways to a price, and what an hour then earns. */
export default function PriceView() {
  const { id = '' } = useParams();
  const { data: work, error } = useWorkQuery(id);
  const { data: works } = useWorksQuery();
  const { document, problems } = usePlanDocument(work && { wish: work.wish, begun: work.begun });
  const inSet = useMemo(() => (work?.wish.set ? projectsOfSet(works ?? [], id) : []), [works, work?.wish.set, id]);
  const projects = useSet(inSet);
  const several = inSet.length > 1;
  const [chosen, setChosen] = useState<'one' | 'set'>();
  // A side alone is sold to nobody.
  const of = chosen ?? (work?.wish.set?.part ? 'set' : 'one');
  const whole = several && of === 'set';
  const costs = whole ? projects && costsOfSet(projects) : work && document && costsOfOne(work, document);
  return (
    <>
      <Head title={(whole && work?.wish.set?.title) || (work?.wish.title ?? 'Price')} under={priceSaid.whatItCosts}>
        <ButtonLink to={`/works/${id}/labels`}>Labels</ButtonLink>
        <ButtonLink to={`/works/${id}/finish`}>Finishing</ButtonLink>
      </Head>
      <main id="main" className="mx-auto w-full max-w-[1180px] px-6 pt-5 pb-12">
        <Problems problems={error ? problemsOf(error) : problems} />
        {several ? (
          <div className="mb-5 flex flex-wrap items-center gap-x-5 gap-y-2">
            <Choice
              label={priceSaid.priceOf}
              value={of}
              options={(['one', 'set'] as const).map((value) => ({ value, words: priceSaid.of[value] }))}
              onChange={setChosen}
            />
            {whole ? null : work?.wish.set?.part ? (
              <p className="text-[16px] text-ochre">△ {priceSaid.partOnly(work.wish.set.part)}</p>
            ) : null}
          </div>
        ) : null}
        {work && costs ? (
          <Price
            key={of}
            id={whole ? (work.wish.set?.id ?? id) : id}
            workId={whole ? firstOf(inSet, id) : id}
            whole={whole}
            {...costs}
          />
        ) : problems.length || error ? null : (
          <Waiting words={priceSaid.countingCosts} workedOut />
        )}
      </main>
    </>
  );
}

/** The project that keeps what is typed of a set: the same one on every device. */
function firstOf(inSet: readonly WorkSummary[], id: string): string {
  return inSet.map((each) => each.id).sort()[0] ?? id;
}

/** Yarn and hours that are to be paid, all items together. */
interface Paid {
  readonly items: number;
  readonly yarns: readonly { readonly yarn: Wish['yarns'][number]; readonly metres: number }[];
  readonly hours: number;
}

function costsOfOne({ wish }: Work, { size, colours, time }: PlanDocument): Paid {
  const yarns = colours.flatMap(({ letter, metres: { low = 0, high = 0, mid = (low + high) / 2 } }) => {
    const yarn = wish.yarns.find((each) => each.letter === letter);
    return yarn ? [{ yarn, metres: mid }] : [];
  });
  const [low, high] = time.hours;
  return { items: Math.max(1, size.items), yarns, hours: (low + high) / 2 };
}

function costsOfSet(projects: readonly SetProject[]): Paid {
  const { items, yarns, seconds } = setTotals(countedIn(projects));
  return { items, yarns, hours: seconds / 3600 };
}

/** A typed amount; nothing where the field is empty, 0 or more. */
function amountOf(text: string): number | undefined {
  const read = text.trim() ? numberOrText(text) : undefined;
  return typeof read === 'number' && read >= 0 ? read : undefined;
}

function wrongAmount(text: string): string | undefined {
  return !text.trim() || amountOf(text) !== undefined ? undefined : priceSaid.typeAmount;
}

interface PriceProps extends Paid {
  /** Under which it is kept what was typed. */
  readonly id: string;
  /** The project in whose log it stands. */
  readonly workId: string;
  /** Of a whole set, whose colours may be of several yarns. */
  readonly whole: boolean;
}

function Price({ id, workId, whole, items, yarns, hours: all }: PriceProps) {
  const { currency, rate, told } = usePreferences();
  const change = useChangePreferences();
  const { data: drawer } = useDrawerQuery();
  const { typed, set, problems } = useTyped(id, workId, whole ? 'set' : 'one');
  const [own, setOwn] = useState(rate ? String(rate) : '');
  const colours = yarns.map(({ yarn, metres }) => {
    const letter = whole ? yarn.name : yarn.letter;
    const stored = drawer?.find((each) => each.id === yarn.drawer)?.yarn;
    const ball = amountOf(typed[`ball ${letter}`] ?? '') ?? stored?.price;
    const ballMetres = yarn.ballMetres ?? stored?.ballMetres;
    const perMetre = ball !== undefined && ballMetres ? ball / ballMetres : undefined;
    const { name, shade } = yarn;
    return {
      letter,
      chip: yarn.letter,
      name,
      shade,
      metres: metres / items,
      perMetre,
      ballMetres,
      stored: stored?.price,
    };
  });
  const extras = ['insert', 'label', 'packaging', 'other'] as const;
  const costs: Costs = {
    yarn: colours,
    extras: extras.map((each) => amountOf(typed[each] ?? '') ?? 0),
    // In tenths, as they are shown.
    hours: Math.round((10 * all) / items) / 10,
    rate,
  };
  const materials = materialsOf(costs);
  const money = (amount: number) => `${decimal(amount, 2)} ${currency}`;
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <div className="grid content-start gap-7">
        <Problems problems={problems} />
        <section aria-label="Yarn">
          <h2 className="border-b border-ink pb-1 text-[19px]">
            {whole ? priceSaid.yarnOnAverage(items) : priceSaid.yarnOfOne(items)}
          </h2>
          {colours.map(({ letter, chip, name, shade, metres, perMetre, ballMetres, stored }) => (
            <div key={letter} className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-rule py-3">
              <span className="flex min-w-[180px] flex-1 items-center gap-2 text-[16px]">
                <YarnChip letter={chip} shade={shade} />
                <span className="min-w-0 wrap-anywhere">
                  {name},{' '}
                  <b className="count">
                    {yarnLengthNumber(metres, told)} {yarnLengthUnit(told)}
                  </b>
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
          {items > 1 ? (
            <>
              <dt className="text-soft">{priceSaid.allOfThem(items)}</dt>
              <dd className="count text-right text-soft">
                {money(items * materials.money)}, {decimal(items * costs.hours, 1)} h
              </dd>
            </>
          ) : null}
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
