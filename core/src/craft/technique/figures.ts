import { blocksHigh, diagonalSpan } from '../fabric/diagonals.ts';
import { cellsIn, type Fabric } from '../fabric/fabric.ts';
import type { PlacedFigure, Standing } from '../patterns/placed.ts';
import type { Technique } from './technique.ts';

/** Whether figures can stand in the cloth of a technique: where a cell is a colour, and any colour may be anywhere. */
export function takesFigures({ marks, mostColours, circle, lay, diagonal }: Technique): boolean {
  return !marks && !mostColours && !circle && (lay === undefined || diagonal === true);
}

/** The first cell of a figure along one way. */
function firstOf({ from, cells }: Standing, size: number, whole: number): number {
  if (from === 'begin') return cells;
  return from === 'end' ? whole - cells - size : Math.floor((whole - size) / 2);
}

/** Where a figure lies on a cloth of so many cells, and whether all of it with its margins does. */
export function lyingOn(figure: PlacedFigure, wide: number, high: number) {
  const width = figure.rows.reduce((most, row) => Math.max(most, row.length), 0);
  const height = figure.rows.length;
  const cell = firstOf(figure.across, width, wide);
  const row = firstOf(figure.up, height, high);
  return { cell, row, width, height, fits: cell >= 0 && row >= 0 && cell + width <= wide && row + height <= high };
}

/** The same fabric with its figures on it. */
export function withFigures(
  fabric: Fabric,
  figures: readonly PlacedFigure[],
  { diagonal }: Pick<Technique, 'diagonal'>,
): Fabric {
  const colours = fabric.colours.slice();
  const wide = fabric.count;
  const high = diagonal ? blocksHigh(fabric.courses, wide) : fabric.courses;
  for (const figure of figures) {
    const { cell, row } = lyingOn(figure, wide, high);
    for (const [y, line] of figure.rows.entries()) {
      for (const [x, colour] of line.entries()) {
        const [at, up] = [cell + x, row + y];
        if (colour < 0 || at < 0 || at >= wide || up < 0 || up >= high) continue;
        const course = diagonal ? at + up : up;
        const column = diagonal ? at - diagonalSpan(course, wide, high).from : at;
        if (column < cellsIn(fabric, course)) colours[(fabric.starts[course] as number) + column] = colour;
      }
    }
  }
  return { ...fabric, colours };
}
