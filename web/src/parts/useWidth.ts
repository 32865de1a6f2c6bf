import { type RefObject, useEffect, useRef, useState } from 'react';

/** The inner width of an element as it changes, px; 0 until it is laid out. */
export function useWidth<T extends HTMLElement>(): [RefObject<T | null>, number] {
  const { ref, width } = useBox<T>();
  return [ref, width];
}

/** The inner size of an element as it changes, px. */
export function useBox<T extends HTMLElement>(): { ref: RefObject<T | null>; width: number; height: number } {
  const ref = useRef<T>(null);
  const [box, setBox] = useState({ width: 0, height: 0 });
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver(([entry]) => {
      if (!entry) return;
      const { width, height } = entry.contentRect;
      setBox({ width: Math.floor(width), height: Math.floor(height) });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, ...box };
}
