import type { CautionCode } from '../../plan/items/caution.ts';

/** What the maker is warned of: short, with the reason. Local rules and professionals come first. */
export const cautionWords: Readonly<Record<CautionCode, string>> = {
  'potholder-dry':
    'Keep it thick and dry: a wet or thin pad burns. Hang the ring away from flame, and test it before use.',
  'cosy-is-no-potholder':
    'A single-layer cosy keeps warm but does not protect from heat: lift a hot pot with a potholder.',
  'cosy-melts': 'Acrylic and other yarns that melt must not touch a hot pot or a stove.',
  'dishcloth-near-heat': 'A dishcloth does not protect from heat: use a potholder.',
  'small-fingers': 'No long floats, open loops, loose fringe or buttons: small fingers and mouths find them.',
  'blanket-and-baby':
    'No loose blanket with a sleeping baby in the first year: for play or the pram, under watch. Follow the safe-sleep advice of health authorities.',
  'strap-and-child': 'Straps and cords can strangle: keep them short and follow local rules.',
  'strap-bears-load':
    'The strap and its stitches carry the load: test it, keep eyelets smaller than the knot, line it for small things.',
  'dye-bleeds': 'Test the dark colour for bleeding before it meets the light one.',
  'labels-for-sale': 'For sale, fibre, care and child-product labels and tests follow local law.',
};
