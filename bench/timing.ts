/** Median of so many runs of a step, ms. */
export function median(step: () => unknown, runs: number): number {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const started = performance.now();
    step();
    times.push(performance.now() - started);
  }
  return times.sort((a, b) => a - b)[runs >> 1] as number;
}
