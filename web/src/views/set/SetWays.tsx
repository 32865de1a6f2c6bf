import { unitWord } from '@puntada/core/craft';
import { finishedFigure, hoursText, setSaid } from '@puntada/core/words';
import type { SetChange, SetWay } from '@puntada/core/work';
import { useMemo, useRef, useState } from 'react';
import { problemsOf, usePlanSetMutation, usePreferences, useWorksQuery } from '../../api/api.ts';
import { useDrawerQuery } from '../../api/records.ts';
import { announce } from '../../parts/announce.ts';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { Lasts } from '../../parts/Lasts.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { setPoolsOf } from '../../parts/pools.ts';
import type { SetProject } from '../../parts/useSet.ts';
import { planner } from '../../worker/planner.ts';
import { useAnswer } from '../../worker/useAnswer.ts';

/** Every way for what is not begun of a set, from the worker; nothing until it has found them, or where the yarn lasts. */
function useWays(projects: readonly SetProject[]): readonly SetWay[] | undefined {
  const { data: drawer } = useDrawerQuery();
  const { data: works } = useWorksQuery();
  const ask = useMemo(() => {
    if (!drawer || !works) return undefined;
    const members = projects.map(({ work, weighings }) => ({ work, weighings }));
    const wishes = members.map(({ work }) => work);
    return () => planner.setWays(members, setPoolsOf(wishes, drawer, works));
  }, [projects, drawer, works]);
  return useAnswer(ask);
}

function nameOf({ kind, buy, items, exchanged }: SetWay, [planned]: readonly SetWay[]): string {
  if (kind === 'more') return setSaid.buyMore(buy);
  if (kind === 'swapped') return setSaid.exchange(...(exchanged ?? ['A', 'B']));
  return kind === 'fewer' ? setSaid.leaveOut((planned?.items ?? items) - items) : setSaid.way[kind];
}

/** A set whose yarn runs short: what is not begun of it planned otherwise, in all its projects at once. */
export function SetWays({ projects }: { projects: readonly SetProject[] }) {
  const { told } = usePreferences();
  const ways = useWays(projects);
  const heading = useRef<HTMLHeadingElement>(null);
  const [planSet, planning] = usePlanSetMutation();
  const [taken, setTaken] = useState<SetWay>();
  if (!ways || (ways.length < 2 && !taken)) return null;
  const sure = Math.max(0, ...projects.map(({ work }) => work.wish.sure));
  const typical = ways.some(({ size }) => size?.width.source === 'typical' || size?.height.source === 'typical');
  const sizeHead = `${setSaid.waySize}${typical ? ', typically' : ''}, ${unitWord(told)}`;
  const take = async (way: SetWay) => {
    setTaken(way);
    const answer = await planSet({ changes: asked(way.changes, projects) });
    if (answer.error) return;
    announce(setSaid.takenNow);
    heading.current?.focus();
  };
  return (
    <section aria-label={setSaid.waysOn} className="mt-9">
      <h2 ref={heading} tabIndex={-1} className="border-b border-ink pb-1 text-[19px]">
        {setSaid.waysOn}
      </h2>
      <p className="max-w-[70ch] pt-2 pb-2 text-[15px] text-soft">
        {ways.length < 2 ? setSaid.takenNow : setSaid.waysHint}
      </p>
      <Problems problems={problemsOf(planning.error)} />
      {ways.length < 2 ? null : (
        <table className="folds w-full border-collapse text-[15px]">
          <caption className="sr-only">{setSaid.waysOn}</caption>
          <thead>
            <tr className="text-left text-[14px] text-soft">
              {[setSaid.wayHead, setSaid.wayItems, setSaid.wayRows, sizeHead, setSaid.wayLasts, setSaid.wayTime].map(
                (head) => (
                  <th key={head} scope="col" className="py-2 pr-4 font-normal">
                    {head}
                  </th>
                ),
              )}
              <td />
            </tr>
          </thead>
          <tbody>
            {ways.map((way) => (
              <tr key={way.kind} className="border-t border-rule">
                <th
                  scope="row"
                  className="py-2 pr-4 wrap-anywhere sm:max-w-[240px] text-left text-[16px] font-semibold"
                >
                  {nameOf(way, ways)}
                </th>
                <Cell head={setSaid.wayItems}>{way.items}</Cell>
                <Cell head={setSaid.wayRows}>{way.rows ?? '–'}</Cell>
                <Cell head={sizeHead}>
                  {way.size ? finishedFigure(way.size.width, way.size.height, told, false).bare : '–'}
                </Cell>
                <Cell head={setSaid.wayLasts}>
                  <Lasts chance={way.chance} sure={sure} />
                </Cell>
                <Cell head={setSaid.wayTime}>{hoursText(way.left)}</Cell>
                <td className="py-1.5 text-right">
                  {way.kind === 'more' ? <ButtonLink to="/shopping">Shopping list</ButtonLink> : null}
                  {way.changes.length ? (
                    <Button
                      onClick={() => void take(way)}
                      disabled={planning.isLoading}
                      aria-label={setSaid.takeWay(nameOf(way, ways))}
                    >
                      {planning.isLoading && taken === way ? setSaid.taking : setSaid.take}
                    </Button>
                  ) : null}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** What the server is asked: on which revision each change was made, and as what the items go on that are parted. */
function asked(changes: readonly SetChange[], projects: readonly SetProject[]) {
  const alone = crypto.randomUUID();
  return changes.flatMap(({ id, keep, wish }) => {
    const work = projects.find((project) => project.work.id === id)?.work;
    if (!work) return [];
    const { title, set = { id: alone, title } } = work.wish;
    const parted = wish && keep > 0 ? { ...wish, title: setSaid.restTitle(title), set } : wish;
    return [{ id, revision: work.revision, keep, wish: parted ?? null, newId: crypto.randomUUID() }];
  });
}

function Cell({ head, children }: { head: string; children: React.ReactNode }) {
  return (
    <td data-head={head} className="count pr-4 text-[15px] font-medium">
      {children}
    </td>
  );
}
