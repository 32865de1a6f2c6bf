/** How far a work has come: whole rows worked, and runs of the row in hand. */
export interface Position {
  readonly rows: number;
  readonly runs: number;
}

/**
 * One step of the counter. It says from where to where, so that the same step told twice, or told by two devices,
 * counts once. Its place orders the steps, not its time: clocks of two devices differ, and are set.
 */
export interface Tick {
  /** A UUID made by the device. */
  readonly id: string;
  /** Milliseconds since 1970, by the device's clock. */
  readonly at: number;
  /** One more than that of the last step the device had seen; steps made before there were places go by their time. */
  readonly place?: number | undefined;
  readonly from: Position;
  readonly to: Position;
}

export const begun: Position = { rows: 0, runs: 0 };

/** Negative when `a` comes before `b` in the work. */
export function comparePositions(a: Position, b: Position): number {
  return a.rows - b.rows || a.runs - b.runs;
}

/** Where a step stands among the others. */
export function placeOf({ place, at }: Tick): number {
  return place ?? at;
}

/** Negative when `a` was made before `b`, as far as the device that made `b` could know. */
export function compareTicks(a: Tick, b: Tick): number {
  return placeOf(a) - placeOf(b) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0);
}

/**
 * Where the work stands after all its ticks, whatever the order in which they came in and however often.
 * A step forward never takes back what another device has already worked. A step back counts only for a maker
 * who saw the work as it then stood; if another device has gone on meanwhile, that stands.
 * @param from where the work stood before these ticks, all of which come after those that led there
 */
export function reached(ticks: Iterable<Tick>, from = begun): Position {
  const once = new Map<string, Tick>();
  for (const tick of ticks) once.set(tick.id, tick);
  let position = from;
  for (const tick of [...once.values()].sort(compareTicks)) position = afterTick(position, tick);
  return position;
}

/** Where one more step leads, from where the work stood before it. */
export function afterTick(position: Position, tick: Pick<Tick, 'from' | 'to'>): Position {
  const forward = comparePositions(tick.to, tick.from) > 0;
  if (forward) return comparePositions(tick.to, position) > 0 ? tick.to : position;
  const counts = comparePositions(position, tick.from) <= 0 && comparePositions(tick.to, position) < 0;
  return counts ? tick.to : position;
}

/** Where the next run leads. @param runs runs in the row in hand @param rows rows in the piece; undefined when it is finished */
export function afterRun(position: Position, runs: number, rows: number): Position | undefined {
  if (position.rows >= rows) return undefined;
  return position.runs + 1 < runs ? { rows: position.rows, runs: position.runs + 1 } : afterRow(position, rows);
}

/** Where the end of the row in hand leads. */
export function afterRow(position: Position, rows: number): Position | undefined {
  return position.rows >= rows ? undefined : { rows: position.rows + 1, runs: 0 };
}

/** One run back. @param runsBefore runs in the row below the one in hand; undefined at the very beginning */
export function backRun(position: Position, runsBefore: number): Position | undefined {
  if (position.runs > 0) return { rows: position.rows, runs: position.runs - 1 };
  return position.rows > 0 ? { rows: position.rows - 1, runs: Math.max(0, runsBefore - 1) } : undefined;
}
