import { baseFor, layBase, usualIncrease } from '../../craft/fabric/base.ts';
import { assemble, courseCells, type Fabric } from '../../craft/fabric/fabric.ts';
import { type LayRequest, turnRows } from '../../craft/fabric/rows.ts';
import { withFigures } from '../../craft/technique/figures.ts';
import { layGrid } from '../../craft/technique/grid.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { must } from '../../craft/values/problem.ts';

export type { LayRequest } from '../../craft/fabric/rows.ts';

/**
 * Lays the fabric: every cell of every course, from the pattern and the chosen size.
 * The size is one that `fit` has admitted. Time and memory are linear in the number of stitches.
 */
export function lay(request: LayRequest): Fabric {
  const technique = must(techniqueOf(request.bound.pattern));
  const cloth = (asked: LayRequest) => {
    const ground = technique.lay ? technique.lay(asked) : layGrid(asked, technique);
    const { placed } = request.bound;
    return placed?.length ? withFigures(ground, placed, technique) : ground;
  };
  return request.foundation.circle ? onCircle(request, cloth) : cloth(request);
}

/** Straight sides on a flat circle, which is in the colour that the sides begin with. */
function onCircle(request: LayRequest, cloth: (request: LayRequest) => Fabric): Fabric {
  const { foundation, stitches, increases, courses, bound } = request;
  const base = baseFor(stitches, increases ?? usualIncrease(foundation.stitch));
  const under = base.rounds.length;
  const sides = cloth({ ...request, under, courses: Math.max(0, courses - under) });
  const [first] = turnRows(bound, 1);
  const colour = sides.courses
    ? (sides.colours[0] as number)
    : Math.max(0, bound.colours.indexOf(first?.colour ?? 'A'));
  const rounds = [
    ...layBase(base, foundation.stitch, colour),
    ...Array.from({ length: sides.courses }, (_, course) => courseCells(sides, course)),
  ];
  return assemble(sides.making, stitches, rounds.slice(0, courses), sides.colourCount);
}
