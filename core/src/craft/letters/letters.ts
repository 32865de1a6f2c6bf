import { good, type Result, refused } from '../values/problem.ts';
import { accents, type Glyph, glyphOf } from './glyphs.ts';

/** Small is five cells high and one thick; tall is nine high; wide is small at twice the size, two cells thick. */
export const alphabets = ['small', 'tall', 'wide'] as const;
export type Alphabet = (typeof alphabets)[number];

/** A picture of two values: its lines from the top, all as long, `true` where there is ink. */
export type Bitmap = readonly (readonly boolean[])[];

/** A letter with its accents, its lines from `top`; line 4 stands on the ground. */
interface Shape {
  readonly top: number;
  readonly width: number;
  readonly lines: readonly (readonly boolean[])[];
}

function inked(line: string, width: number, shift = 0): boolean[] {
  return Array.from({ length: width }, (_, x) => line[x - shift] === '#');
}

/** Letters that lose their dot under an accent. */
const dotless: Readonly<Record<string, string>> = { i: 'ı', j: 'ȷ' };

function shapeOf(character: string): Shape | undefined {
  const own = glyphOf(character);
  if (own) return plainShape(own);
  const [base = '', ...above] = character.normalize('NFD');
  const over = above.some((each) => accents[each] && !accents[each]?.below);
  const glyph = glyphOf((over && dotless[base]) || base);
  if (!glyph || above.some((each) => !accents[each])) return undefined;
  return above.reduce((shape, each) => accented(shape, each), plainShape(glyph));
}

function plainShape({ top, lines }: Glyph): Shape {
  const width = Math.max(...lines.map((line) => line.length));
  return { top, width, lines: lines.map((line) => inked(line, width)) };
}

function accented(shape: Shape, combining: string): Shape {
  const accent = accents[combining] as (typeof accents)[string];
  const wide = Math.max(...accent.lines.map((line) => line.length));
  const width = Math.max(shape.width, wide);
  const centre = (of: number) => Math.floor((width - of) / 2);
  const lines = shape.lines.map((line) =>
    Array.from({ length: width }, (_, x) => line[x - centre(shape.width)] === true),
  );
  const drawn = accent.lines.map((line) => inked(line, width, centre(wide)));
  if (accent.below) return { top: shape.top, width, lines: [...lines, ...drawn] };
  // A blank line between letter and accent, so that they do not grow together.
  const gap = new Array<boolean>(width).fill(false);
  return { top: shape.top - drawn.length - 1, width, lines: [...drawn, gap, ...lines] };
}

/** Lines of a tall letter for each line of a small one. */
const stretch = [1, 3, 1, 3, 1] as const;

function tall({ top, width, lines }: Shape): Shape {
  const heights = lines.map((_, i) => stretch[top + i] ?? 1);
  const above = Array.from({ length: Math.max(0, top) }, (_, i) => stretch[i] ?? 1).reduce((sum, n) => sum + n, 0);
  const grown = lines.flatMap((line, i) => new Array<readonly boolean[]>(heights[i] as number).fill(line));
  return { top: top < 0 ? top : above, width, lines: grown };
}

function wide({ top, width, lines }: Shape): Shape {
  const doubled = lines.map((line) => line.flatMap((ink) => [ink, ink]));
  return { top: top * 2, width: width * 2, lines: doubled.flatMap((line) => [line, line]) };
}

const drawnAs: Readonly<Record<Alphabet, (shape: Shape) => Shape>> = { small: (shape) => shape, tall, wide };

/** Cells of a stroke, and those that a blank between words is wide. */
export const strokeOf: Readonly<Record<Alphabet, number>> = { small: 1, tall: 1, wide: 2 };
const blankOf: Readonly<Record<Alphabet, number>> = { small: 3, tall: 3, wide: 6 };
/** The line below the last that stands on the ground. */
const groundOf: Readonly<Record<Alphabet, number>> = { small: 5, tall: 9, wide: 10 };

