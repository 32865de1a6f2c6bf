import { findFoundation } from '../../craft/foundation/foundation.ts';
import { printLength, type ToldUnit } from '../../craft/units/length.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import type { Fact, Facts, Told } from '../../craft/values/problem.ts';
import { lengthText } from '../figures/figures.ts';
import type { Terms } from '../terms/termed.ts';
import { termed } from '../terms/termed.ts';
import { fieldName, fieldWords } from './fields.ts';
import { foundationWords } from './foundations.ts';
import { counted, list, lower, upper } from './lists.ts';
import { notation } from './notation.ts';
import { proof } from './proof.ts';
import { techniqueWords } from './techniques.ts';

type Words = readonly [message: string, hint: string];

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

/** `any number`, or `a multiple of 6 + 1`. */
export function multipleOf(multiple: number, extra: number): string {
  return extra ? `a multiple of ${multiple} + ${extra}` : `a multiple of ${multiple}`;
}

function length(fact: Fact, units: Fact): string {
  return lengthText(fact as Estimate, units as ToldUnit);
}

const lies: Readonly<Record<string, string>> = {
  cups: 'will cup',
  'shallow dome': 'will make a shallow dome, which steam flattens',
  'edge waves': 'will wave at the edge; wool may block out flat',
  ruffles: 'will ruffle for good',
};

const states: Readonly<Record<string, string>> = { wished: 'only planned', begun: 'started', finished: 'finished' };

/** How far a project has come, as it is said: `started`. */
export function stateWord(state: Fact): string {
  return states[String(state)] ?? String(state);
}

const again = 'Nothing was changed.';
const fromBackup = 'Put the project back from a backup.';
const report = 'Report this plan: it should not have been printed.';

/** Why a begun project does not hold together. */
function damage(f: Facts): string {
  if (f.what === 'foundation') return `Puntada does not know the way this project begins, “${f.foundation}”.`;
  if (f.what === 'row') return `Row ${f.row} of this project cannot be read.`;
  if (f.what === 'moves') return 'The way of the yarns in this project is cut short.';
  const [told] = f.proof ? pair({ code: String(f.proof), facts: f }) : ['The project does not hold together.'];
  return `The project does not hold together. ${told}`;
}

