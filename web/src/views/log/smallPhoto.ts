import { photoLetters, smallLetters } from '@puntada/core/records';

/** Sides of a photo as it is kept, px: the first at which it is small enough. */
const sides = [1200, 900, 640, 400];
/** The same of the one for a list of many. */
const smallSides = [320, 200];
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

async function drawn(picture: ImageBitmap, sides: readonly number[], letters: number): Promise<string | undefined> {
  for (const side of sides) {
    const { width, height } = fitted(picture.width, picture.height, side);
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext('2d')?.drawImage(picture, 0, 0, width, height);
    const url = await asUrl(await canvas.convertToBlob({ type: 'image/jpeg', quality }));
    if (url.length <= letters) return url;
  }
  return undefined;
}

/** A photo made small enough to be kept, twice, as JPEGs; nothing where the file is no picture that can be read. */
export async function smallPhoto(file: Blob): Promise<{ image: string; small?: string } | undefined> {
  const picture = await createImageBitmap(file).catch(() => undefined);
  const image = picture && (await drawn(picture, sides, photoLetters));
  if (!image) return undefined;
  const small = await drawn(picture, smallSides, smallLetters);
  return { image, ...(small ? { small } : {}) };
}
