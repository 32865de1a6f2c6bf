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

/**
 * Puts the focus where the next one of its kind is typed: the first field of a form. Whoever has gone on elsewhere in the
 * meantime is left there. @param within something inside it
 */
export function toFirstField(within: Element | null | undefined): void {
  const form = within?.closest('form');
  const now = document.activeElement;
  if (!form || (now && now !== document.body && !form.contains(now) && now.matches('input, textarea, select'))) return;
  form.querySelector<HTMLElement>('input:not([type="color"]), textarea, select')?.focus();
}
