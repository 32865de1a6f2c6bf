export { wishAsBegun } from './begun/asBegun.ts';
export { clothAt, freeze, type ThawedWork, thaw } from './begun/frozen.ts';
export { withLastLoop } from './begun/lastLoop.ts';
export { type MadeWork, onlySize, planWork, prepareCloth, prepareWork } from './begun/made.ts';
export { wishFromPiece } from './book/fromPiece.ts';
export { type PatternFacts, patternFacts } from './book/patternFacts.ts';
export { checkFabric } from './check/fabric.ts';
export { checkStrands } from './check/strands.ts';
export { type Mend, mendsFor, type Study, studyDrawing } from './desk/study.ts';
export { roundsInPattern } from './finish/borderPart.ts';
export type { PatternedRound } from './finish/borderPattern.ts';
export type { OtherSide } from './finish/finish.ts';
export { strapAcross, strapJoining, strapWanted } from './finish/strap.ts';
export { isTube, type TubeMeasure, type TubeSize, type WidthOffer, widthsAcross } from './fit/across.ts';
export { canEndAsBegun, type EndRule, type HeightOffer } from './fit/up.ts';
export type { Question } from './items/item.ts';
export { coverFor, measureOf, panelsOf, policyOf, techniquesFor } from './items/items.ts';
export { itemKinds, itemNamed } from './items/register.ts';
export { lay } from './lay/lay.ts';
export { endsOfPlan, measure, wovenIn, type YarnNeed } from './measure/measure.ts';
export { type Handwork, handworkOf } from './pace/hours.ts';
export { type ActPace, type OwnPace, secondsBy, secondsEach, unknownPace } from './pace/ownPace.ts';
export { type HookAdvice, hookAdvice } from './piece/hookAdvice.ts';
export { handBelief, makePiece, type Piece, routePiece, sideOf } from './piece/piece.ts';
export { endsWarning, type Plan, planWish } from './piece/plan.ts';
export { largestFromStash, type SearchStep, searchLargest } from './piece/stash.ts';
export { chartOf } from './route/ofFabric.ts';
export { turnAfter } from './route/twists.ts';
export { chooseSizes, type SizeChoice } from './sizes/choices.ts';
export { asWideAsHigh, fitSizes, type Sizes } from './sizes/sizes.ts';
export { sidesOff } from './sizes/tolerance.ts';
export { countedCells, countedShare } from './steps/countedShare.ts';
export {
  type Counted,
  countedIn,
  countOf,
  leftIn,
  type WorkedCourse,
  type WorkedRun,
  workCourse,
} from './steps/course.ts';
export { type Ending, endingOfCloth } from './steps/ending.ts';
export type { WorkStep } from './steps/finishSteps.ts';
export { firstRows, nextRow, placeOfRow, rowsAmong, rowsIn, type Sequence, standingAt } from './steps/sequence.ts';
export { type HangingStrand, StrandBook } from './steps/strandBook.ts';
export { cautionsFor } from './wish/cautions.ts';
export { type Prepared, prepare, waysOf } from './wish/prepare.ts';
export { secondsWorking } from './workings/handWorkings.ts';
export { rowsLeftWorking } from './workings/sizeWorkings.ts';
export type { Working } from './workings/working.ts';
export { type PieceWorkings, pieceWorkings, sizeWorkings, type YarnWorkings } from './workings/workings.ts';
