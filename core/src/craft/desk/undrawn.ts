import { type Cells, isRoundMaking } from '../fabric/fabric.ts';
import type { Making } from '../patterns/model.ts';
import { type StitchKey, stitchKind } from '../stitches/kinds.ts';
import type { Technique } from '../technique/technique.ts';
import { techniques } from '../techniques/register.ts';
import { good, type Result, refused } from '../values/problem.ts';
import { lettersOfYarns } from './begin.ts';
import { type Drawing, type DrawnRow, type Mark, stitchOf } from './drawing.ts';

/** A piece that was read from elsewhere. */
export interface ReadPiece {
  readonly key: string;
  readonly name: string;
  readonly making: Making;
  readonly courses: readonly Cells[];
}

/** The plain stitch that a cell stands for. */
function mainOf(code: number): StitchKey {
  return stitchKind(code).standsFor;
}

/** The technique that has all these stitches; where several have them, the first in the order of the craft. */
function techniquesOf({ courses, making }: ReadPiece): Technique[] {
  const kinds = new Set(courses.flatMap(({ kinds: own }) => [...own]));
  const keys = [...kinds].map((code) => stitchKind(code).key);
  const mains = new Set([...kinds].map(mainOf));
  return techniques.filter((each) => {
    if (each.circle || !each.makings.includes(making) || !keys.every((key) => hasKind(each, key))) return false;
    // Where a cell is a colour and nothing else, every stitch is the same.
    return each.marks !== undefined || each.undrawn !== undefined || mains.size === 1 || each.inChain !== undefined;
  });
}

function hasKind(technique: Technique, key: StitchKey): boolean {
  return technique.kinds.includes(key);
}

/** The letters of a course's colours; one where they are all alike. */
function lettersOf({ colours }: Cells): string[] {
  return [...colours].map((colour) => lettersOfYarns[colour] ?? 'A');
}

/** The mark of a cell among those of its technique: itself, what it stands for, or the first that may open a row. */
function stitchMark(code: number, marks: readonly Mark[], technique: Technique): Mark {
  const { key } = stitchKind(code);
  const inChain = [...(technique.inChain ?? [])].find(([, to]) => to === key)?.[0];
  const names = [inChain, key, mainOf(code)];
  const found = names.map((name) => marks.find((mark) => name !== undefined && stitchOf(mark) === name)).find(Boolean);
  return found ?? marks[0] ?? 'A';
}

function drawnRows(technique: Technique, { courses, making }: ReadPiece): DrawnRow[] {
  const undrawn = technique.undrawn?.(courses, making);
  if (undrawn) return undrawn.map((marks, row) => ({ role: 'row', ...ownColour(technique, row), marks }));
  const { marks } = technique;
  return courses.map((cells): DrawnRow => {
    const letters = lettersOf(cells);
    if (!marks) return { role: 'row', marks: letters };
    const coloured = marks.some((mark) => mark.includes(':'));
    const stitches = [...cells.kinds].map((code) => stitchMark(code, marks, technique));
    return { role: 'row', colour: coloured ? 'A' : (letters[0] ?? 'A'), marks: stitches };
  });
}

/** Rows of stitches that take turns have a colour each. */
function ownColour(technique: Technique, row: number): { colour?: string } {
  return technique.marks ? { colour: row % 2 ? 'B' : 'A' } : {};
}

/** A first row that does not tell its marks has those of the row that it is in the next repeat, or the first of all marks. */
function told(rows: readonly DrawnRow[], technique: Technique): DrawnRow[] {
  const [first, ...others] = rows;
  if (!first?.marks.includes('?')) return [...rows];
  const words = others.map(({ marks }) => marks.join(' '));
  for (let period = 2; period <= others.length / 2; period += 2) {
    if (words.every((each, i) => i + period >= words.length || each === words[i + period])) {
      return [{ ...first, marks: (others[period - 1] as DrawnRow).marks }, ...others];
    }
  }
  const ground = technique.marks?.[0] ?? 'A';
  return [{ ...first, marks: first.marks.map((mark) => (mark === '?' ? ground : mark)) }, ...others];
}

/** Cells that may stand before a repeat. */
const mostBefore = 12;

/** Whether a row says the same again every so many cells, between what stands before and after. */
function repeats(marks: readonly Mark[], before: number, unit: number, after: number): boolean {
  for (let x = before; x + unit < marks.length - after; x++) if (marks[x] !== marks[x + unit]) return false;
  return true;
}

