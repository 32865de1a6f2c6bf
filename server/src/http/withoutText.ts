/** An error for the log: what kind it is and where it came from. What a maker wrote may stand in its message, and stays out. */
export function withoutText(error: unknown): object {
  const { name, code, stack } = (error ?? {}) as { name?: unknown; code?: unknown; stack?: unknown };
  const frames = typeof stack === 'string' ? stack.split('\n').filter((line) => /^\s+at /.test(line)) : [];
  return { kind: name, code, at: frames.map((line) => line.trim()) };
}
