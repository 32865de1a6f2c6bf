import type { Facts } from '../../craft/values/problem.ts';
import { list } from './lists.ts';

/** What stands at a place of the notation. */
const places: Readonly<Record<string, string>> = {
  multiple: 'a multiple',
  added: 'what is added to the multiple',
  count: 'a count',
  equals: 'an equals sign',
  least: 'a comma and the least value',
  most: 'the word “to” and the greatest value',
  meaning: 'the meaning',
  name: 'the name',
  about: 'one sentence',
  technique: 'a technique',
  made: 'how it is made',
  read: 'how rows are read',
  ends: 'what ends it well',
  careful: 'who should be careful',
};

function place(f: Facts): string {
  return places[String(f.what)] ?? String(f.what);
}

/** What the notation of patterns expected at a place, and how it is written. docs/pattern-notation.md. */
export const notation: Readonly<Record<string, (f: Facts) => readonly [expected: string, hint: string]>> = {
  quoted: (f) => [`${place(f)} in quotes`, 'Put the words between straight double quotes.'],
  'number-up-to': (f) => [`a number up to ${f.most}`, 'Use a smaller number: no piece has that many.'],
  'number-after-sign': () => ['a number after the sign', 'Write a sum such as 2b+1.'],
  sum: (f) => [place(f), 'Write a number, a named number such as b, or a sum such as 2b+1.'],
  'closing-bracket': () => ['a closing bracket', 'Close the bracket: (2b+1)A.'],
  'stitch-letter-colour': () => ['a stitch or the letter of a colour', 'Write runs such as 4A, 1sc, (b)dc or 2dc:B.'],
  'colon-before-runs': () => ['a colon before the runs', 'Write row: | 4A 4B |, or row 2 A: | 1sc 1dc |.'],
  'bar-before-repeat': () => ['a bar before the repeat', 'Put the repeat between two bars: | 4A 4B |.'],
  'bar-after-repeat': () => ['a bar after the repeat', 'Put the repeat between two bars: | 4A 4B |.'],
  choice: (f) => [place(f), `Choose one of: ${list(f.options)}.`],
  'one-letter-name': () => ['a one-letter name', 'Write number b = 4, 1 to 40, "stitches".'],
  figure: (f) => [place(f), 'Write number b = 4, 1 to 40, "stitches in a block".'],
  number: () => ['a number', 'Write a whole number.'],
  'comma-meaning': () => ['a comma and the meaning', 'Say what the number counts, in quotes.'],
  key: () => ['a key', 'A key is small letters and dashes: block-check.'],
  stitch: () => ['a stitch', 'Write stitch sc or hdc.'],
  'letter-from-h': () => ['a letter from A to H', 'Write colours A B.'],
  'fewest-colours': () => ['the fewest colours', 'Write colours A B C, 1 to 4.'],
  'word-to': () => ['the word “to”', 'Write colours A B C, 1 to 4.'],
  'most-colours': () => ['the most colours', 'Write colours A B C, 1 to 4.'],
  'letters-colours': () => ['letters of colours', 'Write order A A | B A | A A, or order A B C.'],
  order: () => ['an order of rows', 'Write opening | repeat | closing in letters A to H, such as A A | B A | A A.'],
  'row-marks': () => ['a row of marks', 'Finish the chart with a line “end”.'],
  'row-of-marks-long': (f) => [`a row of ${f.wanted} marks`, `This one has ${f.marks}.`],
  statement: (f) => ['a statement', `Choose one of: ${list(f.options)}.`],
  'end-line': () => ['the end of the line', 'Put what follows on a line of its own.'],
  'end-chart': () => ['the end of the chart', 'Finish the chart with a line “end”.'],
  'line-above': (f) => [`a line “${f.example}” somewhere above`, `Add ${f.example}.`],
  'row-or-chart': () => ['at least one row or a chart', 'Add a line such as row: | 4A 4B |.'],
  'end-row': () => ['the end of the row', 'Write runs such as 6A 3B 6A.'],
  'number-instead': (f) => [`a number instead of ${f.name}`, 'A row alone has no named numbers: write 6A 3B 6A.'],
  run: () => ['a run', 'Write runs such as 6A 3B 6A.'],
  'another-letter-number': (f) => [
    `another letter than ${f.name} for a number`,
    'i and j count courses and wedges; use b, n or another.',
  ],
  'number-line': (f) => [
    `a line “number ${f.unknown} = …” somewhere above`,
    `${f.where === 'rows' ? 'The number of rows' : f.where === 'run' ? 'A run' : `The line “${f.where}”`} uses ${f.unknown}, which has no number.`,
  ],
  'number-between': (f) => [
    `number ${f.name} between its least and its most`,
    `${f.usual} is not from ${f.least} to ${f.most}.`,
  ],
  'each-colour-once': () => ['each colour once', 'One letter appears twice in “colours”.'],
  'many-colours-line-allows': (f) => [
    'as many colours as the line allows',
    `There are ${f.count}, not ${f.fewest} to ${f.most}.`,
  ],
  'colour-of-chart': (f) => [
    `colour ${f.mark} among the colours`,
    `The chart uses ${f.mark}; add it to the line “colours”.`,
  ],
  'colour-of-runs': (f) => [`colour ${f.colour} among the colours`, `Add ${f.colour} to the line “colours”.`],
  'colours-most': (f) => [
    `${f.most} colours at most`,
    `Its ${f.most} colours take turns, so ${list(f.colours, ' and ')} would get no row.`,
  ],
  'rows-one-colour-each': () => [
    'rows of one colour each',
    'An order of rows needs rows that name no colour in their runs.',
  ],
  'colour-of-order': (f) => [
    `colour ${f.strange} among the colours`,
    `The order uses ${f.strange}; add it to the line “colours”.`,
  ],
  'main-stitch': (f) => [`a main stitch, not “${f.stitch}”`, `Choose one of: ${list(f.mainStitches)}.`],
  'stitch-there': (f) => [`a stitch Puntada knows, not “${f.key}”`, `The stitches are: ${list(f.options)}.`],
  'repeat-in-row': (f) => [`a repeat in row line ${f.row}`, 'Put runs between the two bars.'],
  'bars-of-chart': () => [
    'two bars in every line of the chart, or none',
    'Put the bars in the same places in all lines.',
  ],
  'marks-between-bars': () => ['marks between the bars', 'The repeat is empty.'],
};
