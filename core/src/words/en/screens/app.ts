import type { Told } from './told.ts';

/** What the screens of `app` say. */
export const appSaid = {
  thereNoPageAt: 'There is no page at this address.',
  filePagesGone: 'a file of the pages is gone',
  thisPageNotThere: 'This page is not there any more',
  somethingBrokeOnThis: 'Something broke on this page',
  puntadaWasUpdatedSince: 'Puntada was updated since you opened it, or its server is away. Load the page again.',
  whatYouSavedSafe: 'What you saved is safe. Load the page again; if it breaks once more, go back to the bench.',
  entryAboutFinishedPiece: 'entry about the finished piece',
  entryAboutItem: 'entry about an item',
  entryAboutCosts: 'entry about costs',
  itKeptInThis: (message: Told, hint: Told) => `${message} ${hint} It is kept in this browser until you decide.`,
  saveAsFile: 'Save as a file',
  seeWhatWaits: 'See what waits',
  fromTo: (from: Told, to: Told) => `${from} to ${to}`,
  keptHereAndWill: (what: string, count: number) =>
    ` ${what} ${count === 1 ? 'is' : 'are'} kept here and will be saved then.`,
  puntadasServerAwayYou: (safe: Told) =>
    `Puntada’s server is away. You can go on counting, weighing and noting; plans can be changed when it is back.${safe} If it was stopped, start it again.`,
  thisBrowserKeepsNothing: '✕ This browser keeps nothing of what waits. Leave this page open until all is saved.',
  thisBrowserWillKeepNothing:
    'This browser keeps nothing between visits, as in a private window. What you count is safe as soon as the server has it; while the server is away, leave this page open.',
  thisBrowserIsNearlyFull:
    'This browser has hardly any room left. Make some, or soon it can keep nothing while the server is away.',
  howYouReadUnits: 'How you read: units, stitch names, hand',
  fractionsInch: 'Fractions of an inch',
  hourIsToEarn: 'An hour is to earn',
  howRowsWritten: 'How rows are written',
  backUpOpenFile: 'Back up, open a file, put a copy back',
  skipToContent: 'Skip to the content',
  theSet: 'The set',
  stagesThisProject: 'Stages of this project',
  startProjectFirst: 'Start the project first',
  planRestAgain: 'Plan the rest again',
  thereNoSuchProject: 'There is no such project here. If you deleted it, it may still be in the bin on the bench.',
  thisProjectInBin: 'This project is in the bin.',
} as const;
