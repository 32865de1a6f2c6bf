import { type LengthUnit, printLength } from '../../../craft/units/length.ts';
import { figure } from '../../../craft/values/decimal.ts';
import { list } from '../lists.ts';
import type { Table } from './table.ts';

/** Typed numbers and lengths. */
export const typed: Table = {
  'not-a-number': (f) => [
    f.text === '' ? 'Nothing is typed here.' : `“${f.text}” is not a number.`,
    'Type a number such as 24, 24.5, 24,5 or 9 1/2.',
  ],
  'number-ambiguous': (f) => [`“${f.digits}” could be ${f.whole} or ${f.decimal}.`, `Type ${f.whole} or ${f.decimal}.`],
  'unit-not-of-length': (f) => [`“${f.unit}” is not a unit for cloth.`, 'Use cm, mm, m or in.'],
  'unit-not-of-yarn': (f) => [
    `“${f.unit}” is not a unit of ${f.what === 'mass' ? 'weight' : 'yarn length'}.`,
    `Use ${list(f.units, ' or ')}.`,
  ],
  'not-a-label': (f) => [
    `“${f.typed}” is not a label${f.lengthOnly ? ': it needs a length and a weight, each with its unit' : ''}.`,
    'Type it as 100 g = 210 m.',
  ],
  'length-impossible': (f) => [
    f.low ? `“${f.typed}” is not a size a piece can have.` : `“${f.typed}” is larger than anything made by hand.`,
    'Type what the tape shows, with its unit: 24 cm or 9 1/2 in.',
  ],
  'measure-unlikely': (f) => {
    const size = (mm: unknown) => printLength(Number(mm), f.units as LengthUnit);
    return [
      `You typed ${size(f.measured)} for the ${f.side}; the plan says ${size(f.planned)}${f.side === 'height' ? ` after row ${f.row}` : ''}.`,
      'If the tape really shows that, save it again.',
    ];
  },
  'ball-heavier': (f) => [
    `Ball ${f.ball} of ${f.letter} weighed ${figure(Number(f.was))} g last time and ${figure(Number(f.after))} g now.`,
    'If you ripped back, save it again; if it is another ball, change its number.',
  ],
  'length-out-of-range': (f) => [
    f.short
      ? `${f.typed} is too short to make: it is under ${f.least} cm.`
      : `${f.typed} is too long: over 5 m cannot be planned.`,
    'Give a length from 1 cm to 5 m (1/2 in to 196 in).',
  ],
};
