import { cellWorked, type Fabric } from '../../craft/fabric/fabric.ts';
import type { Act } from '../../craft/stitches/acts.ts';
import { type StitchKey, stitchKind, stitchKinds } from '../../craft/stitches/kinds.ts';

/** Seconds for each thing that hands do. */
export interface Pace {
  readonly stitches: Readonly<Partial<Record<StitchKey, number>>>;
  readonly change: number;
  readonly turn: number;
  /** Weaving in one end. */
  readonly end: number;
  /** Working one stitch over a strand. */
  readonly carry: number;
  /** Cutting a strand and joining it again. */
  readonly join: number;
}

/**
 * A steady hand before its own pace was logged; judged, not measured (docs/craft.md, “Time”). A kind that is not
 * named takes what the stitch it stands for takes.
 */
export const typicalPace: Pace = {
  stitches: {
    ch: 1.2,
    sc: 3,
    'sc@back': 3.2,
    hdc: 3.6,
    'hdc@between': 4,
    dc: 4.6,
    'dc@below2': 5.4,
    'dc@front2': 5.6,
    fpdc: 6.5,
    bpdc: 7.5,
    cluster: 14,
    'edge-dc': 5,
    block: 22,
    inc: 9.2,
    fleck: 5,
    'sc-inc': 6.4,
    'hdc-inc': 7.4,
    'sc@ring': 3.4,
    'dc@base-front': 6,
    'dc@base-behind': 6.5,
    fpsc: 4.5,
    'fpdc@other': 6.5,
    'hdc-ch2': 2.4,
    'dc-ch3': 3.6,
  },
  change: 5,
  turn: 4,
  end: 150,
  carry: 0.4,
  join: 12,
};

/** A hand may be a third quicker or slower than typical. */
export const paceSd = 0.2;

/** Seconds of a steady hand, by what it does. */
export type Handwork = ReadonlyMap<Act, number>;

/** Seconds of one cell. */
function secondsOf(key: StitchKey): number {
  const { stitches } = typicalPace;
  const kind = stitchKinds.find((each) => each.key === key);
  return stitches[key] ?? stitches[kind?.standsFor ?? 'sc'] ?? 3;
}

/** Seconds of a steady hand for one of what it does. */
export function steadySeconds(act: Act): number {
  return act === 'change' || act === 'turn' || act === 'end' ? typicalPace[act] : secondsOf(act);
}

/** Several stretches of work together, each taken so many times. */
export function handworkOf(parts: readonly (readonly [work: Handwork, times: number])[]): Handwork {
  const sum = new Map<Act, number>();
  for (const [work, times] of parts) {
    if (times === 0) continue;
    for (const [act, seconds] of work) sum.set(act, (sum.get(act) ?? 0) + times * seconds);
  }
  return sum;
}

/** Seconds of a steady hand for all of it. */
export function secondsIn(work: Handwork): number {
  let seconds = 0;
  for (const each of work.values()) seconds += each;
  return seconds;
}

/** One course: its stitches, the changes of colour within it, and turning. Linear in its cells. */
export function handworkOfCourse(fabric: Fabric, course: number): Handwork {
  const { starts, kinds, colours } = fabric;
  const [from, to] = [starts[course] as number, starts[course + 1] as number];
  const counts = new Int32Array(stitchKinds.length);
  let changes = 0;
  for (let i = from; i < to; i++) {
    (counts[kinds[i] as number] as number)++;
    if (i > from && colours[i] !== colours[i - 1]) changes++;
  }
  const work = new Map<Act, number>([['turn', steadySeconds('turn')]]);
  counts.forEach((count, code) => {
    const { key } = stitchKind(code);
    if (count) work.set(key, count * secondsOf(key));
  });
  if (changes) work.set('change', changes * steadySeconds('change'));
  return work;
}

/** A foundation chain. */
export function handworkOfChain(chains: number): Handwork {
  return new Map<Act, number>(chains > 0 ? [['ch', chains * steadySeconds('ch')]] : []);
}

/** A whole fabric, changes from one course to the next too. Linear in cells. */
export function handworkOfFabric(fabric: Fabric): Handwork {
  const courses = Array.from({ length: fabric.courses }, (_, course) => course);
  const between = courses.filter(
    (course) => course && fabric.colours[cellWorked(fabric, course, 0)] !== lastColour(fabric, course - 1),
  );
  return handworkOf([
    ...courses.map((course) => [handworkOfCourse(fabric, course), 1] as const),
    [new Map([['change', steadySeconds('change')]]), between.length],
  ]);
}

/** What comes off the hook: finishing in single crochet, and ends woven in. */
export function handworkOfFinish(stitches: number, ends: number, changes = 0): Handwork {
  return new Map<Act, number>([
    ['sc', stitches * steadySeconds('sc')],
    ['end', ends * steadySeconds('end')],
    ...(changes ? [['change', changes * steadySeconds('change')] as const] : []),
  ]);
}

function lastColour(fabric: Fabric, course: number): number | undefined {
  const cells = (fabric.starts[course + 1] as number) - (fabric.starts[course] as number);
  return fabric.colours[cellWorked(fabric, course, cells - 1)];
}
