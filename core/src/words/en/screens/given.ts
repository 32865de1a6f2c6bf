import type { Told } from './told.ts';

/** What the screens of `given` say. */
export const givenSaid = {
  countAndMeasureIt:
    'Count and measure it without its border. Its size and counts become the {gauge}, so the next one turns out like it. You choose the yarn next.',
  startProjectFromIt: 'Start a project from it',
  checkWrittenPatternOr: 'Check a written pattern, or start from a piece you have finished',
  oneRowWithRepeat: 'One row, with the repeat between two bars',
  orWithRepeatBetween: ', or with the repeat between bars:',
  leaveAnyFieldEmpty: '. Leave any field empty if you like.',
  mendWhatMarkedAnd: 'Mend what is marked, and it is checked again.',
  ifItOnePatterns:
    'If it is one of the patterns in the book, start a project with its chain. Otherwise paste its rows at the chart desk, as they are written: each line is read or pointed at, and the cloth is drawn.',
  startProjectWithChains: (chain: Told) => `Start a project with ${chain} chains`,
  pasteRowsAtChart: 'Paste rows at the chart desk',
  openPatternBook: 'Open the pattern book',
  typeChainOrRow: 'Type a chain or a row to check.',
} as const;
