import { lettersOfYarns } from '../../craft/desk/begin.ts';
import type { Drawing } from '../../craft/desk/drawing.ts';
import { drawingsOf } from '../../craft/desk/undrawn.ts';
import { type Cells, isRoundMaking, runsForward } from '../../craft/fabric/fabric.ts';
import { countFor, findFoundation } from '../../craft/foundation/foundation.ts';
import { type Making, makings } from '../../craft/patterns/model.ts';
import { codeOf, type StitchKey } from '../../craft/stitches/kinds.ts';
import type { Problem } from '../../craft/values/problem.ts';
import { studyDrawing } from '../../plan/desk/study.ts';
import { readLine } from '../rows/readRows.ts';
import type { Terms } from '../terms/termed.ts';
import type { Wording } from '../terms/terms.ts';
import { readGauge, type WrittenGauge } from './gauge.ts';
import { RowReader, type TakenFor, Unread, type WrittenCell, type WrittenRuns } from './row.ts';
import { type StitchWord, stitchWords, termsOf } from './vocabulary.ts';

/** What became of one line of a text. */
export interface WrittenLine {
  /** From 1. */
  readonly line: number;
  readonly text: string;
  readonly what: 'rows' | 'chain' | 'gauge' | 'note' | 'unread';
  /** The first and the last row that it gives. */
  readonly rows?: readonly [from: number, to: number] | undefined;
  /** Stitches of its row; of a row with a repeat to the end those that it is seen to have on the others' width. */
  readonly stitches?: number | undefined;
  readonly problem?: Problem | undefined;
  readonly taken?: readonly TakenFor[] | undefined;
}

/** What was read of a text that somebody wrote. */
export interface Written {
  readonly terms: Terms;
  readonly lines: readonly WrittenLine[];
  /** The yarns by their letters, with the names that the text has for them. */
  readonly colours: readonly { readonly letter: string; readonly name: string }[];
  readonly chain: number | undefined;
  readonly gauge: WrittenGauge | undefined;
  /** What is wrong between the lines: sums, numbers, the chain. */
  readonly problems: readonly Problem[];
  /** The rows as far as they were read, drawn; nothing until there is one. */
  readonly drawing: Drawing | undefined;
}

interface Row {
  readonly line: number;
  readonly from: number;
  readonly to: number;
  readonly side: 'RS' | 'WS' | undefined;
  readonly round: boolean;
  readonly word: 'row' | 'round' | 'diagonal';
  readonly total: number | undefined;
  readonly runs: WrittenRuns;
  /** Cells read as this program writes them: nothing is left open. */
  readonly exact: boolean;
}

/** Lines of a text at most. */
export const mostWrittenLines = 5000;

const rowHead =
  /^\s*(?:\*\*)?(rows?|rnds?|rounds?|diagonals?|r)\.?\s*(\d{1,4})(?:\s*(?:[-–—]|to|and|&|,)\s*(\d{1,4}))?\s*(?:\*\*)?\s*(?:[([]?\s*(rs|ws|right side|wrong side)\s*[)\]]?)?\s*(?:[,(]?\s*(?:in|with)\s+(?:colou?r\s+)?([A-Z]|MC|CC\d?|[a-zà-ÿ]+)\)?)?\s*[:.)\-–]\s*(.*)$/i;
const again =
  /^(?:work |(?:the )?same )?(?:rep(?:eat)?|as|work as|same as|like)\s+(?:for\s+)?(?:rows?|rnds?|rounds?)\s*(\d+)(?:\s*(?:[-–—]|to|and|&)\s*(\d+))?/i;
