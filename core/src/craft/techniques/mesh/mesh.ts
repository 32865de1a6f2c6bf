import { assemble, type Cells, type Fabric, runsForward } from '../../fabric/fabric.ts';
import { type LayRequest, spreadRow, turnRows } from '../../fabric/rows.ts';
import type { Making } from '../../patterns/model.ts';
import { codeOf, type StitchKey } from '../../stitches/kinds.ts';
import { keyAt, mainAt, oneColour } from '../../technique/rules.ts';
import type { CourseView, Technique } from '../../technique/technique.ts';

/** The base row below the nets, and the row that closes them. */
const [baseRows, closingRows] = [1, 1];
/** Base row, both first rows, a second row of A, closing row: with less there is no post of B to close. */
const leastRows = 5;

/** Whether a course of either net, counted from the first of A, is of A. */
function isOfA(row: number): boolean {
  return row % 2 === 0;
}

/** Column of the first post: the two meshes stand in each other's windows. */
function firstPost(row: number): 1 | 2 {
  return isOfA(row) ? 1 : 2;
}

function postsIn(row: number, windows: number): number {
  return isOfA(row) ? windows + 1 : windows;
}

const swapped = new Map([
  [codeOf('fpdc'), codeOf('bpdc')],
  [codeOf('bpdc'), codeOf('fpdc')],
]);

/** What a post of the chart is in the first row of either net, which has nothing to go around. */
function firstRowOf(row: number, post: number): number {
  if (row === 0) return codeOf('dc');
  if (row === 1) return codeOf(post === codeOf('fpdc') ? 'dc@base-front' : 'dc@base-behind');
  return post;
}

/** Rows of both nets by turns; a pattern written as seen from the right side has fronts and backs swapped on the wrong. */
function layRows(request: LayRequest, rows: number, under: number): Cells[] {
  const { bound, stitches: windows } = request;
  const width = 2 * windows + 3;
  const { read, made } = bound.pattern;
  const seen = read === 'seen';
  return turnRows(bound, rows).map((turned, row): Cells => {
    const posts = postsIn(row, windows);
    const written = spreadRow(bound, turned, posts);
    const forward = runsForward(row + under, made);
    const kinds = new Uint8Array(width).fill(codeOf('ch'));
    kinds[0] = codeOf('sc');
    kinds[width - 1] = codeOf('sc');
    for (let i = 0; i < posts; i++) {
      const post = written.kinds[forward || seen ? i : posts - 1 - i] as number;
      const facing = (seen && !forward ? swapped.get(post) : post) ?? post;
      kinds[firstPost(row) + 2 * i] = under ? firstRowOf(row, facing) : facing;
    }
    return { kinds, colours: new Uint8Array(width).fill(row % 2) };
  });
}

/** Posts of a cloth as they are seen from the right side, without base row and closing row. */
function postsDrawn(courses: readonly Cells[], making: Making): string[][] {
  const under = making === 'netted' ? baseRows : 0;
  const closes = under > 0 && keyAt(courses.at(-1)?.kinds, 1) === 'fpsc';
  const rows = courses.slice(under, closes ? courses.length - closingRows : undefined);
  return rows.map(({ kinds }, row) => {
    const forward = runsForward(row + under, making);
    const windows = (kinds.length - 3) / 2;
    const front = (x: number) => {
      const key = keyAt(kinds, x);
      const facing = key === 'fpdc' || key === 'dc@base-front';
      return forward ? facing : !facing;
    };
    return Array.from({ length: postsIn(row, windows) }, (_, i) => {
      const x = firstPost(row) + 2 * i;
      // The first row of A has nothing to pass: how it was drawn is told by a later repeat alone.
      if (keyAt(kinds, x) === 'dc') return '?';
      return front(x) ? 'fpdc' : 'bpdc';
    });
  });
}

function oneKind(width: number, key: StitchKey, colour: number): Cells {
  return { kinds: new Uint8Array(width).fill(codeOf(key)), colours: new Uint8Array(width).fill(colour) };
}

/** The row in B that closes both nets: around the posts of A with sc, around those of B with dc. */
function closingRow(width: number): Cells {
  const cells = oneKind(width, 'sc', 1);
  for (let x = 1; x < width - 1; x++) cells.kinds[x] = codeOf(x % 2 ? 'fpsc' : 'fpdc@other');
  return cells;
}

/** Lays a base row of A, both nets, and the closing row. Nets begun before base rows were known go on without. */
function layMesh(request: LayRequest): Fabric {
  const { bound, stitches: windows, courses } = request;
  const { made } = bound.pattern;
  const colours = bound.colours.length;
  if (made === 'paired') return assemble(made, windows, layRows(request, courses, 0), colours);
  const width = 2 * windows + 3;
  const closes = courses >= leastRows && courses % 2 === 1;
  const rows = Math.max(0, courses - baseRows - (closes ? closingRows : 0));
  const all = [oneKind(width, 'sc', 0), ...layRows(request, rows, baseRows), ...(closes ? [closingRow(width)] : [])];
  return assemble('netted', windows, all.slice(0, courses), colours);
}

