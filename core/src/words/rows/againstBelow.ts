import { blocksHigh, diagonalSpan } from '../../craft/fabric/diagonals.ts';
import { baseCourses, cellsIn, type Fabric, runsForward } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { codeOf, type StitchKey, stitchKind } from '../../craft/stitches/kinds.ts';
import { techniqueNamed } from '../../craft/techniques/register.ts';
import type { WorkedRun } from '../../plan/steps/course.ts';
import type { Terms } from '../terms/termed.ts';
import { stitchWord } from '../terms/terms.ts';

/** A run of one colour in the direction of the hand that works the course above it: cells from the edge it starts at. */
interface Stretch {
  readonly colour: number;
  readonly from: number;
  to: number;
}

/** A run of the same colour no further off than this is what a maker looks for first, cells. */
const near = 2;

/**
 * How far the first cell of a course lies from a common edge, in cells; nothing where cells of two courses have no
 * place in common. docs/craft.md, “The techniques”: wide hdc and clusters lie half a cell beside the row below.
 */
function offsets(fabric: Fabric, { pattern }: BoundPattern): ((course: number) => number) | undefined {
  const technique = techniqueNamed(pattern.technique);
  if (fabric.making === 'paired' || fabric.making === 'netted' || baseCourses(fabric) > 0 || technique?.circle)
    return undefined;
  if (fabric.making === 'diagonals') {
    const high = blocksHigh(fabric.courses, fabric.count);
    return (course) => diagonalSpan(course, fabric.count, high).from - course / 2;
  }
  return technique?.offset ?? (() => 0);
}

/** The colours of a course as a hand meets them that works towards higher columns, or towards lower ones. */
function stretchesOf(fabric: Fabric, course: number, offset: number, forward: boolean): Stretch[] {
  const start = fabric.starts[course] as number;
  const count = cellsIn(fabric, course);
  const found: Stretch[] = [];
  for (let n = 0; n < count; n++) {
    const x = forward ? n : count - 1 - n;
    const from = forward ? offset + x : -(offset + x + 1);
    const colour = fabric.colours[start + x] as number;
    const last = found.at(-1);
    if (last?.colour === colour) last.to = from + 1;
    else found.push({ colour, from, to: from + 1 });
  }
  return found;
}

function overlap(a: Stretch, b: Stretch): number {
  return Math.min(a.to, b.to) - Math.max(a.from, b.from);
}

/** The stretch that lies most under a run, or is nearest to it. */
function underMost(below: readonly Stretch[], run: Stretch): Stretch | undefined {
  return below.reduce<Stretch | undefined>((best, each) => {
    return best && overlap(best, run) >= overlap(each, run) ? best : each;
  }, undefined);
}

/** A count with its half: `2½`. */
function amount(cells: number): string {
  const whole = Math.floor(cells);
  return `${whole || cells === whole ? whole : ''}${cells === whole ? '' : '½'}`;
}

/** Where a run begins and ends against one that lies under it. */
function against(run: Stretch, under: Stretch, letter: string): string {
  const late = run.from - under.from;
  const past = run.to - under.to;
  if (late === 0 && past === 0) return `directly above the ${letter} below`;
  const begins =
    late === 0
      ? `starts with the ${letter} below`
      : `starts ${amount(Math.abs(late))} ${late < 0 ? `before the ${letter} below` : `into the ${letter} below`}`;
  const ends =
    past === 0 ? 'ends with it' : `ends ${amount(Math.abs(past))} ${past > 0 ? 'past it' : 'short of its end'}`;
  return `${begins}, ${ends}`;
}

/** Where a run lies beside one of its own colour that is not under it. */
function beside(run: Stretch, other: Stretch, letter: string): string {
  const after = run.from - other.to;
  if (after >= 0) return `starts ${after ? `${amount(after)} after` : 'where'} the ${letter} below ends`;
  const before = other.from - run.to;
  return `ends ${before ? `${amount(before)} before` : 'where'} the ${letter} below begins`;
}

/**
 * What stands over what, for a run in which kinds take turns: `sc over dc, dc over sc`. Nothing where a kind stands over
 * several, or all over their like. The edges have ways of their own and are left out.
 */
function kindsOver(fabric: Fabric, course: number, run: WorkedRun, terms: Terms): string | undefined {
  const cells = cellsIn(fabric, course);
  const alike = cells === fabric.stitches && cells === cellsIn(fabric, course - 1);
  if (run.kinds.length < 2 || !alike) return undefined;
  const kindAt = (row: number, x: number) => {
    const code = fabric.kinds[(fabric.starts[row] as number) + x] as number;
    return stitchKind(code).standsFor;
  };
  const over = new Map<StitchKey, StitchKey>();
  for (let n = run.from - 1; n < run.from - 1 + run.count; n++) {
    const x = runsForward(course, fabric.making) ? n : cells - 1 - n;
    if (x === 0 || x === cells - 1) continue;
    const [own, below] = [kindAt(course, x), kindAt(course - 1, x)];
    if ((over.get(own) ?? below) !== below) return undefined;
    over.set(own, below);
  }
  if ([...over].every(([own, below]) => own === below)) return undefined;
  const inTurn = new Set(run.kinds.map((key) => stitchKind(codeOf(key)).standsFor));
  return [...inTurn]
    .flatMap((own) => {
      const below = over.get(own);
      return below ? [`${stitchWord(own, terms)} over ${stitchWord(below, terms)}`] : [];
    })
    .join(', ');
}

/**
 * How a run lies to the row below, so that it can be checked without counting: `starts 3 before the B below, ends 1
 * past it`. Counted in cells in the direction of the hand, halves where rows lie half a cell beside one another. Nothing
 * in the first course, and where the cells of two courses have no place in common. A course of one colour is read by
 * its kinds, where they take turns. docs/craft.md, “While working”. @param course from 0
 */
export function againstBelow(
  fabric: Fabric,
  bound: BoundPattern,
  course: number,
  run: WorkedRun,
  terms: Terms = 'US',
): string | undefined {
  const offset = course > 0 ? offsets(fabric, bound) : undefined;
  if (!offset) return undefined;
  const forward = runsForward(course, fabric.making);
  const own = stretchesOf(fabric, course, offset(course), forward);
  const below = stretchesOf(fabric, course - 1, offset(course - 1), forward);
  const colour = bound.colours.indexOf(run.colour);
  const first = (own[0]?.from ?? 0) + run.from - 1;
  const here = own.find((each) => each.from <= first && first < each.to);
  if (own.length === 1) return kindsOver(fabric, course, run, terms);
  if (!here) return undefined;
  if (below.length === 1) return `on plain ${bound.colours[below[0]?.colour ?? 0]}`;
  const letter = (each: Stretch) => bound.colours[each.colour] ?? '?';
  const likes = below.filter((each) => each.colour === colour);
  const like = underMost(likes, here);
  if (like && overlap(like, here) > 0) return against(here, like, letter(like));
  const under = underMost(below, here);
  if (under && under.from === here.from && under.to === here.to) return against(here, under, letter(under));
  if (like && overlap(like, here) >= -near) return beside(here, like, letter(like));
  return under && against(here, under, letter(under));
}
