import {
  type Drawing,
  groundOf,
  laidDown,
  type Mark,
  type Mirrors,
  marked,
  mirrored,
  movedTo,
  type Piece,
  type Place,
  placesAlike,
  placesOfLine,
  placesOfRegion,
  type Region,
  regionOf,
} from '@puntada/core/craft';

export const tools = ['pen', 'line', 'box', 'fill', 'select', 'move'] as const;
export type Tool = (typeof tools)[number];

/** What the hand holds. */
export interface Held {
  readonly tool: Tool;
  readonly mark: Mark;
  readonly mirrors: Mirrors;
}

/** What a line, a box or a stroke does to a drawing. @param path the places the pen went over, the first first */
export function drawn(drawing: Drawing, { tool, mark, mirrors }: Held, path: readonly Place[]): Drawing {
  const [first] = path;
  const last = path.at(-1);
  if (!first || !last) return drawing;
  const places =
    tool === 'line'
      ? placesOfLine(first, last)
      : tool === 'box'
        ? placesOfRegion(regionOf(first, last), false)
        : tool === 'fill'
          ? placesAlike(drawing, first)
          : stroke(path);
  return marked(drawing, mirrored(drawing, places, mirrors), mark);
}

/** A quick hand skips cells: the straight way between two is drawn as well. */
function stroke(path: readonly Place[]): Place[] {
  return path.flatMap((place, i) => placesOfLine(path[i - 1] ?? place, place));
}

/** A stretch moved by a drag. */
export function dragged(
  drawing: Drawing,
  region: Region,
  from: Place,
  to: Place,
): { drawing: Drawing; region: Region } {
  const moved = { ...region, row: region.row + to.row - from.row, cell: region.cell + to.cell - from.cell };
  return { drawing: movedTo(drawing, region, moved, groundOf(drawing)), region: moved };
}

/** A piece in the place of a stretch, from its first cell on. */
export function replaced(drawing: Drawing, region: Region, piece: Piece): { drawing: Drawing; region: Region } {
  const ground = groundOf(drawing);
  const cleared = marked(drawing, placesOfRegion(region, true), ground);
  const high = piece.length;
  const wide = piece[0]?.length ?? 0;
  return { drawing: laidDown(cleared, piece, region), region: { ...region, high, wide } };
}
