import type { Fact } from '../../../craft/values/problem.ts';
import { list } from '../lists.ts';
import { notation } from '../notation.ts';
import { techniqueWords } from '../techniques.ts';
import type { Table } from './table.ts';

const makingNames: Readonly<Record<string, string>> = {
  flat: 'in rows',
  rounds: 'in rounds',
  'turned-rounds': 'in turned rounds',
  'right-side': 'from the right side only',
  paired: 'as two nets',
  netted: 'as two nets on a base row',
  diagonals: 'on the diagonal',
};

function makings(fact: Fact, between = ' or '): string {
  return Array.isArray(fact) ? fact.map((each) => makingNames[String(each)] ?? String(each)).join(between) : '';
}

/** Patterns. */
export const patterns: Table = {
  'pattern-unknown': (f) => [`The book has no pattern “${f.key}”.`, `Choose one of: ${list(f.keys)}.`],
  'pattern-syntax': (f) => {
    const [expected, hint] = notation[String(f.expected)]?.(f) ?? [String(f.expected), ''];
    const found = f.found ? `found “${f.found}”` : 'the line ends';
    return [`Line ${f.line}, column ${f.column}: expected ${expected}, but ${found}.`, hint];
  },
  'multiple-unreadable': (f) => [`“${f.text}” is not a multiple.`, 'Write it as multiple of 9 + 2.'],
  'number-out-of-range': (f) => [
    `${f.value} ${f.meaning} cannot be worked.`,
    `Choose a whole number from ${f.least} to ${f.most}.`,
  ],
  'number-unknown': (f) => {
    const meanings = Array.isArray(f.meanings) ? f.meanings : [];
    const known = Array.isArray(f.names) ? f.names.map((name, i) => `${name} (${meanings[i]})`) : [];
    return [
      `${f.pattern} has no number “${f.name}”.`,
      known.length ? `It has: ${known.join(', ')}.` : 'It has no numbers to choose.',
    ];
  },
  'colours-count': (f) =>
    Number(f.fewest) < Number(f.most)
      ? [`${f.pattern} takes ${f.fewest} to ${f.most} colours, not ${f.count}.`, `Choose ${f.fewest} to ${f.most}.`]
      : [
          `${f.pattern} takes colours ${list(f.colours, ' and ')}, not ${f.count}.`,
          `Give one yarn for each of ${list(f.colours)}.`,
        ],
  'stitch-not-made': (f) => [
    `${f.pattern} is not made in ${f.stitch}.`,
    Array.isArray(f.offered) && f.offered.length
      ? `Choose ${list(f.offered, ' or ')}.`
      : 'Leave the stitch out: the pattern sets its own.',
  ],
  'row-too-long': (f) => [
    `Row ${f.row} of ${f.pattern} comes to more than ${f.most} stitches or rows.`,
    'Use smaller numbers in its runs.',
  ],
  'multiple-under-one': (f) => [
    `The line “${f.line}” of ${f.pattern} comes to a multiple under 1.`,
    'Use a multiple of 1 or more, and add nothing less than 0.',
  ],
  'wedges-not-divided': (f) => [
    `${f.wedges} wedges cannot be shared among ${f.colours} colours.`,
    `Use a multiple of ${f.colours}.`,
  ],
  'row-sum': (f) => [
    f.left === undefined
      ? `Row ${f.row} of ${f.pattern} adds up to ${f.sum}, but the repeat has ${f.multiple}.`
      : `Row ${f.row} makes ${f.sum} stitches where row ${Number(f.row) - 1} left ${f.left}.`,
    'Count its runs again: one is too short or too long.',
  ],
  'order-letter': (f) => [`“${f.letter}” is not a colour.`, 'Write the letters A to H, such as A A | B A | A A.'],
  'order-bars': (f) => [
    `An order has two bars or none; this one has ${f.bars}.`,
    'Write opening | repeat | closing; the opening or the closing may be empty.',
  ],
  'order-empty': () => ['The part that repeats is empty.', 'Name at least one row between the two bars.'],
  'order-too-long': (f) => [`An order has ${f.most} rows at most.`, 'Write the part that repeats only once.'],
  'order-leaves-out': (f) => [
    `The order of rows uses ${list(f.letters)} and leaves out ${f.gap}.`,
    `Name its colours ${list(f.expected)}.`,
  ],
  'order-not-offered': (f) => [
    `${f.pattern} has its colours in its rows, so their order cannot be changed.`,
    'An order of rows suits patterns with one colour per row, such as houndstooth or linen.',
  ],
  'making-unknown': (f) => [
    `${f.pattern} is written as made ${f.made}, but ${techniqueWords(String(f.technique)).name} cannot be.`,
    `Write one of: ${list(Array.isArray(f.makings) ? f.makings.map((each) => `made ${each}`) : [])}.`,
  ],
  'making-not-offered': (f) => [
    `${f.pattern} cannot be made ${makingNames[String(f.made)] ?? f.made}.`,
    `Make it ${makings(f.makings)}.`,
  ],
  'no-pattern': () => ['No pattern is chosen.', 'Choose a pattern of the book, or write one out as pattern.text.'],
  'loops-not-offered': (f) => [
    `In ${techniqueWords(String(f.technique)).name} the pattern says where each stitch goes, so you cannot choose the loops.`,
    'Leave the loops out.',
  ],
  'foundation-unknown': (f) => [`This piece cannot begin with “${f.key}”.`, `Choose one of: ${list(f.offered)}.`],
  'colour-unknown': (f) => [`This project has no colour ${f.letter}.`, `Choose one of: ${list(f.colours)}.`],
  'colour-not-in-row': (f) => {
    const colours = Array.isArray(f.colours) ? f.colours : [];
    return [
      f.colour ? `This project has no colour ${f.colour}.` : 'A run names no colour.',
      `Write runs such as 4${colours[0]} 4${colours[1] ?? colours[0]}; the colours are ${list(colours)}.`,
    ];
  },
  'yarns-mismatch': (f) => [
    `${f.pattern} needs ${list(f.colours, ' and ')}; you gave ${list(f.given)}.`,
    `Give one yarn for each of ${list(f.colours)}.`,
  ],
  'item-unknown': (f) => [`Puntada does not know how to make “${f.item}”.`, `Choose one of: ${list(f.items)}.`],
};
