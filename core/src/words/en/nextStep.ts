/** What is next in a project beside its rows, in one line. */
export const nextStepWords = {
  chooseSize: 'Choose a size.',
  finished: 'Finished.',
  weaveIn: 'All rows done: weave in the ends.',
  start: (chains: number) => (chains ? `Start with ${chains} chains.` : 'Start with a magic ring.'),
} as const;
