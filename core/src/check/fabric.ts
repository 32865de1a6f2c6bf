import { type Fabric, runsForward } from '../lay/fabric.ts';
import type { BoundPattern } from '../patterns/bind.ts';
import { good, type Problem, type Result, refused } from '../problem.ts';
import { stitchKinds } from '../stitches/kinds.ts';
import type { Technique } from '../techniques/technique.ts';

const shownAtMost = 5;

/** The proof of one fabric: what may stand on what, as a table over stitch codes. */
function standsTable(technique: Technique): Uint8Array {
  const kinds = stitchKinds.length;
  const table = new Uint8Array((kinds + 1) * kinds);
  for (let below = 0; below <= kinds; below++) {
    for (let kind = 0; kind < kinds; kind++) {
      const key = stitchKinds[kind]?.key;
      if (key === undefined || !technique.stitches.includes(key)) continue;
      if (technique.refuses(key, stitchKinds[below]?.key) === undefined) table[below * kinds + kind] = 1;
    }
  }
  return table;
}

function broken(fabric: Fabric, technique: Technique, course: number, column: number): Problem {
  const at = course * fabric.stitches + column;
  const kind = stitchKinds[fabric.kinds[at] ?? -1]?.key;
  const below = course ? stitchKinds[fabric.kinds[at - fabric.stitches] ?? -1]?.key : undefined;
  const stitch = (runsForward(course) ? column : fabric.stitches - 1 - column) + 1;
  const colour = fabric.colours[at] ?? 0;
  const reason =
    colour >= fabric.colourCount
      ? `its colour is number ${colour + 1} of ${fabric.colourCount}`
      : kind === undefined || !technique.stitches.includes(kind)
        ? `${kind ?? 'an unknown stitch'} is not a stitch of ${technique.name}`
        : (technique.refuses(kind, below) ?? 'it is not where a counted turning chain can be');
  return {
    code: 'fabric-broken',
    path: `row ${course + 1}, stitch ${stitch}`,
    message: `Row ${course + 1}, stitch ${stitch}: ${reason}.`,
    hint: 'Change the chart there, or report the plan: it should not have been printed.',
  };
}

/**
 * Proves a flat fabric: each course takes exactly the stitches that the course below left, every stitch may stand
 * where it stands, and has a colour that there is. Linear in stitches.
 */
export function checkFabric(fabric: Fabric, bound: BoundPattern, technique: Technique): Result<Fabric> {
  const { courses, stitches, kinds, colours } = fabric;
  if (kinds.length !== courses * stitches || colours.length !== courses * stitches) {
    return refused({
      code: 'fabric-broken',
      path: '',
      message: `${bound.pattern.name}: ${kinds.length} stitches were laid where ${courses} rows of ${stitches} take ${courses * stitches}.`,
      hint: 'Every row must take exactly the stitches that the row below left.',
    });
  }
  const table = standsTable(technique);
  const size = stitchKinds.length;
  const counted = stitchKinds.findIndex((kind) => kind.key === 'hdc-ch2');
  const problems: Problem[] = [];
  for (let course = 0; course < courses && problems.length < shownAtMost; course++) {
    const base = course * stitches;
    const first = runsForward(course) ? 0 : stitches - 1;
    for (let x = 0; x < stitches; x++) {
      const kind = kinds[base + x] as number;
      const below = course ? (kinds[base + x - stitches] as number) : size;
      const stands = kind < size && table[below * size + kind] === 1;
      if (stands && (kind !== counted || x === first) && (colours[base + x] as number) < fabric.colourCount) continue;
      problems.push(broken(fabric, technique, course, x));
      if (problems.length === shownAtMost) break;
    }
  }
  return problems.length ? refused(...problems) : good(fabric);
}
