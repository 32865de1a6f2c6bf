/** The whole numbers `offset + step·k` from `least` on: all sizes that one rule admits. */
export interface Progression {
  readonly step: number;
  readonly offset: number;
  readonly least: number;
  /** Where more than one remainder is admitted: all of them, from 0. */
  readonly remainders?: readonly number[];
}

/** The progression that starts at its first member not under `atLeast`. */
export function progression(step: number, offset: number, atLeast: number): Progression {
  const k = Math.max(0, Math.ceil((atLeast - offset) / step));
  return { step, offset, least: offset + k * step };
}

export function admits(rule: Progression, n: number): boolean {
  if (!Number.isInteger(n) || n < rule.least) return false;
  return rule.remainders ? rule.remainders.includes(n % rule.step) : (n - rule.offset) % rule.step === 0;
}

/**
 * The sizes whose remainder by `step` is one of those given, from `atLeast` on. @param remainders one at least
 */
export function remainders(step: number, of: readonly number[], atLeast: number): Progression {
  const sorted = [...of].sort((a, b) => a - b);
  const [only = 0] = sorted;
  if (sorted.length === 1) return progression(step, only, atLeast);
  let least = Math.max(1, atLeast);
  while (!sorted.includes(least % step)) least++;
  return { step, offset: least, least, remainders: sorted };
}

/** The next member over `n`, or the last one under it; there may be none under. */
function beside(rule: Progression, n: number, way: 1 | -1): number | undefined {
  if (!rule.remainders) {
    const { step, offset, least } = rule;
    if (way === 1) return Math.max(least, offset + (Math.floor((n - offset) / step) + 1) * step);
    const under = offset + (Math.ceil((n - offset) / step) - 1) * step;
    return under >= least ? under : undefined;
  }
  const first = way === 1 ? Math.max(rule.least, Math.floor(n) + 1) : Math.ceil(n) - 1;
  for (let each = first; each >= rule.least; each += way) if (admits(rule, each)) return each;
  return undefined;
}

/** The nearest members under and over `n` (`n` itself is neither); there may be none under. */
export function neighbours(rule: Progression, n: number): number[] {
  const over = beside(rule, n, 1) as number;
  const under = beside(rule, n, -1);
  return under === undefined ? [over] : [under, over];
}

/** The member nearest to a wish; on a tie the smaller. */
export function nearest(rule: Progression, wish: number): number {
  if (admits(rule, wish)) return wish;
  const [under, over] = [beside(rule, wish, -1), beside(rule, wish, 1) as number];
  return under === undefined || over - wish < wish - under ? over : under;
}

/**
 * All members within a quarter of the wish, and two on either side of it where that many exist.
 * Ascending. @param wish in the same count, a real number
 */
export function around(rule: Progression, wish: number): number[] {
  const near = nearest(rule, wish);
  const members: number[] = [near];
  let k = near < wish ? 1 : 0;
  for (let n = beside(rule, near, -1); n !== undefined && (n >= wish * 0.75 || k < 2); n = beside(rule, n, -1)) {
    members.unshift(n);
    k++;
  }
  k = near > wish ? 1 : 0;
  for (let n = beside(rule, near, 1) as number; n <= wish * 1.25 || k < 2; n = beside(rule, n, 1) as number) {
    members.push(n);
    k++;
  }
  return members;
}
