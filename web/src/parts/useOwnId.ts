import { useCallback, useState } from 'react';

/**
 * The id of what is made here: the same however often it is asked for, so that a request that is repeated because its
 * answer was lost makes no second one. @returns it, and what makes another once the first is made
 */
export function useOwnId(): readonly [id: string, another: () => void] {
  const [id, setId] = useState<string>(() => crypto.randomUUID());
  return [id, useCallback(() => setId(crypto.randomUUID()), [])];
}
