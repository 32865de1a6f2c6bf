import type { WishInput } from '@puntada/core/records';
import { buoyRed, ferryBlue, foam, kelp, lamplight, oat, rope, wetSlate, wetSlateCotton } from './yarns.ts';

/** One work of the demo and how far it has come. */
export interface DemoWork {
  readonly wish: WishInput;
  /** Rows worked behind the chain, steps and further cloths among them; nothing for a work that is only wished for. */
  readonly rowsWorked?: number;
  /** Runs worked in the row in hand. */
  readonly runsWorked?: number;
  /** What was weighed, measured and noted, without id and time; its rows are those of the first cloth. */
  readonly log?: readonly {
    readonly kind: string;
    readonly row?: number;
    readonly position?: { readonly rows: number; readonly runs: number };
    readonly [told: string]: unknown;
  }[];
  /** All rows worked, and marked finished. */
  readonly finished?: boolean;
  /** Minutes that a row of it takes this maker; four unless said. */
  readonly rowMinutes?: number;
  /** Days from today on which it is due. */
  readonly dueIn?: number;
  /** Title of the swatch it goes by. */
  readonly swatch?: string;
  /** Its yarns are taken out of the drawer, by their names. */
  readonly fromDrawer?: boolean;
}

/** A ball on the scale after so many rows, g. */
function weighing(letter: string, before: number, after: number, rows: number) {
  const position = { rows, runs: 0 };
  return { kind: 'weigh', letter, ball: 1, before, beforeIsLabel: true, after, scale: 1, position };
}

/** One colourway of the cloths for the fair on the quay: all share the oat, of which two balls are set aside. */
function fairCloths(
  yarn: typeof kelp | typeof ferryBlue | typeof buoyRed,
  pieces: number,
  own: object = {},
): WishInput {
  return {
    title: `Cloths for the fair: ${yarn.name}`,
    item: 'dishcloth',
    width: { by: 'length', length: '24 cm' },
    height: { by: 'length', length: '24 cm' },
    pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
    gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
    ending: 'whole',
    yarns: [{ ...oat, ...own }, yarn],
    pieces,
    set: { id: 'f41c0000-0000-4000-8000-0000000000fa', title: 'Cloths for the fair' },
  };
}

