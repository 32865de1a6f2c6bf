import { type Fabric, facesRight, type Hand } from '@puntada/core';
import { useEffect, useRef } from 'react';
import { faceOf, shapeOf } from '../../parts/cloth/clothLayout.ts';
import { clothPicture, paintCloth } from '../../parts/cloth/paintCloth.ts';
import { useBox } from '../../parts/useWidth.ts';

interface Props {
  readonly fabric: Fabric;
  readonly shades: readonly string[];
  readonly hand: Hand;
  readonly proportion: number;
  readonly rows: number;
  /** Stitches of the row in hand already worked, and those of the run in hand. */
  readonly stitchesDone: number;
  readonly stitchesInHand: number;
}

const labels = 46;
const largestCell = 30;
/** Space above the row in hand, where the rows to come are covered. */
const cover = 16;

/** The rows already worked, as they lie before the maker; the rows to come are covered. */
export function WorkedCloth(props: Props) {
  const { fabric, rows } = props;
  const box = useBox<HTMLDivElement>();
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const ctx = canvas.current?.getContext('2d');
    if (!canvas.current || !ctx || !box.width || !box.height) return;
    const dpr = window.devicePixelRatio || 1;
    canvas.current.width = box.width * dpr;
    canvas.current.height = box.height * dpr;
    paint(ctx, props, box, dpr);
    void document.fonts.ready.then(() => canvas.current && paint(ctx, props, box, dpr));
  }, [props, box]);
  return (
    <div ref={box.ref} className="h-full min-h-[140px] overflow-hidden bg-mat">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`${rows} of ${fabric.courses} rows worked; the rest is covered`}
        className="block"
        style={{ width: box.width, height: box.height }}
      />
    </div>
  );
}

function paint(ctx: CanvasRenderingContext2D, props: Props, box: { width: number; height: number }, dpr: number): void {
  const { fabric, shades, hand, proportion, rows } = props;
  ctx.setTransform(1, 0, 0, 1, 0, 0);
  ctx.fillStyle = '#16382f';
  ctx.fillRect(0, 0, box.width * dpr, box.height * dpr);
  const shape = shapeOf(fabric);
  if (shape === 'circle' || shape === 'blocks') {
    paintWhole(ctx, props, box, dpr);
    return;
  }
  const { across } = faceOf(fabric);
  const cellWidth = Math.max(2, Math.min(largestCell * dpr, Math.floor(((box.width - 2 * labels) * dpr) / across)));
  const cellHeight = Math.max(2, Math.round(cellWidth / proportion));
  const left = Math.round((box.width * dpr - across * cellWidth) / 2);
  const face = facesRight(Math.min(rows, fabric.courses - 1), fabric.making) ? 'RS' : 'WS';
  const open = rows < fabric.courses ? 1 : 0;
  const shown = Math.min(rows, Math.ceil((box.height * dpr) / cellHeight));
  const top = cover * dpr + open * cellHeight;
  ctx.save();
  ctx.translate(left, top);
  const look = { shades, hand, cellWidth, cellHeight, face } as const;
  if (shown > 0) paintCloth(ctx, fabric, look, { from: rows - shown, to: rows });
  ctx.restore();
  paintLabels(ctx, props, { left, top, cellWidth, cellHeight, shown, dpr });
  if (open) paintRowInHand(ctx, props, { left, top: cover * dpr, cellWidth, cellHeight, dpr }, look);
}

/** Diagonals and rounds: the courses worked so far, as they lie. */
function paintWhole(
  ctx: CanvasRenderingContext2D,
  { fabric, shades, hand, rows }: Props,
  box: { width: number; height: number },
  dpr: number,
): void {
  if (!rows) return;
  const { across, up } = faceOf(fabric);
  const cell = Math.max(2, Math.floor(Math.min((box.width - 24) / across, (box.height - 24) / up) * dpr));
  const picture = clothPicture(fabric, { shades, hand, cellWidth: cell, cellHeight: cell }, { from: 0, to: rows });
  ctx.drawImage(picture, (box.width * dpr - picture.width) / 2, (box.height * dpr - picture.height) / 2);
}

interface Place {
  readonly left: number;
  readonly top: number;
  readonly cellWidth: number;
  readonly cellHeight: number;
  readonly dpr: number;
}

function paintLabels(ctx: CanvasRenderingContext2D, props: Props, place: Place & { shown: number }): void {
  const { rows } = props;
  const every = place.cellHeight >= 15 * place.dpr ? 1 : 5;
  ctx.fillStyle = '#eef3ea';
  ctx.textAlign = 'right';
  ctx.textBaseline = 'middle';
  ctx.font = `500 ${13 * place.dpr}px "Atkinson Hyperlegible Mono Variable", monospace`;
  for (let i = 0; i < place.shown; i++) {
    const row = rows - i;
    if (row % every) continue;
    ctx.fillText(String(row), place.left - 9 * place.dpr, place.top + (i + 0.5) * place.cellHeight);
  }
}

/** The row in hand: the stitches already made, the run in hand outlined, the rest still empty. */
function paintRowInHand(
  ctx: CanvasRenderingContext2D,
  props: Props,
  place: Place,
  look: Parameters<typeof paintCloth>[2],
): void {
  const { fabric, hand, rows, stitchesDone, stitchesInHand } = props;
  const { left, top, cellWidth, cellHeight, dpr } = place;
  const width = faceOf(fabric).across * cellWidth;
  const from = (stitches: number) => (hand === 'right' ? left + width - stitches * cellWidth : left);
  ctx.save();
  ctx.beginPath();
  ctx.rect(from(stitchesDone), top, stitchesDone * cellWidth, cellHeight);
  ctx.clip();
  ctx.translate(left, top);
  paintCloth(ctx, fabric, look, { from: rows, to: rows + 1 });
  ctx.restore();
  ctx.strokeStyle = 'rgb(238 243 234 / 0.5)';
  ctx.lineWidth = dpr;
  ctx.setLineDash([3 * dpr, 4 * dpr]);
  ctx.strokeRect(left, top, width, cellHeight);
  ctx.setLineDash([]);
  const x =
    hand === 'right' ? left + width - (stitchesDone + stitchesInHand) * cellWidth : left + stitchesDone * cellWidth;
  ctx.strokeStyle = '#ffffff';
  ctx.lineWidth = 3 * dpr;
  ctx.strokeRect(x, top - dpr, stitchesInHand * cellWidth, cellHeight + 2 * dpr);
}
