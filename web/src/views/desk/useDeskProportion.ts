import { findPattern, proportionOf, type StitchPattern, sourceOf } from '@puntada/core/craft';
import { proportionOn } from '@puntada/core/work';
import { useMemo, useState } from 'react';
import { useSwatchesQuery } from '../../api/records.ts';

/** How high the cells of a chart are, and by whose count. */
export interface DeskProportion {
  /** Width of a cell against its height. */
  readonly of: number;
  /** Swatches of the technique that were counted. */
  readonly swatches: readonly { readonly id: string; readonly title: string }[];
  /** The swatch that it goes by; nothing for the typical gauge. */
  readonly by: string;
  readonly choose: (swatch: string) => void;
}

function kept(name: string): string {
  try {
    return localStorage.getItem(name) ?? '';
  } catch {
    return '';
  }
}

/** Cells in the true proportion: of the typical gauge, or of a swatch that the maker has counted. Chosen in this browser. */
export function useDeskProportion(id: string, pattern: StitchPattern): DeskProportion {
  const name = `puntada-proportion-${id}`;
  const [by, setBy] = useState(() => kept(name));
  const { data } = useSwatchesQuery();
  const { technique } = pattern;
  const counted = useMemo(
    () =>
      (data ?? []).flatMap(({ id: own, swatch }) => {
        const found = findPattern(sourceOf(swatch.pattern) ?? '');
        const proportion = found.ok && found.value.technique === technique ? proportionOn(swatch) : undefined;
        return proportion === undefined ? [] : [{ id: own, title: swatch.title, proportion }];
      }),
    [data, technique],
  );
  const typical = useMemo(() => proportionOf(pattern), [pattern]);
  const chosen = counted.find((each) => each.id === by);
  return {
    of: chosen?.proportion ?? typical,
    swatches: counted,
    by: chosen?.id ?? '',
    choose: (swatch) => {
      setBy(swatch);
      try {
        localStorage.setItem(name, swatch);
      } catch {
        // A full browser keeps the choice as long as the page.
      }
    },
  };
}
