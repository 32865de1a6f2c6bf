import { useEffect, useState } from 'react';

/** A value once it has stayed the same for a while, so that what is dear is not asked while it still moves. @param ms */
export function useRested<T>(value: T, ms: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
