import type { PlanDocument } from '@puntada/core';
import { useEffect, useMemo, useState } from 'react';
import { usePreferences, useWorksQuery, type WorkSummary } from '../../api/api.ts';
import { Head } from '../../app/Shell.tsx';
import { Shelves } from '../../app/Shelves.tsx';
import { Figure } from '../../parts/Figure.tsx';
import { YarnChip } from '../../parts/YarnChip.tsx';
import { planner } from '../../worker/planner.ts';

interface Need {
  readonly work: string;
  readonly letter: string;
  readonly metres: string;
  readonly balls: string | undefined;
}

/** What is to be bought for every work that is only wished for, by yarn. */
export default function ShoppingView() {
  const { data: works } = useWorksQuery();
  const wished = useMemo(() => works?.filter((work) => work.state === 'wished') ?? [], [works]);
  const plans = usePlans(wished);
  const byYarn = new Map<string, { shade: string; name: string; needs: Need[] }>();
  for (const work of wished) {
    for (const colour of plans.get(work.id)?.colours ?? []) {
      const yarn = work.wish.yarns.find((each) => each.letter === colour.letter);
      if (!yarn) continue;
      const key = `${yarn.name} ${yarn.shade} ${yarn.ballMetres ?? ''}`;
      const known = byYarn.get(key) ?? { shade: yarn.shade, name: yarn.name, needs: [] };
      known.needs.push({
        work: work.wish.title,
        letter: colour.letter,
        metres: colour.metres.text,
        balls: colour.balls?.text,
      });
      byYarn.set(key, known);
    }
  }
  const waiting = wished.length - plans.size;
  return (
    <>
      <Head title="Shopping list" under="Yarn for every work that is wished for and not yet begun" />
      <Shelves />
      <main id="main" className="mx-auto w-full max-w-[1180px] px-6 pt-4 pb-12">
        <p aria-live="polite" className="text-[15px] text-soft">
          {waiting > 0
            ? `${waiting} of ${wished.length} works still to be counted…`
            : `${wished.length} works counted.`}
        </p>
        <ul>
          {[...byYarn.entries()].map(([key, { name, shade, needs }]) => (
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
                    <Figure text={need.metres} className="shrink-0 text-[15px]" />
                  </li>
                ))}
              </ul>
              <p className="count text-[20px] md:text-right">{together(needs)}</p>
            </li>
          ))}
        </ul>
        {wished.length ? null : <p className="py-6 text-[17px]">Nothing is wished for, so there is nothing to buy.</p>}
        <p className="max-w-[70ch] py-4 text-[15px] text-soft">
          Whole balls of each work, added up; works that share a yarn may share a ball too. Buy one dye lot, all at
          once.
        </p>
      </main>
    </>
  );
}

function together(needs: readonly Need[]): string {
  if (needs.some((need) => need.balls === undefined)) return 'label unknown';
  const sum = needs.reduce((total, need) => total + Number(/\d+/.exec(need.balls ?? '')?.[0] ?? 0), 0);
  const upTo = needs.some((need) => need.balls?.includes('typical')) ? 'up to ' : '';
  return `${upTo}${sum} ${sum === 1 ? 'ball' : 'balls'}`;
}

/** The plans of works, made one after the other in the worker. */
function usePlans(works: readonly WorkSummary[]): ReadonlyMap<string, PlanDocument> {
  const { terms, hand, told } = usePreferences();
  const [plans, setPlans] = useState<ReadonlyMap<string, PlanDocument>>(new Map());
  useEffect(() => {
    let current = true;
    const go = async () => {
      for (const work of works) {
        const answer = await planner.planWhole(work.wish, terms, hand, told);
        if (!current) return;
        if (answer.ok) setPlans((before) => new Map(before).set(work.id, answer.value));
      }
    };
    void go();
    return () => {
      current = false;
    };
  }, [works, terms, hand, told]);
  return plans;
}
