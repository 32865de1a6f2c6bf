export { findPattern, patternBook } from './book/book.ts';
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
export type { LayRequest } from './fabric/rows.ts';
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
export { bindPattern } from './notation/bind.ts';
export { checkGiven, type GivenVerdict, readMultiple } from './notation/given.ts';
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
export { firstBelief, isDoubtful } from './values/belief.ts';
export { type Estimate, ninety, type Printed } from './values/estimate.ts';
export { type Facts, good, must, type Problem, type Result, type Told } from './values/problem.ts';
