import { planWish, type Result, sizeText, type Wish } from '@puntada/core';
import { useEffect, useMemo, useRef } from 'react';
import { usePreferences } from '../../api/api.ts';
import { clothPicture } from '../../parts/cloth/paintCloth.ts';
import { Figure } from '../../parts/Figure.tsx';
import type { WishFormValues } from './wishForm.ts';

const box = { width: 372, height: 330 };

/** What the wish would come to: the nearest size, drawn to proportion, or what is still in its way. */
export function Preview({ plan: read, values }: { plan: Result<Wish>; values: WishFormValues }) {
  const { hand, units } = usePreferences();
  const canvas = useRef<HTMLCanvasElement>(null);
  const plan = useMemo(() => {
    if (!read.ok) return undefined;
    const made = planWish(read.value);
    return made.ok ? made.value : undefined;
  }, [read]);
  const shades = values.yarns.map((yarn) => yarn.shade).join();
  useEffect(() => {
    const element = canvas.current;
    const ctx = element?.getContext('2d');
    if (!element || !ctx) return;
    const dpr = window.devicePixelRatio || 1;
    element.width = box.width * dpr;
    element.height = box.height * dpr;
    ctx.fillStyle = '#16382f';
    ctx.fillRect(0, 0, element.width, element.height);
    if (!plan) return;
    const { width, height, piece } = plan;
    const room = 34;
    const scale = Math.min((box.width - room) / width.width.mid, (box.height - room) / height.height.mid) * dpr;
    const [w, h] = [width.width.mid * scale, height.height.mid * scale];
    const cellWidth = Math.max(1, Math.ceil(w / piece.stitches));
    const cellHeight = Math.max(1, Math.ceil(h / piece.rows));
    const picture = clothPicture(piece.fabric, { shades: shades.split(','), hand, cellWidth, cellHeight });
    ctx.fillStyle = 'rgb(0 0 0 / 0.3)';
    ctx.fillRect((element.width - w) / 2 + 3 * dpr, (element.height - h) / 2 + 4 * dpr, w, h);
    ctx.drawImage(picture, (element.width - w) / 2, (element.height - h) / 2, w, h);
  }, [plan, shades, hand]);
  const first = read.ok ? undefined : read.problems[0];
  return (
    <section aria-label="What it would come to" className="pt-6">
      <canvas
        ref={canvas}
        aria-hidden
        className="block max-w-full rounded-md"
        style={{ width: box.width, height: box.height }}
      />
      <div className="mt-3 min-h-[74px]" aria-live="polite">
        {plan ? (
          <>
            <p className="text-[15px] text-soft">The nearest size the pattern allows</p>
            <p className="mt-0.5 leading-tight">
              <Figure text={sizeText(plan.width.width, plan.height.height, units)} className="text-[21px]" />
            </p>
            <p className="text-[15px]">
              <span className="count">{plan.width.chains}</span> chains,{' '}
              <span className="count">{plan.piece.rows}</span> rows
            </p>
          </>
        ) : (
          <p className="text-[15px] text-brick">
            <span aria-hidden>✕ </span>
            {first?.message} <span className="text-ink">{first?.hint}</span>
          </p>
        )}
      </div>
    </section>
  );
}
