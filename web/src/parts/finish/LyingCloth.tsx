import { sidesOf } from '@puntada/core/craft';
import { useEffect, useRef } from 'react';
import { usePreferences } from '../../api/api.ts';
import { easel } from '../../worker/painter.ts';
import { faceOf, liesDouble } from '../cloth/clothLayout.ts';
import type { WorkCloth } from '../useWorkCloth.ts';
import { type Lies, sheet } from './layout.ts';

const percent = (part: number, whole: number) => `${(100 * part) / whole}%`;

/** The real cloth of a piece where it lies on the sheet, in its colours. */
export function LyingCloth({ cloth, lies }: { cloth: WorkCloth; lies: Lies }) {
  const { hand } = usePreferences();
  const canvas = useRef<HTMLCanvasElement>(null);
  const { fabric, shades } = cloth;
  const { x, y, w, h } = lies;
  useEffect(() => {
    const element = canvas.current;
    const ctx = element?.getContext('2d');
    if (!element || !ctx) return;
    const dots = window.devicePixelRatio || 1;
    const face = faceOf(sidesOf(fabric));
    const perStitch = ((liesDouble(fabric) ? 2 : 1) * w * dots) / face.across;
    let current = true;
    void easel
      .fitted(fabric, { shades, hand, perStitch, perRow: (h * dots) / face.up, across: 0 })
      .then(({ picture }) => {
        if (!current) return;
        [element.width, element.height] = [Math.round(w * dots), Math.round(h * dots)];
        ctx.drawImage(picture, 0, 0, element.width, element.height);
      });
    return () => {
      current = false;
    };
  }, [fabric, shades, hand, w, h]);
  return (
    <canvas
      ref={canvas}
      aria-hidden
      className="absolute"
      style={{
        left: percent(x, sheet.width),
        top: percent(y, sheet.height),
        width: percent(w, sheet.width),
        height: percent(h, sheet.height),
      }}
    />
  );
}
