export { findPattern, isSamePattern, isWritten, patternBook, sourceOf } from './book/book.ts';
export { plainPattern } from './book/patterns/plain.ts';
export {
  beginDrawing,
  coloursRows,
  groundOf,
  isDrawn,
  lettersOfYarns,
  offsetOf,
  pensOf,
  proportionOf,
  readied,
  withColours,
} from './desk/begin.ts';
export {
  columnDeleted,
  columnInserted,
  cutOut,
  flippedAcross,
  flippedUp,
  inRole,
  laidDown,
  marked,
  movedTo,
  type Piece,
  repeatOver,
  resized,
  rowInColour,
  rowInserted,
  rowsDeleted,
  tiled,
  turned,
} from './desk/changes.ts';
export {
  colourOf,
  type Drawing,
  drawingOf,
  extentsOf,
  type Mark,
  patternOf,
  rowLetters,
  stitchOf,
  widthOf,
} from './desk/drawing.ts';
export {
  coloursOfPicture,
  type Dots,
  type PictureRequest,
  pictured,
  rowsForPicture,
  type Smoothing,
  smoothings,
  takesPictures,
} from './desk/picture.ts';
export {
  type Mirrors,
  mirrored,
  noMirrors,
  type Place,
  placesAlike,
  placesOfLine,
  placesOfRegion,
  type Region,
  regionOf,
} from './desk/places.ts';
export { readRowsText, rowsText } from './desk/rowsText.ts';
export { fromTable, tableOf } from './desk/table.ts';
export {
  beginWheel,
  mostRounds,
  mostWedges,
  patternOfWheel,
  type Wheel,
  wedgeStitches,
  wheelOf,
  wheelProblems,
  withWedges,
} from './desk/wheel.ts';
export { type EdgeRule, edgesDiffer, mayBeCentred } from './fabric/edges.ts';
export {
  baseCourses,
  cellsIn,
  courseCells,
  type Fabric,
  facesRight,
  isRoundMaking,
  runsForward,
  sidesOf,
} from './fabric/fabric.ts';
export { beginColour } from './fabric/onHook.ts';
export type { LayRequest } from './fabric/rows.ts';
export { type SeenGrid, seenGrid } from './fabric/seen.ts';
export {
  beginsSmall,
  chainsFor,
  chooseFoundation,
  type Foundation,
  findFoundation,
  tubeBegins,
} from './foundation/foundation.ts';
export { type Fibre, fibres, fibreWords, mainFibre, readBlend } from './gauge/fibres.ts';
export { weightClasses } from './gauge/typical.ts';
export { type Alphabet, alphabets, lettered, strokeOf } from './letters/letters.ts';
export { bindPattern } from './notation/bind.ts';
export { checkGiven, checkGivenRows, type GivenVerdict, readMultiple } from './notation/given.ts';
export { inRounds } from './notation/inRounds.ts';
export { printPattern } from './notation/print.ts';
export { readPattern } from './notation/read.ts';
export { reviewPattern } from './notation/review.ts';
export type { BoundPattern } from './patterns/bound.ts';
export type { StitchPattern } from './patterns/model.ts';
export { lettersIn, readOrder } from './patterns/order.ts';
export { lightnessOf, lightOf, luminance } from './shades/colour.ts';
export { type Eyes, shadeSeen } from './shades/eyes.ts';
export { readShades, smallestRun } from './shades/reading.ts';
export { codeOf, type StitchKey, stitchKind, stitchKinds } from './stitches/kinds.ts';
export { coursesFor } from './technique/courses.ts';
export { lyingOn, takesFigures } from './technique/figures.ts';
export { type Policy, policies } from './technique/policy.ts';
export type { Technique } from './technique/technique.ts';
export { makingsOf, techniqueNamed, techniqueOf, techniques } from './techniques/register.ts';
export { numberOrText, readNumber } from './units/amount.ts';
export {
  type LengthUnit,
  lengthNumber,
  parseLength,
  printLength,
  type ToldUnit,
  unitWord,
  withUnit,
} from './units/length.ts';
export {
  ballTyped,
  gramsOrText,
  hookOrText,
  parseLabel,
  parseMass,
  weightsOrText,
  yarnLengthNumber,
  yarnLengthUnit,
} from './units/yarn.ts';
export { type Belief, firstBelief, isDoubtful } from './values/belief.ts';
export { type DecimalMark, decimal, decimalMarkOf, figure, tellDecimals } from './values/decimal.ts';
export { type Estimate, ninety, type Printed } from './values/estimate.ts';
export { type Facts, good, must, type Problem, type Result, refused, type Told } from './values/problem.ts';
