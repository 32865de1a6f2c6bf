import type { ShadeReading } from '../../craft/shades/reading.ts';

const verdicts: Readonly<Record<ShadeReading['verdict'], string>> = {
  clear: 'this pattern will be easy to see, in grey too.',
  soft: 'this pattern will look soft: clear in the hand, blurred from across a room.',
  hardly: 'this pattern will hardly show. Choose a lighter A or a darker B.',
};

/** How two yarns read in a pattern. */
export function shadeWords({ lightness, verdict, small }: ShadeReading): string {
  const figures = small ? `Its figures are only ${small === 1 ? 'one stitch' : 'two stitches'} wide, so` : 'So';
  return `Lightness differs by ${Math.round(lightness)} of 100. ${figures} ${verdicts[verdict]}`;
}
