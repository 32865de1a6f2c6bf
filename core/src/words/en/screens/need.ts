import type { Told } from './told.ts';

/** What the screens of `need` say. */
export const needSaid = {
  doesntSuitThisProject: (policies: Told) =>
    `${policies} doesn’t suit this project: its repeat, the item or the way of working doesn’t fit.`,
  sameNumber: (plural: Told) => `the same number of ${plural}`,
  sureToBeEnough: (percent: Told) => `${percent} sure to be enough`,
  howLikelyEachNumber: 'How likely each number of balls is enough',
  ballsFilledWhereThey: (percent: Told) => `balls; filled where they are at least ${percent} sure`,
  howMuchYouNeed: 'How much you need, and how sure that is',
  workingOutYarn: 'Working out the yarn…',
  whatToDoWith: 'What to do with the idle yarn',
  compareThemOnTest: 'Compare them on test strips',
  howToBeMore: 'How to be more certain',
  whatYouCouldMeasure: 'What you could measure, and how close the estimate then gets.',
  oneSizeNarrowerOr: 'One size narrower or shorter doesn’t save a whole ball.',
  buyItAllAt: 'Buy it all at once, from one dye lot. If lots differ, change balls every two rows.',
  whereMetresGo: (letter: Told) => `Where the yarn of ${letter} goes`,
  addGramsAndMetres: 'Add the weight and length of a ball on the Idea page to see how many balls to buy.',
  whatYouHave: 'What you have is',
  perPiece: 'For one piece; the yarn above is for all of them.',
  ballEnds: (ball: number, [from, to]: readonly number[], join: number, made: string) => {
    const word = /rounds$/.test(made) ? 'round' : made === 'diagonals' ? 'diagonal' : 'row';
    return `Ball ${ball} ends between ${word}s ${from} and ${to}; join the next after ${word} ${join} at the latest.`;
  },
  twoOrMoreStrands: 'Two or more strands inside',
  visibleThroughFabric: 'Visible through the fabric',
  testStripsOneSmall: 'Test strips: one small cloth, three ways with the idle yarn',
  withYourOwnYarn:
    ', with your own yarn and hook. Leave the tails on, lay the strips beside one another, look at both faces and feel them; weigh each to a tenth of a gram if you can.',
  thisProjectSoThis: (state: Told) => `This project is ${state}, so this choice is fixed.`,
  usedInThisPlan: '✓ used in this plan',
  endsStrip: 'Ends of the strip',
  yarnComparedWithEstimate: 'Yarn compared with the estimate',
} as const;