const chainHead = /^\s*(?:foundation:?\s*)?(?:with [^:,]*[,:]?\s*)?(?:ch(?:ain)?)\s*(\d{1,4})\b/i;
const colourHead = /^\s*(?:yarn|colou?r)?\s*([A-H]|MC|CC\d?)\s*(?:=|:|–|-)\s*([A-Za-zÀ-ÿ][A-Za-zÀ-ÿ ]{0,30})\s*$/;
const totalEnd =
  /(?:[.:;,\s]*[([{]\s*|[.]\s+|\s[–—-]\s)(?:total\s*:?\s*)?(\d{1,4})\s*(?:sts?|stitch(?:es)?|sc|dc|hdc|htr|tr|total|in all)\b[^)\]}]*[)\]}]?\s*\.?\s*$/i;

const styles: readonly Omit<Wording, 'terms'>[] = [
  { manner: 'compact' },
  { manner: 'printed' },
  { manner: 'compact', style: 'whole' },
  { manner: 'printed', style: 'whole' },
];

/** A row as this program writes it, in whichever of its ways. */
function asPrinted(text: string, line: number, terms: Terms): Row | undefined {
  const head = /^(Row|Round|Diagonal) \d+ \((RS|WS)\): /.exec(text);
  if (!head) return undefined;
  for (const style of styles) {
    const read = readLine(text, line, { ...style, terms });
    if (!read.ok) continue;
    const { number, side, cells } = read.value;
    const start = cells.map(({ kind, colour }): WrittenCell => ({ stitch: kind, colour }));
    const word = (head[1] ?? 'Row').toLowerCase() as Row['word'];
    const runs = { start, unit: undefined, end: [], fewer: undefined, leaves: 0 };
    const own = { line, from: number, to: number, side, word, round: word === 'round', total: undefined };
    return { ...own, runs, exact: true };
  }
  return undefined;
}

interface Reading {
  readonly lines: WrittenLine[];
  readonly rows: Row[];
  readonly names: Set<string>;
  readonly named: Map<string, string>;
  chain: number | undefined;
  gauge: WrittenGauge | undefined;
}

function unreadLine(line: number, text: string, problem: Problem): WrittenLine {
  return { line, text, what: 'unread', problem };
}

function wrong(line: number, code: string, facts: object = {}): Problem {
  return { code, path: `line ${line}`, facts: { line, ...facts } };
}

/** Rows that are as others are, told in a line of their own. */
function repeatedRows(reading: Reading, line: number, text: string, head: RegExpExecArray, as: RegExpExecArray): void {
  const from = Number(head[2]);
  const to = Number(head[3] ?? head[2]);
  const first = Number(as[1]);
  const last = Number(as[2] ?? as[1]);
  const period = last - first + 1;
  const source = Array.from({ length: Math.max(0, period) }, (_, i) =>
    reading.rows.findLast((row) => row.from <= first + i && row.to >= first + i),
  );
  if (period < 1 || source.some((row) => row === undefined) || to < from || to - from > 2000) {
    reading.lines.push(unreadLine(line, text, wrong(line, 'written-rows-missing', { from: first, to: last })));
    return;
  }
  for (let n = from; n <= to; n++) {
    const like = source[(n - from) % period] as Row;
    // Every row has the side of its own number.
    const side =
      like.side === undefined ? undefined : period % 2 === 0 || n % 2 === like.from % 2 ? like.side : other(like.side);
    reading.rows.push({ ...like, line, from: n, to: n, side });
  }
  reading.lines.push({ line, text, what: 'rows', rows: [from, to] });
}

function other(side: 'RS' | 'WS'): 'RS' | 'WS' {
  return side === 'RS' ? 'WS' : 'RS';
}

function wordOf(text: string): Row['word'] {
  if (/^(rnd|round)/i.test(text)) return 'round';
  return /^diag/i.test(text) ? 'diagonal' : 'row';
}

