import { assemble, type Cells, type Fabric, runsForward } from '../../fabric/fabric.ts';
import { type LayRequest, spreadRow, turnRows } from '../../fabric/rows.ts';
import { codeOf, type StitchKey } from '../../stitches/kinds.ts';
import { keyAt, letterOf } from '../../technique/rules.ts';
import type { Technique } from '../../technique/technique.ts';

/** Whether rows with and without edge stitches take turns (the foundation of 3G + 1). */
function takesTurns(key: string): boolean {
  return key === 'granny-4th';
}

/** What the n-th cell worked in a course is. */
function kindWorked(n: number, cells: number, course: number, edges: 'by turns' | 'every row'): StitchKey {
  if (edges === 'every row') {
    if (n === cells - 1) return 'edge-dc';
    return n === 0 ? 'cluster-ch2' : course ? 'cluster@space' : 'cluster';
  }
  if (course % 2 === 0) return n === 0 ? 'cluster-ch3' : course ? 'cluster@space' : 'cluster';
  if (n === 0) return 'edge-ch3';
  return n === cells - 1 ? 'edge-dc' : 'cluster@space';
}

function cellsOf(course: number, count: number, turns: boolean): number {
  return turns && course % 2 === 0 ? count : count + 1;
}

/** Lays clusters: the pattern gives their colours, the foundation gives the edges. */
function layClusters(request: LayRequest): Fabric {
  const { bound, foundation, stitches, courses } = request;
  const turns = takesTurns(foundation.key);
  const { made } = bound.pattern;
  const rows = turnRows(bound, courses).map((turned, course): Cells => {
    const cells = cellsOf(course, stitches, turns);
    const edge = turns ? 0 : 1;
    // With an edge stitch in every row the pattern colours the clusters; the edge takes the last one's colour.
    const written = spreadRow(bound, turned, cells - edge);
    const colours = new Uint8Array(cells);
    const kinds = new Uint8Array(cells);
    const forward = runsForward(course, made);
    const worked = bound.pattern.read === 'worked';
    for (let n = 0; n < cells; n++) {
      const x = forward ? n : cells - 1 - n;
      const seen = worked ? n : forward ? n : cells - edge - 1 - n;
      const source = Math.max(0, Math.min(cells - edge - 1, seen));
      colours[x] = written.colours[
        edge && n === cells - 1 ? (worked ? 0 : seenLast(forward, cells)) : source
      ] as number;
      kinds[x] = codeOf(kindWorked(n, cells, course, turns ? 'by turns' : 'every row'));
    }
    return { kinds, colours };
  });
  return assemble(made, stitches, rows, bound.colours.length);
}

/** The single edge dc of a row takes the colour of the first cluster, so that both edges are alike. */
function seenLast(forward: boolean, cells: number): number {
  return forward ? 0 : cells - 2;
}

/** Clusters of three dc in the spaces of the row below. docs/craft.md, “Granny rows”. */
export const granny: Technique = {
  key: 'granny',
  makings: ['flat'],
  uses: ['large cloth', 'long cloth'],
  looks: ['texture'],
  offset: (course) => (course % 2 ? -0.5 : 0),
  cellWord: 'cluster',
  unevenRows: true,
  perWidth: 3,
  sample: [7, 8],
  step: 1,
  kinds: ['cluster', 'cluster@space', 'cluster-ch3', 'cluster-ch2', 'edge-ch3', 'edge-dc'],
  width: {
    word: 'clusters',
    stitches: (count, foundation) => 3 * count + (takesTurns(foundation.key) ? 0 : 1),
    widths: (count) => count,
  },
  gaugeKey: () => 'clusters',
  foundations: () => ['granny-4th', 'granny-3rd'],
  opening: (kind) => kind,
  // An edge stitch that stands in every row is no cluster; by turns the two edges are cells like the others.
  undrawn: (courses) =>
    courses.map(({ kinds, colours }) => {
      const own = kinds.includes(codeOf('edge-ch3')) ? [] : [codeOf('edge-dc')];
      return [...colours].flatMap((colour, x) => (own.includes(kinds[x] as number) ? [] : [letterOf(colour)]));
    }),
  lay: layClusters,
  cells: (course, count, _courses, foundation) => cellsOf(course, count, takesTurns(foundation.key)),
  prove(view) {
    const { kinds, forward, course, foundation } = view;
    const edges = takesTurns(foundation.key) ? 'by turns' : 'every row';
    for (let n = 0; n < kinds.length; n++) {
      const x = forward ? n : kinds.length - 1 - n;
      const key = keyAt(kinds, x);
      const wanted = kindWorked(n, kinds.length, course, edges);
      if (key !== wanted) view.refuse(x, 'wrong-kind', { key, wanted });
    }
  },
};
