import { partsSaid } from '@puntada/core/words';
import { usePreferences } from '../api/api.ts';

/** To a maker who measures in inches: why a weight is asked for in grams, like a hook in millimetres. */
export function ReadInGrams() {
  const { units } = usePreferences();
  return units === 'cm' ? null : <p className="max-w-[60ch] text-[14px] text-soft">{partsSaid.scalesReadGrams}</p>;
}
