import { photoLetters } from '@puntada/core/records';

/** Sides of a photo as it is kept, px: the first at which it is small enough. */
const sides = [1200, 900, 640, 400];
const quality = 0.75;

/** How large a picture of this size is drawn so that its longer side is no more than `side`. */
export function fitted(width: number, height: number, side: number): { width: number; height: number } {
  const scale = Math.min(1, side / Math.max(width, height));
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) };
}

async function asUrl(blob: Blob): Promise<string> {
  return new Promise((done, fail) => {
    const reader = new FileReader();
    reader.onload = () => done(String(reader.result));
    reader.onerror = () => fail(reader.error);
    reader.readAsDataURL(blob);
  });
}

/** A photo made small enough to be kept, as a JPEG; nothing where the file is no picture that can be read. */
export async function smallPhoto(file: Blob): Promise<string | undefined> {
  const picture = await createImageBitmap(file).catch(() => undefined);
  if (!picture) return undefined;
  for (const side of sides) {
    const { width, height } = fitted(picture.width, picture.height, side);
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')?.drawImage(picture, 0, 0, width, height);
    const url = await asUrl(await canvas.convertToBlob({ type: 'image/jpeg', quality }));
    if (url.length <= photoLetters) return url;
  }
  return undefined;
}
