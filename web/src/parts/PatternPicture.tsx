import { useEffect, useRef } from 'react';
import { usePreferences } from '../api/api.ts';
import { painter } from '../worker/painter.ts';

interface Props {
  readonly pattern: string;
  readonly numbers?: Readonly<Record<string, string>>;
  readonly stitch?: string | undefined;
  readonly shades: readonly string[];
  readonly side?: number;
}

const none = {};

/** A piece of a pattern as real cloth in the maker's own colours, painted in the worker. */
export function PatternPicture({ pattern, numbers = none, stitch, shades, side = 104 }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { hand } = usePreferences();
  const key = JSON.stringify({ pattern, numbers, stitch, shades, hand, side });
  useEffect(() => {
    let current = true;
    const dpr = window.devicePixelRatio || 1;
    const request = JSON.parse(key) as Parameters<typeof painter.sample>[0];
    void painter.sample({ ...request, side: Math.round(request.side * dpr) }).then((picture) => {
      const element = canvas.current;
      if (!current || !element || !picture) return;
      element.width = picture.width;
      element.height = picture.height;
      element.getContext('bitmaprenderer')?.transferFromImageBitmap(picture);
    });
    return () => {
      current = false;
    };
  }, [key]);
  return (
    <canvas ref={canvas} aria-hidden className="aspect-square max-w-full shrink-0 rounded-sm" style={{ width: side }} />
  );
}
