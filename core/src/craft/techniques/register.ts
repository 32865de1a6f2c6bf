import type { StitchPattern, TechniqueKey } from '../patterns/model.ts';
import type { Technique } from '../technique/technique.ts';
import { good, type Result, refused } from '../values/problem.ts';
import { carried } from './carried/carried.ts';
import { chainSpace } from './chainSpace/chainSpace.ts';
import { cornerToCorner } from './cornerToCorner/cornerToCorner.ts';
import { flecks } from './flecks/flecks.ts';
import { granny } from './granny/granny.ts';
import { linen } from './linen/linen.ts';
import { mesh } from './mesh/mesh.ts';
import { mosaic } from './mosaic/mosaic.ts';
import { stepCheck } from './stepCheck/stepCheck.ts';
import { stripes } from './stripes/stripes.ts';
import { tube } from './tube/tube.ts';
import { wedgeCircle } from './wedgeCircle/wedgeCircle.ts';
import { wideHdc } from './wideHdc/wideHdc.ts';

const register: Readonly<Record<TechniqueKey, Technique>> = {
  carried,
  'wide-hdc': wideHdc,
  stripes,
  linen,
  'step-check': stepCheck,
  'chain-space': chainSpace,
  granny,
  mosaic,
  mesh,
  'corner-to-corner': cornerToCorner,
  'wedge-circle': wedgeCircle,
  flecks,
  tube,
};

/** Every technique, in the order of the craft. */
export const techniques: readonly Technique[] = Object.values(register);

/** The technique of a pattern, or a refusal where it is made in a way that the technique has not. */
export function techniqueOf(pattern: StitchPattern): Result<Technique> {
  const technique = register[pattern.technique];
  const makings = makingsOf[pattern.technique];
  if (makings.includes(pattern.made)) return good(technique);
  return refused({
    code: 'pattern-not-laid',
    path: '',
    message: `${pattern.name} is written to be made ${pattern.made}, which ${technique.name} is not.`,
    hint: `Write one of: ${makings.map((making) => `made ${making}`).join(', ')}.`,
  });
}

/** How each technique can be made, the usual way first. */
export const makingsOf: Readonly<Record<TechniqueKey, readonly StitchPattern['made'][]>> = {
  carried: ['flat', 'turned-rounds', 'rounds'],
  'wide-hdc': ['flat'],
  stripes: ['flat', 'turned-rounds', 'rounds'],
  linen: ['flat', 'rounds', 'turned-rounds'],
  'step-check': ['flat', 'turned-rounds', 'rounds'],
  'chain-space': ['flat'],
  granny: ['flat'],
  mosaic: ['right-side', 'rounds'],
  mesh: ['netted', 'paired'],
  'corner-to-corner': ['diagonals'],
  'wedge-circle': ['rounds'],
  flecks: ['flat'],
  tube: ['turned-rounds', 'rounds'],
};
