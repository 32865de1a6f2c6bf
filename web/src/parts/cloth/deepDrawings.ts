import type { StitchKey } from '@puntada/core/craft';
import type { Drawing } from './drawing.ts';
import type { Pen } from './pen.ts';

/** The same from either side. */
function both(draw: Drawing['RS']): Drawing {
  return { RS: draw, WS: draw };
}

/** Three posts that stand in one space, fanned out under three loops. */
const cluster = both((pen, cell) => {
  const lean = Math.sin(cell * 7.3) * 0.012;
  for (const [foot, head] of [
    [0.43, 0.17],
    [0.5, 0.5],
    [0.57, 0.83],
  ] as const) {
    post(pen, foot + lean, head, 0.115);
    pen.strand(
      [
        [head - 0.18, 0.14],
        [head - 0.06, 0.04],
        [head + 0.08, 0.04],
        [head + 0.18, 0.13],
      ],
      0.1,
    );
  }
});

/** A tall post of two strands, bound once across. */
function post(pen: Pen, foot: number, head: number, thickness: number): void {
  const middle = (foot + head) / 2;
  const apart = thickness * 0.62;
  for (const side of [-apart, apart]) {
    pen.strand(
      [
        [foot + side, 1.04],
        [middle + side * 1.1, 0.55],
        [head + side * 0.6, 0.14],
      ],
      thickness,
    );
  }
  pen.strand(
    [
      [middle - thickness * 1.5, 0.6],
      [middle, 0.55],
      [middle + thickness * 1.5, 0.47],
    ],
    thickness * 0.9,
  );
}

/** A single post at a cluster's edge. */
const edgePost = both((pen) => post(pen, 0.5, 0.5, 0.2));

/** A chain of three at one side and three posts beside it. */
const block = both((pen) => {
  for (const y of [0.84, 0.52, 0.2]) {
    pen.strand(
      [
        [0.11, y + 0.17],
        [0.03, y],
        [0.13, y - 0.16],
      ],
      0.085,
    );
    pen.strand(
      [
        [0.11, y + 0.17],
        [0.21, y],
        [0.13, y - 0.16],
      ],
      0.085,
    );
  }
  for (const x of [0.38, 0.62, 0.86]) {
    post(pen, x, x, 0.085);
    pen.strand(
      [
        [x - 0.13, 0.12],
        [x, 0.02],
        [x + 0.13, 0.12],
      ],
      0.085,
    );
  }
});

/** Chains that lie loose: a row of flat loops. */
const chain = both((pen, cell) => {
  const w = Math.sin(cell * 9.1) * 0.03;
  pen.strand(
    [
      [-0.05, 0.5],
      [0.22, 0.26 + w],
      [0.74, 0.26],
      [1.05, 0.5],
    ],
    0.2,
  );
  pen.strand(
    [
      [-0.05, 0.52],
      [0.26, 0.76 + w],
      [0.78, 0.76],
      [1.05, 0.52],
    ],
    0.2,
  );
});

/** A dc that goes two rows down, on the face of the cloth. */
const deep = both((pen, cell) => {
  const w = Math.sin(cell * 5.7) * 0.025;
  for (const side of [-0.16, 0.16]) {
    pen.strand(
      [
        [0.5 + side * 0.7, 1],
        [0.5 + side * 1.25 + w, 0.5],
        [0.5 + side * 0.6, 0.08],
      ],
      0.27,
    );
  }
  pen.strand(
    [
      [0.16, 0.56],
      [0.5, 0.52],
      [0.84, 0.44 + w],
    ],
    0.22,
  );
  pen.strand(
    [
      [-0.02, 0.1],
      [0.25, 0.02],
      [0.75, 0.02],
      [1.02, 0.09],
    ],
    0.24,
  );
});

/** An sc in the back loop: the front loop stands before it as a ridge. */
const backLoop = both((pen, cell) => {
  const w = Math.sin(cell * 3.9) * 0.03;
  pen.strand(
    [
      [0.26 + w, 1.04],
      [0.28, 0.7],
      [0.45, 0.42],
    ],
    0.24,
  );
  pen.strand(
    [
      [0.78 + w, 1.04],
      [0.76, 0.7],
      [0.57, 0.42],
    ],
    0.24,
  );
  pen.strand(
    [
      [-0.04, 0.94],
      [0.3, 0.86 + w],
      [0.7, 0.86],
      [1.04, 0.94],
    ],
    0.17,
  );
  pen.strand(
    [
      [-0.04, 0.3],
      [0.2, 0.1 + w],
      [0.75, 0.08],
      [1.04, 0.26],
    ],
    0.26,
  );
});

/** The two legs of a fleck on the stitch that closes it. */
const fleck = both((pen) => {
  pen.strand(
    [
      [0.22, 1],
      [0.3, 0.6],
      [0.46, 0.34],
    ],
    0.3,
  );
  pen.strand(
    [
      [0.8, 1],
      [0.72, 0.6],
      [0.56, 0.34],
    ],
    0.3,
  );
});

/** Drawings of stitches that are no plain posts on the row below. */
export const deepDrawings: Partial<Record<StitchKey, Drawing>> = {
  cluster,
  'cluster@space': cluster,
  'cluster-ch3': cluster,
  'cluster-ch2': cluster,
  'edge-ch3': edgePost,
  'edge-dc': edgePost,
  block,
  'block-grow': block,
  'block-shrink': block,
  ch: chain,
  'linen-edge': chain,
  'dc@below2': deep,
  'dc@front2': deep,
  fpdc: deep,
  bpdc: deep,
  'fpdc@other': deep,
  'dc@base-front': deep,
  'dc@base-behind': deep,
  'sc@back': backLoop,
  fleck,
};

/** Stitches that reach down over the row below. */
export const deepKinds: ReadonlySet<StitchKey> = new Set<StitchKey>([
  'dc@below2',
  'dc@front2',
  'fpdc',
  'bpdc',
  'fpdc@other',
  'dc@base-front',
  'dc@base-behind',
]);

/** Stitches that lie on another, which is seen around them. */
export const clearKinds: ReadonlySet<StitchKey> = new Set<StitchKey>([...deepKinds, 'fleck']);
