import { type Drawing, type Mark, widthOf } from './drawing.ts';

/** A cell of a drawing: its row, the first worked first, and its place from the edge where row 1 begins, both from 0. */
export interface Place {
  readonly row: number;
  readonly cell: number;
}

/** What a pen does again on the other side of the middle, or half a repeat further on. */
export interface Mirrors {
  readonly across: boolean;
  readonly up: boolean;
  /** Half of the drawn rows further up and half a repeat further on. */
  readonly halfDrop: boolean;
}

export const noMirrors: Mirrors = { across: false, up: false, halfDrop: false };

/** The mark of a place, or nothing beside the drawing. */
export function markAt({ rows }: Pick<Drawing, 'rows'>, { row, cell }: Place): Mark | undefined {
  return rows[row]?.marks[cell];
}

/** The places of a straight line, both ends included, in the order of drawing. */
export function placesOfLine(from: Place, to: Place): Place[] {
  const [across, up] = [to.cell - from.cell, to.row - from.row];
  const steps = Math.max(Math.abs(across), Math.abs(up));
  if (steps === 0) return [from];
  return Array.from({ length: steps + 1 }, (_, i) => ({
    row: from.row + Math.round((up * i) / steps),
    cell: from.cell + Math.round((across * i) / steps),
  }));
}

/** A stretch of a drawing, both corners included. */
export interface Region {
  readonly row: number;
  readonly cell: number;
  readonly high: number;
  readonly wide: number;
}

/** The stretch between two corners. */
export function regionOf(from: Place, to: Place): Region {
  const [row, cell] = [Math.min(from.row, to.row), Math.min(from.cell, to.cell)];
  return { row, cell, high: Math.abs(to.row - from.row) + 1, wide: Math.abs(to.cell - from.cell) + 1 };
}

/** The places of a rectangle, filled or its edge alone. */
export function placesOfRegion({ row, cell, high, wide }: Region, filled: boolean): Place[] {
  const places: Place[] = [];
  for (let y = 0; y < high; y++) {
    for (let x = 0; x < wide; x++) {
      if (!filled && y > 0 && y < high - 1 && x > 0 && x < wide - 1) continue;
      places.push({ row: row + y, cell: cell + x });
    }
  }
  return places;
}

/** The places that hang together with one in the same mark, side by side or one above the other. */
export function placesAlike(drawing: Pick<Drawing, 'rows'>, from: Place): Place[] {
  const mark = markAt(drawing, from);
  if (mark === undefined) return [];
  const width = widthOf(drawing);
  const seen = new Set<number>([from.row * width + from.cell]);
  const found = [from];
  for (let i = 0; i < found.length; i++) {
    const { row, cell } = found[i] as Place;
    for (const [down, over] of [
      [1, 0],
      [-1, 0],
      [0, 1],
      [0, -1],
    ] as const) {
      const next = { row: row + down, cell: cell + over };
      if (next.cell < 0 || next.cell >= width || markAt(drawing, next) !== mark) continue;
      const at = next.row * width + next.cell;
      if (seen.has(at)) continue;
      seen.add(at);
      found.push(next);
    }
  }
  return found;
}

/** The same places and those that mirrors bring along, each once. The middle is that of the repeat. */
export function mirrored(drawing: Drawing, places: readonly Place[], { across, up, halfDrop }: Mirrors): Place[] {
  const { rows, before, unit } = drawing;
  let all = [...places];
  // Cells beside the repeat are mirrored about the same middle.
  if (across) all = [...all, ...all.map(({ row, cell }) => ({ row, cell: 2 * before + unit - 1 - cell }))];
  if (up) all = [...all, ...all.map(({ row, cell }) => ({ row: rows.length - 1 - row, cell }))];
  if (halfDrop) {
    const [high, wide] = [Math.floor(rows.length / 2), Math.floor(unit / 2)];
    const dropped = all.flatMap(({ row, cell }) =>
      cell < before || cell >= before + unit
        ? []
        : [{ row: (row + high) % rows.length, cell: before + ((cell - before + wide) % unit) }],
    );
    all = [...all, ...dropped];
  }
  const width = widthOf(drawing);
  const seen = new Set<number>();
  return all.filter((place) => {
    if (markAt(drawing, place) === undefined) return false;
    const at = place.row * width + place.cell;
    if (seen.has(at)) return false;
    seen.add(at);
    return true;
  });
}
