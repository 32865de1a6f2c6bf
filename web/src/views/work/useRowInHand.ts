import type { ToldUnit } from '@puntada/core/craft';
import { StrandBook, type WorkedCourse, type WorkedRun, workCourse } from '@puntada/core/plan';
import { againstBelow, besideCarrying, endingShort, idleWords, startWords, type Terms } from '@puntada/core/words';
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
  /** How it begins, and how the next does; after the last what becomes of its loop. */
  readonly begins: string;
  /** The same in whole words, to be said. */
  readonly beginsSaid: string;
  readonly next: string;
  /** What each idle colour does, and what is done with strands besides. */
  readonly idle: readonly string[];
  readonly others: readonly string[];
  /** How the run lies to the course below. */
  readonly below: string | undefined;
  /** Markers, what comes to an end, what to look over. */
  readonly hints: readonly string[];
  readonly strands: StrandBook;
}

/** How its words are read. */
interface Reading {
  readonly terms: Terms;
  readonly told: ToldUnit;
}

/** What is in hand at a position; nothing once all is worked. @param chained the chain that its first row stands on is made */
export function useRowInHand(
  cloth: WorkCloth,
  position: Position,
  { terms, told }: Reading,
  chained = false,
): RowInHand | undefined {
  const { fabric, bound, foundation, ending } = cloth;
  const { rows, runs: at } = position;
  const strands = useMemo(() => new StrandBook(cloth.strands, bound, ending), [cloth.strands, bound, ending]);
  const row = useMemo(() => {
    if (rows >= fabric.courses) return undefined;
    const course = workCourse(fabric, bound, foundation, rows);
    const beginning = (of: WorkedCourse) => startWords(of, foundation, fabric.making, fabric.count, { terms, chained });
    const after = rows + 1 < fabric.courses ? workCourse(fabric, bound, foundation, rows + 1) : undefined;
    const beginsSaid = startWords(course, foundation, fabric.making, fabric.count, { terms, style: 'whole', chained });
    const next = after ? beginning(after) : endingShort(ending);
    return { course, begins: beginning(course), beginsSaid, next, orders: strands.orders(rows) };
  }, [fabric, bound, foundation, strands, ending, rows, terms, chained]);
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
      idle: idleWords(strands.during(fabric, course, at), run.count),
      others: orders.flatMap((order) => besideCarrying(order, told)),
      below: againstBelow(fabric, bound, course.number - 1, run, terms),
      hints: hintsAt({ fabric, bound, foundation, ending }, course, at, terms),
      strands,
    };
  }, [row, at, fabric, bound, foundation, ending, strands, terms, told]);
}
