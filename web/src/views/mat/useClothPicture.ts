import { type Hand, type HeightOffer, layPiece, type Prepared, type Sizes, type WidthOffer } from '@puntada/core';
import { useMemo } from 'react';
import { usePreferences } from '../../api/api.ts';
import { clothPicture } from '../../parts/cloth/paintCloth.ts';
import type { MatGeometry } from './matGeometry.ts';

interface ClothOnOffer {
  readonly prepared: Prepared;
  readonly sizes: Sizes;
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly mat: MatGeometry;
}

/** The picture of the largest cloth on offer; every smaller one is a part of it. Centred cloths are cut anew. */
export function useClothPicture(props: ClothOnOffer): DrawnCloth {
  const { prepared, sizes, mat, width } = props;
  const { hand } = usePreferences();
  const { bound, foundation, wish, gauge, yarns } = prepared;
  const shades = yarns.map((yarn) => yarn.shade).join();
  const most = Math.max(...sizes.across.offers.map((offer) => offer.stitches), width.stitches);
  const stitches = wish.edges === 'centred' ? width.stitches : most;
  const courses = Math.max(...sizes.up.offers.map((offer) => offer.rows), props.height.rows);
  const cell = (mm: number) => Math.max(1, Math.ceil(mm * mat.scale * (window.devicePixelRatio || 1)));
  const cellWidth = cell(gauge.stitchWidth.mid);
  const cellHeight = cell(gauge.rowHeight.mid);
  const perStitch = gauge.stitchWidth.mid * mat.scale * (window.devicePixelRatio || 1);
  const perRow = gauge.rowHeight.mid * mat.scale * (window.devicePixelRatio || 1);
  return useMemo((): DrawnCloth => {
    const fabric = layPiece({ bound, foundation, edges: wish.edges, stitches, courses });
    const whole = clothPicture(fabric, { shades: shades.split(','), hand, cellWidth, cellHeight });
    const picture = fitted(whole, stitches * perStitch, courses * perRow);
    return { picture, stitches, courses, hand };
  }, [bound, foundation, wish.edges, stitches, courses, shades, hand, cellWidth, cellHeight, perStitch, perRow]);
}

interface DrawnCloth {
  readonly picture: OffscreenCanvas;
  readonly stitches: number;
  readonly courses: number;
  readonly hand: Hand;
}

/** The picture at the very size at which it will lie on the mat, so that a drag only copies it. */
function fitted(whole: OffscreenCanvas, width: number, height: number): OffscreenCanvas {
  const picture = new OffscreenCanvas(Math.max(1, Math.round(width)), Math.max(1, Math.round(height)));
  const ctx = picture.getContext('2d') as OffscreenCanvasRenderingContext2D;
  ctx.imageSmoothingQuality = 'high';
  ctx.drawImage(whole, 0, 0, picture.width, picture.height);
  return picture;
}
