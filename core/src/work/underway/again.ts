import type { Fabric } from '../../craft/fabric/fabric.ts';
import { printPattern } from '../../craft/notation/print.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { parseLength } from '../../craft/units/length.ts';
import { type Belief, firstBelief, type Reading } from '../../craft/values/belief.ts';
import type { ThawedWork } from '../../plan/begun/frozen.ts';
import { prepareCloth } from '../../plan/begun/made.ts';
import { admits } from '../../plan/fit/progression.ts';
import { heightRule } from '../../plan/fit/up.ts';
import type { OwnPace } from '../../plan/pace/ownPace.ts';
import { handBelief } from '../../plan/piece/piece.ts';
import { sizeAt } from '../../plan/sizes/sizes.ts';
import { type Prepared, prepare } from '../../plan/wish/prepare.ts';
import { type LogEntry, weighingsIn } from '../../records/logEntry.ts';
import type { Wish } from '../../records/wish.ts';
import { costsOfProject, metresToEnd } from './inHand.ts';
import { colourNow } from './weighed.ts';

/** What a work taught its maker. */
export interface Taught {
  readonly wish: Wish;
  readonly cloth: ThawedWork;
  readonly entries: readonly LogEntry[];
  readonly pace: OwnPace;
}

/**
 * A wish for the piece that was made: its pattern, its stitches and rows, at the gauge it came out with, with the hand's
 * pace, what its yarn weighed, and what was to be changed next time.
 */
export function wishAgain(taught: Taught): Wish {
  const { choice: _size, ...kept } = { ...taught.wish, ...countsOf(taught) };
  const title = `${kept.title.slice(0, 73)}, again`;
  const pace = taught.pace.acts.length ? taught.pace : kept.pace;
  const lessons = lessonsOf(taught);
  const wish: Wish = {
    ...kept,
    title,
    gauge: gaugeOf(taught),
    ...(pace ? { pace } : {}),
    ...(lessons.length ? { lessons } : {}),
  };
  const reading = readingOf(taught, wish);
  return reading && wish.gauge.from === 'counted' ? { ...wish, gauge: { ...wish.gauge, weighed: reading } } : wish;
}

/** What was to be changed next time: as told at the end, and what had been told before and was kept. */
function lessonsOf({ wish, entries }: Taught): string[] {
  const told = entries.flatMap((entry) => (entry.kind === 'end' && entry.next ? [entry.next] : []));
  return [...new Set([...(wish.lessons ?? []), ...told])].slice(-20);
}

/**
 * Pattern, foundation and counts of the cloth that was made, whatever its wish had asked for. Rows that its ending would
 * refuse are let end where they did.
 */
function countsOf({ wish, cloth }: Taught): Pick<Wish, 'pattern' | 'foundation' | 'width' | 'height' | 'ending'> {
  const { bound, fabric, foundation } = cloth;
  const rows = wish.choice?.rows ?? fabric.courses;
  const written = printPattern(bound.pattern);
  const asked = prepare(wish);
  const same = asked.ok && printPattern(asked.value.bound.pattern) === written;
  const technique = techniqueOf(bound.pattern);
  const ends = technique.ok && admits(heightRule(bound, technique.value, wish.ending), rows);
  return {
    pattern: same
      ? wish.pattern
      : {
          text: written,
          numbers: { ...bound.numbers },
          ...(bound.pattern.stitches.length ? { stitch: bound.stitch } : {}),
          ...(bound.loops === 'both' ? {} : { loops: bound.loops }),
        },
    foundation: foundation.key,
    width: { by: 'stitches', count: fabric.count },
    height: { by: 'rows', count: rows },
    ending: ends ? wish.ending : 'any',
  };
}

