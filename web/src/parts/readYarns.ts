import type { Result } from '@puntada/core/craft';
import type { DrawerYarn } from '@puntada/core/records';
import { readDrawerTable } from '@puntada/core/work';
import { csvParseRows } from 'd3-dsv';

/** The yarns of a table as text. By rows: a reader by columns makes code at run time, which the server's policy forbids. */
export function readYarns(text: string): Result<DrawerYarn[]> {
  const [first = [], ...lines] = csvParseRows(text.replace(/^\uFEFF/, ''));
  const columns = first.map((column) => column.trim());
  const rows = lines.map((cells) => Object.fromEntries(columns.map((column, i) => [column, cells[i]])));
  return readDrawerTable(columns, rows);
}
