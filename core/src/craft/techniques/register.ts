import type { Making, StitchPattern, TechniqueKey } from '../patterns/model.ts';
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

const register: Technique[] = [
  carried,
  wideHdc,
  stripes,
  linen,
  stepCheck,
  chainSpace,
  granny,
  mosaic,
  mesh,
  cornerToCorner,
  wedgeCircle,
  flecks,
  tube,
];

/** Every technique, in the order of the craft. */
export const techniques: readonly Technique[] = register;

/** Adds a technique from outside the register: the one seam by which a test brings its own. @internal */
export function addTechnique(technique: Technique): void {
  register.push(technique);
}

/** The technique with a key; nothing where this version knows none. */
export function techniqueNamed(key: TechniqueKey): Technique | undefined {
  return register.find((each) => each.key === key);
}

/** How a technique can be made, the usual way first. */
export function makingsOf(key: TechniqueKey): readonly Making[] {
  return techniqueNamed(key)?.makings ?? [];
}

/** The technique of a pattern, or a refusal where it is made in a way that the technique has not. */
export function techniqueOf(pattern: StitchPattern): Result<Technique> {
  const technique = techniqueNamed(pattern.technique);
  if (technique?.makings.includes(pattern.made)) return good(technique);
  return refused({
    code: 'making-unknown',
    path: '',
    facts: {
      name: pattern.name,
      made: pattern.made,
      technique: pattern.technique,
      makings: makingsOf(pattern.technique),
    },
  });
}
