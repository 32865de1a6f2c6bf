import { findFoundation } from '../../../craft/foundation/foundation.ts';
import { printLength, type ToldUnit } from '../../../craft/units/length.ts';
import { decimal, figure } from '../../../craft/values/decimal.ts';
import { foundationWords } from '../foundations.ts';
import { list, lower, upper } from '../lists.ts';
import { length } from './helps.ts';
import type { Table } from './table.ts';

/** `any number`, or `a multiple of 6 + 1`. */
export function multipleOf(multiple: number, extra: number): string {
  return extra ? `a multiple of ${multiple} + ${extra}` : `a multiple of ${multiple}`;
}

const lies: Readonly<Record<string, string>> = {
  cups: 'will cup',
  'shallow dome': 'will make a shallow dome, which steam flattens',
  'edge waves': 'will wave at the edge; wool may block out flat',
  ruffles: 'will ruffle for good',
};

/** Sizes. */
export const sizes: Table = {
  'gauge-impossible': (f) => [
    `This {gauge} makes one ${f.what} ${decimal(Number(f.size), 2)} mm, which no yarn and hook give.`,
    'Check the count and the span, and whether you meant cm or in.',
  ],
  'width-illegal': (f) => {
    const name = lower(f.pattern);
    const needs = `${multipleOf(Number(f.step), Number(f.offset) % Number(f.step))} ${f.word}, ${f.least} at least`;
    return [
      f.byChain
        ? `${f.asked} chains make ${figure(Number(f.count))} ${f.word}, but ${name} needs ${needs}.`
        : `${upper(name)} cannot be worked on ${figure(Number(f.count))} ${f.word} (${f.chains} chains): it needs ${needs}.`,
      `Use ${list(f.instead, ' or ')} ${f.byChain ? 'chains' : f.word}.`,
    ];
  },
  'width-not-alike': (f) => {
    const what = f.byChain ? 'chains' : f.word;
    const count = `${f.asked} ${what}${f.byChain ? ` (${figure(Number(f.count))} ${f.word})` : ''}`;
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
  'border-too-wide': (f) => [
    `A border of ${printLength(Number(f.border), f.units as ToldUnit)} on each side leaves too little room for the pattern in ${printLength(Number(f.mm), f.units as ToldUnit)}.`,
    `Make it ${length(f.least, f.units)} wide or more, or work fewer rounds.`,
  ],
  'tolerance-none': (f) => [
    `${f.typed} leaves no room: a stitch pattern does not come in every size.`,
    'Allow a difference of at least 1 mm, or leave the field empty.',
  ],
  'gauge-span-short': (f) => [
    `Nobody can count stitches over ${f.typed}.`,
    'Count in the middle of the swatch over 5 cm (2 in) or more, and type that length.',
  ],
  'item-is-circle': (f) => [
    `A ${f.item} is a circle, and ${lower(f.pattern)} is worked in rows.`,
    'Choose a pattern that grows in rounds from the middle, or make a mat.',
  ],
  'item-no-circle': (f) => [
    `${upper(String(f.pattern))} makes a circle, which cannot be joined to a ${f.item}.`,
    'Choose another pattern, or make a round mat.',
  ],
  'item-in-rounds': (f) => [
    `A ${f.item} is worked in rounds, and ${lower(f.pattern)} is worked in rows here.`,
    'Choose “in rounds” for the pattern, or a pattern that can be worked in rounds.',
  ],
  'circle-two-sizes': (f) => [
    `A circle has one size, so ${f.height} does not count: it is planned ${f.width} across.`,
    'Type its diameter in both fields.',
  ],
  'flap-too-long': (f) => [
    `A flap of ${f.flap} is as long as the cover itself (${f.face}).`,
    'Make the flap shorter than the face that it closes.',
  ],
  'ring-too-wide': (f) => [
    `A hanging ring of ${f.ring} is too wide.`,
    'Give its inside width, up to 30 cm (12 in); 6 cm is usual.',
  ],
  'envelope-in-rounds': () => [
    'Rounds have no row ends that an envelope border could hide.',
    'Choose a plain border, or one in a pattern.',
  ],
  'narrower-than-repeat': (f) => [
    `${printLength(Number(f.mm), f.units as ToldUnit)} is narrower than one repeat of ${lower(f.pattern)}, which is ${f.repeat} ${f.word} (${length(f.repeatWidth, f.units)}).`,
    `The narrowest possible is ${f.least} ${f.word}, ${length(f.leastWidth, f.units)}; or choose smaller ${f.parts}.`,
  ],
  'rows-illegal': (f) => {
    const one = Number(f.asked) === 1;
    const unit = one ? String(f.unit).replace(/s$/, '') : f.unit;
    const ends = f.ending === 'as-begun' ? 'in the colour you began with' : `with whole ${f.parts}`;
    if (f.inColour) {
      return [
        `${f.asked} ${unit} would end with a stripe or block that is not as high as the first.`,
        `Use ${list(f.instead, ' or ')} ${f.unit}${f.anywhere ? ', or let it end anywhere' : ''}.`,
      ];
    }
    return [
      f.closed
        ? `${f.asked} ${unit} cannot be closed: the closing row in B comes after a row of A.`
        : `${f.asked} ${unit} ${one ? 'does' : 'do'} not end ${ends}.`,
      `Use ${list(f.instead, ' or ')} ${f.unit}${f.anywhere ? ', or let it end anywhere' : ''}.`,
    ];
  },
  'plan-too-long': (f) => [
    `This could not be planned within ${f.seconds} seconds.`,
    'Try a smaller size, or a pattern with fewer changes of colour.',
  ],
  'too-many-stitches': (f) => [
    `${f.stitches} × ${f.rows} is ${f.cells} stitches: too many to plan in one piece.`,
    `At this width ${f.most} rows are the most. Make it smaller, or plan it as panels.`,
  ],
  leans: () => [
    'In rounds you do not turn, {sc} lean a quarter to half a stitch per round: figures and seam slant.',
    'Turn the rounds where figures must be upright, or let them lean on purpose.',
  ],
  'bottom-lies': (f) => [
    `With ${f.increases} increases per round the bottom ${lies[String(f.lies)]}: at this {gauge} it lies flat with ${decimal(Number(f.flat), 1)}.`,
    'Change the increases per round, or leave them to the plan.',
  ],
  'circle-lies': (f) => [
    `With ${f.wedges} wedges it ${lies[String(f.lies)]}: at this {gauge} a flat circle needs ${decimal(Number(f.flat), 1)} more stitches per round.`,
    'Change the number of wedges or the height of the stitch, or add a round without increases.',
  ],
  'not-on-one-piece': (f) => [
    Number.isNaN(f.count)
      ? `The number of ${f.what} is not a number.`
      : `You cannot have counted ${f.count} ${f.what} on one piece.`,
    'Count whole stitches and rows, up to 1000; put a length into the field for the size.',
  ],
};
