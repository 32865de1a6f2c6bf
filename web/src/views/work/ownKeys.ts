/** Where the keys of the row are the keys of something else. */
const elsewhere = 'a, input, select, textarea, [role="dialog"], [contenteditable]';

/** What opens something over the row. */
const opener = '[aria-haspopup="dialog"]';

/**
 * Whether a control keeps Space and Enter for itself. A button does that the focus was brought to, but not one that was
 * clicked. What opens something does only where Tab has come to it: it has the focus back when that is closed, and then
 * the keys are the row's again.
 */
export function ownKeys(): {
  readonly keep: (event: KeyboardEvent) => boolean;
  /** Something was pressed by hand. */
  readonly pressed: (on: Element | null) => void;
  /** The focus was moved by Tab. */
  readonly moved: (to: Element | null) => void;
} {
  let clicked: Element | null = null;
  let reached: Element | null = null;
  return {
    pressed(on) {
      clicked = on?.closest('button') ?? null;
      reached = null;
    },
    moved(to) {
      clicked = null;
      reached = to;
    },
    keep(event) {
      const target = event.target as HTMLElement | null;
      if (target?.closest(elsewhere)) return true;
      const button = target?.closest('button');
      if (!button || (event.key !== ' ' && event.key !== 'Enter')) return false;
      if (!button.matches(opener)) return button !== clicked;
      const own = button === reached;
      reached = null;
      return own;
    },
  };
}
