import type { Wish } from '@puntada/core/records';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { PieceFigures } from './ofSizes.ts';
import { planner } from './planner.ts';

interface Size {
  readonly stitches: number;
  readonly rows: number;
}

/** What is measured does not hang on the size that the wish has chosen. */
function keyOf(wish: Wish): string {
  return JSON.stringify({ ...wish, choice: undefined, title: undefined });
}

/**
 * Figures of sizes, measured in the worker and remembered for as long as the wish is the same. While a new size is
 * measured its entry is missing; what a late answer brings for an older wish is dropped.
 */
export function useFigures(wish: Wish, sizes: readonly Size[]): ReadonlyMap<string, PieceFigures> {
  const [known, setKnown] = useState<ReadonlyMap<string, PieceFigures>>(new Map());
  const asked = useRef(new Set<string>());
  const wishKey = keyOf(wish);
  const current = useRef('');
  if (current.current !== wishKey) {
    current.current = wishKey;
    asked.current = new Set();
  }
  const wanted = sizes.filter((size) => !asked.current.has(sizeKey(size)));
  const wantedKey = wanted.map(sizeKey).join();

  // biome-ignore lint/correctness/useExhaustiveDependencies: the keys stand for the wish and the sizes
  useEffect(() => {
    if (!wanted.length) return;
    // A few at a time, the first ones first: what is looked at now does not wait for the picture around it.
    const measureNow = async () => {
      for (const size of wanted) asked.current.add(sizeKey(size));
      for (let i = 0; i < wanted.length; i += atOnce) {
        if (current.current !== wishKey) return;
        const found = await planner.measureSizes({ wish, sizes: wanted.slice(i, i + atOnce) });
        if (current.current !== wishKey) return;
        setKnown((before) => {
          const next = new Map(before);
          for (const figures of found) next.set(wishKey + sizeKey(figures), figures);
          return next;
        });
      }
    };
    // While an edge is dragged the sizes fly past; only where it rests is it measured.
    const timer = setTimeout(() => void measureNow(), rest);
    return () => clearTimeout(timer);
  }, [wishKey, wantedKey]);

  const sizesKey = sizes.map(sizeKey).join();
  // biome-ignore lint/correctness/useExhaustiveDependencies: the keys stand for the wish and the sizes
  return useMemo(() => {
    const own = new Map<string, PieceFigures>();
    for (const size of sizes) {
      const figures = known.get(wishKey + sizeKey(size));
      if (figures) own.set(sizeKey(size), figures);
    }
    return own;
  }, [known, wishKey, sizesKey]);
}

/** Sizes measured in one go. */
const atOnce = 4;

/** ms without a new size before it is measured. */
const rest = 60;

export function sizeKey({ stitches, rows }: Size): string {
  return `${stitches}×${rows}`;
}