const table: Readonly<Record<string, (f: Facts) => Words>> = {
  // Typed numbers and lengths
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
  'length-out-of-range': (f) => [
    f.short
      ? `${f.typed} is too short to make: it is under ${f.least} cm.`
      : `${f.typed} is too long: over 5 m cannot be planned.`,
    'Give a length from 1 cm to 5 m (1/2 in to 196 in).',
  ],
  // Records
  'field-unknown': (f) => [
    `There is no field “${f.key}” here.`,
    'Leave it out, or look up its name in docs/plan-format.md.',
  ],
  'field-missing': (f) => [`${upper(fieldName(String(f.field)))} is missing.`, `Add ${fieldName(String(f.field))}.`],
  'field-wrong': fieldWords,
  'not-json': (f) => [`The text is not JSON: ${f.found}.`, 'Check brackets, commas and quotes near that place.'],
  'table-cell': (f) => [
    `Line ${f.line}, column “${f.column}”${f.typed ? `, “${f.typed}”` : ''}: ${lower(fieldWords({ ...f, value: undefined })[0])}`,
    `${fieldWords(f)[1]} Nothing of the table was taken yet.`,
  ],
  'table-columns': (f) => [
    `The first line has no column ${list(f.missing)}.`,
    `The columns are: ${list(f.columns)}; “label” can replace metres and grams.`,
  ],
  'cannot-be-read': (f) => [
    `This version of Puntada cannot read it${f.field ? ` (at ${f.field})` : ''}.${f.why ? ` ${pair({ code: String(f.why), facts: f })[0]}` : ''}`,
    'It is kept as it is, in every backup too. A newer version may read it.',
  ],
  // Patterns
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
  // Sizes
  'gauge-impossible': (f) => [
    `This {gauge} makes one ${f.what} ${f.size} mm, which no yarn and hook give.`,
    'Check the count and the span, and whether you meant cm or in.',
  ],
  'width-illegal': (f) => {
    const name = lower(f.pattern);
    const needs = `${multipleOf(Number(f.step), Number(f.offset) % Number(f.step))} ${f.word}, ${f.least} at least`;
    return [
      f.byChain
        ? `${f.asked} chains make ${f.count} ${f.word}, but ${name} needs ${needs}.`
        : `${upper(name)} cannot be worked on ${f.count} ${f.word} (${f.chains} chains): it needs ${needs}.`,
      `Use ${list(f.instead, ' or ')} ${f.byChain ? 'chains' : f.word}.`,
    ];
  },
  'width-not-alike': (f) => {
    const what = f.byChain ? 'chains' : f.word;
    const count = `${f.asked} ${what}${f.byChain ? ` (${f.count} ${f.word})` : ''}`;
    return f.tube
      ? [
          `You can work ${count}, but the second face will not begin a repeat at its side fold.`,
          `For a repeat that begins at both folds use ${list(f.instead, ' or ')} ${what}.`,
        ]
      : [
          `You can work ${count}, but the two edges will not match.`,
          `For matching edges use ${list(f.instead, ' or ')} ${what}.`,
        ];
  },
  'no-chain': (f) => {
    const way = findFoundation(String(f.foundation));
    return [
      `${f.pattern} begins with ${way ? foundationWords(way) : f.foundation} at any width, so a chain says nothing about its width.`,
      `Give its width as a length or in ${f.word}.`,
    ];
  },
  'narrower-than-repeat': (f) => [
    `${printLength(Number(f.mm), f.units as ToldUnit)} is narrower than one repeat of ${lower(f.pattern)}, which is ${f.repeat} ${f.word} (${length(f.repeatWidth, f.units)}).`,
    `The narrowest possible is ${f.least} ${f.word}, ${length(f.leastWidth, f.units)}; or choose smaller ${f.parts}.`,
  ],
  'rows-illegal': (f) => {
    const one = Number(f.asked) === 1;
    const unit = one ? String(f.unit).replace(/s$/, '') : f.unit;
    const ends = f.ending === 'as-begun' ? 'in the colour you began with' : `with whole ${f.parts}`;
    return [
      f.closed
        ? `${f.asked} ${unit} cannot be closed: the closing row in B comes after a row of A.`
        : `${f.asked} ${unit} ${one ? 'does' : 'do'} not end ${ends}.`,
      `Use ${list(f.instead, ' or ')} ${f.unit}${f.anywhere ? ', or let it end anywhere' : ''}.`,
    ];
  },
  'too-many-stitches': (f) => [
    `${f.stitches} × ${f.rows} is ${f.cells} stitches: too many to plan in one piece.`,
    'Make it smaller, or plan it as panels.',
  ],
  leans: () => [
    'In rounds you do not turn, {sc} lean a quarter to half a stitch per round: figures and seam slant.',
    'Turn the rounds where figures must be upright, or let them lean on purpose.',
  ],
  'bottom-lies': (f) => [
    `With ${f.increases} increases per round the bottom ${lies[String(f.lies)]}: at this {gauge} it lies flat with ${f.flat}.`,
    'Change the increases per round, or leave them to the plan.',
  ],
  'circle-lies': (f) => [
    `With ${f.wedges} wedges it ${lies[String(f.lies)]}: at this {gauge} a flat circle needs ${f.flat} more stitches per round.`,
    'Change the number of wedges or the height of the stitch, or add a round without increases.',
  ],
  'not-on-one-piece': (f) => [
    Number.isNaN(f.count)
      ? `The number of ${f.what} is not a number.`
      : `You cannot have counted ${f.count} ${f.what} on one piece.`,
    'Count whole stitches and rows, up to 1000; put a length into the field for the size.',
  ],
  // Yarn
  'melts-near-heat': (f) => [
    f.part === undefined
      ? `${f.yarn} is ${f.fibres}, which melts on a hot pan and burns the hand.`
      : `${f.yarn} is ${f.fibres}: ${f.part} % of it melts on a hot pan and burns the hand.`,
    `Make a potholder of cotton or wool only, thick and dry; in a blend less than ${f.most} % may melt.`,
  ],
  'many-ends': (f) => [
    `“Carry where needed” leaves ${counted(Number(f.ends), 'end')} to weave in, ${f.perSquareMetre} per square metre.`,
    `“Carry all the way” leaves ${f.carriedEnds}: it takes about ${f.metres} m more yarn and saves ${f.minutes} minutes.`,
  ],
  'drawer-unknown': () => [
    'Your drawer does not say how much yarn there is.',
    'Say how many balls of each colour you have, or what the part balls weigh.',
  ],
  'drawer-too-little': (f) => [
    `The yarn in the drawer is not enough for one whole repeat: the chance is ${f.chance} %.`,
    'Choose a smaller repeat, or add a ball.',
  ],
  'nothing-worked-between': () => ['No stitches were worked between the two weighings.', 'Work some rows first.'],
  'no-yarn-left-for-stitches': () => [
    'By this weight there is no yarn in the stitches.',
    'Check the weights, and the metres per gram.',
  ],
  'too-light-for-scale': (f) => [
    `${f.grams} g is too light for a scale that is accurate to ± ${f.scale} g.`,
    `Weigh ${f.least} g or more, or use a finer scale.`,
  ],
  'ball-grew': (f) => [
    `The ball weighs ${f.after} g now, but only ${f.before} g at the start.`,
    'Check which weight is which.',
  ],
  'swatch-unfinished': (f) => [
    f.weighed ? 'This swatch is not counted yet.' : 'This swatch is not weighed yet.',
    'Count stitches and rows, and weigh it dry before washing.',
  ],
  'swatch-not-counted': (f) => [`${f.title} is not counted yet.`, 'Count stitches and rows on it first.'],
  'one-policy': (f) => [
    `In ${techniqueWords(String(f.technique)).name} there is only one thing to do with the idle yarn.`,
    'There is nothing to compare; make a swatch instead.',
  ],
  // Proofs
  'stitch-cannot-be': (f) => [
    `Row ${f.row}, stitch ${f.stitch}: ${proof[String(f.why)]?.(f) ?? f.why}.`,
    `Change the chart there. If you did not write it, ${lower(report)}`,
  ],
  'row-takes-other-count': (f) => [
    `Row ${f.row} makes ${f.made} ${f.word} where ${typeof f.below === 'number' ? `row ${f.below}` : `the ${f.below}`} left ${f.left}.`,
    'Every row must take exactly the stitches that the row below left.',
  ],
  'fabric-count': (f) => [
    `${f.pattern}: ${f.stitches} stitches in ${f.rows} rows that take ${f.wanted}.`,
    'Every row must take exactly the stitches that the row below left.',
  ],
  'strand-misplaced': (f) => [`Row ${f.row}: ${strandFault(f)}.`, report],
  'strand-not-there': (f) => [
    `Row ${f.row}, stitch ${f.stitch}: no strand of colour ${f.colour} reaches this stitch.`,
    'Change the colour there, or plan the yarns again.',
  ],
  'strand-cost': (f) => [`Colour ${f.colour}: the moves cost ${f.recounted}, not ${f.cost}.`, report],
  'begun-damaged': (f) => [damage(f), fromBackup],
  'rest-not-whole': () => ['The project does not hold together, so its rest cannot be planned.', fromBackup],
  'onward-broken': (f) => [
    f.what === 'row'
      ? `Row ${f.row} is worked already, and the other plan changes it.`
      : f.what === 'moves'
        ? 'The other plan moves a strand that has been worked in already.'
        : 'The other plan begins in another way than the project did.',
    'Look at the rest of the project again and choose anew.',
  ],
  'text-unreadable': (f) => [`Line ${f.line} cannot be read back: ${f.why}.`, 'Compare it with the printed plan.'],
  // The server
  'not-found': (f) => [`There is no such ${f.what} here.`, 'Go back and open it from its list.'],
  'no-address': () => ['There is nothing at this address.', 'docs/developing.md lists the addresses.'],
  stale: (f) => [
    `This ${f.what} was changed elsewhere in the meantime. Nothing was overwritten.`,
    'Look at the new version, then make your change again.',
  ],
  'already-begun': (f) => [
    `This project is already ${stateWord(f.state)}, so its plan can no longer be changed here.`,
    'Make another from it, or go on working.',
  ],
  'not-begun': () => ['This project is not started, so it has no row to work.', 'Start it from See sizes first.'],
  'no-rest': (f) => [
    `This project is ${stateWord(f.state)}: there is no rest to plan.`,
    'Start it first, or make another.',
  ],
  'rows-left': (f) => [`Row ${f.row} of ${f.rows} is still to be worked.`, 'Finish the last row first.'],
  'only-the-rest': () => [
    'In a started project only size, ending, border and closing row can still be changed.',
    'Make a new project for anything else.',
  ],
  'tick-outside': (f) => [
    `Row ${f.row}, run ${f.run} is not in this project, which has ${f.rows} rows.`,
    'Reload the project; this step belongs to another one.',
  ],
  'set-aside': (f) => [
    `This yarn is set aside for ${f.title}${Number(f.more) ? ` and ${f.more} more` : ''}.`,
    'Choose another yarn in that project first, or keep it in the drawer with 0 balls.',
  ],
  'swatch-in-use': (f) => [`${f.title} uses this swatch.`, 'Give that project another {gauge} first.'],
  'scale-silent': () => ['The scale does not answer: its battery is empty.', 'Type the grams instead.'],
  'backup-damaged': (f) => [`This backup is damaged. ${inside(f)}`, `${again} Use another backup.`],
  'handover-damaged': (f) => [`This file is damaged. ${inside(f)}`, `${again} Ask for the file once more.`],
  'request-too-large': (f) => [
    `The request is larger than ${f.limit} KiB, more than any plan needs.`,
    'Send a smaller one.',
  ],
  'text-unstorable': () => ['The text has a character that cannot be stored.', `Type that text again. ${again}`],
  'server-broke': () => [
    `Something broke inside Puntada. ${again}`,
    'Try again. If it happens again, look at the log.',
  ],
  // The pages
  away: () => [
    'Puntada’s server does not answer.',
    'Start it again with npm run demo. What you type stays here until then.',
  ],
  'server-failed': () => ['The server could not do that.', 'Try again.'],
  'not-a-backup': (f) => [
    `${f.file} is not a backup: it cannot be read, or was cut short.`,
    `${again} Choose another file.`,
  ],
  'not-chains': (f) => [
    `“${f.text}” is not a number of chains.`,
    'Type a whole number. A length such as 40 cm does not belong here.',
  ],
  'length-where-count': (f) => [
    `“${f.text}” is a length, but this field counts ${f.counts}.`,
    `Choose “${f.side}” to give a length.`,
  ],
  'no-length': (f) => [`“${f.text}” is not a length.`, 'Type 24, 24,5 cm or 9 1/2 in.'],
  // The command line
  'file-unreadable': (f) => [
    `The file cannot be read: ${f.found}.`,
    'Give the path of a JSON file, or - for standard input.',
  ],
  'option-unknown': (f) => [`There is no option ${f.option}.`, String(f.usage)],
  'no-file': (f) => ['No project was given.', `${f.usage} docs/plan-format.md shows what goes in it.`],
};

