import type { Told } from './told.ts';

/** What the screens of `print` say. */
export const printSaid = {
  runsAsTable: 'Runs as a table',
  yarnAsTable: 'Yarn as a table',
  chartAsPicture: 'Chart as a picture',
  clothAsPicture: 'Cloth as a picture',
  sizeOfPicture: 'Size of a picture',
  dotsOnLongerSide: (dots: Told) => `${dots} dots on the longer side`,
  settingPagesAnew: 'Setting the pages anew…',
  printChooseWhatGoes: 'Print: choose what goes on paper, and look at each page',
  backToRows: 'Back to the rows',
  boxToTickAt: 'A box to tick at each row',
  withOrdersStrands: 'With the orders of the strands',
  howChartPrinted: 'How the chart is printed',
  forBlackPrinter: 'For a black printer',
  sizeLargePrint: 'Size of the large print',
} as const;
