import type { StitchSize } from '../../craft/yarn/yarnPerStitch.ts';

export type SeamKind = 'whipped' | 'mattress' | 'slip stitch' | 'sc';

/** Yarn of one stitch of seam = a · width + c · diameter. */
const seams: Readonly<Record<SeamKind, readonly [number, number]>> = {
  whipped: [1, 6],
  mattress: [1.3, 3],
  'slip stitch': [3, 5],
  sc: [2, 12],
};

/** Yarn that lies in a seam, m; without its two ends. */
export function seamMetres(kind: SeamKind, stitches: number, size: Pick<StitchSize, 'width' | 'diameter'>): number {
  const [a, c] = seams[kind];
  return (stitches * (a * size.width + c * size.diameter)) / 1000;
}

/** Length to cut for sewing a seam, m. @param seam length of the seam, m */
export function sewingLength(seam: number): number {
  return 3 * seam + 0.3;
}
