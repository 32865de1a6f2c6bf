/** What the screens of `parts` say. */
export const partsSaid = {
  savedAsDraft: '✓ Saved as a draft',
  copyAsPicture: (page: number) => `Copy page ${page} as a picture`,
  copied: 'Copied.',
  nothingCopied: '✕ This browser lets nothing be copied here. Save it as a file instead.',
  scalesReadGrams: 'Scales are read in grams: an ounce is too coarse to tell yarn by. You may type 1.75 oz.',
  whatItComesTo: 'What it comes to, and what is next',
  showLatestVersion: 'Show the latest version',
  keepWhatIHave: 'Keep what I have here',
  takeStartBack: 'Take the start back',
  couldNotBeRead: 'Could not be read',
  copyOfDay: 'Copy of the day',
  stoppedSmallerSizeWorked: 'Stopped. A smaller size is worked out sooner.',
  soChance: 'so the chance is',
  notFromDrawer: 'not from the drawer',
} as const;