/** The least repeat across that all rows have in common, seen twice at least; all of the width where there is none. */
function across(rows: readonly DrawnRow[]): { before: number; unit: number; rows: DrawnRow[] } {
  const least = Math.min(...rows.map(({ marks }) => marks.length));
  const distinct = [...new Map(rows.map(({ marks }) => [marks.join(' '), marks])).values()];
  for (let unit = 1; unit <= least / 2; unit++) {
    for (let before = 0; before <= Math.min(mostBefore, least - 2 * unit); before++) {
      const rest = (least - before) % unit;
      // What stands once is no more than a repeat and its matching stitch, or nearly all of a row would stand once.
      if (before + rest > unit + 1) continue;
      const fits = distinct.every((marks) => repeats(marks, before, unit, rest + marks.length - least));
      if (!fits) continue;
      const shortened = rows.map((row) => {
        const after = rest + row.marks.length - least;
        return { ...row, marks: [...row.marks.slice(0, before + unit), ...row.marks.slice(row.marks.length - after)] };
      });
      return { before, unit, rows: shortened };
    }
  }
  return { before: 0, unit: least, rows: [...rows] };
}

/** The least repeat upwards, seen twice at least, with some rows worked once below and above it. */
function upwards(rows: readonly DrawnRow[], even: boolean, mostOnce = 4): DrawnRow[] {
  const words = rows.map(({ colour, marks }) => `${colour ?? ''} ${marks.join(' ')}`);
  const n = rows.length;
  for (let period = even ? 2 : 1; period <= n / 2; period += even ? 2 : 1) {
    for (let once = 0; once <= mostOnce; once++) {
      for (let setup = 0; setup <= once; setup++) {
        const close = once - setup;
        // What is worked once is no more than a repeat, or it would be a part of the figure itself.
        if (n - once < 2 * period || once > period) continue;
        let fits = true;
        for (let i = setup; fits && i + period < n - close; i++) fits = words[i] === words[i + period];
        // A cut repeat is left out at the top: it comes again by itself.
        if (!fits || (close > 0 && (n - once) % period)) continue;
        return [
          ...rows.slice(0, setup).map((row) => ({ ...row, role: 'setup' as const })),
          ...rows.slice(setup, setup + period),
          ...(close ? rows.slice(n - close).map((row) => ({ ...row, role: 'close' as const })) : []),
        ];
      }
    }
  }
  return [...rows];
}

/**
 * The repeat upwards. Where a row is told by the one above it, the topmost tells nothing of itself; and where rows below
 * the drawn ones are laid by the technique, no drawn one is worked once.
 */
function upRepeat(rows: readonly DrawnRow[], even: boolean, technique: Technique): DrawnRow[] {
  if (!technique.ownRows) return upwards(rows, even);
  const known = rows.slice(0, -1);
  const found = upwards(known, even, 0);
  return found.length < known.length ? found : [...rows];
}

/**
 * A piece as a drawing of its least repeat, one for every technique that it may be made in, the likeliest first.
 * @returns `piece-unknown` where no technique has all its stitches
 */
export function drawingsOf(piece: ReadPiece): Result<Drawing[]> {
  const possible = techniquesOf(piece);
  if (!possible.length || !piece.courses.length) return refused({ code: 'piece-unknown', path: '' });
  return good(
    possible.map((technique): Drawing => {
      const { before, unit, rows } = across(told(drawnRows(technique, piece), technique));
      const even = technique.offset !== undefined || technique.marks !== undefined || !isRoundMaking(piece.making);
      const letters = rows.flatMap(({ marks, colour }) => [colour ?? '', ...marks.map((mark) => mark)]);
      const most = Math.max(
        ...letters.map((letter) => (lettersOfYarns as readonly string[]).indexOf(letter.at(-1) ?? '')),
      );
      const colours = lettersOfYarns.slice(0, Math.max(1, most + 1));
      return {
        key: piece.key,
        name: piece.name,
        about: '',
        technique: technique.key,
        made: piece.making,
        read: 'seen',
        stitches: stitchesOf(technique, piece),
        colours,
        fewestColours: colours.length,
        mostColours: colours.length,
        before,
        unit,
        rows: upRepeat(rows, even, technique),
        ends: '',
        careful: '',
      };
    }),
  );
}

/** The one stitch of a piece that is worked in one, where its technique leaves the stitch open. */
function stitchesOf(technique: Technique, { courses }: ReadPiece): string[] {
  if (technique.marks || technique.cell || technique.undrawn) return [];
  const mains = new Set(courses.flatMap(({ kinds }) => [...kinds].map(mainOf)));
  const [only] = [...mains].filter((key) => key === 'sc' || key === 'hdc' || key === 'dc');
  return only ? [only] : [];
}
