import type { MouseEvent } from 'react';

/** A button pressed by hand lets go of the focus, so that the keys count again; one pressed by key keeps it. */
export function lettingGo(action: () => void): (event: MouseEvent<HTMLButtonElement>) => void {
  return (event) => {
    if (event.detail > 0) event.currentTarget.blur();
    action();
  };
}
