import type { DrawerYarn, Swatch } from '@puntada/core/records';

type Given<T> = { readonly [K in keyof T]?: T[K] | undefined };

/** The yarns of the ferry-house, all invented. */
export const drawer: readonly (Given<DrawerYarn> & { readonly name: string })[] = [
  cotton({ name: 'Oat', shade: '#e9dfc4', lot: '17 B', balls: 6, parts: [31, 12.5], price: 3.2 }),
  cotton({ name: 'Ferry blue', shade: '#24476b', lot: '09', balls: 5, price: 3.2 }),
  cotton({ name: 'Kelp', shade: '#2f5a45', lot: '22', balls: 2, parts: [44], price: 3.2 }),
  cotton({ name: 'Rope', shade: '#d9c19a', lot: '31', balls: 4, ballMetres: 92, price: 3.4 }),
  cotton({ name: 'Buoy red', shade: '#a8352c', lot: '12', balls: 3, parts: [22], ballMetres: 92, price: 3.4 }),
  {
    line: 'Holm wool',
    name: 'Foam',
    shade: '#e4e6e0',
    lot: '4',
    weight: 5,
    fibre: 'wool',
    ballMetres: 120,
    ballGrams: 100,
    balls: 9,
    price: 7.8,
  },
  {
    line: 'Holm wool',
    name: 'Wet slate',
    shade: '#3d4a4f',
    lot: '4',
    weight: 5,
    fibre: 'wool',
    ballMetres: 120,
    ballGrams: 100,
    balls: 7,
    price: 7.8,
  },
  {
    line: 'From the attic, no label',
    name: 'Lamplight',
    shade: '#e9b949',
    weight: 5,
    fibre: 'wool',
    balls: 3,
    parts: [61],
  },
];

function cotton(yarn: Given<DrawerYarn> & { readonly name: string }) {
  return {
    line: 'Skerry cotton',
    weight: 4 as const,
    fibre: 'cotton' as const,
    ballMetres: 85,
    ballGrams: 50,
    ...yarn,
  };
}

/** A swatch, its yarns by the names they have in the drawer. */
export type DemoSwatch = Omit<Given<Swatch>, 'yarns'> & { readonly title: string; readonly yarns: readonly string[] };

/** One counted, washed and weighed; one counted with another hook; one still on the hook. */
export const swatches: readonly DemoSwatch[] = [
  {
    title: 'Galley check, 5 mm',
    pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
    policy: 'carry-always',
    hook: 5,
    yarns: ['Oat', 'Ferry blue'],
    counts: [
      { what: 'stitches', count: 16, over: '10 cm', washed: false, on: '2026-03-02' },
      { what: 'rows', count: 18, over: '10 cm', washed: false, on: '2026-03-02' },
      { what: 'stitches', count: 24.5, over: '15 cm', washed: false, on: '2026-03-05' },
      { what: 'stitches', count: 16.5, over: '10 cm', washed: true, on: '2026-03-06' },
      { what: 'rows', count: 18.75, over: '10 cm', washed: true, on: '2026-03-06' },
    ],
    weight: { grams: 19.4, scale: 0.1 },
    note: 'Firm enough to scrub with.',
  },
  {
    title: 'Galley check, 5.5 mm',
    pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
    policy: 'carry-always',
    hook: 5.5,
    yarns: ['Oat', 'Ferry blue'],
    counts: [
      { what: 'stitches', count: 15.25, over: '10 cm', washed: false, on: '2026-03-09' },
      { what: 'rows', count: 17, over: '10 cm', washed: false, on: '2026-03-09' },
    ],
  },
  {
    title: 'Houndstooth for the upper bunk',
    pattern: { key: 'houndstooth' },
    policy: 'as-needed',
    hook: 6.5,
    yarns: ['Foam', 'Wet slate'],
    counts: [],
  },
];

/** A wish that somebody began to type and left when the kettle boiled. */
export const halfTyped = {
  title: 'Something for the window seat',
  form: {
    format: 'puntada-draft',
    version: 2,
    title: 'Something for the window seat',
    item: 'cushion cover',
    width: { length: '' },
    height: { length: '38' },
  },
} as const;
