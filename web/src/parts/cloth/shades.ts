import { lightOf, luminance } from '@puntada/core/craft';

/** Shades of one yarn: how it looks where light falls on it, in its body, and in its hollows. */
export interface Shades {
  readonly light: string;
  readonly body: string;
  readonly dark: string;
  readonly hollow: string;
}

export type Rgb = readonly [number, number, number];

export function readShade(hex: string): Rgb {
  const n = Number.parseInt(hex.slice(1), 16);
  return [(n >> 16) & 255, (n >> 8) & 255, n & 255];
}

function mix(a: Rgb, b: Rgb, part: number): string {
  const [r, g, bl] = a.map((value, i) => Math.round(value + ((b[i] as number) - value) * part));
  return `rgb(${r} ${g} ${bl})`;
}

/** Contrast of two shades, 1 to 21. */
export function contrast(a: string, b: string): number {
  const [high, low] = [luminance(lightOf(a)), luminance(lightOf(b))].sort((x, y) => y - x) as [number, number];
  return (high + 0.05) / (low + 0.05);
}

const inks = new Map<string, Ink>();
const inksToTry = ['#2b1b30', '#fbfcfa', '#000000', '#ffffff'] as const;
type Ink = (typeof inksToTry)[number];

/** What small letters need to be read, WCAG 2. */
const readable = 4.5;

/** Ink or paper, whichever reads better on a shade; black or white on the few middle shades where neither reads well. Remembered: a chart asks for every cell. */
export function onShade(hex: string): Ink {
  const known = inks.get(hex);
  if (known) return known;
  const better = (inks: readonly Ink[]) => inks.reduce((a, b) => (contrast(hex, b) > contrast(hex, a) ? b : a));
  const usual = better(inksToTry.slice(0, 2));
  const ink = contrast(hex, usual) >= readable ? usual : better(inksToTry);
  inks.set(hex, ink);
  return ink;
}

export function shadesOf(hex: string): Shades {
  const yarn = readShade(hex);
  const deep = luminance(lightOf(hex)) < 0.12;
  return {
    light: mix(yarn, [255, 255, 255], deep ? 0.24 : 0.5),
    body: mix(yarn, [255, 255, 255], deep ? 0.08 : 0.12),
    dark: mix(yarn, [24, 12, 20], deep ? 0.34 : 0.24),
    hollow: mix(yarn, [24, 12, 20], deep ? 0.52 : 0.42),
  };
}
