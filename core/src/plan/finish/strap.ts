export type StrapKind = 'slip stitch' | 'sc over strand' | 'sc along' | 'sc across' | 'hdc' | 'dc';

/** Stretch under a great load, each ± 40 %. */
const stretches: Readonly<Record<StrapKind, number>> = {
  'slip stitch': 0.08,
  'sc over strand': 0.08,
  'sc along': 0.16,
  'sc across': 0.22,
  hdc: 0.24,
  dc: 0.3,
};
const worstedLoad = 0.5;
const worstedDiameter = 2;

/** Relative stretch of a strap under load. @param load N @param width of the strap @param diameter of the yarn, mm */
export function strapStretch(kind: StrapKind, load: number, width: number, diameter = worstedDiameter): number {
  const half = (worstedLoad * diameter) / worstedDiameter;
  return stretches[kind] * (1 - Math.exp(-load / width / half));
}

/** Sewing, knotting or folding over at the two ends of a strap, mm. */
export const strapJoining = 100;

/** Length of a loaded strap, its joining included, mm. @param drop from the shoulder or hand to the top of the bag, mm */
export function strapWanted(drop: number): number {
  return 2 * drop + strapJoining;
}

/** A load that a bag usually bears, N: some 3 kg. */
const usualLoad = 30;

/** Length to make of a strap that is worked in short rows across itself, for a drop, mm. @param width mm */
export function strapAcross(drop: number, width: number): number {
  return strapToMake(strapWanted(drop), strapStretch('sc across', usualLoad, width));
}

/** Length to make for the length wanted under load, in the unit given. */
export function strapToMake(wanted: number, stretch: number): number {
  return wanted / (1 + stretch);
}
