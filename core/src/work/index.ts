export { freeOf, metresInDrawer, setAside } from './drawer/drawer.ts';
export { type AtHand, buyingWorking, priceWorking, type ShoppingNeed, shoppingOf } from './drawer/shopping.ts';
export { drawerColumns, readDrawerTable, toRow } from './drawer/table.ts';
export {
  afterRow,
  afterRun,
  backRun,
  begun,
  comparePositions,
  compareTicks,
  type Position,
  placeOf,
  reached,
  type Tick,
} from './progress/progress.ts';
export { endSooner } from './replan/endSooner.ts';
export { openEnd } from './replan/openEnd.ts';
export { proveRest } from './replan/prove.ts';
export { restPlans } from './replan/rest.ts';
export type { RestPlan } from './replan/restPlan.ts';
export { type PlanFigures, planFigures } from './replan/whole.ts';
export {
  type Day,
  dayAfter,
  evening,
  type Finish,
  finishes,
  inTurn,
  type Pending,
  restAfter,
  restFor,
  rests,
  rowsIn,
  secondsUntil,
  type Week,
} from './schedule/schedule.ts';
export { type Costs, materialsOf, materialsTimes, type PriceWay, pricesOf } from './selling/price.ts';
export { backOf, isTwin, sidesJoined, twinOf } from './set/back.ts';
export { ballsInOrder, type SharedBall } from './set/balls.ts';
export {
  type Colouring,
  colourwaysOf,
  type Filling,
  filled,
  fillings,
  itemsOfOneYarn,
  togetherWith,
  wishesOfSet,
} from './set/colourways.ts';
export { type ItemStand, itemsAt, setAt, toldOfItems } from './set/items.ts';
export { type SetMember, yarnKey } from './set/parted.ts';
export { type LastingOfSet, lastingOfSet, lastingWithSet, type SetPool } from './set/pools.ts';
export { sharedNow } from './set/shared.ts';
export { type CountedProject, setTotals } from './set/totals.ts';
export { type SetChange, type SetWay, setWays } from './set/ways.ts';
export { hookFor, swatchFigures } from './swatch/hooks.ts';
export {
  leastRepeats,
  planSwatch,
  proportionOn,
  swatchGauge,
  swatchOf,
  swatchPiece,
  swatchReading,
  withSwatch,
} from './swatch/readings.ts';
export { compareStrips, type Strip } from './swatch/strips.ts';
export { wishAgain } from './underway/again.ts';
export { colourQuestions } from './underway/colourQuestions.ts';
export { clothAsWorked, driftOf, isDrifting, type Planned } from './underway/drift.ts';
export { findRow, readSeenRow, runsToTap } from './underway/findRow.ts';
export {
  cellsInHand,
  costsOfPiece,
  costsOfProject,
  foretoldHours,
  handworkOfRows,
  type ProjectCosts,
  partWorked,
  type Rows,
  sequenceOfWork,
  sessionsOfWork,
  type WorkCosts,
} from './underway/inHand.ts';
export { brokenIn, isOutside, rowLeft, runsOfUnits, standsAt, touchedOf } from './underway/kept.ts';
export { isShort, type Lasting, lasting } from './underway/lasting.ts';
export { type LogTimes, logTimes, type RowsAfter } from './underway/logTimes.ts';
export { leftWorking, predictedWorking, timeSoFarWorking, usedWorking } from './underway/logWorkings.ts';
export { type KnownAt, narrowing } from './underway/narrowing.ts';
export { oneOff } from './underway/oneOff.ts';
export { piecesApart } from './underway/pieces.ts';
export { impossibleIn, unlikelyMeasure, unlikelyWeight } from './underway/plausible.ts';
export { type RipCost, ripBack } from './underway/rip.ts';
export { paceOfSessions, type Session, sittingSince, type ToldSession } from './underway/sessions.ts';
export { type ColourQuestion, colourNow } from './underway/weighed.ts';
