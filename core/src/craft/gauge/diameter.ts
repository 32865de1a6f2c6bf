import { type Fibre, fibreFacts } from './fibres.ts';
import { typicalYarns, type WeightClass } from './typical.ts';

/**
 * Effective yarn diameter in the fabric.
 * @param metresPer100g from the label, or undefined where there is none
 * @returns mm; docs/craft.md, “Yarn in one stitch”
 */
export function yarnDiameter(fibre: Fibre, weight: WeightClass, metresPer100g: number | undefined): number {
  if (metresPer100g === undefined) return typicalYarns[weight].diameter;
  return (fibreFacts[fibre].like === 'cotton' ? 25 : 28) / Math.sqrt(metresPer100g);
}