/** What goes where in a row of a net: an sc at either edge, posts over the own posts, chains between. */
function wantedAt(x: number, last: number, row: number): 'sc' | 'dc' | 'ch' {
  if (x === 0 || x === last) return 'sc';
  const first = firstPost(row);
  return x >= first && x <= last - first && (x - first) % 2 === 0 ? 'dc' : 'ch';
}

/** The stitch in the place of a post, as far as its row allows it. */
function postProblem(view: CourseView, x: number, row: number): string | undefined {
  const key = keyAt(view.kinds, x);
  if (view.making === 'paired') return undefined;
  if (row === 0) return key === 'dc' ? undefined : 'first-row-of-a';
  if (row === 1) {
    return key === 'dc@base-front' || key === 'dc@base-behind' ? undefined : 'first-row-of-b';
  }
  if (key !== 'fpdc' && key !== 'bpdc') return 'no-post';
  return mainAt(view.below2?.kinds, x) === 'dc' ? undefined : 'post-around-nothing';
}

function closingProblem(view: CourseView, x: number, last: number): string | undefined {
  const key = keyAt(view.kinds, x);
  const wanted = x === 0 || x === last ? 'sc' : x % 2 ? 'fpsc' : 'fpdc@other';
  if (key !== wanted) return 'closing-row-kind';
  if (wanted === 'fpsc' && mainAt(view.below?.kinds, x) !== 'dc') return 'no-post-of-a';
  return wanted === 'fpdc@other' && mainAt(view.below2?.kinds, x) !== 'dc' ? 'no-post-of-b' : undefined;
}

function proveMesh(view: CourseView): void {
  oneColour(view);
  const { kinds, colours, course, making } = view;
  const based = making === 'netted';
  const last = kinds.length - 1;
  const closing = based && course === view.courses - 1 && keyAt(kinds, 1) === 'fpsc';
  const row = course - (based ? baseRows : 0);
  const own = row < 0 ? 0 : row % 2;
  for (let x = 0; x <= last; x++) {
    if (row < 0) {
      if (keyAt(kinds, x) !== 'sc') view.refuse(x, 'base-row-plain');
      continue;
    }
    if (closing) {
      const reason = closingProblem(view, x, last);
      if (reason) view.refuse(x, reason, { key: keyAt(kinds, x) });
      continue;
    }
    const wanted = wantedAt(x, last, row);
    const problem = wanted === 'dc' ? postProblem(view, x, row) : undefined;
    if (mainAt(kinds, x) !== wanted) {
      view.refuse(x, 'wrong-kind', { key: keyAt(kinds, x), wanted });
    } else if (problem) view.refuse(x, problem, { key: keyAt(kinds, x) });
    else if (row > 1 && view.below2 && view.below2.colours[x] !== colours[x]) {
      view.refuse(x, 'other-net-below');
    }
  }
  if (colours[0] !== own) view.refuse(0, 'nets-by-turns');
}

/** Two meshes worked through each other's windows. docs/craft.md, “Interlocked mesh”. */
export const mesh: Technique = {
  key: 'mesh',
  makings: ['netted', 'paired'],
  uses: ['large cloth'],
  looks: ['texture'],
  neverCarried: true,
  marker: 'other net',
  sample: [12, 24],
  step: 1,
  kinds: ['sc', 'ch', 'dc', 'dc@base-front', 'dc@base-behind', 'fpdc', 'bpdc', 'fpsc', 'fpdc@other'],
  width: { word: 'windows', stitches: (count) => 2 * count + 3, widths: (count) => 2 * count + 3 },
  paths: { dc: { a: 2, b: 7.3, c: 8 }, fpdc: { a: 2, b: 9, c: 12.5 }, bpdc: { a: 2, b: 9, c: 12.5 } },
  gaugeKey: () => 'sunk dc',
  foundations: () => ['mesh-2nd'],
  opening: (kind) => kind,
  lay: layMesh,
  marks: ['fpdc', 'bpdc'],
  // A net in front shows its own colour, behind it that of the other.
  pictured: (wanted) =>
    wanted.map((row, y) =>
      row.slice(0, row.length - (isOfA(y) ? 0 : 1)).map((colour) => ((colour === 'A') === isOfA(y) ? 'fpdc' : 'bpdc')),
    ),
  undrawn: (courses, making) => postsDrawn(courses, making),
  drawnOffset: (row) => (isOfA(row) ? 0 : 0.5),
  drawnAt(course, column, making) {
    const row = course - (making === 'netted' ? baseRows : 0);
    return { row, cell: Math.floor((column - firstPost(row)) / 2) };
  },
  // The last row of a net is of A, and the closing row comes after it.
  endings: ({ repeatCourses, pattern }) =>
    pattern.made === 'netted'
      ? {
          least: leastRows,
          any: { step: 2, offset: 1 },
          whole: { step: repeatCourses, offset: baseRows + 1 + closingRows },
        }
      : undefined,
  bands: ({ pattern }, rows) =>
    Array.from({ length: rows }, (_, course) => {
      const based = pattern.made === 'netted';
      const closes = based && course === rows - 1 && rows >= leastRows && rows % 2 === 1;
      const own = based && course === 0 ? 0 : closes ? 1 : (course - (based ? baseRows : 0)) % 2;
      return { colours: String(own), closes };
    }),
  policy: 'side-only',
  cells: (_course, count) => 2 * count + 3,
  prove: proveMesh,
};
