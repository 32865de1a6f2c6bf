import type { StrandBook } from '@puntada/core/plan';
import type { Hand } from '@puntada/core/words';
import { rowsSaid } from '@puntada/core/words';
import { type MouseEvent, useCallback, useEffect, useRef } from 'react';
import { faceOf, shapeOf } from '../../parts/cloth/clothLayout.ts';
import { fitCanvas } from '../../parts/fitCanvas.ts';
import { useBox } from '../../parts/useWidth.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import { footer, gutter } from './chartLook.ts';
import { chartSize, paintChart, rowAt } from './paintChart.ts';

interface Props {
  readonly cloth: WorkCloth;
  readonly hand: Hand;
  readonly selected: number;
  readonly inHand: number | undefined;
  readonly onSelect: (row: number) => void;
  /** px of a cell, or undefined to fit the width. */
  readonly zoom: number | undefined;
  readonly onCell: (cell: number) => void;
  /** Where the strands hang after each row, where that is shown. */
  readonly hanging: StrandBook | undefined;
}

/** The chart on a canvas that holds only what is in sight, so that a blanket scrolls as quickly as a cloth. */
export function Chart({ cloth, hand, selected, inHand, onSelect, zoom, onCell, hanging }: Props) {
  const { fabric, shades, bound } = cloth;
  const box = useBox<HTMLDivElement>();
  const canvas = useRef<HTMLCanvasElement>(null);
  const face = faceOf(fabric);
  const fitting = Math.floor((box.width - 2 * gutter) / face.across);
  const cell = zoom ?? Math.max(13, Math.min(26, fitting));
  useEffect(() => {
    if (box.width) onCell(cell);
  }, [box.width, cell, onCell]);
  const size = chartSize(fabric, cell);

  const paint = useCallback(() => {
    const [element, frame] = [canvas.current, box.ref.current];
    const ctx = element?.getContext('2d');
    if (!element || !frame || !ctx || !box.width) return;
    const dpr = fitCanvas(element, box.width, box.height);
    const view = { left: frame.scrollLeft, top: frame.scrollTop, width: box.width, height: box.height };
    const look = {
      shades,
      letters: bound.colours,
      hand,
      cell,
      selected,
      inHand,
      hanging: hanging?.hanging.bind(hanging),
    };
    paintChart(ctx, fabric, look, view, dpr);
  }, [box.ref, box.width, box.height, fabric, shades, bound, hand, cell, selected, inHand, hanging]);

  useEffect(() => {
    paint();
    // The mono font may come after the first painting.
    void document.fonts.ready.then(paint);
  }, [paint]);

  useEffect(() => {
    const frame = box.ref.current;
    if (!frame || !box.height) return;
    const shape = shapeOf(fabric);
    if (shape === 'circle' || shape === 'blocks') return;
    const y = (fabric.courses - selected) * cell;
    if (y < frame.scrollTop + cell || y > frame.scrollTop + box.height - 3 * cell - footer) {
      frame.scrollTop = y - box.height / 2;
    }
  }, [selected, cell, fabric, box.ref, box.height]);

  // A wide chart opens at the edge where row 1 begins.
  useEffect(() => {
    const frame = box.ref.current;
    if (frame && box.width) frame.scrollLeft = hand === 'right' ? frame.scrollWidth : 0;
  }, [hand, box.ref, box.width]);

  const pick = (event: MouseEvent<HTMLDivElement>) => {
    const frame = box.ref.current;
    if (!frame) return;
    const edge = frame.getBoundingClientRect();
    const x = event.clientX - edge.left + frame.scrollLeft;
    const row = rowAt(fabric, { cell, hand }, x, event.clientY - edge.top + frame.scrollTop);
    if (row !== undefined) onSelect(row);
  };

  return (
    <div className="relative h-full min-h-0 rounded-md border border-rule">
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: the list beside it carries the keyboard */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the list beside it says the same in words */}
      <div ref={box.ref} onScroll={paint} onClick={pick} className="h-full overflow-auto" data-testid="chart">
        <div style={{ width: Math.max(size.width, 1), height: size.height }}>
          <canvas
            ref={canvas}
            role="img"
            aria-label={rowsSaid.chartRowsByStitches(fabric.courses, fabric.stitches, selected)}
            className="sticky top-0 left-0 block"
            style={{ width: box.width, height: box.height }}
          />
        </div>
      </div>
    </div>
  );
}
