import { assemble, type Cells, type Fabric, isRoundMaking } from '../../fabric/fabric.ts';
import { type LayRequest, spreadRow, turnRows } from '../../fabric/rows.ts';
import { roundWays } from '../../foundation/foundation.ts';
import { codeOf } from '../../stitches/kinds.ts';
import { layGrid } from '../../technique/grid.ts';
import { keyAt, letterOf, oneColour } from '../../technique/rules.ts';
import { type CourseView, plainStitches, type Technique } from '../../technique/technique.ts';

/** Courses before the charted ones: one of A, plain, and one of B in the back loops. */
const setupCourses = 2;

/** The kind of every stitch of a charted course: it drops where the chart shows its colour in the course below. */
function droppedCourse(request: LayRequest, course: number, shown: Uint8Array | undefined): Cells {
  const { stitches, bound } = request;
  const edge = isRoundMaking(bound.pattern.made) ? 0 : 1;
  const own = course % 2;
  const kinds = new Uint8Array(stitches).fill(codeOf(course === 0 ? 'sc' : 'sc@back'));
  for (let x = edge; x < stitches - edge; x++) {
    if (shown && shown[x - edge] === own) kinds[x] = codeOf('dc@front2');
  }
  if (edge) {
    kinds[0] = codeOf('sc');
    kinds[stitches - 1] = codeOf('sc');
  }
  return { kinds, colours: new Uint8Array(stitches).fill(own) };
}

/** Lays from a chart of the colours that are seen; rows written with their drops are a plain grid. */
function layMosaic(request: LayRequest): Fabric {
  const { bound, stitches, courses } = request;
  const { chart, made } = bound.pattern;
  if (!chart.length) return layGrid(request, mosaic);
  const edges = isRoundMaking(made) ? 0 : 2;
  const charted = turnRows({ ...bound, pattern: { ...bound.pattern, rows: [] } }, Math.max(0, courses - setupCourses));
  const rows: Cells[] = [];
  for (let course = 0; course < courses; course++) {
    // A stitch drops where the course below is to show this course's colour.
    const below = charted[course - 1 - setupCourses];
    const shown = below ? spreadRow(bound, below, stitches - edges).colours : undefined;
    rows.push(droppedCourse(request, course, shown));
  }
  return assemble(made, stitches, rows, bound.colours.length);
}

function other(colour: string): string {
  return colour === 'A' ? 'B' : 'A';
}

/** One colour a row, every row from the right side, drops over plain stitches. docs/craft.md, “Overlay mosaic”. */
export const mosaic: Technique = {
  key: 'mosaic',
  makings: ['right-side', 'rounds'],
  uses: ['small cloth', 'large cloth', 'long cloth', 'mat', 'panel', 'tube'],
  looks: ['texture'],
  mostColours: 2,
  neverCarried: true,
  step: 1,
  kinds: ['sc', 'sc@back', 'dc@front2'],
  width: plainStitches,
  gaugeKey: () => 'sc back loops',
  foundations: ({ pattern }) => (isRoundMaking(pattern.made) ? roundWays('sc') : ['sc-2nd']),
  opening: (kind) => kind,
  bands: (_bound, rows) => Array.from({ length: rows }, (_, row) => ({ colours: String(row % 2), closes: false })),
  // A cell shows its row's own colour, or is hidden by a drop; never two of them one above the other.
  pictured(wanted) {
    const marks: string[][] = [];
    wanted.forEach((row, y) => {
      const own = y % 2 ? 'B' : 'A';
      const below = marks[y - 1];
      const hidden = (x: number, from: readonly string[] | undefined, at: number) =>
        from !== undefined && from[x] !== (at % 2 ? 'B' : 'A');
      // The last row meets the first of the next repeat.
      const first = y === wanted.length - 1 ? marks[0] : undefined;
      marks.push(
        row.map((colour, x) => (colour === own || hidden(x, below, y - 1) || hidden(x, first, 0) ? own : other(own))),
      );
    });
    return marks;
  },
  undrawn: (courses, making) =>
    courses.slice(setupCourses).map(({ colours }, row) => {
      const above = courses[row + setupCourses + 1];
      const edge = isRoundMaking(making) ? 0 : 1;
      const inner = Array.from(colours.subarray(edge, colours.length - edge));
      // What a drop from the row above hides shows that row's colour.
      return inner.map((own, x) =>
        letterOf(above && keyAt(above.kinds, x + edge) === 'dc@front2' ? (above.colours[x + edge] ?? own) : own),
      );
    }),
  ownRows: setupCourses,
  ownEdge: 2,
  // What a drop hides is drawn in the row below it.
  drawnAt: (course, column, making) => ({
    row: course - setupCourses - 1,
    cell: column - (isRoundMaking(making) ? 0 : 1),
  }),
  lay: layMosaic,
  prove(view) {
    oneColour(view);
    for (let x = 0; x < view.kinds.length; x++) {
      const reason = reasonOf(view, x);
      if (reason) view.refuse(x, reason);
    }
  },
};

function reasonOf(view: CourseView, x: number): string | undefined {
  const own = keyAt(view.kinds, x);
  const atEdge = !isRoundMaking(view.making) && (x === 0 || x === view.kinds.length - 1);
  if (view.course === 0 || atEdge) {
    if (own === 'sc') return undefined;
    return own === 'dc@front2' && atEdge ? 'drop-in-edge' : 'edge-plain-sc';
  }
  if (own === 'sc') return 'ground-in-back-loop';
  if (own !== 'dc@front2') return undefined;
  if (view.course < setupCourses || !view.below2) return 'drop-without-below';
  if (keyAt(view.below?.kinds, x) === 'dc@front2') return 'drop-on-drop';
  if (view.below2.colours[x] !== view.colours[x]) return 'drop-on-other-colour';
  return undefined;
}
