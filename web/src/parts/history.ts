/** What can be taken back, oldest first, and taken up again, next first. */
export interface History<T> {
  readonly past: readonly T[];
  readonly future: readonly T[];
}

/** Changes that can be taken back. */
const remembered = 200;

export const noHistory = { past: [], future: [] } as const;

/** After a change: what was before it can be taken back, and nothing is taken up again. */
export function stepped<T>({ past }: History<T>, before: T): History<T> {
  return { past: [...past.slice(1 - remembered), before], future: [] };
}

/** A step back or ahead: the history after it, and what is shown then. Nothing where there is no such step. */
export type Move<T> = { readonly history: History<T>; readonly shown: T } | undefined;

/** Takes the last change back. @param now what is shown */
export function takenBack<T>({ past, future }: History<T>, now: T): Move<T> {
  const shown = past.at(-1);
  return shown === undefined ? undefined : { history: { past: past.slice(0, -1), future: [now, ...future] }, shown };
}

/** Takes up what was taken back last. @param now what is shown */
export function takenUp<T>({ past, future }: History<T>, now: T): Move<T> {
  const [shown, ...later] = future;
  return shown === undefined ? undefined : { history: { past: [...past, now], future: later }, shown };
}
