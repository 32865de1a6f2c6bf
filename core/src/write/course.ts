import type { Foundation } from '../fit/foundation.ts';
import { colourLetter, columnWorked, type Fabric, runsForward } from '../lay/fabric.ts';
import type { BoundPattern } from '../patterns/bind.ts';
import { type StitchKey, stitchCode, stitchKind } from '../stitches/kinds.ts';

/** One run of a row, in working order: so many stitches of one colour, and of one kind or of a few by turns. */
export interface WorkedRun {
  readonly count: number;
  /** One kind, or the kinds that take turns through the run (sc, dc). */
  readonly kinds: readonly StitchKey[];
  readonly colour: string;
  /** The stitch of the row at which it begins, from 1. */
  readonly from: number;
  /** The colour of the last pull-through of its last stitch, where it changes. */
  readonly changeTo?: string;
}

/** One row as it is worked. */
export interface WorkedCourse {
  /** From 1. */
  readonly number: number;
  readonly side: 'RS' | 'WS';
  readonly runs: readonly WorkedRun[];
  /** Chains made to turn before this row; none before row 1, which begins in the foundation chain. */
  readonly turn: number;
  readonly turnCounts: boolean;
  readonly stitches: number;
  readonly byColour: readonly { readonly colour: string; readonly count: number }[];
  readonly byKind: readonly { readonly kind: StitchKey; readonly count: number }[];
  readonly last: { readonly kind: StitchKey; readonly colour: string };
  /** The colour that turns: that of the next row, or this row's last. */
  readonly inHand: string;
}

interface Stretch {
  readonly kinds: StitchKey[];
  readonly colour: number;
  readonly from: number;
  count: number;
}

/** Cuts a row into runs of one colour, and of one kind or a pair of kinds by turns. */
function stretches(fabric: Fabric, course: number): Stretch[] {
  const found: Stretch[] = [];
  for (let n = 0; n < fabric.stitches; n++) {
    const at = course * fabric.stitches + columnWorked(fabric, course, n);
    const kind = stitchKind(fabric.kinds[at] as number).key;
    const colour = fabric.colours[at] as number;
    const open = found.at(-1);
    if (open && open.colour === colour && continues(open, kind)) open.count++;
    else found.push({ kinds: [kind], colour, from: n + 1, count: 1 });
  }
  return found;
}

/** Whether a stitch goes on with the run: the same kind again, or the next of two that take turns. */
function continues(open: Stretch, kind: StitchKey): boolean {
  const { kinds, count } = open;
  if (kinds.length === 1 && kinds[0] === kind) return true;
  if (kinds.length === 1 && count === 1 && kinds[0] !== 'hdc-ch2') {
    kinds.push(kind);
    return true;
  }
  return kinds.length === 2 && kinds[count % 2] === kind;
}

function tally<T>(items: Iterable<T>): Map<T, number> {
  const counts = new Map<T, number>();
  for (const item of items) counts.set(item, (counts.get(item) ?? 0) + 1);
  return counts;
}

/** The row as it is worked. @param course from 0 */
export function workCourse(fabric: Fabric, bound: BoundPattern, foundation: Foundation, course: number): WorkedCourse {
  const letter = (colour: number) => colourLetter(bound, colour);
  const base = course * fabric.stitches;
  const cells = stretches(fabric, course);
  const nextColour =
    course + 1 < fabric.courses
      ? (fabric.colours[base + fabric.stitches + columnWorked(fabric, course + 1, 0)] as number)
      : undefined;
  const runs = cells.map((cell, i): WorkedRun => {
    const after = cells[i + 1]?.colour ?? nextColour;
    const changes = after !== undefined && after !== cell.colour;
    return {
      count: cell.count,
      kinds: cell.kinds,
      colour: letter(cell.colour),
      from: cell.from,
      ...(changes ? { changeTo: letter(after) } : {}),
    };
  });
  const row = base + fabric.stitches;
  const colours = tally(fabric.colours.subarray(base, row));
  const kinds = tally(Array.from(fabric.kinds.subarray(base, row), (kind) => stitchKind(kind).standsFor));
  const last = base + columnWorked(fabric, course, fabric.stitches - 1);
  const lastColour = fabric.colours[last] as number;
  return {
    number: course + 1,
    side: runsForward(course) ? 'RS' : 'WS',
    runs,
    turn: course === 0 ? 0 : foundation.turn,
    turnCounts: foundation.counted,
    stitches: fabric.stitches,
    byColour: [...colours].sort(([a], [b]) => a - b).map(([colour, count]) => ({ colour: letter(colour), count })),
    byKind: [...kinds]
      .sort(([a], [b]) => (stitchCode(a) ?? 0) - (stitchCode(b) ?? 0))
      .map(([kind, count]) => ({ kind, count })),
    last: { kind: stitchKind(fabric.kinds[last] as number).standsFor, colour: letter(lastColour) },
    inHand: letter(nextColour ?? lastColour),
  };
}
