import { type Dots, good, type Result, refused } from '@puntada/core/craft';

/** Bytes of a picture file at most, and dots of it. */
const mostBytes = 60_000_000;
const mostDots = 20_500_000;

/** A picture as a browser holds it, turned as its camera said. */
export async function openPicture(file: File): Promise<Result<ImageBitmap>> {
  if (file.size > mostBytes) {
    const facts = { megabytes: Math.round(file.size / 1e6), most: mostBytes / 1e6 };
    return refused({ code: 'picture-too-large', path: '', facts });
  }
  const bitmap = file.size
    ? await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined)
    : undefined;
  if (!bitmap) return refused({ code: 'picture-unreadable', path: '' });
  if (bitmap.width * bitmap.height > mostDots) {
    bitmap.close();
    return refused({
      code: 'picture-too-large',
      path: '',
      facts: { megabytes: Math.round(file.size / 1e6), most: 60 },
    });
  }
  return good(bitmap);
}

/** What of a picture is taken, as parts of its width and height. */
export interface Crop {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** The part of a picture that is taken, as so many dots; halved until it is near, so that every dot has its part. */
export function dotsOf(picture: ImageBitmap, { left, top, right, bottom }: Crop, width: number, height: number): Dots {
  const from = { x: picture.width * left, y: picture.height * top };
  let wide = Math.max(1, Math.round(picture.width * (1 - left - right)));
  let high = Math.max(1, Math.round(picture.height * (1 - top - bottom)));
  let now = canvasOf(wide, high);
  now.ctx.drawImage(picture, from.x, from.y, wide, high, 0, 0, wide, high);
  while (wide > 2 * width || high > 2 * height) {
    const [w, h] = [Math.max(width, Math.ceil(wide / 2)), Math.max(height, Math.ceil(high / 2))];
    const next = canvasOf(w, h);
    next.ctx.drawImage(now.canvas, 0, 0, wide, high, 0, 0, w, h);
    [now, wide, high] = [next, w, h];
  }
  const last = canvasOf(width, height);
  last.ctx.drawImage(now.canvas, 0, 0, wide, high, 0, 0, width, height);
  return { width, height, data: last.ctx.getImageData(0, 0, width, height).data };
}

function canvasOf(width: number, height: number) {
  const canvas = new OffscreenCanvas(width, height);
  const ctx = canvas.getContext('2d', { willReadFrequently: true }) as OffscreenCanvasRenderingContext2D;
  ctx.imageSmoothingEnabled = true;
  ctx.imageSmoothingQuality = 'high';
  return { canvas, ctx };
}
