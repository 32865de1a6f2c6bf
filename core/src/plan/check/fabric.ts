import { stitchesOfBase } from '../../craft/fabric/base.ts';
import { distinctCourses } from '../../craft/fabric/distinct.ts';
import {
  baseCourses,
  type Cells,
  cellsIn,
  courseCells,
  type Fabric,
  runsForward,
  stitchesMade,
  stitchesTaken,
} from '../../craft/fabric/fabric.ts';
import { chainsFor, type Foundation } from '../../craft/foundation/foundation.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { codeOf, stitchKinds } from '../../craft/stitches/kinds.ts';
import type { Technique } from '../../craft/technique/technique.ts';
import { type Facts, good, type Problem, type Result, refused, type Told } from '../../craft/values/problem.ts';

const shownAtMost = 5;

/** What the proof of a fabric needs to know beside the fabric. */
export interface FabricProof {
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly foundation: Foundation;
}

interface Refusal extends Told {
  readonly column: number;
}

function broken(fabric: Fabric, course: number, { column, code, facts }: Refusal): Problem {
  const cells = (fabric.starts[course + 1] as number) - (fabric.starts[course] as number);
  const stitch = (runsForward(course, fabric.making) ? column : cells - 1 - column) + 1;
  return {
    code: 'stitch-cannot-be',
    path: `row ${course + 1}, stitch ${stitch}`,
    facts: { ...facts, row: course + 1, stitch, why: code },
  };
}

function countBroken(
  course: number,
  word: string,
  made: number,
  left: number,
  below: 'foundation' | 'chain' | number,
): Problem {
  return {
    code: 'row-takes-other-count',
    path: `row ${course + 1}`,
    facts: { row: course + 1, made, word, below, left },
  };
}

/** Whether the course takes exactly what the course below left, or has the cells that its technique gives it. */
function countProblem(fabric: Fabric, proof: FabricProof, course: number): Problem | undefined {
  const { technique, foundation } = proof;
  const cells = courseCells(fabric, course);
  const below = course === 0 ? 'foundation' : course;
  if (technique.cells) {
    const wanted = technique.cells(course, fabric.count, fabric.courses, foundation);
    if (cells.kinds.length === wanted) return undefined;
    const word = technique.width.word === 'blocks' ? 'blocks' : 'places';
    return countBroken(course, word, cells.kinds.length, wanted, below);
  }
  const round1 = proof.foundation.circle ? cellsIn(fabric, 0) : fabric.count;
  const left = course === 0 ? round1 : stitchesMade(courseCells(fabric, course - 1));
  const taken = stitchesTaken(cells);
  return taken === left ? undefined : countBroken(course, 'stitches', taken, left, below);
}

const allowedKinds = new WeakMap<Technique, Uint8Array>();

/** By stitch code, whether a technique has that stitch. */
function allowedOf(technique: Technique): Uint8Array {
  const known = allowedKinds.get(technique);
  if (known) return known;
  const allowed = Uint8Array.from(stitchKinds, (kind) => (technique.kinds.includes(kind.key) ? 1 : 0));
  allowedKinds.set(technique, allowed);
  return allowed;
}

/** A round of the circle below straight sides: into the ring, then plain stitches and increases, all in one colour. */
function baseRefusals(cells: Cells, proof: FabricProof, course: number): Refusal[] {
  const { ring, plain, inc } = stitchesOfBase(proof.foundation.stitch);
  const may = course === 0 ? [ring] : [plain, inc];
  const codes = may.map(codeOf);
  const found: Refusal[] = [];
  for (let x = 0; x < cells.kinds.length && found.length < shownAtMost; x++) {
    if (!codes.includes(cells.kinds[x] as number)) {
      found.push({ column: x, code: 'circle-stitch', facts: { may } });
    } else if (cells.colours[x] !== cells.colours[0]) {
      found.push({ column: x, code: 'circle-colour' });
    }
  }
  return found;
}

