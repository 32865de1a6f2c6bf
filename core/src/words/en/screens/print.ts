/** What the screens of `print` say. */
export const printSaid = {
  runsAsTable: 'Runs as a table',
  settingPagesAnew: 'Setting the pages anew…',
  printChooseWhatGoes: 'Print: choose what goes on paper, and look at each page',
  backToRows: 'Back to the rows',
  boxToTickAt: 'A box to tick at each row',
  withOrdersStrands: 'With the orders of the strands',
  howChartPrinted: 'How the chart is printed',
  forBlackPrinter: 'For a black printer',
  sizeLargePrint: 'Size of the large print',
} as const;
