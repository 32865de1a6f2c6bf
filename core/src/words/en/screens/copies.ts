import type { Told } from './told.ts';

/** What the screens of `copies` say. */
export const copiesSaid = {
  youAskedForIt: 'You asked for it',
  copyDay: 'Copy of the day',
  beforeCopyWasPut: 'Before a copy was put back',
  beforeTableWasRead: 'Before a table was read in',
  whenNewerTookOver: 'When a newer Puntada took over',
  makingCopyAndReading: 'Making the copy and reading it back…',
  copyWholeAndBeing: 'The copy is whole and is being saved.',
  backUpEverythingOpen: 'Back up everything, open a file, put a copy back',
  oneFileWithEvery: 'One file with every project, row, note, photo, yarn and swatch. Keep it on another disk.',
  backUpEverythingTo: 'Back up everything to a file',
  copiesKeptOnThis: 'Copies kept on this computer',
  puntadaMakesOneOn:
    'Puntada makes one on each day you use it, and before anything is replaced. It keeps the last seven days and one a month for a year; those from before something was replaced, for 30 days.',
  yourFirstCopyWill: 'Your first copy will lie here once there is something to keep.',
  readingCopyThrough: 'Reading the copy through…',
  puttingCopyBack: 'Putting the copy back…',
  saveAsFile: (when: Told) => `Save as a file: ${when}`,
  saveAsFileShort: 'Save as a file',
  thisReplacesEverythingOn:
    'This replaces everything on your bench with the copy. What is there now is kept as a copy of its own for 30 days.',
  replaceEverythingWithIt: 'Replace everything with it',
  openedItsOnYour: '✓ Opened: it’s on your bench, where the other maker left off.',
  youHadThisProject: '✓ You had this project already; rows and log of both copies are now together.',
  yourCopyFollowsAnother: '✓ Your copy follows another plan, so this one is on the bench beside it.',
  backupWholeBenchOr: 'A backup of a whole bench, or a project that another maker has shared.',
  openBackupOrProject: 'Open a backup or a project file',
  holdsOneProjectOpening: (name: Told, titles: Told) =>
    `${name} holds one project: ${titles}. Opening it changes nothing else on your bench.`,
  wasMadeOnAnd: (name: Told, date: Told, found: Told) =>
    `${name} was made on ${date} and holds ${found}. It replaces everything on your bench now; what is there is kept as a copy for 30 days.`,
} as const;
