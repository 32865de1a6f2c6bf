import { type LengthUnit, parseLength } from '../../craft/units/length.ts';
import type { Problem } from '../../craft/values/problem.ts';
import type { LogEntry, Measuring, Weighing } from '../../records/logEntry.ts';
import type { Planned } from './drift.ts';

/** The longest side of a piece that hands make, mm. */
const longestMade = 10_000;

/** What was measured may be half or twice of what was planned; beyond that it is asked about. */
const oddly = 2;

const sides = ['width', 'height'] as const;

function impossibleSides(
  entry: { readonly width?: string | undefined; readonly height?: string | undefined },
  units: LengthUnit,
): Problem[] {
  return sides.flatMap((path): Problem[] => {
    const typed = entry[path];
    if (typed === undefined) return [];
    const read = parseLength(typed, units);
    if (!read.ok) return read.problems.map((problem) => ({ ...problem, path }));
    if (read.value > 0 && read.value <= longestMade) return [];
    return [{ code: 'length-impossible', path, facts: { typed, low: read.value <= 0 } }];
  });
}

/** What cannot be in an entry of the log: a length below nothing or of a house, a ball that has grown. */
export function impossibleIn(entry: LogEntry, units: LengthUnit): Problem[] {
  switch (entry.kind) {
    case 'measure':
    case 'end':
      return impossibleSides(entry, units);
    case 'weigh': {
      const { letter, ball, before, after, scale } = entry;
      // A label may be a little short of what is in a ball; a weight is as good as its scale.
      const most = entry.beforeIsLabel ? before * 1.1 : before + scale;
      return after > most ? [{ code: 'ball-grew', path: 'after', facts: { letter, ball, before, after } }] : [];
    }
    default:
      return [];
  }
}

/** What is so unlike the plan that it is asked about before it is kept. @param planned the whole cloth as worked */
export function unlikelyMeasure(measured: Measuring, planned: Planned | undefined, units: LengthUnit): Problem[] {
  if (!planned) return [];
  const { rows } = measured.position;
  const expected = { width: planned.width, height: (planned.height * rows) / planned.rows };
  return sides.flatMap((path): Problem[] => {
    const read = measured[path] === undefined ? undefined : parseLength(measured[path], units);
    const plan = expected[path];
    if (!read?.ok || plan <= 0) return [];
    const ratio = read.value / plan;
    if (ratio >= 1 / oddly && ratio <= oddly) return [];
    return [
      { code: 'measure-unlikely', path, facts: { side: path, measured: read.value, planned: plan, row: rows, units } },
    ];
  });
}

/** A ball that weighs more than it did at an earlier weighing is asked about: it may be another ball. */
export function unlikelyWeight(entry: Weighing, earlier: readonly Weighing[]): Problem[] {
  const before = earlier.findLast(
    ({ id, letter, ball, at }) => id !== entry.id && letter === entry.letter && ball === entry.ball && at < entry.at,
  );
  if (!before || entry.after <= before.after + entry.scale + before.scale) return [];
  const { letter, ball, after } = entry;
  return [{ code: 'ball-heavier', path: 'after', facts: { letter, ball, after, was: before.after } }];
}
