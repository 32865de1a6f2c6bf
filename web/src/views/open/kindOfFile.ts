import { good, type Result, refused } from '@puntada/core/craft';
import { anyVersion, type DrawerYarn, readShape, type Wish, wishRecord } from '@puntada/core/records';
import { logColumns, runColumns, yarnColumns } from '@puntada/core/words';
import { csvParseRows } from 'd3-dsv';
import { type BroughtIn, broughtIn } from '../../parts/bringIn.ts';
import { readYarns } from '../../parts/readYarns.ts';

/** What is written for other programs, and stays with them. */
export type OnlyOut = 'runs' | 'yarn' | 'log' | 'calendar' | 'document' | 'drawing' | 'plan';

/** What a file is, and what of it there is to be asked about. */
export type Found =
  /** A backup of a bench or one project: the server looks into it. */
  | { readonly kind: 'archive' }
  | { readonly kind: 'pattern'; readonly pattern: BroughtIn }
  | { readonly kind: 'yarns'; readonly yarns: readonly DrawerYarn[] }
  | { readonly kind: 'idea'; readonly wish: Wish }
  | { readonly kind: 'picture' }
  /** Rows as somebody wrote them. */
  | { readonly kind: 'rows'; readonly text: string }
  | { readonly kind: 'only-out'; readonly what: OnlyOut };

/** Bytes that tell a kind of file, at its very beginning. */
const signs: readonly (readonly [sign: string, found: Found])[] = [
  ['PK\u0003\u0004', { kind: 'archive' }],
  ['\u0089PNG', { kind: 'picture' }],
  ['\u00ff\u00d8\u00ff', { kind: 'picture' }],
  ['%PDF', { kind: 'only-out', what: 'document' }],
  ['BEGIN:VCALENDAR', { kind: 'only-out', what: 'calendar' }],
  ['<svg', { kind: 'only-out', what: 'drawing' }],
];

/** A text longer than this is no pattern and no table of ours; a backup is looked into by the server. */
const mostText = 4_000_000;

/** The formats of earlier versions that hold a bench or a project. */
const whole = /^\s*\{[^{}[\]]{0,200}"format"\s*:\s*"puntada-(backup|work|archive)"/;

/** Rows are told by their numbers: `Row 2 (WS): …`, `Rnd 3`, `R4:`. */
const written = /^\s*(row|rnd|round|r)s?\s*\d+/im;

const tables: readonly (readonly [columns: readonly string[], what: OnlyOut])[] = [
  [runColumns, 'runs'],
  [yarnColumns, 'yarn'],
  [logColumns, 'log'],
];

function fromTable(text: string): Found | 'yarns' | undefined {
  const [first = []] = csvParseRows(text.slice(0, 2000));
  const columns = first.map((column) => column.trim());
  const table = tables.find(([own]) => own.join() === columns.join());
  if (table) return { kind: 'only-out', what: table[1] };
  return ['line', 'shade', 'fibre', 'weight'].every((column) => columns.includes(column)) ? 'yarns' : undefined;
}

/** What a document says it is; an idea of the first version says nothing. */
function formatOf(text: string): string {
  try {
    const document = JSON.parse(text) as Record<string, unknown>;
    if (typeof document.format === 'string') return document.format;
    return document.item && document.pattern && document.gauge ? 'puntada-wish' : '';
  } catch {
    return '';
  }
}

async function asText(file: File): Promise<Result<Found>> {
  const unknown = refused({ code: 'file-unknown', path: '', facts: { name: file.name } });
  if (whole.test(await file.slice(0, 4000).text())) return good({ kind: 'archive' });
  if (file.size > mostText) return unknown;
  const text = (await file.text()).replace(/^\uFEFF/, '');
  // A sign that no text has: it is something else.
  if (!text.trim() || text.includes('\0') || text.includes('\uFFFD')) return unknown;
  if (text.trimStart().startsWith('{')) {
    const format = formatOf(text);
    if (format === 'puntada-plan') return good({ kind: 'only-out', what: 'plan' });
    if (format === 'puntada-wish') {
      const wish = readShape(anyVersion(wishRecord), JSON.parse(text));
      return wish.ok ? good({ kind: 'idea', wish: wish.value }) : wish;
    }
    if (!/^puntada-(own-)?pattern$/.test(format)) return unknown;
  }
  if (text.trimStart().startsWith('[')) return unknown;
  const table = fromTable(text);
  if (table === 'yarns') {
    const yarns = readYarns(text);
    return yarns.ok ? good({ kind: 'yarns', yarns: yarns.value }) : yarns;
  }
  if (table) return good(table);
  if (written.test(text) && !/^(#.*\n\s*)*pattern\s/.test(text.trimStart())) return good({ kind: 'rows', text });
  const pattern = await broughtIn(file);
  return pattern.ok ? good({ kind: 'pattern', pattern: pattern.value }) : pattern;
}

/** What a file is, told by what stands in it and not by its name. @returns why it cannot be opened, with nothing done */
export async function kindOfFile(file: File): Promise<Result<Found>> {
  const head = String.fromCharCode(...new Uint8Array(await file.slice(0, 16).arrayBuffer()));
  const sign = signs.find(([each]) => head.startsWith(each));
  if (sign) return good(sign[1]);
  if (head.startsWith('RIFF') && head.slice(8, 12) === 'WEBP') return good({ kind: 'picture' });
  return asText(file);
}
