import { type Drawing, offsetOf, type Place, widthOf } from '@puntada/core/craft';
import type { Hand } from '@puntada/core/words';

/** Room beside and below the cells, px: what a row asks and its number at the left, the number at the right. */
export const margin = { left: 84, right: 52, bottom: 26, top: 8 } as const;

export interface DeskLook {
  /** px */
  readonly cellWidth: number;
  readonly cellHeight: number;
  readonly hand: Hand;
}

/** The size of the whole drawing on the desk, px. */
export function deskSize(drawing: Drawing, { cellWidth, cellHeight }: DeskLook): { width: number; height: number } {
  const beside = Math.abs(offsetOf(drawing.technique, 1));
  return {
    width: margin.left + (widthOf(drawing) + beside) * cellWidth + margin.right,
    height: margin.top + drawing.rows.length * cellHeight + margin.bottom,
  };
}

/** The left edge and the top of a cell, px. Row 1 lies at the bottom; its first cell at the edge where it begins. */
export function cornerOf(drawing: Drawing, look: DeskLook, { row, cell }: Place): { x: number; y: number } {
  const { cellWidth, cellHeight, hand } = look;
  const beside = Math.abs(offsetOf(drawing.technique, 1));
  const least = Math.min(0, offsetOf(drawing.technique, 1));
  const at = cell + offsetOf(drawing.technique, row) - least;
  const across = widthOf(drawing) + beside;
  const x = hand === 'right' ? across - at - 1 : at;
  return { x: margin.left + x * cellWidth, y: margin.top + (drawing.rows.length - 1 - row) * cellHeight };
}

/** The cell at a point of the desk, within its rows or the nearest beside them. */
export function placeAt(drawing: Drawing, look: DeskLook, x: number, y: number): Place {
  const { cellWidth, cellHeight, hand } = look;
  const row = drawing.rows.length - 1 - Math.floor((y - margin.top) / cellHeight);
  const kept = Math.max(0, Math.min(drawing.rows.length - 1, row));
  const beside = Math.abs(offsetOf(drawing.technique, 1));
  const least = Math.min(0, offsetOf(drawing.technique, 1));
  const across = widthOf(drawing) + beside;
  const from = (x - margin.left) / cellWidth;
  const at = (hand === 'right' ? across - from : from) - offsetOf(drawing.technique, kept) + least;
  return { row, cell: Math.floor(at) };
}

/** Whether a place is a cell of the drawing. */
export function isCell({ rows }: Drawing, { row, cell }: Place): boolean {
  const marks = rows[row]?.marks;
  return marks !== undefined && cell >= 0 && cell < marks.length;
}

/** The size of cells that shows all of a drawing, no smaller than can be drawn in and no larger than an arm's length asks. */
export function fittingCell(drawing: Drawing, proportion: number, width: number, height: number): number {
  const wide = (width - margin.left - margin.right) / (widthOf(drawing) + 1);
  const high = ((height - margin.top - margin.bottom) / drawing.rows.length) * proportion;
  return Math.max(4, Math.min(56, Math.floor(Math.min(wide, high))));
}
