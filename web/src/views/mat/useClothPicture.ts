import {
  type HeightOffer,
  isTube,
  type Prepared,
  type Sizes,
  type ThawedWork,
  type WidthOffer,
} from '@puntada/core/plan';
import type { Hand } from '@puntada/core/words';
import { useEffect, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import { easel } from '../../worker/painter.ts';
import type { MatGeometry } from './matGeometry.ts';

interface ClothOnOffer {
  readonly prepared: Prepared;
  readonly sizes: Sizes;
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly mat: MatGeometry;
  /** What is on the hook is shown as it is. */
  readonly cloth: ThawedWork | undefined;
}

/**
 * The picture of the largest cloth on offer, from the worker; every smaller one is a part of it. Centred cloths, and
 * techniques with edges of their own, are laid anew for each size; until then the one before stays.
 */
export function useClothPicture(props: ClothOnOffer): DrawnCloth | undefined {
  const { prepared, sizes, mat, width, height, cloth } = props;
  const { hand } = usePreferences();
  const { bound, foundation, technique, wish, finished, yarns, increases } = prepared;
  const shades = yarns.map((yarn) => yarn.shade).join();
  const anew =
    cloth !== undefined ||
    wish.edges === 'centred' ||
    isTube(prepared) ||
    !technique.nested ||
    Boolean(bound.placed?.length);
  const fabric = cloth?.fabric;
  const most = Math.max(...sizes.across.offers.map((offer) => offer.stitches), width.stitches);
  const stitches = anew ? width.stitches : most;
  const rows = anew ? height.rows : Math.max(...sizes.up.offers.map((offer) => offer.rows), height.rows);
  const dpr = window.devicePixelRatio || 1;
  const perStitch = finished.stitchWidth.mid * mat.scale * dpr;
  const perRow = finished.rowHeight.mid * mat.scale * dpr;
  const across = (width.tube?.diameter.mid ?? 0) * mat.scale * dpr;
  const [drawn, setDrawn] = useState<DrawnCloth>();
  useEffect(() => {
    let current = true;
    const look = { shades: shades.split(','), hand, perStitch, perRow, across };
    const request = { bound, foundation, edges: wish.edges, stitches, rows, increases };
    const painted = fabric ? easel.fitted(fabric, look) : easel.onMat(request, look);
    void painted.then(({ picture, base }) => {
      if (current) setDrawn({ picture, base, stitches, rows, hand, anew });
    });
    return () => {
      current = false;
    };
  }, [bound, foundation, wish.edges, stitches, rows, increases, fabric, shades, hand, perStitch, perRow, across, anew]);
  return drawn;
}

export interface DrawnCloth {
  readonly picture: ImageBitmap;
  /** The circle on which its sides stand. */
  readonly base: ImageBitmap | undefined;
  readonly stitches: number;
  readonly rows: number;
  readonly hand: Hand;
  /** It is of this one size only, and not to be cut smaller. */
  readonly anew: boolean;
}
