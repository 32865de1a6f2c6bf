import { useDeferredValue } from 'react';

/**
 * What a view was waiting for, once the screen has had time for it: the first drawing of a view with its data is done
 * in small pieces, so that the page answers meanwhile. Later changes of the data are shown at once.
 */
export function useArrived<T>(data: T | undefined): T | undefined {
  const drawn = useDeferredValue(data !== undefined);
  return drawn ? data : undefined;
}
