import { printPattern, type Result, type ToldUnit } from '@puntada/core/craft';
import { type MadeWork, planWork } from '@puntada/core/plan';
import { readShape, wishSchema } from '@puntada/core/records';
import {
  type Maker,
  planDocument,
  rowsAsMarkdown,
  rowsAsText,
  runColumns,
  runTable,
  yarnColumns,
  yarnTable,
} from '@puntada/core/words';
import { csvFormatRows } from 'd3-dsv';
import { chartSvg } from './chartSvg.ts';

/** What of a plan is saved as a file of its own. */
export type PlanFile = 'rows.txt' | 'rows.md' | 'runs.csv' | 'yarn.csv' | 'chart.svg' | 'pattern.txt' | 'plan.json';

/** A part of a plan as the text of a file. */
export function planFile(work: MadeWork, maker: Maker, told: ToldUnit, kind: PlanFile): Result<string> {
  const read = readShape(wishSchema, work.wish);
  if (!read.ok) return read;
  const planned = planWork({ wish: read.value, begun: work.begun }, told);
  if (!planned.ok) return planned;
  const plan = planned.value;
  const { wish, bound } = plan.prepared;
  const texts: Readonly<Record<PlanFile, () => string>> = {
    'rows.txt': () => rowsAsText(wish.title, planDocument(plan, maker)),
    'rows.md': () => rowsAsMarkdown(wish.title, planDocument(plan, maker)),
    'runs.csv': () => csvFormatRows([[...runColumns], ...runTable(plan, maker.terms)]),
    'yarn.csv': () => csvFormatRows([[...yarnColumns], ...yarnTable(planDocument(plan, maker))]),
    'chart.svg': () => chartSvg(plan, maker.hand),
    'pattern.txt': () => printPattern(bound.pattern),
    'plan.json': () => JSON.stringify(planDocument(plan, maker), undefined, 2),
  };
  return { ok: true, value: texts[kind]() };
}
