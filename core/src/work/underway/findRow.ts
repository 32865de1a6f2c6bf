import { cellsIn, type Fabric, runsForward } from '../../craft/fabric/fabric.ts';
import { readTypedRow } from '../../craft/notation/read.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import { evaluate } from '../../craft/patterns/count.ts';
import type { PatternRow } from '../../craft/patterns/model.ts';
import { good, type Result, refused } from '../../craft/values/problem.ts';

/** A run as a maker sees it on the cloth. */
export interface SeenRun {
  readonly count: number;
  readonly colour: string;
}

/** How a row differs from others like it: by a row further down, or by its place alone. */
export interface Difference {
  /** So many rows below lies this row, spelled as its runs. */
  readonly down?: number;
  readonly runs?: string;
  /** Its place among neighbours of the same colours, from 1. */
  readonly band?: { readonly at: number; readonly of: number };
  /** Rows worked in all. */
  readonly rows?: number;
}

/** A row that the last worked one may be. */
export interface RowCandidate {
  /** From 1. */
  readonly row: number;
  /** Whether the row under it was described too, and answers. */
  readonly sure: boolean;
  /** What tells it from the other candidates; nothing where it is the only one. */
  readonly tells?: Difference | undefined;
}

/** The runs of a course in the order in which it was worked. */
export function seenRuns(fabric: Fabric, bound: BoundPattern, course: number): SeenRun[] {
  const start = fabric.starts[course] as number;
  const count = cellsIn(fabric, course);
  const forward = runsForward(course, fabric.making);
  const runs: { count: number; colour: string }[] = [];
  for (let i = 0; i < count; i++) {
    const at = start + (forward ? i : count - 1 - i);
    const colour = bound.colours[fabric.colours[at] as number] ?? '?';
    const last = runs.at(-1);
    if (last?.colour === colour) last.count++;
    else runs.push({ count: 1, colour });
  }
  return runs;
}

/** The runs that occur in a cloth, the commonest first, to be tapped instead of typed. @param most how many of them */
export function runsToTap(fabric: Fabric, bound: BoundPattern, most: number): SeenRun[] {
  const found = new Map<string, { run: SeenRun; times: number }>();
  for (let course = 0; course < fabric.courses; course++) {
    for (const run of seenRuns(fabric, bound, course)) {
      const key = spelled([run]);
      const known = found.get(key);
      if (known) known.times++;
      else found.set(key, { run, times: 1 });
    }
  }
  return [...found.values()]
    .sort((a, b) => b.times - a.times)
    .slice(0, most)
    .map(({ run }) => run)
    .sort((a, b) => a.colour.localeCompare(b.colour) || a.count - b.count);
}

function spelled(runs: readonly SeenRun[]): string {
  return runs.map(({ count, colour }) => `${count}${colour}`).join(' ');
}

/** Reads a row typed as it is seen: `4A 4B 4A`, or its repeat between bars. @param cells of a whole row */
export function readSeenRow(text: string, cells: number, colours: readonly string[]): Result<SeenRun[]> {
  const read = readTypedRow(text);
  if (!read.ok) return read;
  const plain = (runs: PatternRow['unit']) =>
    runs.map((run) => ({ count: evaluate(run.count, {}), colour: run.colour ?? '' }));
  const [start, unit, end] = [plain(read.value.start), plain(read.value.unit), plain(read.value.end)];
  const sum = (runs: readonly SeenRun[]) => runs.reduce((all, run) => all + run.count, 0);
  const stray = [...start, ...unit, ...end].find((run) => !colours.includes(run.colour));
  if (stray) {
    return refused({
      code: 'colour-not-in-row',
      path: '',
      facts: { colour: stray.colour, colours },
    });
  }
  const repeated = start.length || end.length;
  const times = repeated ? (cells - sum(start) - sum(end)) / sum(unit) : 1;
  const whole =
    Number.isInteger(times) && times >= 1
      ? [...start, ...Array.from({ length: times }, () => unit).flat(), ...end]
      : unit;
  const joined: { count: number; colour: string }[] = [];
  for (const run of whole) {
    const last = joined.at(-1);
    if (last?.colour === run.colour) last.count += run.count;
    else joined.push({ ...run });
  }
  return good(joined);
}

/** Whether a row answers to what was seen of it: all of it, or its beginning where only that was told. */
function answers(own: readonly SeenRun[], seen: readonly SeenRun[]): boolean {
  if (seen.length > own.length) return false;
  return seen.every((run, i) => {
    const other = own[i] as SeenRun;
    if (run.colour !== other.colour) return false;
    // The last run that was told may have been cut short.
    return i === seen.length - 1 && seen.length < own.length ? run.count <= other.count : run.count === other.count;
  });
}

/**
 * Rows that the last worked row may be, from what is seen of it and of the row under it, each in the order in which
 * it was worked; what is nearest to the counter first. @param below nothing where it was not described
 * @param counter rows that are counted as worked
 */
export function findRow(
  fabric: Fabric,
  bound: BoundPattern,
  last: readonly SeenRun[],
  below: readonly SeenRun[] | undefined,
  counter = 0,
): RowCandidate[] {
  const rows = Array.from({ length: fabric.courses }, (_, course) => seenRuns(fabric, bound, course));
  const found = rows.flatMap((own, course) => {
    if (!answers(own, last)) return [];
    if (!below) return [course];
    const under = rows[course - 1];
    return under && answers(under, below) ? [course] : [];
  });
  // Whoever has lost a row has seldom lost many.
  const apart = (course: number) => Math.abs(course + 1 - counter);
  found.sort((a, b) => apart(a) - apart(b) || b - a);
  return found.map((course) => ({
    row: course + 1,
    sure: below !== undefined,
    tells: found.length > 1 ? difference(fabric, rows, found, course) : undefined,
  }));
}

/** Where a course stands among those beside it that have the same colours, from 1, and how many they are. */
function bandOf(fabric: Fabric, course: number): { readonly at: number; readonly of: number } {
  const alike = (other: number) => {
    if (other < 0 || other >= fabric.courses || cellsIn(fabric, other) !== cellsIn(fabric, course)) return false;
    const [from, to] = [fabric.starts[course] as number, fabric.starts[course + 1] as number];
    const apart = (fabric.starts[other] as number) - from;
    for (let i = from; i < to; i++) if (fabric.colours[i] !== fabric.colours[i + apart]) return false;
    return true;
  };
  let [first, last] = [course, course];
  while (alike(first - 1)) first--;
  while (alike(last + 1)) last++;
  return { at: course - first + 1, of: last - first + 1 };
}

/** The nearest row below in which a candidate differs from every other, in words. */
function difference(
  fabric: Fabric,
  rows: readonly (readonly SeenRun[])[],
  found: readonly number[],
  course: number,
): Difference {
  const others = found.filter((each) => each !== course);
  for (let down = 1; down <= course; down++) {
    const own = spelled(rows[course - down] ?? []);
    const differs = others.every((other) => other < down || spelled(rows[other - down] ?? []) !== own);
    if (differs) return { down, runs: own };
  }
  const band = bandOf(fabric, course);
  return { ...(band.of > 1 ? { band } : {}), rows: course + 1 };
}
