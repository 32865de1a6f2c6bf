import type { LogEntry, Weighing, Work, WorkSummary } from '@puntada/core/records';
import { useEffect, useState } from 'react';
import { api } from '../../api/api.ts';
import { weighingsEndpoint } from '../../api/records.ts';
import { useAppStore } from '../../app/store.ts';
import { planner } from '../../worker/planner.ts';
import type { PieceFigures, SetPart } from '../../worker/planner.worker.ts';

/** What is told of one item. */
export type ItemEntry = Extract<LogEntry, { kind: 'item' }>;

/** One project of a set, counted. */
export interface SetProject {
  readonly work: Work;
  readonly part: SetPart;
  readonly figures: PieceFigures | undefined;
  /** Its balls that were weighed. */
  readonly weighings: readonly Weighing[];
}

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

/** Counts projects in the worker, one after the other; nothing until all are counted. */
export function useSet(projects: readonly WorkSummary[]): readonly SetProject[] | undefined {
  const { dispatch } = useAppStore();
  const [found, setFound] = useState<readonly SetProject[]>();
  const key = projects
    .map(({ id, revision, progress }) => [id, revision, progress.rows, progress.runs].join(' '))
    .join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the projects and how far they are
  useEffect(() => {
    let current = true;
    const go = async () => {
      const all: SetProject[] = [];
      for (const { id } of projects) {
        const asked = dispatch(api.endpoints.work.initiate(id, { subscribe: false, forceRefetch: true }));
        const { data: work } = await asked;
        const part = work && (await planner.setPart(work));
        if (!work || !part) continue;
        const figures = await planner.figuresOfWork({ wish: work.wish, begun: work.begun });
        const weighed = await dispatch(weighingsEndpoint.initiate(id, { subscribe: false, forceRefetch: true }));
        all.push({ work, part, figures, weighings: weighed.data ?? [] });
        if (!current) return;
      }
      setFound(all);
    };
    if (projects.length) void go();
    return () => {
      current = false;
    };
  }, [key, dispatch]);
  return found;
}
