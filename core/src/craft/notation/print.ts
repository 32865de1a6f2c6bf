import { printCount } from '../patterns/count.ts';
import type { Extent, Multiple, PatternRow, Run, StitchPattern } from '../patterns/model.ts';
import { printOrder } from '../patterns/order.ts';

function printMultiple(multiple: Multiple): string {
  const extra = printCount(multiple.extra);
  return printCount(multiple.multiple) + (extra === '0' ? '' : ` plus ${extra}`);
}

function printExtent(word: string, extent: Extent): string {
  const works = printMultiple(extent.works);
  const alike = printMultiple(extent.alike);
  return `${word} ${works} "${extent.word}"${alike === works ? '' : `, alike ${alike}`}`;
}

function printRun(run: Run): string {
  const count = printCount(run.count);
  const head = run.count.terms.length > 1 ? `(${count})` : count;
  if (run.stitch === undefined) return head + (run.colour ?? '');
  // A named number needs a bracket before a stitch, or the two words would run together.
  const bare = run.count.terms.length === 1 && run.count.terms[0]?.of === undefined;
  const place = run.place ? `@${run.place}` : '';
  return `${bare ? count : `(${count})`}${run.stitch}${place}${run.colour ? `:${run.colour}` : ''}`;
}

/** Runs as they are written, one behind the other. */
export function printRuns(runs: readonly Run[]): string {
  return runs.map(printRun).join(' ');
}

function printRow(row: PatternRow): string {
  const courses = printCount(row.courses);
  const head = [row.role, courses === '1' ? '' : courses, row.colour ?? ''].filter(Boolean).join(' ');
  const body =
    row.start.length || row.end.length
      ? `${printRuns(row.start)} | ${printRuns(row.unit)} | ${printRuns(row.end)}`.trim()
      : `| ${printRuns(row.unit)} |`;
  return `${head}: ${body}`;
}

/** The pattern in the notation. `readPattern(printPattern(p))` is `p` again. */
export function printPattern(pattern: StitchPattern): string {
  const lines = [
    `pattern ${pattern.key} "${pattern.name}"`,
    `about "${pattern.about}"`,
    `technique ${pattern.technique}`,
    `made ${pattern.made}`,
  ];
  if (pattern.stitches.length) lines.push(`stitch ${pattern.stitches.join(' or ')}`);
  const { fewestColours: fewest, mostColours: most } = pattern;
  const choosable = fewest !== most || most !== pattern.colours.length;
  lines.push(`colours ${pattern.colours.join(' ')}${choosable ? `, ${fewest} to ${most}` : ''}`);
  for (const n of pattern.numbers) {
    lines.push(`number ${n.name} = ${n.usual}, ${n.least} to ${n.most}, "${n.meaning}"`);
  }
  lines.push(printExtent('across', pattern.across), printExtent('up', pattern.up), `read ${pattern.read}`);
  if (pattern.order) lines.push(`order ${printOrder(pattern.order)}`);
  if (pattern.ends) lines.push(`ends "${pattern.ends}"`);
  if (pattern.careful) lines.push(`careful "${pattern.careful}"`);
  lines.push(...pattern.rows.map(printRow));
  if (pattern.chart.length) lines.push('chart', ...pattern.chart.map((cells) => `  ${cells}`), 'end');
  return `${lines.join('\n')}\n`;
}
