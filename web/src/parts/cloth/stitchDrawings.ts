import { type StitchKey, stitchKinds } from '@puntada/core/craft';
import { deepDrawings } from './deepDrawings.ts';
import type { Draw, Drawing } from './drawing.ts';

/** A little unevenness that is always the same for the same cell. */
function waver(cell: number, part: number): number {
  return Math.sin(cell * 12.9898 + part * 4.1414) * 0.03;
}

/** The right side of a single crochet: two short legs that close upwards under a loop that lies along the top. */
const scFront: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.2 + w(1), 1.06],
      [0.24, 0.66],
      [0.45 + w(2), 0.36],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.82 + w(3), 1.06],
      [0.78, 0.66],
      [0.57 + w(2), 0.36],
    ],
    0.25,
  );
  pen.strand(
    [
      [-0.04, 0.29 + w(4)],
      [0.2, 0.08 + w(5)],
      [0.72, 0.06],
      [1.04, 0.25 + w(6)],
    ],
    0.27,
  );
};

/** The wrong side: the loop lies forward as a bar across the middle, with the legs short beneath it. */
const scBack: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.34 + w(1), 1.05],
      [0.36, 0.86],
      [0.38 + w(2), 0.68],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.68 + w(3), 1.05],
      [0.66, 0.86],
      [0.64 + w(2), 0.68],
    ],
    0.24,
  );
  pen.strand(
    [
      [-0.02, 0.2 + w(6)],
      [0.3, 0.12],
      [0.7, 0.12],
      [1.02, 0.2 + w(7)],
    ],
    0.2,
  );
  pen.strand(
    [
      [0.02, 0.58 + w(4)],
      [0.3, 0.4 + w(5)],
      [0.72, 0.4],
      [0.98, 0.57 + w(6)],
    ],
    0.29,
  );
};

/** A half double: as a single, with the third loop slanting across. */
const hdcFront: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.26 + w(1), 1.05],
      [0.3, 0.7],
      [0.44 + w(2), 0.28],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.76 + w(3), 1.05],
      [0.72, 0.7],
      [0.58 + w(2), 0.28],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.14, 0.62 + w(5)],
      [0.5, 0.46],
      [0.86, 0.42 + w(4)],
    ],
    0.2,
  );
  pen.strand(
    [
      [-0.04, 0.22 + w(4)],
      [0.2, 0.05 + w(5)],
      [0.72, 0.03],
      [1.04, 0.18 + w(6)],
    ],
    0.25,
  );
};

const hdcBack: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.36 + w(1), 1.05],
      [0.38, 0.8],
      [0.4 + w(2), 0.5],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.66 + w(3), 1.05],
      [0.64, 0.8],
      [0.62 + w(2), 0.5],
    ],
    0.24,
  );
  pen.strand(
    [
      [-0.02, 0.14 + w(6)],
      [0.3, 0.07],
      [0.7, 0.07],
      [1.02, 0.14 + w(7)],
    ],
    0.19,
  );
  pen.strand(
    [
      [0, 0.46 + w(4)],
      [0.3, 0.3 + w(5)],
      [0.72, 0.3],
      [1, 0.44 + w(6)],
    ],
    0.26,
  );
};

/** A double: a tall post of two strands, bound once across the middle. */
const dcFront: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.34 + w(1), 1.03],
      [0.32, 0.6],
      [0.42 + w(2), 0.2],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.66 + w(3), 1.03],
      [0.68, 0.6],
      [0.58 + w(2), 0.2],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.16, 0.62 + w(5)],
      [0.5, 0.58],
      [0.84, 0.44 + w(4)],
    ],
    0.22,
  );
  pen.strand(
    [
      [-0.04, 0.16 + w(4)],
      [0.2, 0.04],
      [0.72, 0.03],
      [1.04, 0.14 + w(6)],
    ],
    0.25,
  );
};

const dcBack: Draw = (pen, cell) => {
  const w = (part: number) => waver(cell, part);
  pen.strand(
    [
      [0.38 + w(1), 1.03],
      [0.36, 0.62],
      [0.42 + w(2), 0.24],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.64 + w(3), 1.03],
      [0.66, 0.62],
      [0.58 + w(2), 0.24],
    ],
    0.25,
  );
  pen.strand(
    [
      [0.16, 0.46 + w(5)],
      [0.5, 0.6],
      [0.84, 0.64 + w(4)],
    ],
    0.22,
  );
  pen.strand(
    [
      [0, 0.26 + w(4)],
      [0.3, 0.14],
      [0.72, 0.14],
      [1, 0.25 + w(6)],
    ],
    0.25,
  );
};

const drawn: Partial<Record<StitchKey, Drawing>> = {
  sc: { RS: scFront, WS: scBack },
  hdc: { RS: hdcFront, WS: hdcBack },
  dc: { RS: dcFront, WS: dcBack },
};

/** How a stitch looks from either side; one that has no drawing of its own looks like the stitch it stands for. */
export function drawingOf(key: StitchKey): Drawing {
  const main = stitchKinds.find((kind) => kind.key === key)?.standsFor;
  return drawn[key] ?? deepDrawings[key] ?? (main && drawn[main]) ?? drawn.sc ?? { RS: scFront, WS: scBack };
}
