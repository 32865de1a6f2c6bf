import { assemble, type Cells, type Fabric, runsForward } from '../lay/fabric.ts';
import { type LayRequest, spreadRow, turnRows } from '../lay/rows.ts';
import { codeOf } from '../stitches/kinds.ts';
import { keyAt, mainAt, oneColour } from './rules.ts';
import type { Technique } from './technique.ts';

/** Column of the first post: the two meshes stand in each other's windows. */
function firstPost(course: number): 1 | 2 {
  return course % 2 === 0 ? 1 : 2;
}

function postsIn(course: number, windows: number): number {
  return course % 2 === 0 ? windows + 1 : windows;
}

const swapped = new Map([
  [codeOf('fpdc'), codeOf('bpdc')],
  [codeOf('bpdc'), codeOf('fpdc')],
]);

/** Lays both meshes; a pattern written as seen from the right side has its fronts and backs swapped on the wrong. */
function layMesh(request: LayRequest): Fabric {
  const { bound, stitches: windows, courses } = request;
  const width = 2 * windows + 3;
  const seen = bound.pattern.read === 'seen';
  const rows = turnRows(bound, courses).map((turned, course): Cells => {
    const posts = postsIn(course, windows);
    const written = spreadRow(bound, turned, posts);
    const forward = runsForward(course, 'paired');
    const kinds = new Uint8Array(width).fill(codeOf('ch'));
    kinds[0] = codeOf('sc');
    kinds[width - 1] = codeOf('sc');
    for (let i = 0; i < posts; i++) {
      const post = written.kinds[forward || seen ? i : posts - 1 - i] as number;
      kinds[firstPost(course) + 2 * i] = (seen && !forward ? swapped.get(post) : post) ?? post;
    }
    return { kinds, colours: new Uint8Array(width).fill(course % 2) };
  });
  return assemble('paired', windows, rows, bound.colours.length);
}

/** Two meshes worked through each other's windows. docs/craft.md, “Interlocked mesh”. */
export const mesh: Technique = {
  key: 'mesh',
  name: 'interlocked mesh',
  words: {
    change: 'Each mesh has a live loop of its own: hold the one that waits with a marker.',
    lookOver: 'Both live loops stand level; fronts and backs of a row add up to its posts.',
    height: 'A row of either mesh adds 0.55 of a dc, for the two stand in each other.',
    idle: 'The other mesh waits on its marker at the edge where its next row begins.',
  },
  step: 1,
  kinds: ['sc', 'ch', 'fpdc', 'bpdc'],
  width: { word: 'windows', stitches: (count) => 2 * count + 3, widths: (count) => 2 * count + 3 },
  paths: { fpdc: { a: 2, b: 9, c: 12.5 }, bpdc: { a: 2, b: 9, c: 12.5 } },
  gaugeKey: () => 'mesh',
  foundations: () => ['mesh-2nd'],
  opening: (kind) => kind,
  lay: layMesh,
  policy: 'side-only',
  cells: (_course, count) => 2 * count + 3,
  prove(view) {
    oneColour(view);
    const { kinds, colours, course } = view;
    for (let x = 0; x < kinds.length; x++) {
      const key = keyAt(kinds, x);
      const edge = x === 0 || x === kinds.length - 1;
      const post = !edge && x >= firstPost(course) && x <= kinds.length - 1 - firstPost(course);
      const wanted = edge ? 'sc' : post && (x - firstPost(course)) % 2 === 0 ? 'dc' : 'ch';
      if (mainAt(kinds, x) !== wanted)
        view.refuse(x, `${key} stands where ${wanted === 'dc' ? 'a post' : wanted} goes`);
      else if (view.below2 && view.below2.colours[x] !== colours[x]) {
        view.refuse(x, 'the stitch two rows below is of the other mesh');
      }
    }
    if (!view.below2 && colours[0] !== course % 2) view.refuse(0, 'the two meshes take turns, A first');
  },
};
