import type { StitchPattern, TechniqueKey } from '../patterns/model.ts';
import { good, type Result, refused } from '../problem.ts';
import { carried } from './carried.ts';
import { stripes } from './stripes.ts';
import type { Technique } from './technique.ts';

const register: Partial<Record<TechniqueKey, Technique>> = { carried, stripes };

/** The technique of a pattern; a pattern that can be read but not yet laid is refused. */
export function techniqueOf(pattern: StitchPattern): Result<Technique> {
  const technique = register[pattern.technique];
  if (technique) return good(technique);
  return refused({
    code: 'pattern-not-laid',
    path: '',
    message: `${pattern.name} is written in ${pattern.technique}, which Puntada can read but not yet lay.`,
    hint: `Choose a pattern made in ${Object.keys(register).join(' or ')}.`,
  });
}
