import type { Told } from './told.ts';

/** What the screens of `finish` say. */
export const finishSaid = {
  whereItGoes: 'The piece laid out, with the place of each step',
  showStep: (name: Told) => `Show the step: ${name}`,
  showPlace: (name: Told) => `Show where: ${name}`,
  touchToSee: 'touch a place to see its step',
  ends: 'Ends',
  outside: (face: 'RS' | 'WS' | undefined) =>
    face ? `${face === 'RS' ? 'right' : 'wrong'} side out` : 'which side faces out is not yet decided',
  startsInCorner: (hand: Told) => `starts in the ${hand} corner`,
  afterLastRowClosing: 'After the last row: closing row, border, seams, ends',
  countingFinishingSteps: 'Counting the finishing steps…',
  fastenOffAfterLast: 'Fasten off after the last row.',
  fastenOffCutYarn: 'Fasten off: cut the yarn and pull the end through the last loop.',
  weaveEachEndInside:
    'Weave each end inside its own colour, three passes, changing direction each time. Knot first or not, as you prefer. Leave no needle in the work.',
  costAndPrice: 'Cost and price',
} as const;
