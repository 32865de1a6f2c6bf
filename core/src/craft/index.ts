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
export { type Fibre, fibreFacts, fibres, fibreWords, mainFibre, readBlend } from './gauge/fibres.ts';
export { typicalYarns, weightClasses } from './gauge/typical.ts';
export { type BoundPattern, bindPattern } from './patterns/bind.ts';
export { findPattern, patternBook } from './patterns/book.ts';
export { checkGiven, type GivenVerdict, readMultiple } from './patterns/given.ts';
export { inRounds } from './patterns/inRounds.ts';
export type { StitchPattern } from './patterns/model.ts';
export { lettersIn, readOrder } from './patterns/order.ts';
export { printPattern } from './patterns/print.ts';
export { readPattern } from './patterns/read.ts';
export { reviewPattern } from './patterns/review.ts';
export { lightnessOf, lightOf, luminance } from './shades/colour.ts';
export { type Eyes, shadeSeen } from './shades/eyes.ts';
export { readShades, smallestRun } from './shades/reading.ts';
export type { Act } from './stitches/acts.ts';
export { codeOf, type StitchKey, stitchKind, stitchKinds } from './stitches/kinds.ts';
export { coursesFor } from './technique/courses.ts';
export { type Policy, policies, policyNames } from './technique/policy.ts';
export type { Technique } from './technique/technique.ts';
export { makingsOf, techniqueOf, techniques } from './techniques/register.ts';
export { numberOrText, readNumber } from './units/amount.ts';
export { type LengthUnit, lengthNumber, parseLength, printLength, type ToldUnit, unitWord } from './units/length.ts';
export { parseLabel, parseMass, yarnLengthNumber, yarnLengthUnit } from './units/yarn.ts';
export { firstBelief, isDoubtful } from './values/belief.ts';
export { type Estimate, ninety } from './values/estimate.ts';
export { good, must, type Problem, type Result } from './values/problem.ts';
