import type { LengthUnit } from '@puntada/core/craft';

/** Over how much a gauge is told, and what that is of 10 cm. */
export function gaugeSpan(units: LengthUnit): { readonly words: string; readonly of10cm: number } {
  return units === 'cm' ? { words: '10 cm', of10cm: 1 } : { words: '4 in', of10cm: 1.016 };
}
