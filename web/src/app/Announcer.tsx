import { useSyncExternalStore } from 'react';
import { announced } from '../parts/announce.ts';

/** The live region of the app. */
export function Announcer() {
  const words = useSyncExternalStore(announced.subscribe, announced.now);
  return (
    <p role="status" className="sr-only" data-testid="announced">
      {words}
    </p>
  );
}
