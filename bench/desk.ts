import {
  beginDrawing,
  coloursOfPicture,
  columnDeleted,
  cutOut,
  type Drawing,
  flippedAcross,
  fromTable,
  marked,
  mirrored,
  must,
  patternOf,
  placesAlike,
  placesOfLine,
  printPattern,
  readPattern,
  regionOf,
  tableOf,
} from '@puntada/core/craft';
import { studyDrawing } from '@puntada/core/plan';
import { median } from './timing.ts';

/**
 * Every act of the chart desk from 100² to 1000² cells: how much longer it takes, for each time that the cells are more.
 * 1.0 grows with the cells; what touches a line alone grows less. A study is what the side panel asks for: in the worker,
 * up to 300².
 */
const aim = 2;

/** A drawing of patches that have no order: where the fill begins is one that reaches far. */
function drawn(side: number): Drawing {
  const begun = beginDrawing({ key: 'own', name: 'Bench', technique: 'carried', wide: side, high: side }) as Drawing;
  let seed = 7;
  const next = () => {
    seed = (seed * 1103515245 + 12345) % 2147483648;
    return seed / 2147483648;
  };
  return {
    ...begun,
    rows: begun.rows.map((row) => ({ ...row, marks: row.marks.map((_, x) => (x !== 1 && next() < 0.2 ? 'B' : 'A')) })),
  };
}

function actsOn(drawing: Drawing, side: number): readonly (readonly [string, () => unknown])[] {
  const far = { row: side - 1, cell: side - 1 };
  const line = placesOfLine({ row: 0, cell: 0 }, far);
  const text = printPattern(patternOf(drawing));
  const table = tableOf(drawing);
  const dots = {
    width: side,
    height: side,
    data: new Uint8ClampedArray(side * side * 4).map((_, i) => (i * 37) % 256),
  };
  const shades = ['#e9dfc4', '#24476b'];
  return [
    ['a stroke', () => marked(drawing, line, 'B')],
    [
      'a stroke, mirrored',
      () => marked(drawing, mirrored(drawing, line, { across: true, up: true, halfDrop: false }), 'B'),
    ],
    ['fill', () => marked(drawing, placesAlike(drawing, { row: 1, cell: 1 }), 'B')],
    ['flip', () => flippedAcross(cutOut(drawing, regionOf({ row: 0, cell: 0 }, far)))],
    ['a column less', () => columnDeleted(drawing, 3)],
    ['to notation', () => printPattern(patternOf(drawing))],
    ['from notation', () => must(readPattern(text))],
    ['to a table', () => tableOf(drawing)],
    ['from a table', () => must(fromTable(drawing, table))],
    [
      'a picture',
      () => coloursOfPicture({ dots, shades, match: 'groups', smoothing: 'none', seed: 1, rightHanded: true }),
    ],
    ...(side <= 300 ? [['study', () => studyDrawing(drawing)] as const] : []),
  ];
}

const sides = [100, 300, 1000] as const;
const times = new Map<string, number[]>();
for (const side of sides) {
  const drawing = drawn(side);
  for (const [name, act] of actsOn(drawing, side)) {
    act();
    times.set(name, [...(times.get(name) ?? []), median(act, side === 1000 ? 3 : 7)]);
  }
}
let worst = 0;
for (const [name, [small = 1, mid = 1, large]] of times) {
  const growth = [mid / small / 9, ...(large === undefined ? [] : [large / mid / (100 / 9)])];
  worst = Math.max(worst, ...growth);
  const all = [small, mid, ...(large === undefined ? [] : [large])].map((each) => `${each.toFixed(1)} ms`.padStart(11));
  process.stdout.write(
    `${name.padEnd(20)}${all.join('').padEnd(34)}  growth ${growth.map((each) => each.toFixed(2)).join(', ')}\n`,
  );
}
process.stdout.write(`worst growth ${worst.toFixed(2)} for each time the cells are more (aim: under ${aim})\n`);
