let words = '';
const listeners = new Set<() => void>();

/** Tells those who listen what was just done: `Note saved.` The same words twice are told twice. */
export function announce(text: string): void {
  words = words === text ? `${text}\u00a0` : text;
  for (const listener of listeners) listener();
}

/** What was told last, for the live region that tells it. */
export const announced = {
  now: (): string => words,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};

/** Puts the focus where the next one of its kind is typed: the first field of a form. @param within something inside it */
export function toFirstField(within: Element | null | undefined): void {
  within?.closest('form')?.querySelector<HTMLElement>('input:not([type="color"]), textarea, select')?.focus();
}
