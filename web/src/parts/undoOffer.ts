/** Something that was just done and can be taken back as one. */
export interface UndoOffer {
  /** What was done: `Note deleted.` */
  readonly did: string;
  readonly undo: () => unknown;
  /** The page that opens with it, where it was made on the way there: `/book`. */
  readonly on?: string;
}

let offer: UndoOffer | undefined;
const listeners = new Set<() => void>();

function change(next: UndoOffer | undefined): void {
  offer = next;
  for (const listener of listeners) listener();
}

/** Offers to take back what was just done, in place of what was offered before. */
export function offerUndo(next: UndoOffer): void {
  change(next);
}

/** Offers nothing any more once another page is open than that which opens with it. */
export function leaveOffer(pathname: string): void {
  if (offer?.on !== pathname) withdrawOffer();
}

/** Offers nothing any more. */
export function withdrawOffer(): void {
  if (offer) change(undefined);
}

/** What is on offer, for the band that shows it. */
export const undoOffer = {
  now: (): UndoOffer | undefined => offer,
  subscribe: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
};
