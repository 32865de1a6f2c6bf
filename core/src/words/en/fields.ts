import type { Facts } from '../../craft/values/problem.ts';
import { counted, list, upper } from './lists.ts';

/** What the fields of the records are called, by the end of their path; numbers in a path stand for any place in a list. */
const names: Readonly<Record<string, string>> = {
  title: 'the name',
  item: 'the kind of thing (dishcloth, blanket, bag …)',
  units: 'the units',
  pieces: 'the number of pieces',
  'width.length': 'the width',
  'height.length': 'the height',
  'width.count': 'the width',
  'height.count': 'the height',
  tolerance: 'how far off it may be',
  increases: 'the increases per round',
  hook: 'the hook',
  order: 'the order of colours',
  ballMetres: 'metres per ball',
  ballGrams: 'grams per ball',
  balls: 'the number of balls',
  partGrams: 'the weight of a part ball',
  parts: 'the weight of a part ball',
  grams: 'the weight',
  began: 'the weight it started at',
  scale: 'the accuracy of the scale',
  price: 'the price',
  shade: 'the shade',
  fibre: 'the fibre',
  blend: 'the blend',
  letter: 'the letter of a colour',
  weight: 'the weight class',
  line: 'the yarn',
  shadeName: 'the shade',
  maker: 'the maker',
  dyeLot: 'the dye lot',
  shelf: 'the shelf',
  note: 'the note',
  text: 'the note',
  photo: 'the photo',
  image: 'the photo',
  caption: 'the caption',
  over: 'the span that was counted over',
  count: 'the count',
  sure: 'the chance',
  rounds: 'the rounds of the border',
  closing: 'the closing row',
  smallChildren: '“for a small child”',
  ball: 'the ball',
  percent: 'the percent',
  minutes: 'the minutes',
  due: 'the day',
  day: 'the day',
  fractions: 'the fractions of an inch',
  terms: 'the terms',
  hand: 'the hand',
};

/** The name of a field from its path, such as `yarns.0.ballMetres`. */
export function fieldName(path: string): string {
  const parts = path.split('.').filter((part) => !/^\d+$/.test(part));
  if (parts.at(-2) === 'numbers') return 'the number in the pattern';
  return names[parts.slice(-2).join('.')] ?? names[parts.at(-1) ?? ''] ?? (path ? `“${path}”` : 'this');
}

/** How some fields are written, where no bound says it. */
const written: Readonly<Record<string, string>> = {
  shade: 'Write a shade as #rrggbb.',
  letter: 'A colour has one letter, A to H.',
  colour: 'A colour has one letter, A to H.',
  hook: 'Hooks are in mm here, such as 5 or 4.5: letters and numbers differ from maker to maker. The mm stand on the hook.',
  due: 'Write a day as 2026-12-05.',
  on: 'Write a day as 2026-04-01.',
  item: 'Write it in small letters: dishcloth, bag panel.',
  image: 'Choose a picture; it is kept as a JPEG.',
  photo: 'Choose a picture; it is kept as a JPEG.',
  swatch: 'Choose a swatch of your swatch book.',
  drawer: 'Choose a yarn of your drawer.',
};

/** Rules that are no bound and no choice. */
const rules: Readonly<Record<string, string>> = {
  'blend-two-to-five': 'A blend has two to five fibres.',
  'blend-hundred': 'The parts of a blend come to 100 %.',
  'fibre-twice': 'Name each fibre once.',
  'span-out-of-range': 'Give a span of 1 cm to 1 m, such as 10 cm.',
  'not-a-length': 'Type a length, such as 10 cm or 4 in.',
  'technique-unknown': 'Choose one of the techniques.',
};

const typeWords: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'text',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object',
};

/** What is wrong with one value of a record, and what would do. @param f of `issueFacts`, with the path of the field */
export function fieldWords(f: Facts): readonly [message: string, hint: string] {
  const path = String(f.field ?? '');
  const name = upper(fieldName(path));
  const value = f.value === undefined ? '' : ` (${f.value})`;
  const last = path.split('.').findLast((part) => !/^\d+$/.test(part)) ?? '';
  const limit = Number(f.limit);
  switch (f.kind) {
    case 'too_small':
      if (f.of === 'string') return [`${name} is empty.`, 'Type something here.'];
      if (f.of === 'array') return [`${name}: nothing is given.`, `Give ${limit} at least.`];
      return [`${name}${value} is too small.`, f.open ? `Use a number over ${limit}.` : `Use ${limit} or more.`];
    case 'too_big':
      if (f.of === 'string') return [`${name} is too long.`, `Use ${counted(limit, 'letter')} at most.`];
      if (f.of === 'array') return [`${name}: too many are given.`, `Give ${limit} at most.`];
      return [`${name}${value} is too large.`, `Use ${limit} or less.`];
    case 'invalid_type':
      return [
        `${name}${value} is not ${typeWords[String(f.expected)] ?? f.expected}.`,
        written[last] ??
          (f.expected === 'boolean' ? 'Say true or false.' : `Give ${typeWords[String(f.expected)] ?? f.expected}.`),
      ];
    case 'invalid_value':
      return [`${name}${value} is not one of the choices.`, `Choose one of: ${list(f.options)}.`];
    case 'custom':
      return [`${name}${value} does not fit.`, rules[String(f.rule)] ?? String(f.rule)];
    default:
      return [`${name}${value} cannot be read.`, written[last] ?? 'Type it again, or leave it empty.'];
  }
}
