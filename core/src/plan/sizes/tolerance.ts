import type { WidthOffer } from '../fit/across.ts';
import type { HeightOffer } from '../fit/up.ts';
import type { Prepared } from '../wish/prepare.ts';

/** A hair, mm: sizes are told in millimetres, and a size that is just as far off as allowed is allowed. */
const hair = 1e-6;

/**
 * The sides of a size that are further off the wish than its maker allows. A side that was wished as a count has no
 * length to be off; of a typical gauge its middle is judged. docs/craft.md, “How far off the wish”.
 */
export function sidesOff(
  { tolerance, width, height }: Pick<Prepared, 'tolerance' | 'width' | 'height'>,
  size: { readonly width: Pick<WidthOffer, 'difference'>; readonly height: Pick<HeightOffer, 'difference'> },
): ('width' | 'height')[] {
  if (tolerance === undefined) return [];
  const off = ({ difference }: { readonly difference: number }) => Math.abs(difference) > tolerance + hair;
  return [
    ...(width.by === 'length' && off(size.width) ? (['width'] as const) : []),
    ...(height.by === 'length' && off(size.height) ? (['height'] as const) : []),
  ];
}