/** What is wrong inside a file. */
function inside(f: Facts): string {
  if (f.why === 'seal') return 'Its seal does not fit: it was cut short or changed.';
  if (f.why === 'cloth') return `The project ${f.title} does not hold together.`;
  return f.why ? `At ${f.at}: ${pair({ code: String(f.why), facts: f })[0]}` : '';
}

function strandFault(f: Facts): string {
  const colour = `colour ${f.colour}`;
  switch (f.what) {
    case 'hangs-elsewhere':
      return `${colour} is needed at boundary ${f.wanted} but hangs at ${f.at}`;
    case 'moved-unjoined':
      return `${colour} is moved before it is joined`;
    case 'moved-from-elsewhere':
      return `${colour} is moved from boundary ${f.from} but hangs at ${f.at}`;
    case 'carried-back':
      return `${colour} is carried against the row, from ${f.from} to ${f.to}`;
    default:
      return `${colour} goes up at boundary ${f.from} in the wrong way`;
  }
}

function pair({ code, facts }: Told): Words {
  return table[code]?.(facts ?? {}) ?? [`Puntada refused this (${code}).`, 'Try again.'];
}

/** Whether there are words for a code; asked by the test that finds every code. @internal */
export function isWorded(code: string): boolean {
  return code in table;
}

/** A problem in the words of the maker: what is wrong, and what to do. */
export function problemWords(problem: Told, terms: Terms = 'US'): { readonly message: string; readonly hint: string } {
  const [message, hint] = pair(problem);
  return { message: termed(message, terms), hint: termed(hint, terms) };
}

/** The same as one text. */
export function problemText(problem: Told, terms: Terms = 'US'): string {
  const { message, hint } = problemWords(problem, terms);
  return `${message} ${hint}`;
}
