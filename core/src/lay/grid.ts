import { codeOf, stitchCode, stitchKind } from '../stitches/kinds.ts';
import type { Technique } from '../techniques/technique.ts';
import { assemble, type Cells, type Fabric, runsForward } from './fabric.ts';
import { type LayRequest, phaseOf, spreadRow, type TurnedRow, turnRows, unitWidth } from './rows.ts';

/** The first course with its stitches as they go into the chain. */
function inChain(cells: Cells, technique: Technique): Cells {
  if (!technique.inChain) return cells;
  const codes = new Map([...technique.inChain].map(([from, to]) => [codeOf(from), codeOf(to)]));
  return { kinds: cells.kinds.map((code) => codes.get(code) ?? code), colours: cells.colours };
}

/** The same course with its first worked cell as that technique begins a course. */
function opened(cells: Cells, forward: boolean, request: LayRequest, technique: Technique): Cells {
  const first = forward ? 0 : cells.kinds.length - 1;
  const key = stitchKind(cells.kinds[first] as number).key;
  const made = technique.opening(key, request);
  if (made === key) return cells;
  const kinds = cells.kinds.slice();
  kinds[first] = stitchCode(made) as number;
  return { kinds, colours: cells.colours };
}

function mirrored(cells: Cells): Cells {
  return { kinds: cells.kinds.toReversed(), colours: cells.colours.toReversed() };
}

/** Courses that all have the same number of cells, one above the other. Like rows are laid once and shared. */
export function layGrid(request: LayRequest, technique: Technique): Fabric {
  const { bound, stitches, courses } = request;
  const { made, read } = bound.pattern;
  const laid = new Map<TurnedRow, { forward?: Cells; backward?: Cells }>();
  const rows = turnRows(bound, courses).map((turned, course) => {
    const known = laid.get(turned) ?? {};
    laid.set(turned, known);
    const forward = runsForward(course, made);
    const way = forward ? 'forward' : 'backward';
    const ready = known[way];
    if (ready && course > 0) return ready;
    const written = spreadRow(bound, turned, stitches, phaseOf(request, unitWidth(bound, turned.row)));
    const cells = opened(read === 'worked' && !forward ? mirrored(written) : written, forward, request, technique);
    if (course === 0 && technique.inChain) return inChain(cells, technique);
    known[way] = cells;
    return cells;
  });
  return assemble(made, stitches, rows, bound.colours.length);
}
