const waiting = new Set<() => void>();
/** ms of work at a stretch. */
const stretch = 8;

function goOn(): void {
  const end = performance.now() + stretch;
  for (const job of waiting) {
    waiting.delete(job);
    job();
    if (performance.now() > end) break;
  }
  if (waiting.size) setTimeout(goOn);
}

/** Does small jobs one after the other, so that many of them do not hold the page up. @returns takes the job back */
export function inTurn(job: () => void): () => void {
  if (!waiting.size) setTimeout(goOn);
  waiting.add(job);
  return () => waiting.delete(job);
}
