import type { Estimate } from '@puntada/core/craft';
import type { HeightOffer, WidthOffer } from '@puntada/core/plan';

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

/** How wide it lies: half of the round where it is a tube, whatever its width is told by. */
export function lyingWidth({ width, tube }: WidthOffer): Estimate {
  return tube?.flat ?? width;
}

/**
 * Fits the largest notch and the wish on the mat, so that nothing is scaled while an edge is dragged.
 * @param above room for what stands over the cloth, such as a strap, mm
 * @param below room for the circle on which its sides stand, mm
 */
export function matGeometry(
  width: number,
  height: number,
  widths: readonly WidthOffer[],
  heights: readonly HeightOffer[],
  wish: { readonly width: number; readonly height: number },
  above = 0,
  below = 0,
): MatGeometry {
  const wide = Math.max(wish.width, ...widths.map((offer) => lyingWidth(offer).mid)) * 1.03;
  const high = Math.max(wish.height, ...heights.map((offer) => offer.height.mid)) * 1.03 + above + below;
  const scale = Math.max(0.01, Math.min((width - 2 * margin) / wide, (height - 2 * margin) / high));
  const spareX = width - 2 * margin - wide * scale;
  return {
    width,
    height,
    scale,
    originX: Math.round(margin + Math.max(0, spareX) / 2),
    originY: Math.round(height - margin - below * scale),
  };
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
