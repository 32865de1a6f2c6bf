import {
  type BoundPattern,
  bindPattern,
  chooseFoundation,
  type Fabric,
  findPattern,
  layPiece,
  must,
  type StitchPattern,
  techniqueOf,
} from '@puntada/core';
import { useEffect, useMemo, useRef } from 'react';
import { usePreferences } from '../api/api.ts';
import { faceOf, shapeOf } from './cloth/clothLayout.ts';
import { clothPicture } from './cloth/paintCloth.ts';

interface Props {
  readonly pattern: string;
  readonly numbers?: Readonly<Record<string, string>>;
  readonly stitch?: string | undefined;
  readonly shades: readonly string[];
  readonly side?: number;
}

/** A count near to a wanted one that the pattern can be worked on. */
function near(wanted: number, { multiple, extra }: { multiple: number; extra: number }): number {
  return Math.max(1, Math.round((wanted - extra) / multiple)) * multiple + extra;
}

/** About how many of its count, and courses, a sample of unlike cells shows. */
const samples: Partial<Record<StitchPattern['technique'], readonly [wide: number, high: number]>> = {
  granny: [7, 8],
  mesh: [12, 24],
  'corner-to-corner': [10, 10],
  'wedge-circle': [0, 7],
};

/** A sample of a pattern: about two repeats, or a small piece of what is not made in repeats. */
function sampleOf(bound: BoundPattern): Fabric | undefined {
  const technique = must(techniqueOf(bound.pattern));
  const foundation = chooseFoundation(technique.foundations(bound), undefined);
  if (!foundation.ok) return undefined;
  const { across, up } = bound;
  const [wide, high] = samples[bound.pattern.technique] ?? [24, 24];
  const stitches = wide
    ? near(Math.max(wide, Math.min(30, bound.repeatStitches * 2)), across.works)
    : across.works.multiple;
  const rows = near(Math.max(high, Math.min(30, bound.repeatCourses * 2)), up.works);
  const courses = technique.courses?.(stitches, rows) ?? rows;
  return layPiece({ bound, foundation: foundation.value, edges: 'whole', stitches, courses });
}

/** A piece of a pattern as real cloth in the maker's own colours. */
export function PatternPicture({ pattern: key, numbers = {}, stitch, shades, side = 104 }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { hand } = usePreferences();
  const numbersKey = JSON.stringify(numbers);
  const colours = shades.length;
  const fabric = useMemo(() => {
    const pattern = findPattern(key);
    if (!pattern.ok) return undefined;
    const read = JSON.parse(numbersKey) as Record<string, string>;
    const chosen = Object.fromEntries(
      pattern.value.numbers.flatMap((each) => (read[each.name] ? [[each.name, Number(read[each.name])]] : [])),
    );
    const own = stitch && pattern.value.stitches.includes(stitch) ? { stitch } : {};
    const open = pattern.value.fewestColours < pattern.value.mostColours ? { colours } : {};
    const found = bindPattern(pattern.value, { numbers: chosen, ...own, ...open });
    const bound = found.ok ? found : bindPattern(pattern.value);
    return bound.ok ? sampleOf(bound.value) : undefined;
  }, [key, numbersKey, stitch, colours]);
  const shadesKey = shades.join();
  useEffect(() => {
    const element = canvas.current;
    if (!element || !fabric) return;
    const dpr = window.devicePixelRatio || 1;
    element.width = side * dpr;
    element.height = side * dpr;
    const face = faceOf(fabric);
    const whole = shapeOf(fabric) === 'circle' || shapeOf(fabric) === 'blocks';
    const cell = Math.max(4, Math.ceil((side * dpr) / (whole ? face.across : Math.min(face.across, face.up, 22))));
    const picture = clothPicture(fabric, { shades: shadesKey.split(','), hand, cellWidth: cell, cellHeight: cell });
    const ctx = element.getContext('2d');
    if (whole) ctx?.drawImage(picture, 0, 0, side * dpr, side * dpr * (picture.height / picture.width));
    // A sample is shown from its lower edge, where the work begins.
    else ctx?.drawImage(picture, 0, Math.min(0, side * dpr - picture.height));
  }, [fabric, shadesKey, hand, side]);
  return <canvas ref={canvas} aria-hidden className="shrink-0 rounded-sm" style={{ width: side, height: side }} />;
}
