export { planDocument } from './document/planDocument.ts';
export {
  ballsText,
  chanceText,
  differenceText,
  finishedText,
  hoursText,
  lengthText,
  metresText,
  sizeText,
  sourceWords,
  tubeText,
} from './figures/figures.ts';
export { type AdviceRequest, beginningAdvice, rowAdvice } from './rows/advice.ts';
export { againstBelow } from './rows/againstBelow.ts';
export { explainCourse } from './rows/explain.ts';
export { proofSheet } from './rows/proofSheet.ts';
export { printedRows } from './rows/readRows.ts';
export { changeOfRun, closingWords, courseWord, runWords, startWords, writeRow } from './rows/rows.ts';
export { type HangingStrand, StrandBook, type StrandOrder } from './rows/strandOrders.ts';
export { inTerms } from './terms/inTerms.ts';
export {
  type Hand,
  howMade,
  legend,
  oneStitch,
  openingWords,
  stitchWord,
  summedStitch,
  type Terms,
} from './terms/terms.ts';
