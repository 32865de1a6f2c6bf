import { decimal } from '@puntada/core/craft';
import type { Working } from '@puntada/core/plan';
import type { PlanDocument, PrintedWorking, WorkSummary } from '@puntada/core/records';
import { printedWorking, shoppingSaid } from '@puntada/core/words';
import { ballsToBuy, buyingWorking, priceWorking, type ShoppingNeed } from '@puntada/core/work';
import { useEffect, useMemo, useState } from 'react';
import { usePreferences, useWorksQuery } from '../../api/api.ts';
import { useDrawerQuery } from '../../api/records.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { ButtonLink } from '../../parts/Button.tsx';
import { Empty } from '../../parts/Empty.tsx';
import { Figure, shownFigure } from '../../parts/Figure.tsx';
import { Skeleton } from '../../parts/Skeleton.tsx';
import { Worked } from '../../parts/Worked.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { planner } from '../../worker/planner.ts';

interface Need extends ShoppingNeed {
  readonly metres: ReturnType<typeof shownFigure>;
  readonly typical: boolean;
  readonly working: PrintedWorking | undefined;
}

/** What is to be bought for every work that is only wished for, by yarn. */
export default function ShoppingView() {
  const { data: works } = useWorksQuery();
  const { data: drawer } = useDrawerQuery();
  const wished = useMemo(() => works?.filter((work) => work.state === 'wished' && !work.archived), [works]);
  const { plans, counted } = usePlans(wished);
  const { told, terms } = usePreferences();
  const print = (working: Working | undefined) => working && printedWorking(working, told, terms);
  const byYarn = new Map<string, { shade: string; name: string; price: number | undefined; needs: Need[] }>();
  for (const work of wished ?? []) {
    const plan = plans?.get(work.id);
    for (const colour of plan?.colours ?? []) {
      const yarn = work.wish.yarns.find((each) => each.letter === colour.letter);
      if (!yarn) continue;
      const key = `${yarn.name} ${yarn.shade} ${yarn.ballMetres ?? ''}`;
      const price = drawer?.find((each) => each.id === yarn.drawer)?.yarn.price;
      const known = byYarn.get(key) ?? { shade: yarn.shade, name: yarn.name, price, needs: [] };
      known.needs.push({
        work: work.wish.title,
        letter: colour.letter,
        metres: shownFigure(colour.metres),
        balls: colour.balls?.count,
        typical: colour.metres.source === 'typical',
        working: plan?.workings.yarn.find(({ letter }) => letter === colour.letter)?.metres,
        has: yarn.balls ?? 0,
      });
      byYarn.set(key, known);
    }
  }
  const waiting = (wished?.length ?? 0) - counted;
  return (
    <>
      <Head title="Shopping list" under={shoppingSaid.yarnForEveryPlanned} />
      <Shelves />
      <main id="main" className="mx-auto w-full max-w-[1180px] px-6 pt-4 pb-12">
        <p aria-live="polite" className="text-[15px] text-soft">
          {wished && plans && waiting === 0
            ? `For ${wished.length === 1 ? '1 planned project' : `${wished.length} planned projects`}.`
            : waiting > 0
              ? shoppingSaid.stillToBeCounted(waiting)
              : 'Opening your projects…'}
        </p>
        {plans ? null : <Skeleton rows={4} height={96} />}
        <ul>
          {[...byYarn.entries()].map(([key, { name, shade, price, needs }]) => (
            <li
              key={key}
              className="grid gap-x-8 gap-y-2 border-b border-rule py-4 md:grid-cols-[230px_minmax(0,1fr)_190px]"
            >
              <div className="flex items-start gap-3">
                <YarnChip letter={needs[0]?.letter ?? 'A'} shade={shade} size={38} />
                <h2 className="text-[19px]">{name}</h2>
              </div>
              <ul className="text-[16px]">
                {needs.map((need) => (
                  <li
                    key={need.work + need.letter}
                    className="flex justify-between gap-4 border-b border-rule py-1 last:border-0"
                  >
                    <span className="min-w-0">{need.work}</span>
                    <Worked working={need.working} className="shrink-0">
                      <Figure of={need.metres} className="text-[15px]" />
                    </Worked>
                  </li>
                ))}
              </ul>
              <p className="md:text-right">
                <span className="count text-[20px]">
                  <Worked working={print(buyingWorking(needs))}>{together(needs)}</Worked>
                </span>
                {already(needs) ? <span className="block text-[14px] text-soft">{already(needs)}</span> : null}
                {price === undefined || !ballsToBuy(needs) ? null : (
                  <span className="block text-[14px] text-soft">
                    <Worked working={print(priceWorking(needs, price))}>{decimal(price * ballsToBuy(needs), 2)}</Worked>{' '}
                    at {decimal(price, 2)} per ball
                  </span>
                )}
              </p>
            </li>
          ))}
        </ul>
        {!wished || wished.length ? null : (
          <Empty acts={<ButtonLink to="/wish">New project</ButtonLink>}>{shoppingSaid.whatYouHaveTo}</Empty>
        )}
        {plans ? <p className="max-w-[70ch] py-4 text-[15px] text-soft">{shoppingSaid.wholeBallsForEach}</p> : null}
      </main>
    </>
  );
}

function together(needs: readonly Need[]): string {
  if (needs.some((need) => need.balls === undefined)) return 'label unknown';
  const sum = ballsToBuy(needs);
  if (!sum) return 'nothing to buy';
  const upTo = needs.some((need) => need.typical) ? 'up to ' : '';
  return `${upTo}${sum} ${sum === 1 ? 'ball' : 'balls'}`;
}

function already(needs: readonly Need[]): string {
  const has = needs.reduce((sum, need) => sum + need.has, 0);
  return has ? `you have ${has}` : '';
}

/** The plans of works, made one after the other in the worker; the last ones stay until all new ones are there. */
function usePlans(works: readonly WorkSummary[] | undefined) {
  const { terms, hand, manner, told: units } = usePreferences();
  const [plans, setPlans] = useState<ReadonlyMap<string, PlanDocument>>();
  const [counted, setCounted] = useState(0);
  useEffect(() => {
    if (!works) return;
    let current = true;
    const go = async () => {
      const fresh = new Map<string, PlanDocument>();
      for (const [i, work] of works.entries()) {
        setCounted(i);
        const answer = await planner.planWhole({ wish: work.wish }, { terms, hand, manner }, units);
        if (!current) return;
        if (answer.ok) fresh.set(work.id, answer.value);
      }
      setCounted(works.length);
      setPlans(fresh);
    };
    void go();
    return () => {
      current = false;
    };
  }, [works, terms, hand, manner, units]);
  return { plans, counted };
}
