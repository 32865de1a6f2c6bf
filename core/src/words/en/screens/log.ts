import type { Told } from './told.ts';

/** What the screens of `log` say. */
export const logSaid = {
  howItTurnedOut: 'How it turned out',
  notMarkedAsFinished: '; not marked as finished yet.',
  lastRowDoneOn: 'Last row done on',
  sizeThisPiece: 'the size of this piece',
  yarnYouReallyUsed: 'the yarn you really used',
  newOnePlannedFrom: (taught: Told) => `A new one is planned from ${taught}.`,
  yourSecondsPerStitch: 'Your seconds per stitch',
  logTimeYarnSize: 'Log: time, yarn, size and what to change next time',
  planRestAgain: 'Plan the rest again',
  chooseSizeAndStart: 'choose a size and start',
  saveThisProjectAs: 'Save this project as a file',
  saveLogAs: 'Save the log as a table (CSV)',
  itsPlanEveryRow: ': its plan, every row and this log. Another maker, or another computer, can carry on from it.',
  measuredAsYouGo: 'Measured as you go',
  offHookLaidFlat: 'Off the hook, laid flat, without its border.',
  atThisRateIt: (sizes: Told) => `At this rate it will end up ${sizes}.`,
  typeNoteOrCancel: 'Type the note, or cancel and delete it.',
  moreSessions: (more: Told, left: Told) => `${more} more of ${left} earlier sessions`,
  timeSessionsComparedWith: (sessions: Told, times: Told) =>
    `Time of ${sessions} sessions compared with an average pace: ${times}`,
  averagePace: '% of an average pace',
  dotsEachSessionsTime:
    'Dots: each session’s time as a percentage of an average pace (dashes). Band: your pace, from all sessions.',
  couldNotBeOpened: (name: Told) =>
    `${name} could not be opened as a picture. Choose a JPEG or PNG file; nothing was changed.`,
  addPhotoAt: (rows: Told) => `Add a photo at ${rows}`,
  typeRowFrom0: (most: Told) => `Type a row from 0 to ${most}.`,
  rowsAndStepsAfter: (row: Told, rows: Told, hours: Told) => `${row} of ${rows} rows and steps after ${hours} hours`,
  bandWhenItWill: ' Band: when it will be done, at your pace.',
  lineRowsAndSteps: (expected: Told, band: Told) =>
    `Line: rows and steps done, without pauses. Dashes: what the plan expected, ${expected} up to here.${band}`,
  noRowsDoneYet: 'No rows done yet.',
  correctSession: (name: Told) => `Correct the session of ${name}`,
  typeMinutesFrom0: 'Type minutes from 0 to 1440.',
  leaveItOutMy: 'Leave it out of my pace',
  correctionDeletedStepsTell: 'Correction deleted: the steps tell the time again.',
  asStepsTellIt: 'As the steps tell it',
  weighingBallAfter: (ball: Told, letter: Told, place: Told) => `weighing of ball ${ball} of ${letter} after ${place}`,
  weighingBallSaved: (ball: Told, letter: Told) => `Weighing of ball ${ball} of ${letter} saved.`,
  typeWholeNumberSuch: 'Type a whole number, such as 1.',
  scaleAccurateTo: 'Scale is accurate to',
  onScaleG: 'On the scale (g)',
  setItToZero: 'Set it to zero',
  expectedToBeforeAny: (letter: Told, low: Told, high: Told, unit: Told, lowNow: Told, highNow: Told) =>
    `${letter}: expected ${low} to ${high} ${unit} before any weighing, ${lowNow} to ${highNow} after the last`,
  dotsWeighedDashesEstimate:
    'Across: rows and steps. Dots: weighed. Dashes: estimate. Band: the expected total, narrower with each weighing.',
  yarnOnScale: 'Yarn on the scale',
  notWeighedYetEstimated: 'Not weighed yet; estimated',
  nothingLeftToUse: 'Nothing left to use',
  whatYouHave: '; what you have is',
  thisWeightLooksFar: 'This weight looks far off. Check the grams, the ball, and that it was dry.',
} as const;
