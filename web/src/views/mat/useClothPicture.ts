import { type Hand, type HeightOffer, layPiece, type Prepared, type Sizes, type WidthOffer } from '@puntada/core';
import { useMemo } from 'react';
import { usePreferences } from '../../api/api.ts';
import { faceOf } from '../../parts/cloth/clothLayout.ts';
import { clothPicture } from '../../parts/cloth/paintCloth.ts';
import type { MatGeometry } from './matGeometry.ts';

interface ClothOnOffer {
  readonly prepared: Prepared;
  readonly sizes: Sizes;
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly mat: MatGeometry;
}

/** Techniques whose smaller cloths are parts of a larger one, so that one picture serves every notch. */
const growing = ['carried', 'stripes', 'linen', 'step-check'];

/**
 * The picture of the largest cloth on offer; every smaller one is a part of it. Centred cloths, and techniques with
 * edges of their own, are laid anew for each size.
 */
export function useClothPicture(props: ClothOnOffer): DrawnCloth {
  const { prepared, sizes, mat, width, height } = props;
  const { hand } = usePreferences();
  const { bound, foundation, technique, wish, finished, yarns } = prepared;
  const shades = yarns.map((yarn) => yarn.shade).join();
  const anew = wish.edges === 'centred' || !growing.includes(technique.key);
  const most = Math.max(...sizes.across.offers.map((offer) => offer.stitches), width.stitches);
  const stitches = anew ? width.stitches : most;
  const rows = anew ? height.rows : Math.max(...sizes.up.offers.map((offer) => offer.rows), height.rows);
  const dpr = window.devicePixelRatio || 1;
  const perStitch = finished.stitchWidth.mid * mat.scale * dpr;
  const perRow = finished.rowHeight.mid * mat.scale * dpr;
  return useMemo((): DrawnCloth => {
    const courses = technique.courses?.(stitches, rows) ?? rows;
    const fabric = layPiece({ bound, foundation, edges: wish.edges, stitches, courses });
    const [cellWidth, cellHeight] = [Math.max(1, Math.ceil(perStitch)), Math.max(1, Math.ceil(perRow))];
    const whole = clothPicture(fabric, { shades: shades.split(','), hand, cellWidth, cellHeight });
    const face = faceOf(fabric);
    const round = technique.key === 'wedge-circle';
    const tube = technique.key === 'tube' ? 0.5 : 1;
    const picture = fitted(whole, face.across * (round ? perRow : perStitch), face.up * perRow, tube);
    return { picture, stitches, rows, hand };
  }, [bound, foundation, technique, wish.edges, stitches, rows, shades, hand, perStitch, perRow]);
}

interface DrawnCloth {
  readonly picture: OffscreenCanvas;
  readonly stitches: number;
  readonly rows: number;
  readonly hand: Hand;
}

/**
 * The picture at the very size at which it will lie on the mat, so that a drag only copies it.
 * @param shown part of the width that is seen: a tube lies double, so half of its round
 */
function fitted(whole: OffscreenCanvas, width: number, height: number, shown: number): OffscreenCanvas {
  const picture = new OffscreenCanvas(Math.max(1, Math.round(width * shown)), Math.max(1, Math.round(height)));
  const ctx = picture.getContext('2d') as OffscreenCanvasRenderingContext2D;
  ctx.imageSmoothingQuality = 'high';
  ctx.drawImage(whole, 0, 0, width, picture.height);
  return picture;
}
