import { startTransition, useEffect, useState } from 'react';

/**
 * How many of a long list are drawn by now: a few at once, the rest by and by, so that the page answers meanwhile.
 * @param all how many there are @param step so many more at a time
 */
export function useGrowing(all: number, step: number): number {
  const [drawn, setDrawn] = useState(step);
  useEffect(() => {
    if (drawn >= all) return;
    const timer = setTimeout(() => startTransition(() => setDrawn(drawn + step)));
    return () => clearTimeout(timer);
  }, [drawn, all, step]);
  return Math.min(drawn, all);
}
