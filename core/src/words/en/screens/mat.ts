import type { Told } from './told.ts';

const marks = { circle: '', tube: 'each side starts a repeat and ', flat: 'both edges match and ' };

const washNames = {
  'cotton-hot': 'cotton, hot',
  acrylic: 'acrylic',
  'wool-blocked': 'wool, wet blocked',
  'superwash-tumbled': 'superwash, tumbled',
} as const;

/** What the screens of `mat` say. */
export const matSaid = {
  sizesCloseToWhat: 'Sizes close to what you asked',
  otherSizesFromTypical: 'Other sizes (from a typical gauge)',
  furtherOffThanYou: 'further off than you allow:',
  ballsForEachSize: 'Balls for each size',
  ballsForEachHeight: 'Balls for each height',
  ballsForEachHeightAt: 'Balls for each height at this width',
  notWorkedOutYet: 'not worked out yet',
  largestBeforeAnotherBall: ', the largest before another ball',
  inBelowBallsAbove: (measure: Told, units: Told) =>
    `${measure} in ${units} below, balls above. A filled dot is the largest size before you need another ball.`,
  stitchesFromWhereRow: (name: Told, cell: Told, row: Told) =>
    `${name}: ${cell} stitches from where row 1 begins, ${row} rows up. Arrow keys move it.`,
  largestSizeYourYarn: (chance: Told) => `The largest size your yarn makes (${chance} sure to be enough).`,
  stoppedSizeHasNot: 'Stopped. The size has not changed.',
  workingOutSizes: 'Working out the sizes…',
  letItStopAt: 'Let it stop at any row',
  thisProjectSoIts: (state: Told) => `This project is ${state}, so its size is fixed.`,
  dragEdgeTapMark: (shape: 'circle' | 'tube' | 'flat') =>
    `Drag an edge, tap a mark on its ruler, or use the arrow keys on it. At a long mark ${marks[shape]}the last ${shape === 'flat' ? 'row' : 'round'} matches the first.`,
  yarnEstimate9Times:
    'The yarn is an estimate: 9 times in 10 it falls in this range. The balls are 95 % sure to be enough. Weigh a ball as you go to narrow it.',
  startWithRing: 'Start with a ring',
  eachSideStartsRepeat: 'Each side starts a repeat',
  carryAllWay: 'Carry all the way',
  allTogetherAsYarn: (pieces: Told) => `all ${pieces} together, as are yarn and time`,
  furtherOffThanYouAllow: (allowed: Told) => `further off than the ${allowed} you allow`,
  thisSizeInFigures: 'This size in figures',
  lastMatchesFirst: (course: Told) => `last ${course} matches the first`,
  andEdgePost: 'and the edge post',
  endsInAnother: (course: Told) => `its last ${course} is in another colour than its first`,
  afterWash: (wash: keyof typeof washNames) => `Sizes are those after the first wash: ${washNames[wash]}.`,
  heightSides: 'Height of the sides',
  endsToWeaveIn: 'Ends to weave in',
  atAveragePaceYours: 'at an average pace (yours isn’t known yet)',
  allWayRound: 'All the way round',
  fromWhatYouAsked: (difference: Told, from: Told) => `${difference} from what you asked${from}`,
  whatYouHave: (chance: Told) => `What you have is ${chance}`,
  howFarOffMay: 'How far off may it be?',
  notLengthType2: (typed: Told, units: Told) => `“${typed}” is not a length. Type 2 ${units}, or leave it empty.`,
} as const;