/** Reads one line into what is known. */
function readOne(reading: Reading, line: number, text: string, terms: Terms, words: readonly StitchWord[]): void {
  const plain = text.trim();
  if (!plain) return;
  const exact = asPrinted(plain, line, terms);
  if (exact) {
    reading.rows.push(exact);
    const { from, runs } = exact;
    reading.lines.push({ line, text, what: 'rows', rows: [from, from], stitches: runs.start.length });
    return;
  }
  const colour = colourHead.exec(plain);
  if (colour) {
    reading.named.set((colour[2] ?? '').trim().toLowerCase(), colour[1] ?? 'A');
    reading.names.add((colour[2] ?? '').trim().toLowerCase());
    reading.lines.push({ line, text, what: 'note' });
    return;
  }
  const head = rowHead.exec(plain);
  if (!head) {
    const chain = chainHead.exec(plain);
    if (chain) reading.chain = Number(chain[1]);
    const gauge = chain ? undefined : readGauge(plain);
    if (gauge) reading.gauge = gauge;
    reading.lines.push({ line, text, what: chain ? 'chain' : gauge ? 'gauge' : 'note' });
    return;
  }
  const body = (head[6] ?? '').trim();
  const as = again.exec(body);
  if (as) {
    repeatedRows(reading, line, text, head, as);
    return;
  }
  const total = totalEnd.exec(body);
  const work = total ? body.slice(0, total.index) : body;
  const reader = new RowReader(words, reading.names);
  try {
    const runs = reader.read(work, colourOfHead(head[5]));
    if (!runs.start.length && !runs.unit) throw new Unread('written-empty');
    const from = Number(head[2]);
    const to = Number(head[3] ?? head[2]);
    const said = head[4]?.toLowerCase();
    const side = said === undefined ? undefined : said === 'rs' || said.startsWith('right') ? 'RS' : 'WS';
    const word = wordOf(head[1] ?? 'row');
    const numbersOf = /[,&]|and/i.test(plain.slice(0, plain.indexOf(head[6] ?? ''))) ? [from, to] : undefined;
    const own = {
      line,
      side,
      word,
      round: word === 'round',
      total: total ? Number(total[1]) : undefined,
      runs,
    } as const;
    for (let n = from; n <= Math.min(to, from + 2000); n++) {
      reading.rows.push({ ...own, from: n, to: n, side: numbersOf ? undefined : side, exact: false });
    }
    reading.lines.push({ line, text, what: 'rows', rows: [from, to], taken: reader.taken });
  } catch (error) {
    if (!(error instanceof Unread)) throw error;
    reading.lines.push(unreadLine(line, text, wrong(line, error.code, error.facts)));
  }
}

function colourOfHead(word: string | undefined): string | undefined {
  if (word === undefined) return undefined;
  return word.length === 1 || /^(MC|CC\d?)$/.test(word) ? word.toUpperCase() : word.toLowerCase();
}

/** The width that most rows have, of those that leave nothing open. */
function widthOfRows(rows: readonly Row[], chain: number | undefined): number | undefined {
  const counts = new Map<number, number>();
  for (const { runs, total } of rows) {
    const own = runs.unit || runs.fewer ? total : runs.start.length + runs.end.length;
    if (own !== undefined) counts.set(own, (counts.get(own) ?? 0) + 1);
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1])[0] ?? [];
  if (most !== undefined) return most;
  const begin = findFoundation('sc-2nd');
  return chain !== undefined && begin ? countFor(begin, chain) : undefined;
}

/** The cells of a row on a width, in the order of working; or what is wrong. */
function onWidth({ runs, line, total, from }: Row, width: number | undefined): WrittenCell[] | Problem {
  const { start, unit, end, fewer, leaves } = runs;
  if (!unit) {
    const whole = [...start, ...end];
    const wanted = total ?? width;
    if (wanted !== undefined && whole.length !== wanted && fewer && fewer.length === wanted) return [...fewer];
    if (total !== undefined && whole.length !== total) {
      return wrong(line, 'written-total', { row: from, total, stitches: whole.length });
    }
    if (width !== undefined && whole.length !== width) {
      return wrong(line, 'written-width', { row: from, stitches: whole.length, width });
    }
    return whole;
  }
  const wide = total ?? width;
  const rest = Math.max(leaves, end.length);
  if (wide === undefined) return wrong(line, 'written-open', { row: from });
  const room = wide - start.length - rest;
  if (room < 0 || room % unit.length) {
    return wrong(line, 'written-repeat', { row: from, width: wide, once: start.length + rest, unit: unit.length });
  }
  const times = room / unit.length;
  if (end.length < rest) return wrong(line, 'written-left', { row: from, left: rest - end.length });
  return [...start, ...Array.from({ length: times }, () => unit).flat(), ...end];
}

