import { assemble, type Cells, courseCells, type Fabric } from '../../craft/fabric/fabric.ts';
import { codeOf, type StitchKey, stitchKind, stitchKinds } from '../../craft/stitches/kinds.ts';
import { good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import type { Terms } from '../terms/termed.ts';
import { countedStitch, openingWords, type Style, stitchWord, summedStitch, type Wording } from '../terms/terms.ts';
import { courseWord, rowLine, type WriteRequest, writeRow } from './rows.ts';

/** A cell read from words; its colour may be told only after it. */
interface ReadCell {
  readonly kind: StitchKey;
  colour?: string;
}

class Unreadable extends Error {}

/** The words of one terminology and style, the longest first, so that `dc in ring` is not read as `dc`. */
function vocabulary(terms: Terms, style: Style): { word: string; key: StitchKey }[] {
  return stitchKinds
    .flatMap(({ key, opens }) => {
      if (opens) {
        const ways = [false, true].flatMap((inChain) => [false, true].map((edgePost) => ({ inChain, edgePost })));
        const words = ways.map((way) => openingWords(key, { terms, style }, way));
        return [...new Set(words)].map((word) => ({ word, key }));
      }
      if (key === 'ch') return [];
      const single = stitchWord(key, terms, style);
      const many = countedStitch(2, key, terms, style).slice(2);
      return [...new Set([single, many])].map((word) => ({ word, key }));
    })
    .sort((a, b) => b.word.length - a.word.length);
}

/** Reads the runs of one row: `4 sc A, (2 dc B, 1 ch A) × 3`. */
class RunReader {
  private readonly words: { word: string; key: StitchKey }[];
  private readonly printed: boolean;
  private text = '';

  constructor({ terms, style = 'short', manner }: Wording) {
    this.words = vocabulary(terms, style);
    this.printed = manner === 'printed';
  }

  read(work: string): ReadCell[] {
    const whole = (this.printed ? /^with ([A-H]): / : /^in ([A-H]): /).exec(work);
    this.text = whole ? work.slice(whole[0].length) : work;
    const cells = this.list();
    if (this.text) throw new Unreadable(`“${this.text}” is left over`);
    if (whole) for (const cell of cells) cell.colour = whole[1] as string;
    const bare = cells.find((cell) => !cell.colour);
    if (bare) throw new Unreadable(`no colour is told for ${bare.kind}`);
    return cells;
  }

  private take(expression: RegExp): RegExpExecArray | undefined {
    const match = expression.exec(this.text);
    if (match) this.text = this.text.slice(match[0].length);
    return match ?? undefined;
  }

  /** Items between commas; a colour told behind several of them is the colour of all that have none. */
  private list(): ReadCell[] {
    const cells: ReadCell[] = [];
    do {
      cells.push(...this.item());
      const colour = this.take(this.printed ? /^ in ([A-H])(?=[,;\]]|$)/ : /^ ([A-H])(?=[,)]|$)/)?.[1];
      if (colour) for (const cell of cells) cell.colour ??= colour;
    } while (this.take(/^, /));
    return cells;
  }

  /** What stands behind an asterisk or in brackets, as often as it says; nothing where neither begins here. */
  private repeated(): ReadCell[] | undefined {
    const star = this.take(/^\*/) !== undefined;
    if (!star && !this.take(/^\[/)) return undefined;
    const group = this.list();
    const more = star
      ? this.take(/^; repeat from \* (?:(once) more|(\d+) more times)/)
      : this.take(/^\] (?:(\d+) times?)/);
    if (!more) throw new Unreadable(`a repeat is not closed before “${this.text}”`);
    const times = star ? 1 + Number(more[2] ?? 1) : Number(more[1]);
    return Array.from({ length: times }, () => group.map((cell) => ({ ...cell }))).flat();
  }

  private item(): ReadCell[] {
    const again = this.printed ? this.repeated() : undefined;
    if (again) return again;
    if (!this.printed && this.take(/^\(/)) {
      const group = this.list();
      const times = this.take(/^\) × (\d+)/)?.[1];
      if (!times) throw new Unreadable(`a group is not closed before “${this.text}”`);
      return Array.from({ length: Number(times) }, () => group.map((cell) => ({ ...cell }))).flat();
    }
    const opening = this.words.find(({ word, key }) => stitchKind(codeOf(key)).opens && this.startsWith(word));
    if (opening) {
      this.text = this.text.slice(opening.word.length);
      return [{ kind: opening.key }];
    }
    const chains = this.take(/^(?:ch|chain) (\d+) \(skip (\d+) (?:chains?|stitch(?:es)?)\)/);
    if (chains) {
      if (chains[1] !== chains[2]) throw new Unreadable(`${chains[1]} chains do not pass over ${chains[2]} stitches`);
      return Array.from({ length: Number(chains[1]) }, () => ({ kind: 'ch' as const }));
    }
    const count = Number(this.take(/^(\d+) /)?.[1] ?? 0);
    const found = this.words.find(({ word }) => this.startsWith(word));
    if (!count || !found) throw new Unreadable(`“${this.text.slice(0, 24)}” is no run`);
    if ((count === 1) !== (found.word === this.single(found.key)) && this.single(found.key) !== this.many(found.key)) {
      throw new Unreadable(`“${count} ${found.word}” is not how it is written`);
    }
    this.text = this.text.slice(found.word.length);
    return Array.from({ length: count }, () => ({ kind: found.key }));
  }

  private startsWith(word: string): boolean {
    return this.text.startsWith(word) && /^$|^[ ,;)\]]/.test(this.text.slice(word.length));
  }

  private single(key: StitchKey): string {
    return this.words.filter((each) => each.key === key).at(-1)?.word ?? '';
  }

  private many(key: StitchKey): string {
    return this.words.find((each) => each.key === key)?.word ?? '';
  }
}

