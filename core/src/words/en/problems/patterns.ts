import type { Fact } from '../../../craft/values/problem.ts';
import type { BorderPatternKey } from '../../../plan/finish/borderPattern.ts';
import { borderPatternNames } from '../finish.ts';
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
  'multiple-unreadable': (f) => [
    `“${f.text}” is not a multiple.`,
    'Write it as multiple of 9 + 2, 9n + 2, even or odd.',
  ],
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
  'wedges-alike': (f) => [
    `Wedge ${f.wedge} and wedge ${f.next} are both ${f.colour}: beside each other they are one wide wedge.`,
    'Give one of them another colour.',
  ],
  'wedges-one': () => ['One wedge goes all the way round by itself.', 'Add a wedge in another colour.'],
  'wedges-never-grow': () => ['Without a round that grows it is no circle but a tube.', 'Let at least one round grow.'],
  'wedges-not-divided': (f) => [
    `${f.wedges} wedges do not hold whole repeats of ${f.colours}.`,
    `Use a multiple of ${f.colours}.`,
  ],
  'row-sum': (f) => [
    f.left === undefined
      ? `Row ${f.row} of ${f.pattern} adds up to ${f.sum}, but the repeat has ${f.multiple}.`
      : `Row ${f.row} makes ${f.sum} stitches where row ${Number(f.row) - 1} left ${f.left}.`,
    'Count its runs again: one is too short or too long.',
  ],
  'typed-row-unlike': (f) => [
    `Row ${f.row} has ${f.sum} cells where the others have ${f.others}.`,
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
  'not-drawable': (f) => [
    `“${f.pattern}” cannot be drawn: it grows from round to round, or its rows do not repeat one above the other.`,
    'Change its rows as text.',
  ],
  'lines-too-many': (f) => [`${f.count} lines are more than one piece has rows.`, `Paste up to ${f.most} at a time.`],
  'lines-none': () => ['There is no row in this text.', 'Type one row a line, such as 3A 2B.'],
  'rows-not-level': () => [
    'The repeats of these rows do not stand one above the other.',
    'Give every row the same number of stitches in its repeat, and the same before it.',
  ],
  'chart-empty': () => ['There is no cell in this table.', 'Give a line for each row and a letter for each cell.'],
  'nothing-to-rehearse': () => [
    'No swatch of this pattern can be laid yet.',
    'Go back and mend what cannot be worked; it is crossed out in the chart.',
  ],
  'chart-too-large': (f) => [
    `${f.wide} cells by ${f.high} rows are more than one repeat can have.`,
    `Cut it to ${f.most} each way.`,
  ],
  'chart-ragged': (f) => [
    `Line ${f.row} of the table has ${f.cells} cells, others have ${f.wide}.`,
    'Give every line the same number of cells.',
  ],
  'chart-cell': (f) => [
    `Line ${f.row}, column ${f.column}: “${f.cell}” is neither a colour nor a stitch.`,
    'Use letters A to H, numbers 1 to 8, or a stitch such as sc.',
  ],
  'chart-other-marks': (f) => [
    `“${f.mark}” has no place in this technique.`,
    `Its cells are ${(f.pens as readonly string[]).join(', ')}.`,
  ],
  'picture-unreadable': () => ['This file is no picture that can be read.', 'Take a PNG, JPEG or WebP.'],
  'picture-too-large': (f) => [
    `This picture is too large: ${f.megabytes} MB.`,
    `Take one of up to ${f.most} MB and 20 megapixels; nothing was changed.`,
  ],
  'file-unknown-pattern': (f) => [
    `“${f.name}” holds no pattern.`,
    'Open a pattern in the notation, as JSON, as CSV, or a picture.',
  ],
  'piece-unknown': () => [
    'No technique here has all these stitches in rows of this kind.',
    'Check the stitches, or whether the rows are worked flat or in rounds.',
  ],
  'written-unknown': (f) => [
    `“${f.at}” cannot be read.`,
    'Write a count and a stitch or colour, such as 7 A or 8 sc in grey.',
  ],
  'written-none': (f) => [`There are 0 stitches before “${f.at}”.`, 'Leave the run out, or mend its count.'],
  'written-colour': (f) => [`No colour stands before “${f.at}”.`, 'Name it by a letter or a word.'],
  'written-no-star': (f) => [
    `It repeats from *, and no * stands before “${f.at}”.`,
    'Put the * where the repeat begins.',
  ],
  'written-star-open': () => [
    'A repeat begins with * and is never told how often it comes.',
    'Add “rep from * to end” or a number of times.',
  ],
  'written-bracket': () => ['A bracket is not closed.', 'Close it, and say how often it is worked.'],
  'written-two-ends': (f) => [
    `Two parts go on to the end, the second at “${f.at}”.`,
    'Give one of them a number of times.',
  ],
  'written-group-end': () => [
    'A bracket goes on to the end.',
    'Write it with an asterisk: *3 A, 2 B; rep from * to end.',
  ],
  'written-empty': () => ['This row has no stitches.', 'Write its counts behind the colon.'],
  'written-too-long': (f) => [`This row has more than ${f.most} stitches.`, 'Check its numbers of times.'],
  'written-rows-missing': (f) => [
    f.from === f.to ? `Row ${f.from} does not stand above.` : `Rows ${f.from} to ${f.to} do not all stand above.`,
    'Write them out first.',
  ],
  'written-total': (f) => [
    `Row ${f.row} says ${f.total} stitches and has ${f.stitches}.`,
    'Count its runs again, or mend its total.',
  ],
  'written-width': (f) => [
    `Row ${f.row} has ${f.stitches} stitches, other rows have ${f.width}.`,
    'Count its runs again.',
  ],
  'written-open': (f) => [
    `How wide row ${f.row} is told nowhere: it repeats to the end.`,
    'Add the chain, such as Ch 25, or the total of one row.',
  ],
  'written-repeat': (f) => [
    `Row ${f.row} does not come out on ${f.width} stitches: ${f.once} once and ${f.unit} by turns.`,
    'Count its repeat again, or the chain.',
  ],
  'written-left': (f) => [`Row ${f.row} leaves ${f.left} stitches unworked.`, 'Say what is worked in them.'],
  'written-number': (f) => [
    f.before === undefined ? `The rows begin with row ${f.row}.` : `Row ${f.row} comes after row ${f.before}.`,
    'Number the rows one after the other, each once.',
  ],
  'written-chain': (f) => [
    `${f.chain} chains do not make ${f.width} stitches in any usual way.`,
    'Count the row again; a chain is at most 4 longer than its row.',
  ],
  'figure-technique': (f) => [
    `“${f.figure}” cannot be put on another pattern: its cells are stitches, or its rows hang together.`,
    'Choose a figure drawn in carried colourwork or in blocks.',
  ],
  'figure-ground': (f) => [
    `Nothing can be put on “${f.pattern}”: not every cell of it may have any colour.`,
    'Choose a ground in carried colourwork, wide half double crochet or blocks.',
  ],
  'figure-outside': (f) => [
    `A figure of ${f.width} by ${f.height} does not lie on ${f.wide} stitches by ${f.high} rows with its margins.`,
    'Make the piece larger, or the margins smaller.',
  ],
  'letters-unknown': (f) => [
    `There is no letter for ${(f.characters as readonly string[]).join(' ')}.`,
    'Leave it out, or write it with other letters.',
  ],
  'letters-too-many': (f) => [`${f.count} letters are too many for one piece.`, `Set up to ${f.most} at a time.`],
  'letters-none': () => ['There is nothing to set yet.', 'Type a word.'],
  'no-pattern': () => ['No pattern is chosen.', 'Choose a pattern of the book, or write one out as pattern.text.'],
  'loops-not-offered': (f) => [
    `In ${techniqueWords(String(f.technique)).name} the pattern says where each stitch goes, so you cannot choose the loops.`,
    'Leave the loops out.',
  ],
  'foundation-unknown': (f) => [`This piece cannot begin with “${f.key}”.`, `Choose one of: ${list(f.offered)}.`],
  'colour-unknown': (f) => [`This project has no colour ${f.letter}.`, `Choose one of: ${list(f.colours)}.`],
  'border-one-colour': (f) => [
    `The border and its pattern are both in ${f.letter}.`,
    'Choose another colour for the pattern, or plain rounds.',
  ],
  'border-rounds-few': (f) => [
    `The border’s pattern (${borderPatternNames[f.pattern as BorderPatternKey]}) takes ${f.least} rounds.`,
    `Write ${f.least} or more, or choose plain rounds.`,
  ],
  'border-pattern-envelope': () => [
    'An envelope border is worked plain: its two layers are closed over the ends.',
    'Choose either the envelope or a pattern.',
  ],
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
  'set-yarn-twice': (f) => [
    `Two colours of item ${list(f.items)} are the same yarn.`,
    'Choose another yarn for one of them in “Colours of each”.',
  ],
  'item-unknown': (f) => [`Puntada does not know how to make “${f.item}”.`, `Choose one of: ${list(f.items)}.`],
};
