import { lab, lightOf } from '../shades/colour.ts';
import { techniqueNamed } from '../techniques/register.ts';
import type { Drawing, Mark } from './drawing.ts';

/** A picture of one dot a cell, its lines from the top: red, green, blue and cover, 0 to 255 each. */
export interface Dots {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** How much is smoothed: nothing, lone stitches, thin runs as well, or all but large shapes. */
export const smoothings = ['none', 'lone stitches', 'thin runs', 'strong'] as const;
export type Smoothing = (typeof smoothings)[number];

type Lab = readonly [number, number, number];

/** Every dot in lightness and two axes of hue; what is see-through lies on white. */
function labsOf({ width, height, data }: Dots): Lab[] {
  return Array.from({ length: width * height }, (_, i) => {
    const cover = (data[4 * i + 3] as number) / 255;
    const part = (n: number) => {
      const value = ((data[4 * i + n] as number) * cover + 255 * (1 - cover)) / 255;
      return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
    };
    return lab([part(0), part(1), part(2)]);
  });
}

function apart(a: Lab, b: Lab): number {
  return (a[0] - b[0]) ** 2 + (a[1] - b[1]) ** 2 + (a[2] - b[2]) ** 2;
}

function nearest(one: Lab, of: readonly Lab[]): number {
  let best = 0;
  for (let i = 1; i < of.length; i++) if (apart(one, of[i] as Lab) < apart(one, of[best] as Lab)) best = i;
  return best;
}

/** Numbers from 0 to 1 that are the same for the same seed (Mulberry32). */
function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** The middles of so many groups of alike dots, found from far apart ones on; the lightest first. */
function clustered(dots: readonly Lab[], count: number, seed: number): Lab[] {
  const random = seeded(seed);
  const middles: Lab[] = [dots[Math.floor(random() * dots.length)] as Lab];
  while (middles.length < count) {
    const far = dots.map((dot) => Math.min(...middles.map((middle) => apart(dot, middle))));
    const all = far.reduce((sum, each) => sum + each, 0);
    let left = random() * all;
    const next = far.findIndex((each) => {
      left -= each;
      return left <= 0 && each > 0;
    });
    middles.push(dots[next < 0 ? dots.length - 1 : next] as Lab);
  }
  let now = middles;
  for (let round = 0; round < 12; round++) {
    const sums = now.map(() => [0, 0, 0, 0]);
    for (const dot of dots) {
      const sum = sums[nearest(dot, now)] as number[];
      for (let n = 0; n < 3; n++) sum[n] = (sum[n] as number) + (dot[n] as number);
      sum[3] = (sum[3] as number) + 1;
    }
    now = sums.map((sum, i) => {
      const [l = 0, a = 0, b = 0, n = 0] = sum;
      return n ? [l / n, a / n, b / n] : (now[i] as Lab);
    });
  }
  return now.sort((a, b) => b[0] - a[0]);
}

/** Which of so many colours each dot is, by its group; colours are in order of lightness. */
function byGroups(dots: readonly Lab[], count: number, seed: number): number[] {
  const middles = clustered(dots, count, seed);
  return dots.map((dot) => nearest(dot, middles));
}

/** A cell in the colour that most of those around it have, where it stands alone in the way that is smoothed. */
function smoothed(cells: readonly number[], width: number, height: number, how: Smoothing): number[] {
  const rounds = { none: 0, 'lone stitches': 1, 'thin runs': 2, strong: 4 }[how];
  let now = [...cells];
  for (let round = 0; round < rounds; round++) {
    const at = (x: number, y: number) => (x < 0 || y < 0 || x >= width || y >= height ? undefined : now[y * width + x]);
    now = now.map((own, i) => {
      const [x, y] = [i % width, Math.floor(i / width)];
      const sides = [at(x - 1, y), at(x + 1, y), at(x, y - 1), at(x, y + 1)];
      const alone = !sides.includes(own);
      const thin = how !== 'lone stitches' && at(x - 1, y) !== own && at(x + 1, y) !== own;
      const around: (number | undefined)[] = [];
      for (let dy = -1; dy <= 1; dy++) for (let dx = -1; dx <= 1; dx++) around.push(at(x + dx, y + dy));
      const counts = new Map<number, number>();
      for (const each of around) if (each !== undefined) counts.set(each, (counts.get(each) ?? 0) + 1);
      const [most = own, votes = 0] = [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0] ?? [];
      if (alone || thin) return most;
      return how === 'strong' && votes >= 6 ? most : own;
    });
  }
  return now;
}

export interface PictureRequest {
  readonly dots: Dots;
  /** The shades of the yarns, in the order of their letters. */
  readonly shades: readonly string[];
  /** `nearest`: each dot takes the yarn it looks most like. `groups`: alike dots go together, the lightest to A. */
  readonly match: 'nearest' | 'groups';
  readonly smoothing: Smoothing;
  readonly seed: number;
  /** Whether the first cell of a row is at the right. */
  readonly rightHanded: boolean;
}

/**
 * The numbers of the yarns that a picture comes to, the first worked row first and its cells from where row 1 begins.
 * The same picture with the same seed is the same.
 */
export function coloursOfPicture(request: PictureRequest): number[][] {
  const { dots, shades, match, smoothing, seed, rightHanded } = request;
  const { width, height } = dots;
  const seen = labsOf(dots);
  const yarns = shades.map((shade) => lab(lightOf(shade)));
  const chosen = match === 'nearest' ? seen.map((dot) => nearest(dot, yarns)) : byGroups(seen, shades.length, seed);
  const cells = smoothed(chosen, width, height, smoothing);
  return Array.from({ length: height }, (_, row) => {
    const line = cells.slice((height - 1 - row) * width, (height - row) * width);
    return rightHanded ? line.reverse() : line;
  });
}

/** Whether a picture can be made in a technique. */
export function takesPictures({ technique }: Pick<Drawing, 'technique'>): boolean {
  const known = techniqueNamed(technique);
  return known !== undefined && !known.circle && (known.marks === undefined || known.pictured !== undefined);
}

/** A drawing of these colours, as far as its technique can show them. @param colours numbers of yarns, row by row */
export function pictured(drawing: Drawing, colours: readonly (readonly number[])[]): Drawing {
  const known = techniqueNamed(drawing.technique);
  const letters = drawing.colours;
  const wanted = colours.map((row) => row.map((each) => letters[each] ?? 'A'));
  const marks: readonly (readonly Mark[])[] = known?.pictured?.(wanted) ?? wanted;
  const like = drawing.rows.filter(({ role }) => role === 'row');
  const rows = marks.map((row, i) => ({
    role: 'row' as const,
    // Where rows have colours of their own they go on taking turns.
    ...(like[i % like.length]?.colour ? { colour: like[i % like.length]?.colour } : {}),
    marks: row,
  }));
  return { ...drawing, before: 0, unit: Math.min(...rows.map((row) => row.marks.length)), rows };
}

/** Rows of a picture so many cells wide that keep its shape. @param proportion width of a cell against its height */
export function rowsForPicture(width: number, height: number, cells: number, proportion: number): number {
  return Math.max(1, Math.round((height / width) * cells * proportion));
}
