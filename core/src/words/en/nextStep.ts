/** What is next in a project beside its rows, in one line. */
export const nextStepWords = {
  chooseSize: 'Choose a size.',
  finished: 'Finished.',
  allDone: 'Everything is done: mark it as finished.',
  start: (chains: number) => (chains ? `Start with ${chains} chains.` : 'Start with a magic ring.'),
} as const;
