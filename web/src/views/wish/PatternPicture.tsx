import { bindPattern, chooseFoundation, findPattern, layPiece, must, techniqueOf } from '@puntada/core';
import { useEffect, useMemo, useRef } from 'react';
import { usePreferences } from '../../api/api.ts';
import { clothPicture } from '../../parts/cloth/paintCloth.ts';

interface Props {
  readonly pattern: string;
  readonly numbers: Readonly<Record<string, string>>;
  readonly stitch: string;
  readonly shades: readonly string[];
}

const side = 104;
const mostCells = 26;

/** A piece of a pattern as real cloth in the maker's own colours. */
export function PatternPicture({ pattern: key, numbers, stitch, shades }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { hand } = usePreferences();
  const numbersKey = JSON.stringify(numbers);
  const fabric = useMemo(() => {
    const pattern = findPattern(key);
    if (!pattern.ok) return undefined;
    const read = JSON.parse(numbersKey) as Record<string, string>;
    const chosen = Object.fromEntries(pattern.value.numbers.map((each) => [each.name, Number(read[each.name])]));
    const given = pattern.value.stitches.length ? { numbers: chosen, stitch } : {};
    const found = bindPattern(pattern.value, given);
    const bound = found.ok ? found : bindPattern(pattern.value);
    if (!bound.ok) return undefined;
    const foundation = chooseFoundation(must(techniqueOf(pattern.value)).foundations(bound.value), undefined);
    if (!foundation.ok) return undefined;
    const across = Math.min(mostCells, Math.max(12, bound.value.repeatStitches * 2, bound.value.repeatCourses * 2));
    return layPiece({
      bound: bound.value,
      foundation: foundation.value,
      edges: 'whole',
      stitches: across,
      courses: across,
    });
  }, [key, numbersKey, stitch]);
  const shadesKey = shades.join();
  useEffect(() => {
    const element = canvas.current;
    if (!element || !fabric) return;
    const dpr = window.devicePixelRatio || 1;
    element.width = side * dpr;
    element.height = side * dpr;
    const cell = Math.max(4, Math.ceil((side * dpr) / fabric.stitches));
    const picture = clothPicture(fabric, { shades: shadesKey.split(','), hand, cellWidth: cell, cellHeight: cell });
    element.getContext('2d')?.drawImage(picture, 0, 0, side * dpr, side * dpr);
  }, [fabric, shadesKey, hand]);
  return <canvas ref={canvas} aria-hidden className="shrink-0 rounded-sm" style={{ width: side, height: side }} />;
}
