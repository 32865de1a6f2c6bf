import { patternBook } from '../book/book.ts';
import { typicalGauge } from '../gauge/gauge.ts';
import { bindPattern } from '../notation/bind.ts';
import type { StitchPattern, TechniqueKey } from '../patterns/model.ts';
import { techniqueNamed } from '../techniques/register.ts';
import { type Drawing, drawingOf, type Mark } from './drawing.ts';

/** Every colour that a yarn may have here. */
export const lettersOfYarns = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const;

/** How far a drawn row stands beside the first, in cells. @param row from 0 */
export function offsetOf(technique: TechniqueKey, row: number): number {
  const known = techniqueNamed(technique);
  return known?.drawnOffset?.(row) ?? known?.offset?.(row) ?? 0;
}

/** Width of a cell against its height, by the typical gauge of its stitches. */
export function proportionOf(pattern: StitchPattern): number {
  const bound = bindPattern(pattern);
  const technique = techniqueNamed(pattern.technique);
  if (!bound.ok || !technique) return 1;
  const { stitchWidth, rowHeight } = typicalGauge(technique.gaugeKey(bound.value), 4, 0);
  return stitchWidth.mid / rowHeight.mid;
}

/** What a pen can put into a cell of a drawing. */
export function pensOf({ technique, colours }: Pick<Drawing, 'technique' | 'colours'>): readonly Mark[] {
  return techniqueNamed(technique)?.marks ?? colours;
}

/** What stands where nothing is drawn: the first pen. */
export function groundOf(drawing: Pick<Drawing, 'technique' | 'colours'>): Mark {
  return pensOf(drawing)[0] ?? 'A';
}

/** Which colours may be given to whole rows: those whose cells are stitches, unless a stitch brings its own. */
export function coloursRows({ technique }: Pick<Drawing, 'technique'>): boolean {
  const marks = techniqueNamed(technique)?.marks;
  return marks !== undefined && !marks.some((mark) => mark.includes(':'));
}

/** The first pattern of the book in a technique that can be drawn. */
function firstDrawn(technique: TechniqueKey): Drawing | undefined {
  for (const pattern of patternBook) {
    if (pattern.technique !== technique) continue;
    const drawn = drawingOf(pattern);
    if (drawn.ok) return drawn.value;
  }
  return undefined;
}

/** Whether a technique is drawn; what grows from round to round is written. */
export function isDrawn(technique: TechniqueKey): boolean {
  return firstDrawn(technique) !== undefined;
}

/** The colour of a plain row: where colours take turns row by row, the next. */
export function ownColour(technique: TechniqueKey, row: number): string {
  const turns = techniqueNamed(technique)?.mostColours ?? 1;
  return lettersOfYarns[row % turns] as string;
}

interface Beginning {
  readonly key: string;
  readonly name: string;
  readonly technique: TechniqueKey;
  readonly wide: number;
  readonly high: number;
}

/**
 * A new drawing. Where a cell is a colour it is plain ground; where it is a stitch, rows that can be worked stand there to
 * begin with, as the book has them. Nothing where the technique is not drawn.
 */
export function beginDrawing({ key, name, technique, wide, high }: Beginning): Drawing | undefined {
  const like = firstDrawn(technique);
  if (!like) return undefined;
  const fresh = { ...like, key, name, about: '', ends: '', careful: '' };
  if (techniqueNamed(technique)?.marks) return fresh;
  const { order: _order, ...plain } = fresh;
  return {
    ...plain,
    colours: ['A', 'B'],
    fewestColours: 2,
    mostColours: 2,
    before: 0,
    unit: wide,
    rows: Array.from({ length: high }, (_, row) => ({
      role: 'row' as const,
      marks: new Array<Mark>(wide).fill(ownColour(technique, row)),
    })),
  };
}

/** A drawing with the yarns at hand that it is drawn with, two at least: every letter up to the last that it uses. */
export function readied(drawing: Drawing): Drawing {
  if (techniqueNamed(drawing.technique)?.marks) return drawing;
  const last = Math.max(...drawing.colours.map((letter) => lettersOfYarns.indexOf(letter as 'A')));
  const colours = lettersOfYarns.slice(0, Math.max(2, last + 1));
  return colours.length === drawing.colours.length ? drawing : { ...drawing, colours };
}

/** A drawing with so many yarns lying ready. Cells in a colour that is gone are of the last one. */
export function withColours(drawing: Drawing, count: number): Drawing {
  const colours = lettersOfYarns.slice(0, Math.max(1, Math.min(8, count)));
  const last = colours.at(-1) as string;
  const gone = new Set(lettersOfYarns.slice(colours.length) as readonly string[]);
  const keep = (mark: Mark) => (gone.has(mark) ? last : mark);
  return {
    ...drawing,
    colours,
    fewestColours: colours.length,
    mostColours: colours.length,
    rows: drawing.rows.map((row) => ({
      ...row,
      ...(row.colour && gone.has(row.colour) ? { colour: last } : {}),
      marks: row.marks.some((mark) => gone.has(mark)) ? row.marks.map(keep) : row.marks,
    })),
  };
}
