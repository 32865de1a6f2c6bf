import './browser.ts';
import { must, techniqueOf } from '@puntada/core/craft';
import { freeze, type MadeWork, type Plan, planWork, StrandBook, thaw } from '@puntada/core/plan';
import type { Wish, Work } from '@puntada/core/records';
import { courseWord, planDocument, rowsAsText, yarnTable } from '@puntada/core/words';
import { sequenceOfWork } from '@puntada/core/work';
import { createElement } from 'react';
import { clothOfPiece, workCloth } from '../../web/src/parts/workCloth.ts';
import { FinishingSteps } from '../../web/src/views/finish/FinishView.tsx';
import { Ticket } from '../../web/src/views/mat/Ticket.tsx';
import { WrittenRow } from '../../web/src/views/rows/WrittenRows.tsx';
import { RowEnd } from '../../web/src/views/work/RowEnd.tsx';
import { RowHead } from '../../web/src/views/work/RowHead.tsx';
import { RunWords } from '../../web/src/views/work/RunWords.tsx';
import { StepInHand } from '../../web/src/views/work/StepInHand.tsx';
import { type RowInHand, useRowInHand } from '../../web/src/views/work/useRowInHand.ts';
import { figuresOfWork } from '../../web/src/worker/ofSizes.ts';
import { type Reading, shown } from './shown.ts';

/** One unit of Make as its pages show it. */
export interface MadeUnit {
  readonly kind: 'row' | 'step';
  readonly piece: number;
  /** Of a row: from 1, and run by run. Of a step: part by part. */
  readonly row: number;
  readonly parts: readonly string[];
  /** Ends that are woven in one by one in it. */
  readonly ends: number;
}

/** Everything that a maker is shown of one project, surface by surface. */
export interface Shown {
  readonly size: string;
  readonly rows: readonly string[];
  readonly make: readonly MadeUnit[];
  readonly finishing: string;
  readonly text: string;
  readonly csv: string;
  readonly document: ReturnType<typeof planDocument>;
  readonly plan: Plan;
  readonly work: MadeWork;
}

/** A project as the server keeps it. */
function workOf(wish: Wish, begun: MadeWork['begun']): Work {
  return {
    id: '00000000-0000-4000-8000-000000000001',
    state: begun ? 'begun' : 'wished',
    revision: 1,
    wish,
    begun: begun ?? null,
    changedAt: 0,
    archived: false,
    deletedAt: null,
    notice: null,
    due: null,
    size: null,
    progress: { rows: 0, runs: 0 },
  } as unknown as Work;
}

/** The rows of a cloth that are looked at run by run: the first, the last, and some between. */
function looked(courses: number): number[] {
  const some = [0, 1, 2, 3, Math.floor(courses / 2), courses - 3, courses - 2, courses - 1];
  return [...new Set(some)].filter((row) => row >= 0 && row < courses).sort((a, b) => a - b);
}

/** Takes a project through every surface that the interface has for it. */
export function showAll(plan: Plan, reading: Reading): Shown {
  const { prepared, sizes, width, height } = plan;
  const begun = freeze(plan);
  const { wish } = prepared;
  const work = workOf(wish, begun);
  const fresh = workOf(wish, null);
  const { units } = prepared.wish;
  const figures = figuresOfWork({ wish, begun });
  const size = shown(createElement(Ticket, { prepared, sizes, width, height, figures, units }), reading);
  const cloth = workCloth(work);
  if (!cloth) throw new Error('the begun cloth is not shown');
  const { fabric, bound, foundation, ending } = cloth;
  const strands = new StrandBook(cloth.strands, bound, ending);
  const technique = must(techniqueOf(bound.pattern));
  const { terms, hand } = reading;
  const request = {
    fabric,
    bound,
    foundation,
    strands,
    terms,
    hand,
    technique,
    into: wish.into,
    ending,
    units,
  } as const;
  const rows = Array.from({ length: fabric.courses }, (_, i) =>
    shown(
      createElement(WrittenRow, {
        request,
        number: i + 1,
        selected: false,
        inHand: false,
        onSelect: () => undefined,
        notes: undefined as never,
      }),
      reading,
    ),
  );
  const back = must(thaw(begun));
  const sequence = sequenceOfWork(prepared, back);
  const rowsLooked = looked(fabric.courses);
  const make = sequence.units.flatMap((unit): MadeUnit[] => {
    if (unit.kind === 'row') {
      if (unit.piece > 0 || !rowsLooked.includes(unit.row)) return [];
      const runs: string[] = [];
      const own = clothOfPiece(cloth, unit.piece);
      for (let run = 0; run < 400; run++) {
        let inHand: RowInHand | undefined;
        const Page = () => {
          inHand = useRowInHand(own, { rows: unit.row, runs: run }, { terms, told: units }, cloth.fromChain === true);
          if (!inHand) return null;
          const word = courseWord(fabric.making);
          return createElement('div', null, [
            createElement(RowHead, { key: 1, row: inHand, cloth: own, hand, children: null }),
            createElement(RunWords, { key: 2, row: inHand, terms, word, tug: undefined }),
            createElement(RowEnd, { key: 3, row: inHand, word: word.toLowerCase(), terms, hand }),
          ]);
        };
        const text = shown(createElement(Page), reading);
        if (!inHand) break;
        runs.push(text);
      }
      return [{ kind: 'row', piece: unit.piece, row: unit.row + 1, parts: runs, ends: 0 }];
    }
    const { step } = unit;
    const parts = step.runs.map((_, at) =>
      at > 2 && at < step.runs.length - 1
        ? ''
        : shown(
            createElement(StepInHand, {
              work,
              step,
              at,
              cloth,
              sequence: undefined,
              shadeOf: () => '#888888',
              told: null,
              children: null,
            }),
            reading,
          ),
    );
    return [{ kind: 'step', piece: unit.piece, row: 0, parts, ends: step.code === 'ends' ? step.runs.length : 0 }];
  });
  const whole = must(planWork({ wish, begun }));
  const document = planDocument(whole, { terms, hand });
  const finishing = shown(
    createElement(FinishingSteps, { document, work: fresh, shown: undefined, onShow: () => undefined }),
    reading,
  );
  return {
    size,
    rows,
    make,
    finishing,
    text: rowsAsText(wish.title, document),
    csv: yarnTable(document)
      .map((line) => line.join(','))
      .join('\n'),
    document,
    plan: whole,
    work: { wish, begun },
  };
}
