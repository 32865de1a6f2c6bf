import type { StitchKey } from '../stitches/kinds.ts';

/**
 * Yarn in one stitch, L = a·w + b·h + c·d in mm, from the way the yarn takes: a strands along the top edge, b up the
 * post, c half-turns round other yarn. docs/craft.md, “Yarn in one stitch”.
 */
export interface YarnPath {
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

function path(a: number, b: number, c: number): YarnPath {
  return { a, b, c };
}

export const yarnPaths = {
  ch: path(3, 0, 1),
  sl: path(3, 0, 3),
  /** Slip stitch that joins a round: it brings no width of its own. */
  join: path(2, 0, 3),
  sc: path(2, 4, 4),
  hdc: path(2, 4, 6),
  dc: path(2, 4, 8),
  tr: path(2, 4, 12),
  tch1: path(3, 0, 1),
  tch2: path(6, 0, 2),
  tch3: path(9, 0, 3),
} as const;

export type YarnPathKey = keyof typeof yarnPaths;

/** Three dc of a cluster; w is the pitch of the clusters. */
const clusterDc = path(2, 12, 33);
const thirdOfCluster = 1 / 3;

/**
 * Yarn in one cell of a fabric. In clusters w is the pitch of a cluster, in blocks w and h are the side of a block.
 * A fleck is the two legs in B; `fleckClosing` is what A closes it with.
 */
export const cellPaths: Readonly<Record<StitchKey, YarnPath>> = {
  sc: yarnPaths.sc,
  hdc: yarnPaths.hdc,
  dc: yarnPaths.dc,
  'hdc-ch2': yarnPaths.tch2,
  'dc-ch3': yarnPaths.tch3,
  'dc-ch2': yarnPaths.tch2,
  'hdc@between': path(2, 4, 9),
  'sc@space': path(2, 4, 7),
  ch: yarnPaths.ch,
  'linen-edge': yarnPaths.tch2,
  'dc@below2': path(2, 8, 11),
  'sc@back': path(2, 4, 3.5),
  'dc@front2': path(2, 8, 9),
  fpdc: path(2, 9, 12.5),
  bpdc: path(2, 9, 12.5),
  cluster: path(2, 12, 24),
  'cluster@space': clusterDc,
  'cluster-ch3': path(2 * 2 * thirdOfCluster + 9 * thirdOfCluster, 8, 2 * 11 + 3),
  'cluster-ch2': path(2 * 2 * thirdOfCluster + 6 * thirdOfCluster, 8, 2 * 11 + 2),
  'edge-ch3': path(9 * thirdOfCluster, 0, 3),
  'edge-dc': path(2 * thirdOfCluster, 4, 11),
  block: path(17.25, 0, 39),
  'block-grow': path(19.5, 0, 30),
  'block-shrink': path(19.5, 0, 48),
  'dc@ring': path(2, 4, 11),
  inc: path(4, 8, 16),
  'inc-ch3': path(11, 4, 11),
  fleck: path(1, 2, 2),
  'sc@front': path(2, 4, 3.5),
  'hdc@back': path(2, 4, 5.5),
  'hdc@front': path(2, 4, 5.5),
  'dc@back': path(2, 4, 7.5),
  'dc@front': path(2, 4, 7.5),
  'sc@ring': path(2, 4, 7),
  'hdc@ring': path(2, 4, 9),
  'sc-inc': path(4, 8, 8),
  'hdc-inc': path(4, 8, 12),
  'dc@base-front': path(2, 8, 8),
  'dc@base-behind': path(2, 8, 8),
  fpsc: path(2, 5, 7),
  'fpdc@other': path(2, 9, 11),
};

/** How much longer a strand is than the stitches it is carried over. */
export const carriedEase = 1.04;

/**
 * What the ground colour takes to close a fleck: three along the top like a chain, of which one is the run that is
 * counted as carried.
 */
export const fleckClosing = path(3 - carriedEase, 0, 2);

/** One size of cloth and yarn, all in mm. */
export interface StitchSize {
  readonly width: number;
  readonly height: number;
  readonly diameter: number;
}

/** @param strands idle strands lying inside the stitch; each adds one diameter. @returns mm */
export function yarnAlong({ a, b, c }: YarnPath, size: StitchSize, strands = 0): number {
  return a * size.width + b * size.height + (c + strands) * size.diameter;
}

/** The same of a stitch by its name. @returns mm */
export function yarnInStitch(key: YarnPathKey, size: StitchSize, strands = 0): number {
  return yarnAlong(yarnPaths[key], size, strands);
}

/** Length of a strand that climbs the side edge, mm. */
export function climbLength(heights: number, pickUps: number, diameter: number): number {
  return 1.1 * heights + 2 * diameter * pickUps;
}

/** Length of a float over n stitches, mm, without what its picking up takes. */
export function floatLength(stitches: number, size: StitchSize): number {
  return 1.05 * stitches * size.width;
}