const compactLine = /^(?:Row|Round|Diagonal) (\d+) \((RS|WS)\): (.+?)\. (.+)\.$/;
const printedLine = /^(?:Row|Round|Diagonal) (\d+) \((RS|WS)\): (.+?)\. \((.+)\)$/;

/** What one printed line says: its number, side, and cells in the order of working. */
export interface ReadLine {
  readonly number: number;
  readonly side: 'RS' | 'WS';
  readonly cells: readonly Required<ReadCell>[];
}

function unreadable(line: number, reason: string): Problem {
  return {
    code: 'text-unreadable',
    path: `line ${line}`,
    facts: { line, why: reason },
  };
}

/** Whether the total that a line tells is that of its cells. */
function totalHolds(told: string, cells: readonly Required<ReadCell>[], wording: Wording): boolean {
  const { terms, style = 'short', manner } = wording;
  // Behind the stitches come the colours: in brackets, or after what a printed total puts between.
  const holds = (words: string) =>
    manner === 'printed'
      ? [':', ';', ' in '].some((next) => told.startsWith(words + next))
      : told.startsWith(`${words} (`);
  const post = told.includes(' and the edge post') ? 1 : 0;
  const stitches = cells.reduce((sum, cell) => sum + stitchKind(codeOf(cell.kind)).stitches, 0) - post;
  if (post) return holds(`${stitches} stitches and the edge post`);
  const kinds = new Map<StitchKey, number>();
  for (const { kind } of cells) {
    const main = stitchKind(codeOf(kind)).standsFor;
    kinds.set(main, (kinds.get(main) ?? 0) + 1);
  }
  const list = [...kinds]
    .sort(([a], [b]) => codeOf(a) - codeOf(b))
    .map(([kind, count]) => summedStitch(count, kind, terms, style))
    .join(', ');
  const plain = kinds.size === 1 && (kinds.has('block') || [...kinds.values()][0] === stitches);
  return holds(plain ? list : `${stitches} stitches: ${list}`);
}

/** The runs of a printed row: what stands behind its start, whose own semicolons are no repeat’s. */
function lastPart(runs: string): string {
  const parts = runs.split('; ');
  const from = parts.findLastIndex((part) => !part.startsWith('repeat from *'));
  return parts.slice(from).join('; ');
}

/** Reads one printed line from its words alone. */
export function readLine(text: string, line: number, wording: Wording): Result<ReadLine> {
  const match = (wording.manner === 'printed' ? printedLine : compactLine).exec(text);
  if (!match) return refused(unreadable(line, 'it is not “Row n (RS): start; runs. Total.”'));
  const [, number, side, head = '', total = ''] = match;
  const [runs = ''] = head.split('; then ');
  const work = wording.manner === 'printed' ? lastPart(runs) : runs.slice(runs.lastIndexOf('; ') + 2);
  try {
    const cells = new RunReader(wording).read(work) as Required<ReadCell>[];
    if (!totalHolds(total, cells, wording)) {
      return refused(unreadable(line, `its total, “${total}”, is not that of its runs`));
    }
    return good({ number: Number(number), side: side as 'RS' | 'WS', cells });
  } catch (error) {
    if (error instanceof Unreadable) return refused(unreadable(line, error.message));
    throw error;
  }
}

/** The cells of a line in column order: rows of the wrong side come back. */
function inColumns({ cells, side }: ReadLine): Cells {
  const ordered = side === 'RS' ? cells : cells.toReversed();
  return {
    kinds: Uint8Array.from(ordered, (cell) => codeOf(cell.kind)),
    colours: Uint8Array.from(ordered, (cell) => cell.colour.charCodeAt(0) - 'A'.charCodeAt(0)),
  };
}

/** All courses of a printed plan, from its words alone. */
export function readRows(lines: readonly string[], wording: Wording): Result<Cells[]> {
  const courses: Cells[] = [];
  for (const [i, text] of lines.entries()) {
    const read = readLine(text, i + 1, wording);
    if (!read.ok) return read;
    if (read.value.number !== i + 1) return refused(unreadable(i + 1, `it is numbered ${read.value.number}`));
    courses.push(inColumns(read.value));
  }
  return good(courses);
}

/** Every row as it is printed. */
export function printedRows(request: WriteRequest): string[] {
  const word = courseWord(request.fabric.making);
  return Array.from({ length: request.fabric.courses }, (_, i) =>
    rowLine(writeRow(request, i + 1), word, request.manner),
  );
}

/**
 * Reads printed rows back to a fabric, and refuses them where one word is not how that fabric is written: its start,
 * its total, what hangs where. @param request how it was written
 */
export function readBack(lines: readonly string[], request: WriteRequest): Result<Fabric> {
  const read = readRows(lines, request);
  if (!read.ok) return read;
  const { making, count, colourCount } = request.fabric;
  const fabric = assemble(making, count, read.value, colourCount);
  const other = printedRows({ ...request, fabric });
  const differs = lines.findIndex((line, i) => line !== other[i]);
  if (differs >= 0) return refused(unreadable(differs + 1, 'a word of it does not go with its runs'));
  return good(fabric);
}

/** Whether two fabrics are the same cell for cell. */
export function sameFabric(a: Fabric, b: Fabric): boolean {
  if (a.courses !== b.courses || a.kinds.length !== b.kinds.length) return false;
  for (let course = 0; course < a.courses; course++) {
    const one = courseCells(a, course);
    const two = courseCells(b, course);
    if (one.kinds.length !== two.kinds.length) return false;
    if (one.kinds.some((kind, x) => kind !== two.kinds[x])) return false;
    if (one.colours.some((colour, x) => colour !== two.colours[x])) return false;
  }
  return true;
}
