import type { Told } from './told.ts';

const foldWord = (parts: number) => ({ 2: 'half', 3: 'thirds', 4: 'quarters' })[parts] ?? `${parts} parts`;

/** What the screens of `finish` say. */
export const finishSaid = {
  lastCourse: (made: string) =>
    /rounds$/.test(made) ? 'Last round' : made === 'diagonals' ? 'Last diagonal' : 'Last row',
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
  howLastLoop: 'How you fasten the last loop',
  lastLoops: { drawn: 'Pull it through', locked: 'Lock it' },
  howEnds: 'What you do with ends',
  endWays: { woven: 'Weave them in', knotted: 'Knot, then weave', over: 'Work over them' },
  endsDone: {
    woven:
      'Weave each end inside its own colour, three passes, changing direction each time. Leave no needle in the work.',
    knotted:
      'Knot the two ends that meet, close to the work, then weave each inside its own colour, two passes. Leave no needle in the work.',
    over: 'Lay each end along the row below and work the next ten stitches over it; what still shows is woven in for one pass. Where ends lie inside, the other colour may show through.',
  },
  foldSo: (across: number, up: number) =>
    `Fold it in ${foldWord(across)} one way and in ${foldWord(up)} the other, right side out, the last row on top. How long a paper band has to be stands in Finishing.`,
  stitchesIn: (stitches: number, rounds: readonly number[], letter: string) =>
    rounds.length > 1 && rounds.length < 4 && rounds.reduce((sum, each) => sum + each, 0) === stitches
      ? `${rounds.join(' + ')} stitches in ${letter}`
      : `${stitches} ${stitches === 1 ? 'stitch' : 'stitches'} in ${letter}`,
  endsOf: (
    colours: readonly {
      readonly letter: string;
      readonly name: string;
      readonly ends: number;
      readonly closedIn: number;
    }[],
  ) => {
    const open = colours.filter(({ ends, closedIn }) => ends > closedIn);
    return `${open.map(({ letter, name, ends, closedIn }) => `${ends - closedIn} in ${letter} (${name})`).join(', ')}.`;
  },
  closedIn: (ends: number) =>
    `The ${ends} ends at the edges need no weaving in: trim them, and close them in between the two layers of the border.`,
  toWeaveIn: (ends: number) => `${ends} to weave in`,
  forEach: 'for each',
  forAll: (items: number) => `for all ${items}`,
  totalTime: (items: number) => (items > 1 ? `Total time, for all ${items}` : 'Total time'),
  endsTime: 'The time counts each end as woven in.',
  costAndPrice: 'Cost and price',
} as const;
