import { yarnDiameter } from '../gauge/diameter.ts';
import type { Fibre, FibrePart } from '../gauge/fibres.ts';
import { typicalMetres, type WeightClass } from '../gauge/typical.ts';

/** One colour of a work: what the label says, as far as there is one. */
export interface Yarn {
  readonly letter: string;
  readonly name: string;
  /** `#rrggbb`, as the yarn looks. */
  readonly shade: string;
  readonly weight: WeightClass;
  readonly fibre: Fibre;
  readonly blend?: readonly FibrePart[] | undefined;
  readonly ballMetres?: number | undefined;
  readonly ballGrams?: number | undefined;
  /** In the drawer: whole balls, and what is left of one begun, g. */
  readonly balls?: number | undefined;
  readonly partGrams?: number | undefined;
}

/** What the yarn is taken for, in numbers. */
export interface YarnFigures {
  /** mm */
  readonly diameter: number;
  readonly metresPerGram: number;
  /** Relative sd of metres per gram. */
  readonly meterageError: number;
  /** Whether metres per gram are the label's or the weight class's. */
  readonly meterageFrom: 'label' | 'typical';
}

/** Metres per gram and diameter from the label, or from the weight class where the label is lost. */
export function yarnFigures(yarn: Yarn): YarnFigures {
  const { ballMetres, ballGrams } = yarn;
  if (ballMetres !== undefined && ballGrams !== undefined) {
    const metresPerGram = ballMetres / ballGrams;
    const diameter = yarnDiameter(yarn.fibre, yarn.weight, metresPerGram * 100);
    return { diameter, metresPerGram, meterageError: 0.03, meterageFrom: 'label' };
  }
  const { usual, least, most } = typicalMetres(yarn.fibre, yarn.weight);
  return {
    diameter: yarnDiameter(yarn.fibre, yarn.weight, undefined),
    metresPerGram: usual / 100,
    meterageError: Math.log(most / least) / (2 * 1.6449),
    meterageFrom: 'typical',
  };
}
