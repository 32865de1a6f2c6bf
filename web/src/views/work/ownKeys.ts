/** Where the keys of the row are the keys of something else. */
const elsewhere = 'a, input, select, textarea, [role="dialog"], [contenteditable]';

/** What opens something over the row. */
const opener = '[aria-haspopup="dialog"]';

/**
 * Which control keeps Space and Enter for itself: the one that Tab has come to. A button that was clicked, or that has
 * the focus back from what it had opened, gives them to the row again.
 */
export function ownKeys(): {
  readonly keep: (event: KeyboardEvent) => boolean;
  readonly moved: (focused: Element | null) => void;
} {
  let reached: Element | null = null;
  return {
    moved(focused) {
      reached = focused;
    },
    keep(event) {
      const target = event.target as HTMLElement | null;
      if (target?.closest(elsewhere)) return true;
      const button = target?.closest('button');
      if (!button || (event.key !== ' ' && event.key !== 'Enter')) return false;
      if (button !== reached) return false;
      // What it opens takes the focus, and gives it back when it is closed: then the row goes on.
      if (button.matches(opener)) reached = null;
      return true;
    },
  };
}
