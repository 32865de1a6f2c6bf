import type { Work } from '@puntada/core/records';
import type { Hand } from '@puntada/core/words';
import { painter } from '../../worker/painter.ts';

async function toPng(canvas: OffscreenCanvas): Promise<Blob> {
  return canvas.convertToBlob({ type: 'image/png' });
}

/** A drawing as dots. @param longest px of its longer side */
export async function pngOfSvg(svg: string, longest: number): Promise<Blob> {
  const picture = new Image();
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  await picture.decode();
  const scale = longest / Math.max(picture.naturalWidth, picture.naturalHeight);
  const canvas = new OffscreenCanvas(
    Math.round(picture.naturalWidth * scale),
    Math.round(picture.naturalHeight * scale),
  );
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
  return toPng(canvas);
}

/** The cloth of a project as it looks from its right side. @returns nothing where it cannot be laid */
export async function pngOfCloth(work: Work, hand: Hand, longest: number): Promise<Blob | undefined> {
  const cloth = await painter.cloth(work);
  if (!cloth) return undefined;
  const { fabric, shades, proportion } = cloth;
  const perStitch = Math.max(1, longest / Math.max(fabric.stitches, fabric.courses / proportion));
  const look = { shades, hand, perStitch, perRow: perStitch / proportion, across: 0 };
  const { picture } = await painter.fitted(fabric, look);
  const canvas = new OffscreenCanvas(picture.width, picture.height);
  canvas.getContext('2d')?.drawImage(picture, 0, 0);
  return toPng(canvas);
}
