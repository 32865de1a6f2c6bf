import type { Told } from './told.ts';

/** What the screens of `given` say. */
export const givenSaid = {
  countAndMeasureIt:
    'Count and measure it without its border. Its size and counts become the {gauge}, so the next one turns out like it. You choose the yarn next.',
  startProjectFromIt: 'Start a project from it',
  checkWrittenPatternOr: 'Check a written pattern, or start from a piece you have finished',
  rowsOneOrMore: 'Rows, one or more, as they are written',
  startProjectOnIt: 'Start a project on it',
  inOurNotation: 'As pattern notation',
  writtenRows: 'Written rows',
  orWithRepeatBetween: ', or with the repeat between bars:',
  leaveAnyFieldEmpty: '. Leave any field empty if you like.',
  mendWhatMarkedAnd: 'Mend what is marked, and it is checked again.',
  ifItOnePatterns:
    'If it is one of the patterns in the book, start a project with its chain. To change rows as a chart, paste them at the chart desk.',
  startProjectWithChains: (chain: Told) => `Start a project with ${chain} chains`,
  pasteRowsAtChart: 'Paste rows at the chart desk',
  openPatternBook: 'Open the pattern book',
  typeChainOrRow: 'Type a chain or a row to check.',
} as const;