/** The gauge of the wish, drawn to the size that was measured at the end; a finished piece is the best swatch. */
function gaugeOf({ wish, cloth, entries }: Taught): Wish['gauge'] {
  const end = entries.findLast((entry) => entry.kind === 'end');
  const prepared = prepareCloth(wish, cloth);
  if (!end || !prepared.ok) return wish.gauge;
  const { fabric } = cloth;
  const planned = sizeAt(prepared.value, fabric.count, wish.choice?.rows ?? fabric.courses);
  const drift = (typed: string | undefined, mm: number) => {
    const read = typed === undefined ? undefined : parseLength(typed, wish.units);
    return read?.ok ? read.value / mm : undefined;
  };
  const across = drift(end.width, planned.width.width.mid);
  const up = drift(end.height, planned.height.height.mid);
  if (across === undefined && up === undefined) return wish.gauge;
  return drawn(prepared.value, fabric, across ?? 1, up ?? 1);
}

/** A gauge is told over as many stitches as the piece has, or as a swatch would have. */
const [fewest, most] = [20, 1000];

/** The gauge of a wish, wider and higher by so much. */
function drawn({ wish, gauge, finished }: Prepared, { count, courses }: Fabric, across: number, up: number) {
  const inch = wish.units === 'in';
  const over = (cells: number, mm: number) => {
    const told = Math.min(most, Math.max(fewest, cells));
    return { count: told, over: `${Number(((told * mm) / (inch ? 25.4 : 10)).toFixed(2))} ${wish.units}` };
  };
  const had = wish.gauge.from === 'counted' ? wish.gauge : undefined;
  return {
    from: 'counted' as const,
    stitches: over(count, gauge.stitchWidth.mid * across),
    rows: over(courses, gauge.rowHeight.mid * up),
    ...(had?.washedStitches?.length ? { washedStitches: [over(count, finished.stitchWidth.mid * across)] } : {}),
    ...(had?.washedRows?.length ? { washedRows: [over(courses, finished.rowHeight.mid * up)] } : {}),
    ...(had?.weighed ? { weighed: had.weighed } : {}),
  };
}

/** What the balls of the work say of the hand at the gauge of the new wish; nothing where none was weighed. */
function readingOf({ cloth, entries }: Taught, wish: Wish): Reading | undefined {
  const { gauge } = wish;
  const work: ThawedWork = {
    ...cloth,
    gauge: undefined,
    before: cloth.before?.map((each) => ({
      ...each,
      wish: { ...each.wish, gauge },
      cloth: { ...each.cloth, gauge: undefined },
    })),
  };
  const prepared = prepareCloth(wish, work);
  const weighings = weighingsIn(entries);
  if (!prepared.ok || !weighings.length) return undefined;
  const costs = costsOfProject(prepared.value, work);
  const before = handBelief(prepared.value);
  const first = firstBelief('measured');
  const readings = prepared.value.yarns.flatMap((yarn, colour) => {
    const own = weighings.filter(({ letter }) => letter === yarn.letter);
    const metres = metresToEnd(costs, colour);
    const now = { rows: costs.sequence.units.length, runs: 0 };
    const found = colourNow({ yarn, metres, belief: before, weighings: own, now, part: 0 });
    if (!own.length || !found.ok || found.value.doubtful) return [];
    return [asReading(first, found.value.belief)];
  });
  if (!readings.length) return undefined;
  // They are of one hand: together they are no surer than the surest of them.
  const weights = readings.map(({ error }) => error ** -2);
  const all = weights.reduce((sum, each) => sum + each, 0);
  const ratio = readings.reduce((sum, each, i) => sum + (each.ratio * (weights[i] as number)) / all, 0);
  return { ratio, error: Math.min(...readings.map(({ error }) => error)) };
}

/** The one reading that leads from what was known at first to what is known now: `learn` undone. */
export function asReading(first: Belief, now: Belief): Reading {
  const weight = 1 - (now.sd / first.sd) ** 2;
  return { ratio: first.mean + (now.mean - first.mean) / weight, error: first.sd * Math.sqrt((1 - weight) / weight) };
}