/** The letters of the colours: those that are letters, then the others in the order in which they come. */
function lettering(rows: readonly Row[], named: ReadonlyMap<string, string>): Map<string, string> {
  const seen = new Set<string>();
  for (const { runs } of rows) {
    for (const { colour } of [...runs.start, ...(runs.unit ?? []), ...runs.end]) if (colour) seen.add(colour);
  }
  const letters = new Map<string, string>();
  const take = (name: string, letter: string) => letters.set(name, letter);
  for (const name of seen) if (/^[A-H]$/.test(name)) take(name, name);
  const special = { MC: 'A', CC: 'B', CC1: 'B', CC2: 'C', CC3: 'D' } as Readonly<Record<string, string>>;
  for (const name of seen) {
    const letter = special[name] ?? special[named.get(name) ?? ''] ?? named.get(name);
    if (!letters.has(name) && letter) take(name, letter);
  }
  for (const name of seen) {
    if (letters.has(name)) continue;
    const used = new Set(letters.values());
    const free = lettersOfYarns.find((letter) => !used.has(letter));
    take(name, free ?? 'H');
  }
  return letters;
}

function makingOf(rows: readonly Row[]): readonly Making[] {
  const word = rows[0]?.word ?? 'row';
  const told = rows.some(({ side }) => side !== undefined);
  return makings.filter((making) => {
    if ((making === 'diagonals') !== (word === 'diagonal')) return false;
    if (making !== 'diagonals' && isRoundMaking(making) !== (word === 'round')) return false;
    if (!told) return making === 'flat' || making === 'rounds' || making === 'diagonals';
    return rows.every(({ side }, i) => side === undefined || (side === 'RS') === runsForward(i, making));
  });
}

function toCells(
  cells: readonly WrittenCell[],
  forward: boolean,
  letters: ReadonlyMap<string, string>,
  main: StitchKey,
): Cells {
  const ordered = forward ? cells : [...cells].reverse();
  return {
    kinds: Uint8Array.from(ordered, ({ stitch }) => codeOf(stitch ?? main)),
    colours: Uint8Array.from(ordered, ({ colour }) =>
      Math.max(0, (lettersOfYarns as readonly string[]).indexOf((colour && letters.get(colour)) || 'A')),
    ),
  };
}

/** The stitch of rows that name none: the one that others name, else single crochet. */
function mainStitch(rows: readonly Row[]): StitchKey {
  for (const { runs } of rows) {
    for (const { stitch } of [...runs.start, ...(runs.unit ?? []), ...runs.end]) {
      if (stitch === 'sc' || stitch === 'hdc' || stitch === 'dc') return stitch;
    }
  }
  return 'sc';
}

/** The likeliest drawing of a piece: the first that can be worked as it is drawn. */
function likeliest(drawings: readonly Drawing[]): Drawing | undefined {
  return (
    drawings.find((drawing) => {
      const { problems, refused } = studyDrawing(drawing, false);
      return !problems.length && !refused.length;
    }) ?? drawings[0]
  );
}

interface ReadRequest {
  readonly key: string;
  readonly name: string;
  /** The terms it is read in, where they were chosen; else those that it tells, or these. */
  readonly terms?: Terms | undefined;
  readonly usual: Terms;
}

/**
 * Reads rows as people write them, pasted whole: every line is understood or pointed at, sums and the chain are checked.
 * Rows of the wrong side come back, so that the drawing is seen from the right side.
 */
