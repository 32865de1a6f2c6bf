import { blocksHigh } from '../../craft/fabric/diagonals.ts';
import { baseCourses, type Fabric, isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { type EndPlace, endsOf } from '../route/ends.ts';
import type { StrandWay } from '../route/strands.ts';

/** A place on the face of a piece as it lies: parts of its width from where row 1 begins, and of its height. */
export interface PlaceOnPiece {
  readonly across: number;
  readonly up: number;
  /** On the half of a double cloth that lies behind. */
  readonly behind: boolean;
}

/** @param boundary of columns, the edges being 0 and `columns` */
function onRows({ chart }: StrandWay, { row, boundary }: EndPlace): PlaceOnPiece {
  return { across: boundary / chart.columns, up: (row + 0.5) / chart.rows, behind: false };
}

/** A tube lies flat: the first half of a round on the face, the other half comes back behind it. */
function onTube({ chart }: StrandWay, { row, boundary }: EndPlace, base: number): PlaceOnPiece {
  const round = boundary / chart.columns;
  const behind = round > 0.5;
  // What ends in the circle below the sides hangs at their lower edge.
  const up = Math.max(0, (row - base + 0.5) / (chart.rows - base));
  return { across: 2 * (behind ? 1 - round : round), up, behind };
}

/** Rounds begin straight above the ring; a right hand goes anticlockwise, towards higher parts of the width. */
function onCircle({ chart }: StrandWay, { row, boundary }: EndPlace): PlaceOnPiece {
  const angle = (2 * Math.PI * boundary) / chart.columns;
  const radius = (row + 0.5) / chart.rows / 2;
  return { across: 0.5 + radius * Math.sin(angle), up: 0.5 + radius * Math.cos(angle), behind: false };
}

/** Block x, y of a diagonal lies x − y + high half blocks along the chart, and is the x + y-th from the corner. */
function onDiagonals(fabric: Fabric, { chart }: StrandWay, { row, boundary }: EndPlace): PlaceOnPiece {
  const wide = fabric.count;
  const high = blocksHigh(fabric.courses, wide);
  const [first = 0, behindLast = 0] = chart.spans?.subarray(2 * row, 2 * row + 2) ?? [];
  const column = boundary === 0 ? first : boundary === chart.columns ? behindLast : boundary;
  const apart = column - high;
  return { across: ((row + apart) / 2 + 0.5) / wide, up: ((row - apart) / 2 + 0.5) / high, behind: false };
}

/** Where the ends of a piece hang on it as it lies. docs/strand-routing.md, “Where the ends are”. */
export function endsOnPiece(fabric: Fabric, technique: Technique, way: StrandWay): (EndPlace & PlaceOnPiece)[] {
  const base = baseCourses(fabric);
  const placed = (end: EndPlace) => {
    if (fabric.making === 'diagonals') return onDiagonals(fabric, way, end);
    if (technique.circle) return onCircle(way, end);
    return isRoundMaking(fabric.making) ? onTube(way, end, base) : onRows(way, end);
  };
  return endsOf(way).map((end) => ({ ...end, ...placed(end) }));
}
