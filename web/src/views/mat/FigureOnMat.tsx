import { lyingOn } from '@puntada/core/craft';
import type { HeightOffer, Prepared, WidthOffer } from '@puntada/core/plan';
import type { Wish } from '@puntada/core/records';
import { matSaid } from '@puntada/core/words';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import { usePreferences } from '../../api/api.ts';
import type { MatGeometry } from './matGeometry.ts';
import { placedFrom } from './placedFrom.ts';

interface Props {
  readonly prepared: Prepared;
  readonly index: number;
  readonly width: WidthOffer;
  readonly height: HeightOffer;
  readonly mat: MatGeometry;
  readonly onPlaced: (placed: NonNullable<Wish['placed']>) => void;
}

/** A figure on the cloth: dragged, or moved by the arrow keys, it stands at its new margins. */
export function FigureOnMat({ prepared, index, width, height, mat, onPlaced }: Props) {
  const { hand } = usePreferences();
  const [drag, setDrag] = useState<{ x: number; y: number; dx: number; dy: number }>();
  const { bound, finished } = prepared;
  const figure = bound.placed?.[index];
  if (!figure) return null;
  const at = lyingOn(figure, width.stitches, height.rows);
  const [sw, rh] = [finished.stitchWidth.mid, finished.rowHeight.mid];
  // A border lies around the cloth on both sides.
  const beside = (width.width.mid - width.stitches * sw) / 2;
  const under = (height.height.mid - height.rows * rh) / 2;
  const fromLeft = hand === 'right' ? width.stitches - at.cell - at.width : at.cell;
  const left = mat.originX + (beside + fromLeft * sw) * mat.scale;
  const top = mat.originY - (under + (at.row + at.height) * rh) * mat.scale;
  const move = (cells: number, rows: number) => {
    const placed = placedFrom(
      prepared,
      index,
      { cell: at.cell + cells, row: at.row + rows },
      width.stitches,
      height.rows,
    );
    if (placed) onPlaced(placed);
  };
  const ahead = hand === 'right' ? -1 : 1;
  const press = (event: KeyboardEvent) => {
    const ways: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-ahead, 0],
      ArrowRight: [ahead, 0],
      ArrowUp: [0, 1],
      ArrowDown: [0, -1],
    };
    const way = ways[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    const far = event.shiftKey ? 5 : 1;
    move(way[0] * far, way[1] * far);
  };
  const drop = () => {
    if (drag) {
      move(Math.round((ahead * drag.dx) / (sw * mat.scale)), -Math.round(drag.dy / (rh * mat.scale)));
    }
    setDrag(undefined);
  };
  return (
    <button
      type="button"
      aria-label={matSaid.stitchesFromWhereRow(figure.name, at.cell, at.row)}
      className="absolute touch-none cursor-move rounded-sm border-2 border-dashed border-chalk/70 bg-transparent hover:border-chalk focus-visible:outline-white"
      style={{
        left: left + (drag?.dx ?? 0) - 3,
        top: top + (drag?.dy ?? 0) - 3,
        width: Math.max(24, at.width * sw * mat.scale + 6),
        height: Math.max(24, at.height * rh * mat.scale + 6),
      }}
      onKeyDown={press}
      onPointerDown={(event: PointerEvent<HTMLButtonElement>) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ x: event.clientX, y: event.clientY, dx: 0, dy: 0 });
      }}
      onPointerMove={(event) =>
        setDrag((now) => now && { ...now, dx: event.clientX - now.x, dy: event.clientY - now.y })
      }
      onPointerUp={drop}
      onPointerCancel={() => setDrag(undefined)}
    />
  );
}