function inkAt({ top, lines }: Shape, line: number, x: number): boolean {
  return lines[line - top]?.[x] === true;
}

/**
 * Cells between two letters: as close as they may stand with a stroke of ground between any two cells of ink, also
 * across a corner; never further in than one cell over each other.
 */
function gapBetween(left: Shape, right: Shape, stroke: number): number {
  const from = Math.min(left.top, right.top);
  const to = Math.max(left.top + left.lines.length, right.top + right.lines.length);
  let gap = -stroke;
  for (let line = from; line < to; line++) {
    const end = lastInk(left, line);
    if (end === undefined) continue;
    for (let near = line - stroke; near <= line + stroke; near++) {
      const start = firstInk(right, near);
      if (start !== undefined) gap = Math.max(gap, stroke - (left.width - 1 - end) - start);
    }
  }
  return gap;
}

function firstInk(shape: Shape, line: number): number | undefined {
  for (let x = 0; x < shape.width; x++) if (inkAt(shape, line, x)) return x;
  return undefined;
}

function lastInk(shape: Shape, line: number): number | undefined {
  for (let x = shape.width - 1; x >= 0; x--) if (inkAt(shape, line, x)) return x;
  return undefined;
}

interface Placed {
  readonly shape: Shape;
  readonly x: number;
}

/** The letters of one line side by side. */
function setLine(text: string, alphabet: Alphabet): { placed: Placed[]; width: number } {
  const placed: Placed[] = [];
  let x = 0;
  let blank = true;
  for (const character of text.normalize('NFC')) {
    if (/\s/.test(character)) {
      x += blankOf[alphabet];
      blank = true;
      continue;
    }
    const drawn = shapeOf(character);
    if (!drawn) continue;
    const shape = drawnAs[alphabet](drawn);
    // A small sign reaches so little that what stands before it may be met as well: l'J.
    const free = placed.map((each) => each.x + each.shape.width + gapBetween(each.shape, shape, strokeOf[alphabet]));
    x = Math.max(blank ? x : Number.NEGATIVE_INFINITY, ...free);
    placed.push({ shape, x });
    x += shape.width;
    blank = false;
  }
  return { placed, width: x };
}

/** More is no word on a cloth. */
const longestText = 200;

/**
 * Words as a picture, each line of text on a line of its own, in the middle. Letters stand as close as their shapes
 * allow. @returns the picture, or which characters there are none of
 */
export function lettered(text: string, alphabet: Alphabet): Result<Bitmap> {
  const strange = [...new Set(text.normalize('NFC'))].filter((each) => !/\s/.test(each) && !shapeOf(each));
  if (strange.length) return refused({ code: 'letters-unknown', path: 'text', facts: { characters: strange } });
  if (text.length > longestText) {
    return refused({ code: 'letters-too-many', path: 'text', facts: { count: text.length, most: longestText } });
  }
  const lines = text
    .split(/\r?\n/)
    .map((line) => setLine(line.trim(), alphabet))
    .filter(({ placed }) => placed.length);
  if (!lines.length) return refused({ code: 'letters-none', path: 'text' });
  const width = Math.max(...lines.map((line) => line.width));
  const stroke = strokeOf[alphabet];
  const rows: boolean[][] = [];
  for (const { placed, width: own } of lines) {
    const top = Math.min(0, ...placed.map(({ shape }) => shape.top));
    const bottom = Math.max(groundOf[alphabet], ...placed.map(({ shape }) => shape.top + shape.lines.length));
    const left = Math.floor((width - own) / 2);
    if (rows.length) for (let n = 0; n < 2 * stroke; n++) rows.push(new Array<boolean>(width).fill(false));
    for (let line = top; line < bottom; line++) {
      const row = new Array<boolean>(width).fill(false);
      for (const { shape, x } of placed) {
        for (let at = 0; at < shape.width; at++) if (inkAt(shape, line, at)) row[left + x + at] = true;
      }
      rows.push(row);
    }
  }
  return good(rows);
}
