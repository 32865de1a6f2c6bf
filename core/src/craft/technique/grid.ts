import { assemble, type Cells, type Fabric, runsForward } from '../fabric/fabric.ts';
import { type LayRequest, phaseOf, spreadRow, type TurnedRow, turnRows, unitWidth } from '../fabric/rows.ts';
import { codeOf, stitchCode, stitchKind, stitchKinds } from '../stitches/kinds.ts';
import type { Technique } from './technique.ts';

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

/** The same course worked into one loop of the row below: stitches of the ground, never a turning chain. */
function inLoops(cells: Cells, loops: 'back' | 'front'): Cells {
  return { ...cells, kinds: cells.kinds.map((code) => intoLoop(code, loops)) };
}

function intoLoop(code: number, loops: 'back' | 'front'): number {
  const key = stitchKinds[code]?.key;
  return key === undefined ? code : (stitchCode(`${key}@${loops}`) ?? code);
}

/** Courses that all have the same number of cells, one above the other. Like rows are laid once and shared. */
export function layGrid(request: LayRequest, technique: Technique): Fabric {
  const { bound, stitches, courses, under = 0 } = request;
  const { made, read } = bound.pattern;
  const { loops } = bound;
  const laid = new Map<TurnedRow, { forward?: Cells; backward?: Cells }>();
  const rows = turnRows(bound, courses).map((turned, course) => {
    const known = laid.get(turned) ?? {};
    laid.set(turned, known);
    const forward = runsForward(course + under, made);
    const way = forward ? 'forward' : 'backward';
    const ready = known[way];
    if (ready && course > 0) return ready;
    const shift = phaseOf(request, unitWidth(bound, turned.row)) + (technique.shift?.(request) ?? 0);
    const written = spreadRow(bound, turned, stitches, shift);
    const cells = opened(read === 'worked' && !forward ? mirrored(written) : written, forward, request, technique);
    if (course === 0) return technique.inChain ? inChain(cells, technique) : cells;
    const looped = loops === 'both' ? cells : inLoops(cells, loops);
    known[way] = looped;
    return looped;
  });
  return assemble(made, stitches, rows, bound.colours.length);
}
