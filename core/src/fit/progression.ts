/** The whole numbers `offset + step·k` from `least` on: all sizes that one rule admits. */
export interface Progression {
  readonly step: number;
  readonly offset: number;
  readonly least: number;
}

/** The progression that starts at its first member not under `atLeast`. */
export function progression(step: number, offset: number, atLeast: number): Progression {
  const k = Math.max(0, Math.ceil((atLeast - offset) / step));
  return { step, offset, least: offset + k * step };
}

export function admits(rule: Progression, n: number): boolean {
  return Number.isInteger(n) && n >= rule.least && (n - rule.offset) % rule.step === 0;
}

/** The nearest members under and over `n` (`n` itself is neither); there may be none under. */
export function neighbours(rule: Progression, n: number): number[] {
  const over = Math.max(rule.least, rule.offset + (Math.floor((n - rule.offset) / rule.step) + 1) * rule.step);
  const under = rule.offset + (Math.ceil((n - rule.offset) / rule.step) - 1) * rule.step;
  return under >= rule.least ? [under, over] : [over];
}

/** The member nearest to a wish; on a tie the smaller. */
export function nearest(rule: Progression, wish: number): number {
  const under = rule.offset + Math.floor((wish - rule.offset) / rule.step) * rule.step;
  if (under < rule.least) return rule.least;
  return wish - under <= under + rule.step - wish ? under : under + rule.step;
}

/**
 * All members within a quarter of the wish, and two on either side of it where that many exist.
 * Ascending. @param wish in the same count, a real number
 */
export function around(rule: Progression, wish: number): number[] {
  const near = nearest(rule, wish);
  const first = near > wish ? near - rule.step : near;
  const members: number[] = [];
  for (let n = first, k = 0; n >= rule.least && (n >= wish * 0.75 || k < 2); n -= rule.step) {
    members.unshift(n);
    if (n < wish) k++;
  }
  for (let n = Math.max(rule.least, first + rule.step), k = 0; n <= wish * 1.25 || k < 2; n += rule.step, k++) {
    members.push(n);
  }
  return members;
}