export function readWritten(text: string, { key, name, terms: chosen, usual }: ReadRequest): Written {
  const all = text.replace(/\u00a0/g, ' ').split(/\r?\n/);
  const terms = chosen ?? termsOf(text) ?? usual;
  const none = { terms, lines: [], colours: [], chain: undefined, gauge: undefined, drawing: undefined };
  if (all.length > mostWrittenLines) {
    const facts = { count: all.length, most: mostWrittenLines };
    return { ...none, problems: [{ code: 'lines-too-many', path: 'text', facts }] };
  }
  const reading: Reading = {
    lines: [],
    rows: [],
    names: new Set(),
    named: new Map(),
    chain: undefined,
    gauge: undefined,
  };
  const words = stitchWords(terms);
  for (const [i, line] of all.entries()) readOne(reading, i + 1, line.slice(0, 5000), terms, words);
  const rows = [...reading.rows].sort((a, b) => a.from - b.from);
  if (!rows.length) return { ...none, lines: reading.lines, chain: reading.chain, gauge: reading.gauge, problems: [] };
  const problems: Problem[] = numbering(rows);
  const width = widthOfRows(rows, reading.chain);
  const same = rows.every(({ exact }) => exact);
  const pieces = rows.map((row) => onWidth(row, same ? undefined : width));
  const byLine = new Map<number, Problem>();
  pieces.forEach((piece, i) => {
    if (!Array.isArray(piece)) byLine.set((rows[i] as Row).line, piece);
  });
  const letters = lettering(rows, reading.named);
  const lines = reading.lines.map((line): WrittenLine => {
    const problem = byLine.get(line.line);
    const at = rows.findIndex((row) => row.line === line.line);
    const piece = at < 0 ? undefined : pieces[at];
    return { ...line, ...(problem ? { problem } : {}), ...(Array.isArray(piece) ? { stitches: piece.length } : {}) };
  });
  problems.push(...chainProblems(reading.chain, width));
  const drawing = byLine.size || problems.some(({ code }) => code === 'written-number') ? undefined : drawn();
  return {
    terms,
    lines,
    colours: [...letters]
      .map(([told, letter]) => ({ letter, name: told }))
      .sort((a, b) => a.letter.localeCompare(b.letter)),
    chain: reading.chain,
    gauge: reading.gauge,
    problems: [
      ...problems,
      ...(drawing || byLine.size || reading.lines.some(({ what }) => what === 'unread')
        ? []
        : [{ code: 'piece-unknown', path: '' }]),
    ],
    drawing,
  };

  function drawn(): Drawing | undefined {
    const main = mainStitch(rows);
    for (const making of makingOf(rows)) {
      const courses = pieces.map((piece, i) => {
        const { side } = rows[i] as Row;
        const forward = side === undefined ? runsForward(i, making) : side === 'RS';
        return toCells(piece as WrittenCell[], forward, letters, main);
      });
      const drawings = drawingsOf({ key, name, making, courses });
      const found = drawings.ok ? likeliest(drawings.value) : undefined;
      if (found) return found;
    }
    return undefined;
  }
}

/** Rows are numbered from 1 on, each once. */
function numbering(rows: readonly Row[]): Problem[] {
  const first = rows[0]?.from ?? 1;
  const slip = rows.find((row, i) => row.from !== first + i);
  if (!slip) return [];
  const before = rows[rows.indexOf(slip) - 1]?.from;
  return [wrong(slip.line, 'written-number', { row: slip.from, before })];
}

/** Whether the chain makes as many stitches as the rows have, in one of the usual ways to begin. */
function chainProblems(chain: number | undefined, width: number | undefined): Problem[] {
  if (chain === undefined || width === undefined) return [];
  const turning = chain - width;
  if (turning >= 0 && turning <= 4) return [];
  return [{ code: 'written-chain', path: 'chain', facts: { chain, width } }];
}
