import type { HeightOffer, WidthOffer } from '@puntada/core';

/** Where things lie on the mat, px from the top left corner of the mat itself. */
export interface MatGeometry {
  readonly width: number;
  readonly height: number;
  /** px of one mm */
  readonly scale: number;
  /** The corner from which the cloth grows: bottom left. */
  readonly originX: number;
  readonly originY: number;
}

const margin = 30;

/**
 * Fits the largest notch and the wish on the mat, so that nothing is scaled while an edge is dragged.
 * @param above room for what stands over the cloth, such as a strap, mm
 */
export function matGeometry(
  width: number,
  height: number,
  widths: readonly WidthOffer[],
  heights: readonly HeightOffer[],
  wish: { readonly width: number; readonly height: number },
  above = 0,
): MatGeometry {
  const wide = Math.max(wish.width, ...widths.map((offer) => offer.width.mid)) * 1.03;
  const high = Math.max(wish.height, ...heights.map((offer) => offer.height.mid)) * 1.03 + above;
  const scale = Math.max(0.01, Math.min((width - 2 * margin) / wide, (height - 2 * margin) / high));
  const spareX = width - 2 * margin - wide * scale;
  return { width, height, scale, originX: Math.round(margin + Math.max(0, spareX) / 2), originY: height - margin };
}

/** The offer whose size is nearest to a place on the mat. @param mm from the origin */
export function nearestNotch<T>(offers: readonly T[], size: (offer: T) => number, mm: number): T | undefined {
  return offers.reduce<T | undefined>(
    (best, offer) => (best === undefined || Math.abs(size(offer) - mm) < Math.abs(size(best) - mm) ? offer : best),
    undefined,
  );
}

/** The notch `steps` further on; the last one where there is none. */
export function stepNotch<T>(offers: readonly T[], isHere: (offer: T) => boolean, steps: number): T | undefined {
  const here = offers.findIndex(isHere);
  return offers[Math.max(0, Math.min(offers.length - 1, (here < 0 ? 0 : here) + steps))];
}