/** What is told of one of a set. */
function itemTold(item: number, whom: string, more: object = {}) {
  return { kind: 'item', item, whom, ...more };
}

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
        { ...foam, balls: 5 },
        { ...wetSlate, balls: 7 },
      ],
      policy: 'carry-always',
    },
    rowsWorked: 31,
    rowMinutes: 8,
    dueIn: 10,
    log: [weighing('A', 100, 0, 19), { ...weighing('A', 100, 42, 31), ball: 2 }],
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
    log: [
      { kind: 'note', row: 8, text: 'Row 5 taken out once: a block of B was one short.' },
      { kind: 'measure', width: '21.6 cm', position: { rows: 12, runs: 0 } },
      weighing('A', 50, 36, 20),
      weighing('B', 50, 38, 20),
    ],
  },
  {
    wish: {
      title: 'First galley cloth, for the hook by the stove',
      item: 'dishcloth',
      width: { by: 'stitches', count: 36 },
      height: { by: 'rows', count: 44 },
      pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
      gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
      yarns: [oat, kelp],
      policy: 'carry-always',
    },
    rowsWorked: 44,
    finished: true,
    log: [
      weighing('A', 50, 24, 44),
      {
        kind: 'end',
        width: '22 cm',
        height: '24.5 cm',
        grams: 51,
        next: 'Half a millimetre up: it came out firmer than the swatch.',
      },
    ],
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
  {
    wish: {
      title: 'Tea towel for the scullery',
      item: 'dishcloth',
      width: { by: 'length', length: '30 cm' },
      height: { by: 'length', length: '40 cm' },
      pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
      gauge: { from: 'typical' },
      yarns: [
        { ...oat, balls: 2 },
        { ...ferryBlue, balls: 2 },
      ],
      policy: 'carry-always',
      wash: 'cotton-hot',
    },
    swatch: 'Galley check, 5 mm',
    fromDrawer: true,
  },
  {
    wish: {
      title: 'Potholder for the range',
      item: 'potholder',
      width: { by: 'length', length: '20 cm' },
      height: { by: 'length', length: '20 cm' },
      pattern: { key: 'sea-chest', stitch: 'sc', numbers: { b: 5 } },
      edges: 'whole',
      ending: 'whole',
      gauge: { from: 'counted', stitches: { count: 17, over: '10 cm' }, rows: { count: 19, over: '10 cm' } },
      yarns: [oat, ferryBlue],
      finish: { ring: '6 cm', seam: 'slip stitch' },
      policy: 'carry-always',
    },
    rowsWorked: 11,
    dueIn: 9,
  },
  {
    wish: {
      title: 'Round mat inside the door',
      item: 'round mat',
      width: { by: 'length', length: '46 cm' },
      height: { by: 'length', length: '46 cm' },
      pattern: { key: 'windlass', numbers: { n: 12 } },
      edges: 'whole',
      ending: 'any',
      gauge: { from: 'counted', stitches: { count: 14, over: '10 cm' }, rows: { count: 7.7, over: '10 cm' } },
      yarns: [rope, buoyRed],
    },
  },
  {
    wish: {
      title: 'Bunk blanket for the lower room',
      item: 'blanket',
      width: { by: 'length', length: '100 cm' },
      height: { by: 'length', length: '150 cm' },
      pattern: { key: 'anchor-diamonds' },
      ending: 'as-begun',
      gauge: { from: 'typical' },
      yarns: [foam, wetSlate],
      border: { rounds: 3, colour: 'B' },
      wash: 'wool-blocked',
    },
    rowsWorked: 18,
  },
  {
    wish: {
      title: 'Mail bag, two panels and a strap',
      item: 'bag',
      width: { by: 'length', length: '34 cm' },
      height: { by: 'length', length: '38 cm' },
      pattern: { key: 'long-steps', numbers: { p: 2, q: 5 } },
      gauge: { from: 'counted', stitches: { count: 15, over: '10 cm' }, rows: { count: 12, over: '10 cm' } },
      yarns: [
        { ...rope, balls: 4 },
        { ...buoyRed, balls: 3, partGrams: 22 },
      ],
      pieces: 2,
      finish: { seam: 'sc', strap: { drop: '30 cm', width: '4 cm', kind: 'sc along', load: 40 } },
    },
    fromDrawer: true,
  },
  {
    wish: {
      title: 'Throw for the chart room',
      item: 'blanket',
      width: { by: 'length', length: '100 cm' },
      height: { by: 'length', length: '125 cm' },
      pattern: { key: 'storm-lantern' },
      edges: 'whole',
      ending: 'whole',
      gauge: { from: 'typical' },
      yarns: [{ ...wetSlate, letter: 'A' }, { ...foam, letter: 'B' }, lamplight],
      border: { rounds: 2, colour: 'A' },
    },
    rowsWorked: 24,
  },
  {
    wish: {
      title: 'Tide throw with an envelope border',
      item: 'blanket',
      width: { by: 'length', length: '90 cm' },
      height: { by: 'length', length: '110 cm' },
      pattern: { key: 'tide-marks' },
      ending: 'whole',
      gauge: { from: 'counted', stitches: { count: 17, over: '10 cm' }, rows: { count: 17.5, over: '10 cm' } },
      yarns: [
        { ...foam, weight: 3 },
        { ...ferryBlue, weight: 3, fibre: 'wool', ballMetres: 235, ballGrams: 100 },
      ],
      border: { rounds: 3, colour: 'B', envelope: true },
    },
  },
  {
    wish: {
      title: 'Net screen for the stair window',
      item: 'mat',
      width: { by: 'length', length: '44 cm' },
      height: { by: 'length', length: '36 cm' },
      pattern: { key: 'two-nets' },
      ending: 'whole',
      gauge: { from: 'typical' },
      yarns: [oat, kelp],
    },
    rowsWorked: 6,
  },
  {
    wish: {
      title: 'Porthole runner for the long table',
      item: 'scarf',
      width: { by: 'length', length: '30 cm' },
      height: { by: 'length', length: '120 cm' },
      pattern: { key: 'portholes', numbers: { g: 4 } },
      ending: 'whole',
      gauge: { from: 'typical' },
      yarns: [oat, ferryBlue, { ...lamplight, fibre: 'cotton', weight: 4 }],
    },
  },
  {
    wish: {
      title: 'Twelve cloths for the opening day',
      item: 'dishcloth',
      width: { by: 'length', length: '23 cm' },
      height: { by: 'length', length: '23 cm' },
      pattern: { key: 'salt-spray' },
      ending: 'whole',
      gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
      yarns: [oat, kelp],
      pieces: 12,
    },
    dueIn: 58,
  },
  {
    wish: {
      title: 'Linen runner for the sideboard',
      item: 'scarf',
      width: { by: 'length', length: '24 cm' },
      height: { by: 'length', length: '90 cm' },
      pattern: { key: 'quay-linen' },
      gauge: { from: 'counted', stitches: { count: 17, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
      yarns: [oat, wetSlateCotton],
    },
    rowsWorked: 40,
  },
  {
    wish: {
      title: 'Bench cushion in three shades',
      item: 'cushion cover',
      width: { by: 'length', length: '38.4 cm' },
      height: { by: 'length', length: '38.4 cm' },
      pattern: { key: 'galley-gingham', numbers: { b: 5, r: 5 } },
      gauge: { from: 'typical' },
      yarns: [oat, { ...rope, letter: 'B' }, { ...ferryBlue, letter: 'C' }],
      pieces: 2,
      finish: { seam: 'slip stitch' },
    },
  },
  {
    wish: {
      title: 'Spire mat for the samovar',
      item: 'mat',
      width: { by: 'length', length: '42 cm' },
      height: { by: 'length', length: '30 cm' },
      pattern: { key: 'spires' },
      ending: 'whole',
      gauge: { from: 'typical' },
      yarns: [rope, { ...kelp, letter: 'B' }],
      border: { rounds: 3, pattern: { key: 'teeth', colour: 'B' } },
    },
  },
  {
    wish: {
      title: 'Cushion for the wheelhouse bench',
      item: 'cushion cover',
      width: { by: 'length', length: '40 cm' },
      height: { by: 'length', length: '40 cm' },
      pattern: { key: 'tide-marks', made: 'rounds' },
      gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 17, over: '10 cm' } },
      yarns: [oat, ferryBlue],
      finish: { seam: 'slip stitch' },
    },
    rowsWorked: 9,
  },
  {
    wish: {
      title: 'Houndstooth potholder for the bread oven',
      item: 'potholder',
      width: { by: 'length', length: '20 cm' },
      height: { by: 'length', length: '20 cm' },
      pattern: { key: 'houndstooth', made: 'turned-rounds' },
      gauge: { from: 'counted', stitches: { count: 14, over: '10 cm' }, rows: { count: 11, over: '10 cm' } },
      yarns: [oat, kelp],
      finish: { ring: '6 cm', seam: 'slip stitch' },
    },
  },
  {
    wish: {
      title: 'Basket for mooring pegs',
      item: 'basket',
      width: { by: 'length', length: '18 cm' },
      height: { by: 'length', length: '14 cm' },
      pattern: { key: 'block-check', made: 'rounds', numbers: { b: 4, r: 4 } },
      gauge: { from: 'counted', stitches: { count: 15, over: '10 cm' }, rows: { count: 16, over: '10 cm' } },
      yarns: [rope, buoyRed],
      policy: 'carry-always',
    },
    rowsWorked: 6,
  },
  {
    wish: {
      title: 'Cosy for the big teapot',
      item: 'cosy',
      width: { by: 'length', length: '48 cm' },
      height: { by: 'length', length: '16 cm' },
      pattern: { key: 'coil-linen' },
      gauge: { from: 'counted', stitches: { count: 17, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
      yarns: [
        oat,
        {
          ...kelp,
          fibre: 'linen',
          blend: [
            { fibre: 'linen', percent: 55 },
            { fibre: 'cotton', percent: 45 },
          ],
        },
      ],
    },
  },
  {
    wish: {
      title: 'Watch scarf out of five scraps',
      item: 'scarf',
      width: { by: 'length', length: '20 cm' },
      height: { by: 'length', length: '150 cm' },
      pattern: { key: 'houndstooth', order: 'A A | B A C A D A E A | A' },
      gauge: { from: 'typical' },
      yarns: [
        { ...wetSlate, letter: 'A' },
        { ...foam, letter: 'B', partGrams: 60 },
        { ...lamplight, letter: 'C', partGrams: 45 },
        { ...foam, letter: 'D', name: 'Buoy red', shade: '#a8352c', partGrams: 38 },
        { ...foam, letter: 'E', name: 'Kelp', shade: '#2f5a45', partGrams: 52 },
      ],
      policy: 'carry-always',
      weaving: 'hate',
    },
    log: [{ kind: 'note', row: 3, text: 'The red is the shortest scrap: weigh it before it comes again.' }],
  },
  {
    wish: {
      title: 'Lantern blanket in three shades',
      item: 'blanket',
      width: { by: 'length', length: '90 cm' },
      height: { by: 'length', length: '110 cm' },
      pattern: { key: 'lantern-diamonds' },
      gauge: { from: 'typical' },
      yarns: [foam, wetSlate, lamplight],
      border: { rounds: 2, colour: 'B' },
    },
  },
  {
    wish: {
      title: 'Strap for the bread bag',
      item: 'strap',
      width: { by: 'length', length: '4 cm' },
      height: { by: 'length', length: '88 cm' },
      pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 2, r: 4 } },
      edges: 'whole',
      gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
      yarns: [rope, buoyRed],
      policy: 'carry-always',
    },
    rowsWorked: 4,
  },
  {
    wish: fairCloths(ferryBlue, 2, { balls: 2 }),
    rowsWorked: 60,
    dueIn: 34,
    log: [itemTold(1, 'The quay café', { fate: 'sold', price: 14 }), itemTold(2, 'The quay café')],
  },
  { wish: fairCloths(kelp, 2), dueIn: 34, log: [itemTold(1, 'Stall on the quay')] },
  { wish: fairCloths(buoyRed, 1), dueIn: 34 },
];
