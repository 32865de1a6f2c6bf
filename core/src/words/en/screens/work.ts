import type { Told } from './told.ts';

/** What the screens of `work` say. */
export const workSaid = {
  stitchesInLastFasten: (stitches: Told, word: Told) =>
    `${stitches} stitches in the last ${word}. Fasten off: cut the yarn, leaving 15 cm, and pull the end through the last loop. Weave in each end inside its own colour.`,
  chainFirst: 'The foundation chain',
  thenFirstRow: (word: string) => `Then ${word} 1:`,
  seeFinishingSteps: 'See the finishing steps',
  noteHowItTurned: 'Note how it turned out',
  nextOneBeginsWith: 'The next one begins with its chain, as soon as these steps are done.',
  youCanStopHere: 'You can stop here',
  youCanStartDecreasing: 'You can start decreasing here for ',
  youCanStopHereFor: 'You can stop here: ',
  itHasReachedLargest: 'It has reached the largest size you set.',
  yarnWillLastThat: (chances: Told) => `; the yarn will last that far: ${chances}`,
  nextGoodPlaceTo: (word: Told, next: Told, lasting: Told) =>
    `The next good place to stop is ${word} ${next}${lasting}.`,
  stopHereOrSee: 'Stop here, or see the other ways to go on',
  atEndEachRow: 'at the end of each row',
  neverILayIt: 'never: I lay it in loosely',
  keepScreenAwake: 'Keep the screen awake',
  hideFinishedRowsAnd: 'Hide finished rows and show those to come',
  remindMeToPull: 'Remind me to pull the idle yarn snug',
  practiceClickerAndFoot: 'Practice clicker and foot switch',
  keysSpaceOrPage:
    'Keys: Space or Page Down for the next step, Enter to finish the row, Backspace or Page Up for one back. A clicker sends the same keys.',
  atEnd: (word: Told, number: Told) => `At the end of ${word} ${number}`,
  ballsLeftToRight: 'Balls, left to right',
  rightSideFacingYou: 'right side facing you',
  wrongSideFacingYou: 'wrong side facing you',
  pausedNextStepCarries: 'Paused; the next step carries on',
  restYourHandsFor: (restFor: Told) => `: rest your hands for ${restFor} min`,
  pauseWasntSaved: (message: Told) => `✕ The pause wasn’t saved: ${message}`,
  notSavedSeeNote: '✕ Not saved: see the note at the top',
  safeInThisBrowser: (steps: number) => `${steps === 1 ? '1 step is' : `${steps} steps are`} safe in this browser`,
  thisProjectIsntStarted: 'This project isn’t started yet. Choose a size first.',
  /** @param ahead whether what is worked is covered, so that what comes shows; else the rest is */
  rowsWorkedCovered: (done: number, rows: number, ahead: boolean) =>
    `${done} of ${rows} rows worked; ${ahead ? 'they are' : 'the rest is'} covered`,
  stitchesYouCountIn: (row: Told) => `Stitches you count in row ${row}`,
  tapOrTypeWhat: (a: Told, b: Told) =>
    `Tap or type what you see in your last row, from where it starts: 4${a} 4${b}, as many as you can see.`,
  rowUnderIt: 'The row under it',
  whichRowIt: 'Which row is it?',
  noRowThisProject: 'No row of this project matches. Check the first few stitches again.',
  whereYourCounterStands: 'where your counter stands.',
  andMoreFartherFrom: (more: Told) =>
    `and ${more} more, farther from where your counter stands. More of the row, or the row under it, tells them apart.`,
  deleteLastOne: (label: Told) => `${label}: delete the last one`,
  myCountWrong: 'My count is wrong',
  commonSlipsAndHow: 'Common slips and how to mend them',
  backToRow: 'Back to the row',
  whatYouCanDo: 'What you can do',
  undoRowAsFar: (row: Told) => `Undo row ${row} as far as you have got`,
  noteAboveSaysHow: 'the note above says how far it shows',
  shorterSavesMinAnd: (shorter: Told, unit: Told, minutes: Told, metres: Told, yarnUnit: Told) =>
    `${shorter} ${unit} shorter; saves ${minutes} min and ${metres} ${yarnUnit}`,
  seeAllWaysTo: 'See all ways to go on',
  lastRowToKeep: 'Last row to keep',
  typeRowFrom0: (rows: Told) => `Type a row from 0 to ${rows}.`,
  logKeepsTheseRows: 'The log keeps these rows; only the row counter goes back.',
  ripBackToRow: (row: Told) => `Rip back to row ${row}`,
  rehearsalOf: (name: Told) => `Rehearsal: ${name}`,
  nothingOfThisKept: 'Nothing of this is kept.',
  layingFirstRows: 'Laying the first rows…',
  backToPattern: 'Back to the pattern',
  rowsRehearsed: (rows: Told, word: Told) => `the first ${rows} ${word}s, on a swatch`,
  rehearsedAll: (rows: Told, word: Told) => `${rows} ${word}s rehearsed`,
  nothingWasChanged:
    'No project was touched and nothing was counted. If every turn and colour change read well, the pattern is ready.',
} as const;
