import { type Strip, stripDots, stripRows } from '@puntada/core/records';
import type { Label, LabelLine } from '@puntada/core/words';

/** 203 dots to the inch. */
const dotsPerMm = 203 / 25.4;
/** Dots left free at each side. */
const free = 12;

const looks: Readonly<Record<Exclude<LabelLine['look'], 'picture'>, { font: string; weight: number; size: number }>> = {
  mark: { font: 'Bricolage Grotesque Variable', weight: 700, size: 44 },
  title: { font: 'Atkinson Hyperlegible Next Variable', weight: 700, size: 36 },
  text: { font: 'Atkinson Hyperlegible Next Variable', weight: 400, size: 30 },
  price: { font: 'Bricolage Grotesque Variable', weight: 700, size: 52 },
};

/** A text in as many lines as it takes, each no wider than there is room. */
function wrapped(ctx: OffscreenCanvasRenderingContext2D, text: string, most: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length ? `${lines.at(-1)} ${word}` : word;
    if (lines.length && ctx.measureText(longer).width <= most) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** A picture that is a mark is so high, dots. */
const pictureTall = 110;

/** Writes the lines of a label from the top. @returns where it ends */
function write(
  ctx: OffscreenCanvasRenderingContext2D,
  lines: readonly LabelLine[],
  wide: number,
  picture: ImageBitmap | undefined,
): number {
  let y = free;
  ctx.textAlign = 'center';
  ctx.textBaseline = 'top';
  ctx.fillStyle = '#000000';
  for (const { text, look } of lines) {
    if (look === 'picture') {
      if (!picture) continue;
      const scale = Math.min(pictureTall / picture.height, (wide - 2 * free) / picture.width);
      const [across, tall] = [picture.width * scale, picture.height * scale];
      ctx.drawImage(picture, (wide - across) / 2, y, across, tall);
      y += tall + 14;
      continue;
    }
    const { font, weight, size } = looks[look];
    ctx.font = `${weight} ${size}px "${font}"`;
    for (const line of wrapped(ctx, text, wide - 2 * free)) {
      // A word that is wider than the paper is drawn as narrow as it must be.
      ctx.fillText(line, wide / 2, y, wide - 2 * free);
      y += size * 1.2;
    }
    y += size * 0.35;
  }
  return y + free;
}

/** The dots of a canvas, black where it is darker than the middle, packed eight to a byte. */
function packed(canvas: OffscreenCanvas): Strip {
  const { width, height } = canvas;
  const { data } = (canvas.getContext('2d') as OffscreenCanvasRenderingContext2D).getImageData(0, 0, width, height);
  const bytes = new Uint8Array((width / 8) * height);
  for (let i = 0; i < width * height; i++) {
    const light = 0.299 * (data[4 * i] ?? 0) + 0.587 * (data[4 * i + 1] ?? 0) + 0.114 * (data[4 * i + 2] ?? 0);
    if (light < 128) bytes[i >> 3] = (bytes[i >> 3] ?? 0) | (128 >> (i & 7));
  }
  return { rows: height, bits: btoa(String.fromCharCode(...bytes)) };
}

function white(width: number, height: number): [OffscreenCanvas, OffscreenCanvasRenderingContext2D] {
  const canvas = new OffscreenCanvas(width, height);
  const ctx = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
  ctx.fillStyle = '#ffffff';
  ctx.fillRect(0, 0, width, height);
  return [canvas, ctx];
}

/** A label as the strip of a label printer: a band runs along the paper, as long as it is; all else stands across it. */
export async function rasterOf(label: Label, picture?: ImageBitmap): Promise<Strip> {
  await document.fonts.ready;
  if (label.kind !== 'band') {
    const [, sketch] = white(stripDots, stripRows);
    const tall = Math.min(stripRows, Math.ceil(write(sketch, label.lines, stripDots, picture)));
    const [canvas, ctx] = white(stripDots, tall);
    write(ctx, label.lines, stripDots, picture);
    return packed(canvas);
  }
  const long = Math.min(stripRows, Math.round(label.width * dotsPerMm));
  const [canvas, ctx] = white(stripDots, long);
  const [, sketch] = white(long, stripDots);
  const tall = write(sketch, label.lines, long, picture);
  // What is too much for the width of the paper is made smaller.
  const scale = Math.min(1, stripDots / tall);
  ctx.translate(stripDots, 0);
  ctx.rotate(Math.PI / 2);
  ctx.translate((long - long * scale) / 2, (stripDots - tall * scale) / 2);
  ctx.scale(scale, scale);
  write(ctx, label.lines, long, picture);
  return packed(canvas);
}

/** A strip as a picture. */
export function pictureOf({ rows, bits }: Strip): ImageData {
  const bytes = Uint8Array.from(atob(bits), (sign) => sign.charCodeAt(0));
  const picture = new ImageData(stripDots, rows);
  for (let i = 0; i < stripDots * rows; i++) {
    const dark = ((bytes[i >> 3] ?? 0) >> (7 - (i & 7))) & 1;
    picture.data.fill(dark ? 0 : 255, 4 * i, 4 * i + 3);
    picture.data[4 * i + 3] = 255;
  }
  return picture;
}
