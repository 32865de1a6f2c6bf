import { baseCourses, type Fabric, isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { codeOf, type StitchKey, stitchKind } from '../../craft/stitches/kinds.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import type { Told } from '../../craft/values/problem.ts';
import { countedIn, type WorkedCourse } from './course.ts';

interface Cloth {
  readonly fabric: Fabric;
  readonly bound: BoundPattern;
}

/** Where to put markers in a row. The words: `words/rows/advice.ts`. */
export function markersOf(
  { fabric, technique }: Cloth & { readonly technique: Technique },
  course: WorkedCourse,
): Told[] {
  const first = course.runs[0]?.kinds[0] as StitchKey;
  if (isRoundMaking(fabric.making)) {
    const fold = !technique.circle && course.number === baseCourses(fabric) + 1;
    return [
      ...(course.number === 1 ? [{ code: 'mark-round' }] : []),
      ...(fold ? [{ code: 'mark-fold', facts: { stitch: Math.floor(fabric.count / 2) } }] : []),
    ];
  }
  if (technique.marker === 'turning space') return [{ code: 'mark-turning-space' }];
  // In the base row and the first of A there is no other net yet, and in the closing row no more.
  if (technique.marker === 'other net') return course.number > 2 && course.close ? [{ code: 'hold-other-net' }] : [];
  if (technique.marker === 'none') return [];
  if (course.edgePost) return [{ code: 'mark-edge-post' }];
  if (first === 'edge-ch3') return [{ code: 'mark-edge-space' }];
  if (stitchKind(codeOf(first)).opens) return [{ code: 'mark-turning-top' }];
  return course.number === 1 ? [{ code: 'mark-edges' }] : [];
}

/** Where a colour is needed for the last time: in the last stitch of the row, at one of it, or somewhere in it. */
export interface LastUse {
  readonly colour: string;
  readonly place:
    | { readonly last: StitchKey }
    | { readonly counts: ReturnType<typeof countedIn>; readonly at: number }
    | undefined;
}

/** Colours whose last stitch stands in this row, and where. */
export function lastUsesIn({ fabric, bound }: Cloth, course: WorkedCourse): LastUse[] {
  const later = new Set<string>();
  for (let i = fabric.starts[course.number] as number; i < fabric.colours.length; i++) {
    later.add(bound.colours[fabric.colours[i] as number] as string);
    if (later.size === bound.colours.length) return [];
  }
  const gone = course.byColour.map(({ colour }) => colour).filter((colour) => !later.has(colour));
  return gone.map((colour) => {
    const run = course.runs.filter((each) => each.colour === colour).at(-1);
    if (!run) return { colour, place: undefined };
    if (run === course.runs.at(-1)) return { colour, place: { last: course.last.kind } };
    return { colour, place: { counts: countedIn(course), at: run.from + run.count - 1 } };
  });
}
