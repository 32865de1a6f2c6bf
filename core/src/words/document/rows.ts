import { stitchKind } from '../../craft/stitches/kinds.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { rowAdvice } from '../rows/advice.ts';
import { alikeBody, groupRows } from '../rows/groups.ts';
import { courseWord, rowLine, writeRow } from '../rows/rows.ts';
import { writing } from '../rows/writing.ts';
import { legend, type Maker } from '../terms/terms.ts';

/** Every row in words, the rows that come again told once, and the abbreviations they use. */
export function rowsOf(
  plan: Plan,
  { terms = 'US', hand = 'right', manner }: Partial<Maker>,
): Pick<PlanDocument, 'rows' | 'grouped' | 'legend'> {
  const request = { ...writing(plan, terms, hand), manner, technique: plan.prepared.technique };
  const { fabric } = plan.piece;
  const word = courseWord(fabric.making);
  const written = Array.from({ length: fabric.courses }, (_, i) => writeRow(request, i + 1));
  const rows = written.map((row, i) => {
    const { changes, markers, ahead } = rowAdvice(request, i + 1);
    return {
      number: row.number,
      side: row.side,
      text: rowLine(row, word, manner),
      strands: [...row.strands],
      changes: [...changes],
      markers: [...markers],
      ahead: [...ahead],
    };
  });
  const kinds = [...new Set(fabric.kinds)].map((code) => stitchKind(code).key);
  return {
    rows,
    grouped: groupRows(
      written.map((row) => ({
        line: rowLine(row, word, manner),
        body: alikeBody(row, manner),
      })),
      word,
    ),
    legend: legend(kinds, terms),
  };
}
