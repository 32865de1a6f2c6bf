import type { WorkSummary } from '@puntada/core/records';
import type { LastingOfSet, SetMember } from '@puntada/core/work';
import { useEffect, useMemo, useState } from 'react';
import { api, useWorksQuery } from '../api/api.ts';
import { useDrawerQuery, weighingsEndpoint } from '../api/records.ts';
import { type AppDispatch, useAppDispatch } from '../api/useAppDispatch.ts';
import { planner } from '../worker/planner.ts';
import { useAnswer } from '../worker/useAnswer.ts';
import { setPoolsOf } from './pools.ts';

/** The projects that are of one set with a work, itself among them; those in the bin and put away are of none. */
export function projectsOfSet(works: readonly WorkSummary[], id: string): WorkSummary[] {
  const own = works.find((work) => work.id === id);
  const set = own?.wish.set?.id;
  if (!own) return [];
  return (
    works
      .filter((work) => work.id === id || (set !== undefined && work.wish.set?.id === set))
      // What is begun takes its yarn first.
      .sort((a, b) => toCome(a) - toCome(b) || a.wish.title.localeCompare(b.wish.title))
  );
}

function toCome({ state }: WorkSummary): number {
  return state === 'wished' ? 1 : 0;
}

/** A project of a set as its own page names it: without the name of the set before it. */
export function nameInSet({ wish: { title, set } }: Pick<WorkSummary, 'wish'>): string {
  const before = `${set?.title}: `;
  return title.startsWith(before) ? title.slice(before.length) : title;
}

/** A project of a set with its weighed balls; nothing where it is not there. */
export async function memberOf(dispatch: AppDispatch, id: string): Promise<SetMember | undefined> {
  const asked = { subscribe: false, forceRefetch: true } as const;
  const { data: work } = await dispatch(api.endpoints.work.initiate(id, asked));
  if (!work) return undefined;
  const { data: weighings } = await dispatch(weighingsEndpoint.initiate(id, asked));
  return { work, weighings: weighings ?? [] };
}

const none: readonly WorkSummary[] = [];

/** The others of a set with a work, as long as there are some that take a yarn of it too; nothing until they are known. */
function useOthers(id: string, projects: readonly WorkSummary[]): readonly SetMember[] | undefined {
  const dispatch = useAppDispatch();
  const [found, setFound] = useState<readonly SetMember[]>();
  const key = projects.map((each) => [each.id, each.revision, each.progress.rows].join(' ')).join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the projects and how far they are
  useEffect(() => {
    let current = true;
    const go = async () => {
      const all: SetMember[] = [];
      for (const each of projects) {
        const member = each.id === id ? undefined : await memberOf(dispatch, each.id);
        if (member) all.push(member);
      }
      if (current) setFound(all);
    };
    if (projects.length > 1) void go();
    return () => {
      current = false;
    };
  }, [id, key, dispatch]);
  return projects.length > 1 ? found : undefined;
}

const nothing: readonly LastingOfSet[] = [];

/**
 * Whether the yarns that a work shares with others of its set last for all of them; none where it shares none.
 * @param own the work, with its weighed balls, as it stands
 */
export function useLastingOfSet(own: SetMember | undefined): readonly LastingOfSet[] {
  const id = own?.work.id ?? '';
  const inSet = own?.work.wish.set !== undefined;
  const { data: works } = useWorksQuery(undefined, { skip: !inSet });
  const { data: drawer } = useDrawerQuery(undefined, { skip: !inSet });
  const projects = useMemo(() => (inSet && works ? projectsOfSet(works, id) : none), [inSet, works, id]);
  const others = useOthers(id, projects);
  const ask = useMemo(() => {
    if (!own || !others?.length || !works || !drawer) return undefined;
    const members = projects.flatMap((each) =>
      each.id === id ? [own] : (others.find(({ work }) => work.id === each.id) ?? []),
    );
    const wishes = members.map(({ work }) => work);
    return () => planner.lastingOfSet(id, members, setPoolsOf(wishes, drawer, works));
  }, [own, others, works, drawer, projects, id]);
  return useAnswer(ask) ?? nothing;
}
