import { hexOf, type Light, lightOf } from './colour.ts';

/** Eyes that lack one of the three cones, and eyes that tell no hue at all. */
export const eyes = ['red-blind', 'green-blind', 'blue-blind', 'grey'] as const;
export type Eyes = (typeof eyes)[number];

/**
 * What is left of red, green and blue light, row by row; complete loss of one cone. After Machado, Oliveira and
 * Fernandes, 2009. Every row adds up to 1, so that white stays white.
 */
const sights: Readonly<Record<Exclude<Eyes, 'grey'>, readonly (readonly [number, number, number])[]>> = {
  'red-blind': [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  'green-blind': [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  'blue-blind': [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
};

/** The light that such eyes make of a shade. */
export function lightSeen(hex: string, by: Eyes): Light {
  const light = lightOf(hex);
  if (by === 'grey') {
    const y = 0.2126 * light[0] + 0.7152 * light[1] + 0.0722 * light[2];
    return [y, y, y];
  }
  const seen = sights[by].map((row) => row.reduce((sum, part, i) => sum + part * (light[i] as number), 0));
  return seen.map((part) => Math.min(1, Math.max(0, part))) as unknown as Light;
}

/** A shade as such eyes see it. */
export function shadeSeen(hex: string, by: Eyes): string {
  return hexOf(lightSeen(hex, by));
}
