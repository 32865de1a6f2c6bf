import { decimal } from '@puntada/core/craft';
import type { Working } from '@puntada/core/plan';
import type { WorkSummary } from '@puntada/core/records';
import { atHandWords, chanceText, metresFigure, printedWorking, shoppingSaid } from '@puntada/core/words';
import { buyingWorking, priceWorking, shoppingOf } from '@puntada/core/work';
import { useEffect, useMemo, useState } from 'react';
import { usePreferences, useWorksQuery } from '../../api/api.ts';
import { useDrawerQuery } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Empty } from '../../parts/Empty.tsx';
import { Figure } from '../../parts/Figure.tsx';
import { type Pool, poolsOf } from '../../parts/pools.ts';
import { Skeleton } from '../../parts/Skeleton.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import type { PieceFigures } from '../../worker/ofSizes.ts';
import { planner } from '../../worker/planner.ts';

/** What is to be bought for every work that is only wished for, by yarn. */
export default function ShoppingView() {
  const { data: works } = useWorksQuery();
  const { data: drawer } = useDrawerQuery();
  const wished = useMemo(() => works?.filter((work) => work.state === 'wished' && !work.archived).sort(byDue), [works]);
  const { figures, counted } = useFiguresOf(wished);
  const pools = useMemo(
    () => (wished && works && figures ? poolsOf(wished, figures, drawer ?? [], works) : []),
    [wished, works, figures, drawer],
  );
  const waiting = (wished?.length ?? 0) - counted;
  return (
    <>
      <Head title="Shopping list" under={shoppingSaid.yarnForEveryPlanned} />
      <Shelves />
      <main id="main" className="mx-auto w-full max-w-[1180px] px-6 pt-4 pb-12">
        <p aria-live="polite" className="text-[15px] text-soft">
          {wished && figures && waiting === 0
            ? `For ${wished.length === 1 ? '1 planned project' : `${wished.length} planned projects`}.`
            : waiting > 0
              ? shoppingSaid.stillToBeCounted(waiting)
              : 'Opening your projects…'}
        </p>
        {figures ? null : <Skeleton rows={4} height={96} />}
        <ul>
          {pools.map((pool) => (
            <PoolRow key={pool.key} pool={pool} />
          ))}
        </ul>
        {!wished || wished.length ? null : (
          <Empty acts={<ButtonLink to="/wish">New project</ButtonLink>}>{shoppingSaid.whatYouHaveTo}</Empty>
        )}
        {pools.length ? <p className="max-w-[70ch] py-4 text-[15px] text-soft">{shoppingSaid.metresAddedUp}</p> : null}
      </main>
    </>
  );
}

/** What is due comes first: it is made before the others. */
function byDue(a: WorkSummary, b: WorkSummary): number {
  return (a.due ?? '9999').localeCompare(b.due ?? '9999');
}

/** One yarn: who takes it, what is to be bought of it, and how sure that is. */
function PoolRow({ pool }: { pool: Pool }) {
  const { told, terms } = usePreferences();
  const print = (working: Working | undefined) => working && printedWorking(working, told, terms);
  const { name, lot, shade, price, needs, has } = pool;
  const shopping = shoppingOf(needs, has);
  const typical = needs.some(({ metres }) => metres.source === 'typical');
  const [one] = needs;
  return (
    <li className="grid gap-x-8 gap-y-2 border-b border-rule py-4 md:grid-cols-[230px_minmax(0,1fr)_250px]">
      <div className="flex items-start gap-3">
        <YarnChip letter={one?.letter ?? 'A'} shade={shade} size={38} />
        <h2 className="min-w-0 text-[19px] wrap-anywhere">
          {name}
          {lot ? <span className="block font-sans text-[14px] font-normal text-soft">lot {lot}</span> : null}
        </h2>
      </div>
      <ul className="text-[16px]">
        {needs.map((need) => (
          <li
            key={need.work + need.letter}
            className="flex justify-between gap-4 border-b border-rule py-1 last:border-0"
          >
            <span className="min-w-0 wrap-anywhere">{need.work}</span>
            <Worked working={print(need.working)} className="shrink-0">
              <Figure of={metresFigure(need.metres, told)} className="text-[15px]" />
            </Worked>
          </li>
        ))}
      </ul>
      <div className="text-[14px] text-soft md:text-right">
        <p className="count text-[20px] text-ink">
          {shopping ? (
            <Worked working={print(buyingWorking(needs, has))}>{buyWords(shopping.buy, typical)}</Worked>
          ) : (
            'label unknown'
          )}
        </p>
        {shopping ? (
          <p>
            {needs.length > 1
              ? shoppingSaid.sureForAll(chanceText(shopping.chance))
              : `${chanceText(shopping.chance)} sure`}
          </p>
        ) : null}
        {has.balls || has.grams ? <p>{shoppingSaid.youHave(atHandWords(has))}</p> : null}
        {shopping?.buy && price !== undefined ? (
          <p>
            <Worked working={print(priceWorking(shopping.buy, price))}>{decimal(price * shopping.buy, 2)}</Worked> at{' '}
            {decimal(price, 2)} per ball
          </p>
        ) : null}
        {shopping?.firstShort && needs.length > 1 && (has.balls || has.grams) ? (
          <p className="text-ochre">
            <span aria-hidden>△ </span>
            {shoppingSaid.firstToRunOut(shopping.firstShort.work)}
          </p>
        ) : null}
      </div>
    </li>
  );
}

function buyWords(buy: number, typical: boolean): string {
  if (!buy) return 'nothing to buy';
  return `${typical ? 'up to ' : ''}${buy} ${buy === 1 ? 'ball' : 'balls'}`;
}

/** The figures of works, made one after the other in the worker; the last ones stay until all new ones are there. */
function useFiguresOf(works: readonly WorkSummary[] | undefined) {
  const [figures, setFigures] = useState<ReadonlyMap<string, PieceFigures>>();
  const [counted, setCounted] = useState(0);
  useEffect(() => {
    if (!works) return;
    let current = true;
    const go = async () => {
      const fresh = new Map<string, PieceFigures>();
      for (const [i, work] of works.entries()) {
        setCounted(i);
        const answer = await planner.figuresOfWork({ wish: work.wish });
        if (!current) return;
        if (answer) fresh.set(work.id, answer);
      }
      setCounted(works.length);
      setFigures(fresh);
    };
    void go();
    return () => {
      current = false;
    };
  }, [works]);
  return { figures, counted };
}
