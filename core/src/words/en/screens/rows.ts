import type { Told } from './told.ts';

/** What the screens of `rows` say. */
export const rowsSaid = {
  onChart: 'chart',
  chartRowsByStitches: (courses: Told, stitches: Told, selected: Told) =>
    `Chart of ${courses} rows by ${stitches} stitches, row ${selected} selected`,
  noSizeFitsThis: 'No size fits this idea yet.',
  howRowsWritten: 'How rows are written',
  swapAndB: 'Swap A and B',
  whyDoesChangeColour: (word: Told, number: Told) => `Why does ${word} ${number} change colour where it does?`,
  howToMakeStitches: 'How to make the stitches',
} as const;
