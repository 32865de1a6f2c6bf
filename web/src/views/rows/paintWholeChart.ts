import { cellsIn, type Fabric, runsForward, stitchKind } from '@puntada/core/craft';
import type { Hand } from '@puntada/core/words';
import { faceOf } from '../../parts/cloth/clothLayout.ts';
import { onShade } from '../../parts/cloth/shades.ts';
import { type ChartLook, gutter, letterSize } from './chartLook.ts';

type Ctx = CanvasRenderingContext2D;
type Look = Pick<ChartLook, 'cell' | 'hand'>;

/** Column and row of a block, counted from where the work begins. */
function blockOf(fabric: Fabric, diagonal: number, i: number): { x: number; y: number } {
  const { up } = faceOf(fabric);
  const x = Math.max(0, diagonal - up + 1) + i;
  return { x, y: diagonal - x };
}

function cornerOf(fabric: Fabric, { cell, hand }: Look, x: number, y: number): [left: number, top: number] {
  const { across, up } = faceOf(fabric);
  return [gutter + (hand === 'right' ? across - 1 - x : x) * cell, (up - 1 - y) * cell];
}

/** The diagonal (from 1) at a place of the chart. */
export function diagonalAt(fabric: Fabric, { cell, hand }: Look, px: number, py: number): number | undefined {
  const { across, up } = faceOf(fabric);
  const place = Math.floor((px - gutter) / cell);
  const x = hand === 'right' ? across - 1 - place : place;
  const y = up - 1 - Math.floor(py / cell);
  return x >= 0 && x < across && y >= 0 && y < up ? x + y + 1 : undefined;
}

/** Blocks as they are seen; the selected diagonal is outlined block by block, its number stands where it begins. */
export function paintBlockChart(ctx: Ctx, fabric: Fabric, look: ChartLook): void {
  const { cell, shades, letters, selected } = look;
  ctx.textAlign = 'center';
  ctx.textBaseline = 'middle';
  for (const pass of ['blocks', 'selected'] as const) {
    for (let diagonal = 0; diagonal < fabric.courses; diagonal++) {
      if (pass === 'selected' && diagonal !== selected - 1) continue;
      const cells = cellsIn(fabric, diagonal);
      for (let i = 0; i < cells; i++) {
        const { x, y } = blockOf(fabric, diagonal, i);
        const [left, top] = cornerOf(fabric, look, x, y);
        if (pass === 'selected') {
          ctx.strokeStyle = '#fbfcfa';
          ctx.lineWidth = 5;
          ctx.strokeRect(left + 1.5, top + 1.5, cell - 3, cell - 3);
          ctx.strokeStyle = '#2b1b30';
          ctx.lineWidth = 2.5;
          ctx.strokeRect(left + 1.5, top + 1.5, cell - 3, cell - 3);
          continue;
        }
        const colour = fabric.colours[(fabric.starts[diagonal] as number) + i] as number;
        const shade = shades[colour] ?? '#888888';
        ctx.fillStyle = shade;
        ctx.fillRect(left, top, cell, cell);
        ctx.strokeStyle = 'rgb(43 27 48 / 0.35)';
        ctx.lineWidth = 0.75;
        ctx.strokeRect(left, top, cell, cell);
        if (cell < 14) continue;
        ctx.fillStyle = onShade(shade);
        ctx.font = `600 ${letterSize(cell * 0.45)}px "Atkinson Hyperlegible Mono Variable", monospace`;
        const opens = i === (runsForward(diagonal) ? 0 : cells - 1);
        ctx.fillText(opens ? String(diagonal + 1) : (letters[colour] ?? '?'), left + cell / 2, top + cell / 2 + 0.5);
      }
    }
  }
}

/** The round (from 1) at a place of the chart. */
export function roundAt(fabric: Fabric, cell: number, px: number, py: number): number | undefined {
  const middle = fabric.courses * cell;
  const round = Math.ceil(Math.hypot(px - gutter - middle, py - middle) / cell);
  return round >= 1 && round <= fabric.courses ? round : undefined;
}

/** Rounds of wedges; the selected round is outlined, numbers stand along the beginning of the rounds. */
export function paintRoundChart(ctx: Ctx, fabric: Fabric, look: ChartLook): void {
  const { cell, shades, hand, selected } = look;
  const middle = fabric.courses * cell;
  const [cx, cy] = [gutter + middle, middle];
  for (let course = fabric.courses - 1; course >= 0; course--)
    paintRing(ctx, fabric, course, { cx, cy, cell, hand, shades });
  ctx.strokeStyle = '#2b1b30';
  ctx.lineWidth = 3;
  for (const radius of [selected * cell, (selected - 1) * cell]) {
    ctx.beginPath();
    ctx.arc(cx, cy, radius, 0, 2 * Math.PI);
    ctx.stroke();
  }
  ctx.textAlign = 'center';
  ctx.textBaseline = 'middle';
  ctx.font = `600 ${Math.max(12, Math.round(cell * 0.45))}px "Atkinson Hyperlegible Mono Variable", monospace`;
  for (let course = 0; course < fabric.courses; course++) {
    if (course % 5 !== 4 && course !== selected - 1) continue;
    ctx.fillStyle = '#fbfcfa';
    ctx.fillRect(cx - cell * 0.5, cy - (course + 1) * cell + 2, cell, cell - 4);
    ctx.fillStyle = '#2b1b30';
    ctx.fillText(String(course + 1), cx, cy - (course + 0.5) * cell);
  }
}

interface Ring {
  readonly cx: number;
  readonly cy: number;
  readonly cell: number;
  readonly hand: Hand;
  readonly shades: readonly string[];
}

function paintRing(ctx: Ctx, fabric: Fabric, course: number, { cx, cy, cell, hand, shades }: Ring): void {
  const start = fabric.starts[course] as number;
  const cells = cellsIn(fabric, course);
  let whole = 0;
  for (let x = 0; x < cells; x++) whole += stitchKind(fabric.kinds[start + x] as number).makes;
  const way = hand === 'right' ? -1 : 1;
  let at = 0;
  for (let x = 0; x < cells; x++) {
    const { makes } = stitchKind(fabric.kinds[start + x] as number);
    const turn = (n: number) => way * ((2 * Math.PI * n) / whole + course * 0.05) - Math.PI / 2;
    const [from, to] = [turn(at), turn(at + makes)];
    at += makes;
    ctx.beginPath();
    ctx.arc(cx, cy, (course + 1) * cell, Math.min(from, to), Math.max(from, to));
    ctx.arc(cx, cy, course * cell, Math.max(from, to), Math.min(from, to), true);
    ctx.closePath();
    ctx.fillStyle = shades[fabric.colours[start + x] as number] ?? '#888888';
    ctx.fill();
    ctx.strokeStyle = 'rgb(43 27 48 / 0.35)';
    ctx.lineWidth = makes > 1 ? 1.5 : 0.5;
    ctx.stroke();
  }
}
