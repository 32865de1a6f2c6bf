import type { LogEntry, WorkSummary } from '@puntada/core/records';
import type { CountedProject, SetMember } from '@puntada/core/work';
import { useEffect, useState } from 'react';
import { useAppDispatch } from '../api/useAppDispatch.ts';
import type { PieceFigures } from '../worker/ofSizes.ts';
import { planner } from '../worker/planner.ts';
import type { SetPart } from '../worker/underway.ts';
import { memberOf } from './setMembers.ts';

/** What is told of one item. */
export type ItemEntry = Extract<LogEntry, { kind: 'item' }>;

/** One project of a set, counted. */
export interface SetProject extends SetMember {
  readonly part: SetPart;
  readonly figures: PieceFigures | undefined;
}

/** Counts projects in the worker, one after the other; nothing until all are counted. */
export function useSet(projects: readonly WorkSummary[]): readonly SetProject[] | undefined {
  const dispatch = useAppDispatch();
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
        const member = await memberOf(dispatch, id);
        const part = member && (await planner.setPart(member.work));
        if (!member || !part) continue;
        const { wish, begun } = member.work;
        all.push({ ...member, part, figures: await planner.figuresOfWork({ wish, begun }) });
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

/** What the projects of a set take, those that could be counted. */
export function countedIn(projects: readonly SetProject[]): CountedProject[] {
  return projects.flatMap(({ work: { wish }, part, figures }) =>
    figures ? [{ wish, items: part.items.length, yarn: figures.yarn, time: figures.time }] : [],
  );
}
