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
} as const;

export type YarnPathKey = keyof typeof yarnPaths;

/** One size of cloth and yarn, all in mm. */
export interface StitchSize {
  readonly width: number;
  readonly height: number;
  readonly diameter: number;
}

/** @param strands idle strands lying inside the stitch; each adds one diameter. @returns mm */
export function yarnInStitch(key: YarnPathKey, size: StitchSize, strands = 0): number {
  const { a, b, c } = yarnPaths[key];
  return a * size.width + b * size.height + (c + strands) * size.diameter;
}

/** How much longer a strand is than the stitches it is carried over. */
export const carriedEase = 1.04;

/** Length of a strand that climbs the side edge, mm. */
export function climbLength(heights: number, pickUps: number, diameter: number): number {
  return 1.1 * heights + 2 * diameter * pickUps;
}

/** Length of a float over n stitches, mm. */
export function floatLength(stitches: number, size: StitchSize): number {
  return 1.05 * stitches * size.width + 2 * size.diameter;
}
