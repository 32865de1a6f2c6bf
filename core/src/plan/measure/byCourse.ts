import { stitchKinds } from '../../craft/stitches/kinds.ts';
import { cellPaths, fleckClosing, type StitchSize, yarnAlong } from '../../craft/yarn/yarnPerStitch.ts';
import { insideCells } from '../route/ledger.ts';
import { bridgesByCourse, type CourseRequest, chainsByCourse } from './parts.ts';

/**
 * Predicted metres of each colour in each course, chains and strands included, tails not. Summed up they are what
 * `measureParts` says of the whole; linear in cells. @returns one array a colour
 */
export function metresByCourse(request: CourseRequest): Float64Array[] {
  const { fabric, technique } = request;
  const sizes = request.diameters.map(
    (diameter): StitchSize => ({ width: request.stitchWidth, height: request.rowHeight, diameter }),
  );
  const inside = insideCells(fabric, request.strands);
  const metres = sizes.map(() => new Float64Array(fabric.courses));
  const fleck = stitchKinds.findIndex((kind) => kind.key === 'fleck');
  const lengths = sizes.map((size) =>
    stitchKinds.map(({ key }) => yarnAlong(technique.paths?.[key] ?? cellPaths[key], size) / 1000),
  );
  const closing = yarnAlong(fleckClosing, sizes[0] as StitchSize) / 1000;
  const add = (colour: number, course: number, more: number) => {
    const own = metres[colour] as Float64Array;
    own[course] = (own[course] as number) + more;
  };
  for (let course = 0; course < fabric.courses; course++) {
    for (let i = fabric.starts[course] as number; i < (fabric.starts[course + 1] as number); i++) {
      const colour = fabric.colours[i] as number;
      const kind = fabric.kinds[i] as number;
      const posts = stitchKinds[kind]?.posts ?? 1;
      const strands = posts * Math.min(3, inside[i] as number) * ((sizes[colour] as StitchSize).diameter / 1000);
      add(colour, course, (lengths[colour]?.[kind] as number) + strands);
      if (kind === fleck) add(0, course, closing);
    }
  }
  chainsByCourse(request, sizes, add);
  bridgesByCourse(request, sizes, (colour, course, _part, more) => add(colour, course, more));
  return metres;
}

/** Where yarn of so many predicted metres ends: the course from 0 in which the sum first passes it, or the last. */
export function courseAt(metres: Float64Array, predicted: number): number {
  let sum = 0;
  for (let course = 0; course < metres.length; course++) {
    sum += metres[course] as number;
    if (sum >= predicted) return course;
  }
  return metres.length;
}
