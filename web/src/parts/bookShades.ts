import { lightnessOf, type StitchPattern } from '@puntada/core/craft';
import { useMemo } from 'react';
import { useDrawerQuery } from '../api/records.ts';

const usual = ['#e9dfc4', '#24476b', '#c08a4a', '#2f5a45'];

/** The yarns that the book is drawn in: the maker's own, the lightest as A and the darkest as B; else the usual. */
export function useBookShades(): (pattern: StitchPattern) => string[] {
  const { data: yarns } = useDrawerQuery();
  return useMemo(() => {
    const own = yarns?.map(({ yarn }) => yarn.shade).sort((a, b) => lightnessOf(b) - lightnessOf(a)) ?? [];
    const [light, ...rest] = own;
    const dark = rest.pop();
    const apart = light && dark && lightnessOf(light) - lightnessOf(dark) > 25;
    const shades = apart ? [light, dark, ...rest, ...usual.slice(2)] : usual;
    return ({ colours }) => colours.map((_letter, i) => shades[i] ?? '#888888');
  }, [yarns]);
}
