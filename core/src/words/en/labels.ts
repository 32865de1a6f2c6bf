import type { LabelKind } from '../../records/label.ts';

/** How a finished piece is washed, in words; no sign of anybody’s stands for them. */
export const washWords = {
  'cotton-hot': 'Machine wash warm or hot. Dry flat or tumble dry; it may shrink a little at first.',
  acrylic: 'Machine wash cool or warm. Dry flat.',
  'wool-blocked': 'Wash by hand in cool water, without rubbing. Press the water out, dry flat.',
  'superwash-tumbled': 'Machine wash cool, on a wool cycle. Tumble dry low, or dry flat.',
  'as-yarn': 'Wash as the labels of its yarns say, the gentlest of them.',
  melts: 'Do not iron: it melts.',
} as const;

/** What each kind of label is called. */
export const labelNames: Readonly<Record<LabelKind, string>> = {
  band: 'Band',
  tag: 'Hang tag',
  care: 'Care label',
  price: 'Price',
  list: 'List of the set',
};
