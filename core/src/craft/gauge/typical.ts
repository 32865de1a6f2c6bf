import { type Fibre, fibreFacts, type TabledFibre } from './fibres.ts';

/**
 * Columns of the typical table. Linen counts stitch and chain each as one; granny counts clusters; block counts both
 * ways.
 */
export type TabledGauge = 'sc' | 'hdc' | 'dc' | 'houndstooth' | 'sc and ch' | 'sc back loops' | 'clusters' | 'block';

/** Stitches that the table lacks are derived from those that it has, and said to be. */
export type GaugeKey = TabledGauge | 'hdc between posts' | 'stepped sc, dc' | 'sunk dc';

/** Yarn weight classes, 0 lace to 7 jumbo. */
export const weightClasses = [0, 1, 2, 3, 4, 5, 6, 7] as const;
export type WeightClass = (typeof weightClasses)[number];

/** Metres in 100 g: usual, and the range in which yarns of the class lie. */
export interface MetresPer100g {
  readonly usual: number;
  readonly least: number;
  readonly most: number;
}

interface TypicalYarn {
  /** Effective yarn diameter in the fabric, mm. */
  readonly diameter: number;
  readonly metres: Readonly<Record<TabledFibre, MetresPer100g>>;
  /** Usual hook, mm. */
  readonly hook: number;
  /** Stitches × rows in 100 mm, without strands carried inside. */
  readonly per100mm: Readonly<Record<TabledGauge, readonly [number, number]>>;
}

function metres(usual: number, least: number, most: number): MetresPer100g {
  return { usual, least, most };
}

/**
 * Typical values by weight class (docs/craft.md, “Typical gauge”): to be used only until a gauge is measured. The two
 * ends, lace and jumbo, go on from their neighbours: stitch width against yarn diameter falls and rises as it does there.
 */
export const typicalYarns: Readonly<Record<WeightClass, TypicalYarn>> = {
  0: {
    diameter: 1.05,
    metres: { cotton: metres(600, 480, 750), acrylic: metres(700, 580, 850), wool: metres(720, 600, 900) },
    hook: 2.25,
    per100mm: {
      sc: [32, 36.5],
      hdc: [31, 24.5],
      dc: [30.5, 16.5],
      houndstooth: [31, 22.5],
      'sc and ch': [34.5, 36.5],
      'sc back loops': [32, 33],
      clusters: [10, 18],
      block: [10, 10],
    },
  },
  1: {
    diameter: 1.4,
    metres: { cotton: metres(360, 320, 420), acrylic: metres(400, 350, 450), wool: metres(410, 370, 450) },
    hook: 3,
    per100mm: {
      sc: [24, 27.5],
      hdc: [23, 18.5],
      dc: [23, 12.5],
      houndstooth: [23, 17],
      'sc and ch': [26, 27.5],
      'sc back loops': [24, 25],
      clusters: [7.5, 13.5],
      block: [7.5, 7.5],
    },
  },
  2: {
    diameter: 1.6,
    metres: { cotton: metres(285, 250, 320), acrylic: metres(320, 290, 350), wool: metres(310, 280, 350) },
    hook: 3.5,
    per100mm: {
      sc: [20, 23],
      hdc: [19.5, 15.5],
      dc: [19, 10.5],
      houndstooth: [19.5, 14.5],
      'sc and ch': [21.5, 23],
      'sc back loops': [20, 21],
      clusters: [6.5, 11.5],
      block: [6.5, 6.5],
    },
  },
  3: {
    diameter: 1.8,
    metres: { cotton: metres(230, 205, 250), acrylic: metres(270, 240, 300), wool: metres(235, 215, 270) },
    hook: 4,
    per100mm: {
      sc: [17, 19.5],
      hdc: [16.5, 13],
      dc: [16, 9],
      houndstooth: [16.5, 12],
      'sc and ch': [18, 19.5],
      'sc back loops': [17, 17.5],
      clusters: [5.5, 9.5],
      block: [5.5, 5.5],
    },
  },
  4: {
    diameter: 2,
    metres: { cotton: metres(180, 155, 205), acrylic: metres(195, 165, 220), wool: metres(190, 160, 215) },
    hook: 5,
    per100mm: {
      sc: [14, 16],
      hdc: [13.5, 11],
      dc: [13.5, 7.5],
      houndstooth: [13.5, 10],
      'sc and ch': [15, 16],
      'sc back loops': [14, 14.5],
      clusters: [4.5, 8],
      block: [4.5, 4.5],
    },
  },
  5: {
    diameter: 2.55,
    metres: { cotton: metres(115, 95, 140), acrylic: metres(130, 105, 155), wool: metres(120, 100, 145) },
    hook: 6.5,
    per100mm: {
      sc: [11, 12.5],
      hdc: [10.5, 8.5],
      dc: [10.5, 6],
      houndstooth: [10.5, 7.5],
      'sc and ch': [11.5, 12.5],
      'sc back loops': [11, 11.5],
      clusters: [3.5, 6],
      block: [3.5, 3.5],
    },
  },
  6: {
    diameter: 3.3,
    metres: { cotton: metres(70, 50, 90), acrylic: metres(80, 55, 95), wool: metres(70, 45, 90) },
    hook: 10,
    per100mm: {
      sc: [8, 9],
      hdc: [7.5, 6],
      dc: [7.5, 4.25],
      houndstooth: [7.5, 5.5],
      'sc and ch': [8.5, 9],
      'sc back loops': [8, 8.25],
      clusters: [2.5, 4.5],
      block: [2.5, 2.5],
    },
  },
  7: {
    diameter: 5,
    metres: { cotton: metres(28, 18, 40), acrylic: metres(34, 22, 48), wool: metres(32, 20, 45) },
    hook: 15,
    per100mm: {
      sc: [5.25, 6],
      hdc: [5, 4],
      dc: [5, 2.8],
      houndstooth: [5, 3.6],
      'sc and ch': [5.5, 6],
      'sc back loops': [5.25, 5.4],
      clusters: [1.65, 3],
      block: [1.65, 1.65],
    },
  },
};

/** Metres in 100 g of a fibre: those of the tabled one that is as dense. */
export function typicalMetres(fibre: Fibre, weight: WeightClass): MetresPer100g {
  return typicalYarns[weight].metres[fibreFacts[fibre].like];
}

/** Height of a dc's row that a row adds where two rows stand in each other. */
const sunkRow = 0.55;
/** Height of an hdc between posts against an hdc. */
const betweenPosts = 0.92;

/**
 * Stitches × rows in 100 mm, from the table or derived: wide hdc is an hdc sunk between posts, step check the mean of
 * sc and dc in height, chain-space check and mesh dc whose rows stand in each other.
 */
export function typicalPer100(key: GaugeKey, weight: WeightClass): readonly [number, number] {
  const { per100mm } = typicalYarns[weight];
  const [hdcStitches, hdcRows] = per100mm.hdc;
  const [scStitches, scRows] = per100mm.sc;
  const [dcStitches, dcRows] = per100mm.dc;
  if (key === 'hdc between posts') return [hdcStitches, hdcRows / betweenPosts];
  if (key === 'sunk dc') return [dcStitches, dcRows / sunkRow];
  if (key !== 'stepped sc, dc') return per100mm[key];
  return [(scStitches + dcStitches) / 2, 2 / (1 / scRows + 1 / dcRows)];
}

/** Whether a column is derived from others. */
export function isDerived(key: GaugeKey): boolean {
  return key === 'hdc between posts' || key === 'stepped sc, dc' || key === 'sunk dc';
}
