import { cautionsFor, courseWord, type Plan, type Result, sizeText, type Wish } from '@puntada/core';
import { useEffect, useRef } from 'react';
import { usePreferences } from '../../api/api.ts';
import { faceOf } from '../../parts/cloth/clothLayout.ts';
import { clothPicture } from '../../parts/cloth/paintCloth.ts';
import { Figure } from '../../parts/Figure.tsx';
import type { WishFormValues } from './wishForm.ts';

const box = { width: 372, height: 330 };

/** What the wish would come to: the nearest size, drawn to proportion, or what is still in its way. */
export function Preview({ plan: read, values }: { plan: Result<{ wish: Wish; plan: Plan }>; values: WishFormValues }) {
  const { hand, units } = usePreferences();
  const canvas = useRef<HTMLCanvasElement>(null);
  const plan = read.ok ? read.value.plan : undefined;
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
    const { piece } = plan;
    const { width, height } = clothSize(plan);
    const room = 34;
    const scale = Math.min((box.width - room) / width, (box.height - room) / height) * dpr;
    const [w, h] = [width * scale, height * scale];
    const face = faceOf(piece.fabric);
    const cellWidth = Math.max(1, Math.ceil(w / face.across));
    const cellHeight = Math.max(1, Math.ceil(h / face.up));
    const picture = clothPicture(piece.fabric, { shades: shades.split(','), hand, cellWidth, cellHeight });
    layWithBorder(ctx, plan, picture, { w, h, scale, dpr });
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
              {plan.width.chains ? (
                <>
                  <span className="count">{plan.width.chains}</span> chains,{' '}
                </>
              ) : null}
              <span className="count">{plan.piece.fabric.courses}</span>{' '}
              {courseWord(plan.piece.fabric.making).toLowerCase()}s
            </p>
            {cautionsFor(plan.prepared.wish).map((caution) => (
              <p
                key={caution.text}
                className="mt-2 border-l-4 border-ochre bg-ochre-pale px-2.5 py-1.5 text-[14px] leading-snug"
              >
                <span aria-hidden>△ </span>
                {caution.text}
              </p>
            ))}
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

/** The cloth without its border, mm. */
function clothSize({ width, height, prepared, piece }: Plan): { width: number; height: number } {
  const { technique, finished } = prepared;
  if (technique.key === 'wedge-circle') return { width: height.height.mid, height: height.height.mid };
  const { rowHeight, stitchWidth } = finished;
  return {
    width: technique.width.widths(width.stitches) * stitchWidth.mid,
    height: (technique.heights?.(piece.rows) ?? piece.rows) * rowHeight.mid,
  };
}

/** The cloth with its border round it, in the middle of the box, with its shadow. */
function layWithBorder(
  ctx: CanvasRenderingContext2D,
  plan: Plan,
  picture: OffscreenCanvas,
  { w, h, scale, dpr }: { w: number; h: number; scale: number; dpr: number },
): void {
  const { border } = plan.prepared.finish;
  const rim = border ? border.rounds * plan.prepared.sc.height.mid * scale : 0;
  const x = (ctx.canvas.width - w) / 2;
  const y = (ctx.canvas.height - h) / 2;
  const round = plan.prepared.technique.key === 'wedge-circle';
  if (!round) {
    ctx.fillStyle = 'rgb(0 0 0 / 0.3)';
    ctx.fillRect(x - rim + 3 * dpr, y - rim + 4 * dpr, w + 2 * rim, h + 2 * rim);
  }
  if (border) {
    ctx.fillStyle = plan.prepared.yarns[border.colour]?.shade ?? '#888888';
    ctx.fillRect(x - rim, y - rim, w + 2 * rim, h + 2 * rim);
  }
  ctx.drawImage(picture, x, y, w, h);
}
