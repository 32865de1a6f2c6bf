import type { WishInput } from '@puntada/core';

/** One work of the demo and how far it has come. */
export interface DemoWork {
  readonly wish: WishInput;
  /** Rows worked; nothing for a work that is only wished for. */
  readonly rowsWorked?: number;
  /** Runs worked in the row in hand. */
  readonly runsWorked?: number;
}

const oat = {
  letter: 'A',
  name: 'Oat',
  shade: '#e9dfc4',
  weight: 4,
  fibre: 'cotton',
  ballMetres: 85,
  ballGrams: 50,
} as const;
const ferryBlue = {
  letter: 'B',
  name: 'Ferry blue',
  shade: '#24476b',
  weight: 4,
  fibre: 'cotton',
  ballMetres: 85,
  ballGrams: 50,
} as const;

/**
 * The ferry-house on Skarvholm, an island that is on no chart: volunteers fit it out before the season opens.
 * Every name and yarn is invented.
 */
export const scenario: readonly DemoWork[] = [
  {
    wish: {
      title: 'Bread bag, front panel',
      item: 'bag panel',
      width: { by: 'length', length: '34 cm' },
      height: { by: 'length', length: '38 cm' },
      pattern: { key: 'block-check', stitch: 'hdc', numbers: { b: 5, r: 4 } },
      foundation: 'hdc-3rd-counted',
      gauge: { from: 'counted', stitches: { count: 14.5, over: '10 cm' }, rows: { count: 11.5, over: '10 cm' } },
      yarns: [
        { letter: 'A', name: 'Rope', shade: '#d9c19a', weight: 4, fibre: 'cotton', ballMetres: 92, ballGrams: 50 },
        { letter: 'B', name: 'Buoy red', shade: '#a8352c', weight: 4, fibre: 'cotton', ballMetres: 92, ballGrams: 50 },
      ],
      policy: 'carry-always',
    },
  },
  {
    wish: {
      title: 'Bunk blanket for the upper room by the harbour window',
      item: 'blanket',
      width: { by: 'length', length: '100 cm' },
      height: { by: 'length', length: '150 cm' },
      pattern: { key: 'houndstooth' },
      gauge: { from: 'typical' },
      yarns: [
        { letter: 'A', name: 'Foam', shade: '#e4e6e0', weight: 5, fibre: 'wool', ballMetres: 120, ballGrams: 100 },
        { letter: 'B', name: 'Wet slate', shade: '#3d4a4f', weight: 5, fibre: 'wool', ballMetres: 120, ballGrams: 100 },
      ],
      policy: 'carry-always',
    },
    rowsWorked: 31,
  },
  {
    wish: {
      title: 'Galley cloth',
      item: 'dishcloth',
      width: { by: 'length', length: '24 cm' },
      height: { by: 'length', length: '24 cm' },
      pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
      gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
      yarns: [oat, ferryBlue],
      policy: 'carry-always',
    },
    rowsWorked: 20,
    runsWorked: 3,
  },
  {
    wish: {
      title: 'Spare galley cloth',
      item: 'dishcloth',
      width: { by: 'length', length: '24 cm' },
      height: { by: 'length', length: '24 cm' },
      pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 3, r: 3 } },
      gauge: { from: 'typical' },
      yarns: [
        { letter: 'A', name: 'Lamplight', shade: '#f0cf74', weight: 4, fibre: 'cotton' },
        { letter: 'B', name: 'Kelp', shade: '#2f5a45', weight: 4, fibre: 'cotton' },
      ],
    },
  },
];
