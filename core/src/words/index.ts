export { type BookEntry, bookEntry } from './book/bookEntry.ts';
export { type Label, type LabelLine, labelOf } from './document/labels.ts';
export { logColumns, logTable, yarnColumns, yarnTable } from './document/ledgerFiles.ts';
export { logLines } from './document/logLines.ts';
export { planDocument } from './document/planDocument.ts';
export { rowsAsMarkdown, rowsAsText, runColumns, runTable } from './document/rowsFiles.ts';
export { hookWords, sizeReason } from './en/advice.ts';
export { anyMultipleText, arithmeticWords, shortMultiple } from './en/arithmetic.ts';
export { cautionWords } from './en/cautions.ts';
export { upWord } from './en/counts.ts';
export { costWords, markName, mendWords, placeWords, refusedWords, widthWords } from './en/desk.ts';
export { endingShort, endingWords } from './en/ending.ts';
export { differenceWords } from './en/findRow.ts';
export { yarnPartName } from './en/finish.ts';
export { beginningAdvice, beginningWords, foundationWords } from './en/foundations.ts';
export { givenRowsWords, givenWords } from './en/given.ts';
export { glossary } from './en/glossary.ts';
export { itemName } from './en/items.ts';
export { labelNames } from './en/labels.ts';
export { endsAtText, type LastingOn, shortText } from './en/lasting.ts';
export { likelySlipWords } from './en/likelySlips.ts';
export { oneOf, upper } from './en/lists.ts';
export { nextStepWords } from './en/nextStep.ts';
export {
  nameless,
  notStarted,
  planLeft,
  planMoved,
  planUnchanged,
  setNotice,
  standingWords,
  swatchNotice,
} from './en/notices.ts';
export { joinLabel, openSides } from './en/openSides.ts';
export { placedWords } from './en/placed.ts';
export {
  beginLines,
  coverLines,
  endsLine,
  type PrintPart,
  printPartNames,
  printParts,
  printWords,
  yarnLines,
} from './en/print.ts';
export { stateWord } from './en/problems/server.ts';
export { problemText, problemWords } from './en/problems.ts';
export { scaleWords } from './en/scale.ts';
export { appSaid } from './en/screens/app.ts';
export { benchSaid } from './en/screens/bench.ts';
export { bookSaid } from './en/screens/book.ts';
export { copiesSaid } from './en/screens/copies.ts';
export { deskSaid } from './en/screens/desk.ts';
export { drawerSaid } from './en/screens/drawer.ts';
export { eveningsSaid } from './en/screens/evenings.ts';
export { finishSaid } from './en/screens/finish.ts';
export { givenSaid } from './en/screens/given.ts';
export { labelsSaid } from './en/screens/labels.ts';
export { logSaid } from './en/screens/log.ts';
export { matSaid } from './en/screens/mat.ts';
export { needSaid } from './en/screens/need.ts';
export { onwardSaid } from './en/screens/onward.ts';
export { openSaid } from './en/screens/open.ts';
export { partsSaid } from './en/screens/parts.ts';
export { priceSaid } from './en/screens/price.ts';
export { printSaid } from './en/screens/print.ts';
export { rowsSaid } from './en/screens/rows.ts';
export { setSaid } from './en/screens/set.ts';
export { shoppingSaid } from './en/screens/shopping.ts';
export { swatchesSaid } from './en/screens/swatches.ts';
export { switchSaid } from './en/screens/switch.ts';
export { wishSaid } from './en/screens/wish.ts';
export { wordsSaid } from './en/screens/words.ts';
export { workSaid } from './en/screens/work.ts';
export { shadeWords } from './en/shades.ts';
export { causeWords, slips } from './en/slips.ts';
export { type StartFault, startingWords } from './en/starting.ts';
export {
  clothName,
  clothOf,
  pieceApartWords,
  placeName,
  stepLines,
  stepName,
  stepRunLarge,
  stepRunWords,
  stepSaid,
} from './en/steps.ts';
export { techniqueWords } from './en/techniques.ts';
export { atHandWords, fibreName, policyNames, weightName } from './en/yarns.ts';
export {
  ballsCount,
  ballsFigure,
  chanceText,
  differenceFigure,
  enoughText,
  enoughWords,
  finishedFigure,
  finishedText,
  gramsFigure,
  hoursFigure,
  hoursText,
  lengthFigure,
  lengthText,
  metresFigure,
  metresText,
  sizeNumbers,
  sizeText,
  sourceWords,
  spanWords,
  tubeText,
} from './figures/figures.ts';
export { type AdviceRequest, rowAdvice } from './rows/advice.ts';
export { againstBelow } from './rows/againstBelow.ts';
export { explainCourse } from './rows/explain.ts';
export { passedChecks, proofSheet } from './rows/proofSheet.ts';
export { printedRows } from './rows/readRows.ts';
export { closingWords, courseWord, rowLine, startWords, writeRow } from './rows/rows.ts';
export { besideCarrying, hangingPlaceWords, hangingWords } from './rows/strandWords.ts';
export { type Terms, termed } from './terms/termed.ts';
export { type Hand, howMade, legend, type Maker, type Manner, stitchWord, summedStitch } from './terms/terms.ts';
export { clockWords } from './work/clock.ts';
export { datesOf } from './work/days.ts';
export { goOnWords } from './work/goOn.ts';
export { holdsWords } from './work/holds.ts';
export { idleWords } from './work/idle.ts';
export { actWords, secondsWords, timeWords } from './work/pace.ts';
export { restName } from './work/rest.ts';
export { closeWords, kindWords, spokenRun } from './work/runInHand.ts';
export { runLabel, runStitches } from './work/runLabel.ts';
export { type Tug, tugs, tugWords } from './work/tug.ts';
export { printedWorking } from './workings/printed.ts';
export { readWritten, type Written, type WrittenLine } from './written/readWritten.ts';
