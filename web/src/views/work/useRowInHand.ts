import { StrandBook, type StrandOrder, type WorkedCourse, type WorkedRun, workCourse } from '@puntada/core/plan';
import { againstBelow, besideCarrying, idleWords, startWords, type Terms } from '@puntada/core/words';
import type { Position } from '@puntada/core/work';
import { useMemo } from 'react';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import { hintsAt } from './hintsAt.ts';

/** The course and the run that are worked now, with all that is told of them. */
export interface RowInHand {
  readonly course: WorkedCourse;
  readonly run: WorkedRun;
  /** The number of the run, from 0. */
  readonly at: number;
  /** How it begins, and how the next does; nothing after the last. */
  readonly begins: string;
  /** The same in whole words, to be said. */
  readonly beginsSaid: string;
  readonly next: string | undefined;
  /** What each idle colour does, and what is done with strands besides. */
  readonly idle: readonly string[];
  readonly others: readonly string[];
  /** How the run lies to the course below. */
  readonly below: string | undefined;
  /** Markers, what comes to an end, what to look over. */
  readonly hints: readonly string[];
  readonly strands: StrandBook;
}

/** What is in hand at a position; nothing once all is worked. @param chained the chain that its first row stands on is made */
export function useRowInHand(
  cloth: WorkCloth,
  position: Position,
  terms: Terms,
  chained = false,
): RowInHand | undefined {
  const { fabric, bound, foundation } = cloth;
  const { rows, runs: at } = position;
  const strands = useMemo(() => new StrandBook(cloth.strands, bound), [cloth.strands, bound]);
  const row = useMemo(() => {
    if (rows >= fabric.courses) return undefined;
    const course = workCourse(fabric, bound, foundation, rows);
    const beginning = (of: WorkedCourse) => startWords(of, foundation, fabric.making, fabric.count, { terms, chained });
    const after = rows + 1 < fabric.courses ? workCourse(fabric, bound, foundation, rows + 1) : undefined;
    const beginsSaid = startWords(course, foundation, fabric.making, fabric.count, { terms, style: 'whole', chained });
    const next = after && beginning(after);
    return { course, begins: beginning(course), beginsSaid, next, orders: strands.orders(rows) };
  }, [fabric, bound, foundation, strands, rows, terms, chained]);
  return useMemo(() => {
    const run = row?.course.runs[at];
    if (!row || !run) return undefined;
    const { course, begins, beginsSaid, next, orders } = row;
    return {
      course,
      run,
      at,
      begins,
      beginsSaid,
      next,
      idle: idleWords(course, at, orders, attachedIn(course, at, strands, orders)),
      others: orders.flatMap(besideCarrying),
      below: againstBelow(fabric, bound, course.number - 1, run, terms),
      hints: hintsAt({ fabric, bound, foundation }, course, at, terms),
      strands,
    };
  }, [row, at, fabric, bound, foundation, strands, terms]);
}

/**
 * Colours that hang on the work while a run is worked: those that hung after the row below, those used since, and
 * those that are laid in to be carried from here.
 */
function attachedIn(course: WorkedCourse, run: number, strands: StrandBook, orders: readonly StrandOrder[]): string[] {
  const current = course.runs[run];
  if (!current) return [];
  const last = current.from + current.count - 1;
  const before = course.number > 1 ? strands.hanging(course.number - 2).map((strand) => strand.colour) : [];
  const used = course.runs.slice(0, run).map((each) => each.colour);
  const laidIn = orders.filter((order) => order.carried.some((each) => each.from <= last)).map((order) => order.colour);
  return [...new Set([...before, ...used, ...laidIn])].sort();
}