function refusals(fabric: Fabric, proof: FabricProof, course: number, base: number, most = shownAtMost): Refusal[] {
  const { technique, bound, foundation } = proof;
  const cells = courseCells(fabric, course);
  if (course < base) return baseRefusals(cells, proof, course);
  const found: Refusal[] = [];
  const refuse = (column: number, why: string, facts?: Facts) => {
    if (found.length < most) found.push({ column, code: why, facts });
  };
  const allowed = allowedOf(technique);
  for (let x = 0; x < cells.kinds.length; x++) {
    const code = cells.kinds[x] as number;
    const colour = cells.colours[x] as number;
    if (!allowed[code]) {
      refuse(x, 'not-of-technique', { key: stitchKinds[code]?.key, technique: technique.key });
    } else if (colour >= fabric.colourCount)
      refuse(x, 'no-such-colour', { colour: colour + 1, colours: fabric.colourCount });
  }
  if (found.length) return found;
  technique.prove({
    ...cells,
    course: course - base,
    courses: fabric.courses - base,
    count: fabric.count,
    forward: runsForward(course, fabric.making),
    making: fabric.making,
    below: course > base ? courseCells(fabric, course - 1) : undefined,
    below2: course > base + 1 ? courseCells(fabric, course - 2) : undefined,
    bound,
    foundation,
    refuse,
  });
  return found;
}

/** A cell that cannot be where it is. Course and column from 0. */
export interface RefusedCell extends Refusal {
  readonly course: number;
}

/** The cells of a fabric that cannot be, course by course, at most so many. */
export function refusedCells(fabric: Fabric, proof: FabricProof, most: number): RefusedCell[] {
  const base = proof.foundation.circle ? baseCourses(fabric) : 0;
  const found: RefusedCell[] = [];
  for (let course = base; course < fabric.courses && found.length < most; course++) {
    for (const each of refusals(fabric, proof, course, base, most - found.length)) found.push({ ...each, course });
  }
  return found;
}

/**
 * Proves a fabric stitch by stitch: each course takes exactly the stitches that the course below left, every stitch
 * may stand where it stands, and has a colour that there is. Courses that are alike over alike courses are worked
 * through once. Linear in stitches.
 */
export function checkFabric(fabric: Fabric, proof: FabricProof): Result<Fabric> {
  const { courses, starts, kinds, colours } = fabric;
  if (starts.length !== courses + 1 || kinds.length !== starts[courses] || colours.length !== kinds.length) {
    return refused({
      code: 'fabric-count',
      path: '',
      facts: { pattern: proof.bound.pattern.name, stitches: kinds.length, rows: courses, wanted: starts[courses] },
    });
  }
  const problems: Problem[] = [];
  // No diagonal is like another place for place, so each is worked through.
  const of = fabric.making === 'diagonals' ? undefined : distinctCourses(fabric).of;
  const base = proof.foundation.circle ? baseCourses(fabric) : 0;
  const proved = new Set<string>();
  for (let course = 0; course < courses && problems.length < shownAtMost; course++) {
    const place = `${Math.min(course, base + 2)} ${course % 4} ${course === courses - 1}`;
    const key = of ? `${of[course]} ${of[course - 1]} ${of[course - 2]} ${place}` : String(course);
    if (proved.has(key)) continue;
    const count = countProblem(fabric, proof, course);
    const found = count ? [count] : refusals(fabric, proof, course, base).map((each) => broken(fabric, course, each));
    if (found.length) problems.push(...found.slice(0, shownAtMost - problems.length));
    else proved.add(key);
  }
  if (!Number.isInteger(chainsFor(proof.foundation, fabric.count))) {
    problems.push(countBroken(0, 'stitches', fabric.count, chainsFor(proof.foundation, fabric.count), 'chain'));
  }
  return problems.length ? refused(...problems) : good(fabric);
}
