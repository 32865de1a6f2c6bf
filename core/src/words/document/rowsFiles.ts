import { asCell } from '../../craft/values/cell.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import { workCourse } from '../../plan/steps/course.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { beginLines, printPartNames, printWords } from '../en/print.ts';
import type { Terms } from '../terms/termed.ts';
import { runStitches } from '../work/runLabel.ts';

/** What stands over the columns of a table of runs. */
export const runColumns = [
  'row',
  'side',
  'run',
  'first stitch',
  'count',
  'stitch',
  'colour',
  'yarn',
  'next colour',
] as const;

/**
 * Every run of every row as it is worked, a line each under `runColumns`: a run is so many stitches of one colour. What
 * takes turns in a run stands with a comma between: `sc, dc`.
 */
export function runTable(plan: Plan, terms: Terms): string[][] {
  const { bound, foundation, yarns } = plan.prepared;
  const { fabric } = plan.piece;
  return Array.from({ length: fabric.courses }, (_, row) => workCourse(fabric, bound, foundation, row)).flatMap(
    ({ number, side, runs }) =>
      runs.map((run, i) => [
        String(number),
        side,
        String(i + 1),
        String(run.from),
        String(run.count),
        runStitches(run, terms),
        run.colour,
        asCell(yarns[bound.colours.indexOf(run.colour)]?.name ?? ''),
        run.changeTo ?? '',
      ]),
  );
}

/** How the work is begun, its rows and the abbreviations they use, in lines of plain text. */
export function rowsAsText(title: string, document: PlanDocument): string {
  const begin = beginLines(document).map(([name, text]) => (name ? `${name}: ${text}` : text));
  const words = document.legend.map(
    ({ abbreviation, words, made }) => `${abbreviation}: ${words}${made ? `. ${made}` : ''}`,
  );
  return [
    title,
    '',
    ...begin,
    '',
    ...document.rows.map(({ text }) => text),
    '',
    printWords.abbreviations,
    ...words,
    '',
  ].join('\n');
}

/** A text in which no sign means anything to Markdown but itself. */
function plain(text: string): string {
  return text.replace(/[\\`*_[\]<>#|~]/g, '\\$&');
}

/** The same as Markdown, with a box to tick at each row. */
export function rowsAsMarkdown(title: string, document: PlanDocument): string {
  const begin = beginLines(document).map(([name, text]) => (name ? `**${plain(name)}:** ${plain(text)}` : plain(text)));
  return [
    `# ${plain(title)}`,
    '',
    `## ${printPartNames.before}`,
    '',
    ...begin.map((text) => `- ${text}`),
    '',
    `## ${printPartNames.rows}`,
    '',
    ...document.rows.map(({ text }) => `- [ ] ${plain(text)}`),
    '',
    `## ${printWords.abbreviations}`,
    '',
    ...document.legend.map(
      ({ abbreviation, words, made }) =>
        `- **${plain(abbreviation)}:** ${plain(words)}${made ? `. ${plain(made)}` : ''}`,
    ),
    '',
  ].join('\n');
}
