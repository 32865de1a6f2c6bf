/** Median of so many runs of a step, ms. */
export function median(step: () => unknown, runs: number): number {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const started = performance.now();
    step();
    times.push(performance.now() - started);
  }
  return middle(times);
}

/** The one in the middle of some times. */
export function middle(times: readonly number[]): number {
  return [...times].sort((a, b) => a - b)[times.length >> 1] as number;
}
