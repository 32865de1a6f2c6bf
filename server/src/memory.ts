const all = new Set<Map<unknown, unknown>>();

/**
 * What the process remembers so as not to count it again: by the id and the revision of a document. Once another bench
 * stands in the place of this one, the same id and revision may be another document, and all of it is forgotten.
 */
export function remembered<Value>(): Map<string, Value> {
  const own = new Map<string, Value>();
  all.add(own as Map<unknown, unknown>);
  return own;
}

const others = new Set<() => void>();

/** Is told once another bench is here: for what is remembered elsewhere. */
export function onForget(forget: () => void): void {
  others.add(forget);
}

/** Another bench is here now. */
export function forgetAll(): void {
  for (const each of all) each.clear();
  for (const forget of others) forget();
}
