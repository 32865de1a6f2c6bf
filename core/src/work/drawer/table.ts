import { fibreWords, mainFibre, readBlend } from '../../craft/gauge/fibres.ts';
import { numberOrText } from '../../craft/units/amount.ts';
import { parseLabel } from '../../craft/units/yarn.ts';
import { asCell, cellText } from '../../craft/values/cell.ts';
import { good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import { type DrawerYarn, drawerYarnSchema } from '../../records/drawerYarn.ts';
import { issueFacts } from '../../records/readJson.ts';

/** The columns of the drawer as a table; `label` may stand for metres and grams in one. */
export const drawerColumns = [
  'line',
  'shade',
  'colour',
  'lot',
  'fibre',
  'weight',
  'metres a ball',
  'grams a ball',
  'balls',
  'part balls g',
  'price',
] as const;

type Row = Readonly<Record<string, string | undefined>>;

/** A yarn as a row of the table. */
export function toRow(yarn: DrawerYarn): Record<(typeof drawerColumns)[number], string> {
  const text = (value: number | undefined) => (value === undefined ? '' : String(value));
  return {
    line: asCell(yarn.line),
    shade: asCell(yarn.name),
    colour: yarn.shade,
    lot: asCell(yarn.lot),
    fibre: yarn.blend ? fibreWords(yarn) : yarn.fibre,
    weight: String(yarn.weight),
    'metres a ball': text(yarn.ballMetres),
    'grams a ball': text(yarn.ballGrams),
    balls: String(yarn.balls),
    'part balls g': yarn.parts.join(' '),
    price: text(yarn.price),
  };
}

const columnOf: Readonly<Record<string, string>> = {
  name: 'shade',
  shade: 'colour',
  ballMetres: 'metres a ball',
  ballGrams: 'grams a ball',
  parts: 'part balls g',
};

/** A cell with one fibre, or with a blend as `60 % cotton, 40 % acrylic`. */
function fibreOf(cell: string): object {
  const blend = readBlend(cell);
  if (blend && blend.length > 1) return { fibre: mainFibre(blend), blend };
  return { fibre: cell.trim().toLowerCase() };
}

function readRow(row: Row, line: number): Result<DrawerYarn> {
  const label = row.label?.trim() ? parseLabel(row.label) : undefined;
  if (label && !label.ok) return refused(...label.problems.map((each) => ({ ...each, path: `line ${line}, label` })));
  const parts = (row['part balls g'] ?? '').trim();
  const read = drawerYarnSchema.safeParse({
    line: cellText(row.line),
    name: cellText(row.shade),
    shade: row.colour?.trim() || '#8a8a8a',
    lot: cellText(row.lot),
    ...fibreOf(row.fibre ?? ''),
    weight: numberOrText(row.weight ?? ''),
    ballMetres: label ? label.value.metres : numberOrText(row['metres a ball'] ?? ''),
    ballGrams: label ? label.value.grams : numberOrText(row['grams a ball'] ?? ''),
    balls: numberOrText(row.balls ?? '') ?? 0,
    parts: parts === '' ? [] : parts.split(/\s+/).map(numberOrText),
    price: numberOrText(row.price ?? ''),
  });
  if (read.success) return good(read.data);
  return refused(
    ...read.error.issues.map((issue): Problem => {
      const field = String(issue.path[0] ?? '');
      const column = columnOf[field] ?? field;
      const typed = row[column];
      return {
        code: 'table-cell',
        path: `line ${line}, ${column}`,
        facts: { ...issueFacts(issue), line, column, typed, field },
      };
    }),
  );
}

/** Reads a table of yarns, all or none. @param rows one record a line, keyed by its column @returns every problem at once */
export function readDrawerTable(columns: readonly string[], rows: readonly Row[]): Result<DrawerYarn[]> {
  const missing = ['line', 'shade', 'fibre', 'weight'].filter((column) => !columns.includes(column));
  if (missing.length) {
    return refused({
      code: 'table-columns',
      path: 'line 1',
      facts: { missing, columns: drawerColumns },
    });
  }
  const read = rows.map((row, i) => readRow(row, i + 2));
  const problems = read.flatMap((each) => (each.ok ? [] : each.problems));
  if (problems.length) return refused(...problems);
  return good(read.flatMap((each) => (each.ok ? [each.value] : [])));
}
