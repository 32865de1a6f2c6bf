import { findPattern } from '../../craft/book/book.ts';
import { colourOf, type Drawing, drawingOf } from '../../craft/desk/drawing.ts';
import type { Gauge } from '../../craft/gauge/gauge.ts';
import type { StitchPattern } from '../../craft/patterns/model.ts';
import type { PlacedFigure } from '../../craft/patterns/placed.ts';
import { takesFigures } from '../../craft/technique/figures.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { at, good, type Problem, type Result, refused } from '../../craft/values/problem.ts';
import type { Wish } from '../../records/wish.ts';
import { readLength } from './readLength.ts';

type Placed = NonNullable<Wish['placed']>[number];

/** The letter of ground: where a figure has it, the ground shows. */
const ground = 'A';

function figureOf({ text }: Placed): Result<Drawing> {
  const found = findPattern(text);
  if (!found.ok) return found;
  const technique = techniqueOf(found.value);
  if (!technique.ok) return technique;
  if (!takesFigures(technique.value)) {
    return refused({ code: 'figure-technique', path: '', facts: { figure: found.value.name } });
  }
  return drawingOf(found.value);
}

/** The pattern of the ground with the colours of what is put on it, or what is in the way. */
export function withFigureColours(
  pattern: StitchPattern,
  { placed = [] }: Pick<Wish, 'placed'>,
): Result<StitchPattern> {
  if (!placed.length) return good(pattern);
  const problems: Problem[] = [];
  const technique = techniqueOf(pattern);
  if (technique.ok && !takesFigures(technique.value)) {
    problems.push({ code: 'figure-ground', path: 'placed', facts: { pattern: pattern.name } });
  }
  const letters = new Set(pattern.colours);
  placed.forEach((each, i) => {
    const figure = figureOf(each);
    if (!figure.ok) problems.push(...figure.problems.map((problem) => at(`placed.${i}.text`, problem)));
    else for (const letter of figure.value.colours) letters.add(letter);
  });
  if (problems.length) return refused(...problems);
  const colours = [...letters].sort();
  return good({ ...pattern, colours, fewestColours: colours.length, mostColours: colours.length });
}

/** The figures of a wish in cells, at its gauge; margins are told from the finished edges of the cloth. */
export function placedFigures(
  wish: Wish,
  colours: readonly string[],
  { stitchWidth, rowHeight }: Gauge,
  problems: Problem[],
): PlacedFigure[] {
  return (wish.placed ?? []).flatMap((each, i): PlacedFigure[] => {
    const figure = figureOf(each);
    if (!figure.ok) return [];
    const margin = (text: string, field: 'across' | 'up', mm: number) =>
      Number.parseFloat(text) === 0
        ? 0
        : Math.round(readLength(text, wish, `placed.${i}.${field}.margin`, problems, 1) / mm);
    const rows = figure.value.rows.map(({ marks }) =>
      marks.map((mark) => {
        const letter = colourOf(mark) ?? ground;
        return letter === ground ? -1 : colours.indexOf(letter);
      }),
    );
    const { across, up } = each;
    return [
      {
        name: figure.value.name,
        rows,
        across: {
          from: across.from,
          cells: across.from === 'middle' ? 0 : margin(across.margin, 'across', stitchWidth.mid),
        },
        up: { from: up.from, cells: up.from === 'middle' ? 0 : margin(up.margin, 'up', rowHeight.mid) },
      },
    ];
  });
}
