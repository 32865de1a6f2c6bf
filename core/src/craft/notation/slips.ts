/** One run of a typed or drawn row. */
export interface PlainRun {
  readonly count: number;
  readonly colour: string;
}

/** A place that looks like a slip: pointed out, never refused. */
export interface LikelySlip {
  /** From 1. */
  readonly row: number;
  /** The run of that row, from 1. */
  readonly run: number;
  /** The count that the rows around it lead to; without one it breaks their symmetry. */
  readonly wanted?: number;
  readonly count: number;
  readonly colour: string;
}

function isMirrored(row: readonly PlainRun[]): boolean {
  return row.every((run, i) => {
    const other = row[row.length - 1 - i] as PlainRun;
    return run.count === other.count && run.colour === other.colour;
  });
}

/** Rows of as many stitches: a row of the other net says nothing of one. */
function isAsLong(row: readonly PlainRun[], other: readonly PlainRun[]): boolean {
  const sum = (of: readonly PlainRun[]) => of.reduce((all, { count }) => all + count, 0);
  return sum(row) === sum(other);
}

function firstUnlike(row: readonly PlainRun[]): number {
  return row.findIndex((run, i) => {
    const other = row[row.length - 1 - i] as PlainRun;
    return run.count !== other.count || run.colour !== other.colour;
  });
}

function alikeInColour(a: readonly PlainRun[], b: readonly PlainRun[]): boolean {
  return a.length === b.length && a.every((run, i) => run.colour === b[i]?.colour);
}

/** What a run should be where the two rows before it and the one after it grow or shrink steadily. */
function steadyCount(rows: readonly (readonly PlainRun[])[], row: number, run: number): number | undefined {
  const [a, b, c, d] = [rows[row - 2], rows[row - 1], rows[row], rows[row + 1]];
  if (!a || !b || !c || !d || ![a, b, d].every((other) => alikeInColour(other, c))) return undefined;
  const count = (of: readonly PlainRun[]) => (of[run] as PlainRun).count;
  const step = count(b) - count(a);
  return count(d) - count(b) === 2 * step ? count(b) + step : undefined;
}

/**
 * Rows that break the symmetry of both their neighbours, or the steady growth of a figure. @param rows the first
 * worked first, each as it lies
 */
export function likelySlips(rows: readonly (readonly PlainRun[])[]): LikelySlip[] {
  const found: LikelySlip[] = [];
  rows.forEach((row, i) => {
    const around = [rows[i - 1], rows[i + 1]].filter((other) => other !== undefined);
    const broken =
      around.length === 2 && around.every((other) => isAsLong(row, other) && isMirrored(other)) && !isMirrored(row);
    const grown = row.flatMap((run, at) => {
      const wanted = steadyCount(rows, i, at);
      return wanted === undefined || wanted === run.count ? [] : [{ at, wanted, run }];
    });
    for (const { at, wanted, run } of grown) {
      found.push({
        row: i + 1,
        run: at + 1,
        wanted,
        count: run.count,
        colour: run.colour,
      });
    }
    if (broken && !grown.length) {
      const at = firstUnlike(row);
      found.push({
        row: i + 1,
        run: at + 1,
        count: (row[at] as PlainRun).count,
        colour: (row[at] as PlainRun).colour,
      });
    }
  });
  return found;
}
