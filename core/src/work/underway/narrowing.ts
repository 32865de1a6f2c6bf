import { type ColourQuestion, colourNow } from './weighed.ts';

/** What was known of a colour once a ball of it was weighed, or before any was. */
export interface KnownAt {
  /** Rows that were worked then. */
  readonly row: number;
  /** m used, as weighed; nothing before the first weighing. */
  readonly used: number | undefined;
  /** m of the whole piece as it was foretold then. */
  readonly total: { readonly low: number; readonly mid: number; readonly high: number };
}

/**
 * How what is foretold of a colour narrowed from weighing to weighing, the first entry being from before any. A
 * weighing that cannot be is left out.
 */
export function narrowing(question: Omit<ColourQuestion, 'now' | 'part'>): KnownAt[] {
  const inOrder = [...question.weighings].sort((a, b) => a.at - b.at);
  const found: KnownAt[] = [];
  for (let k = 0; k <= inOrder.length; k++) {
    const now = inOrder[k - 1]?.position ?? { rows: 0, runs: 0 };
    const known = colourNow({ ...question, weighings: inOrder.slice(0, k), now, part: 0 });
    if (!known.ok) continue;
    const { used, left } = known.value;
    const done = used ?? 0;
    const total = { low: done + left.low, mid: done + left.mid, high: done + left.high };
    found.push({ row: now.rows, used, total });
  }
  return found;
}
