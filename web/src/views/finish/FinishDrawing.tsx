import { findFoundation, parseLength, tubeBegins } from '@puntada/core/craft';
import { itemNamed } from '@puntada/core/plan';
import type { PlanDocument, Wish } from '@puntada/core/records';
import type { Hand } from '@puntada/core/words';
import { finishSaid } from '@puntada/core/words';
import { usePreferences } from '../../api/api.ts';

const box = { width: 400, height: 330, room: 56 };

/** Where border, seam, strap, ring and ends go, on an outline of the piece. */
export function FinishDrawing({ document, wish }: { document: PlanDocument; wish: Wish }) {
  const middle = (figure: { low: number; high: number }) => (figure.low + figure.high) / 2;
  const [wide, high] = [middle(document.size.tube?.flat ?? document.size.width), middle(document.size.height)];
  const strap = wish.finish?.strap;
  // Its drop to the scale of the bag; as it hangs, the strap stands over the top by so much.
  const read = strap ? parseLength(strap.drop, wish.units) : undefined;
  const drop = read?.ok ? read.value : 0;
  const scale = Math.min((box.width - 2 * box.room) / wide, (box.height - 2 * box.room) / (high + drop));
  const [w, h] = [wide * scale, high * scale];
  const [x, y] = [(box.width - w) / 2, (box.height - h + drop * scale) / 2];
  // The bend of such a curve stands at three quarters of its handles.
  const bend = (drop * scale) / 0.75;
  const has = (...parts: readonly string[]) => document.finish.some(({ part }) => parts.includes(part));
  const round = document.size.shape === 'circle';
  const rim = has('border', 'envelope') ? 9 : 0;
  const tube = document.size.tube !== undefined;
  const seam = seamPath(document, wish, { x, y, w, h });
  const { hand } = usePreferences();
  const ends = document.endPlaces;
  const behind = ends.some((each) => each.behind);
  return (
    <svg
      viewBox={`0 0 ${box.width} ${box.height}`}
      className="block w-full rounded-md bg-sheet"
      role="img"
      aria-label={`Where everything goes: ${document.finish.map((part) => part.name).join(', ') || 'ends only'}`}
    >
      {has('strap') ? (
        <path
          d={`M ${x + w * 0.18} ${y} C ${x + w * 0.18} ${y - bend}, ${x + w * 0.82} ${y - bend}, ${x + w * 0.82} ${y}`}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth="7"
        />
      ) : null}
      {round ? (
        <circle cx={x + w / 2} cy={y + h / 2} r={w / 2} className="fill-white stroke-ink" strokeWidth="2" />
      ) : (
        <rect x={x} y={y} width={w} height={h} className="fill-white stroke-ink" strokeWidth="2" />
      )}
      {rim ? (
        <rect
          x={x + rim}
          y={y + rim}
          width={Math.max(0, w - 2 * rim)}
          height={Math.max(0, h - 2 * rim)}
          className="fill-none stroke-ink"
          strokeDasharray="2 3"
        />
      ) : null}
      {has('seam') ? (
        <path d={seam} fill="none" className="stroke-verdigris" strokeWidth="5" strokeDasharray="7 4" />
      ) : null}
      {has('ring') ? <circle cx={x} cy={y - 13} r="12" className="fill-none stroke-ink" strokeWidth="4" /> : null}
      {has('closing') ? <path d={`M ${x} ${y} H ${x + w}`} className="stroke-ink" strokeWidth="5" /> : null}
      {ends.map((each) => (
        <EndMark
          key={`${each.letter} ${each.across} ${each.up} ${each.behind}`}
          x={x + w * (hand === 'right' ? 1 - each.across : each.across)}
          y={y + h * (1 - each.up)}
          thin={ends.length > manyEnds}
          behind={each.behind}
          edge={round || (each.across > 0 && each.across < 1) ? undefined : (hand === 'right') === (each.across === 0)}
        />
      ))}
      <g className="fill-soft text-[13px]">
        <Label x={x + w / 2} y={y + h + 24}>
          {footOf(document, hand)}
        </Label>
        {rim ? (
          <Label x={x + w / 2} y={y + rim + 20}>
            border
          </Label>
        ) : null}
        {ends.length ? (
          <Label x={x + w / 2} y={y + h + 42}>
            {finishSaid.tailsEndsInPiece(ends.length, behind ? '; ring: behind' : '')}
          </Label>
        ) : null}
        {has('seam') ? (
          <Label x={tube ? x + w / 2 : x + w + 6} y={tube ? y - 10 : y + h * 0.55} anchor={tube ? 'middle' : 'start'}>
            seam
          </Label>
        ) : null}
      </g>
    </svg>
  );
}

/** The sides that are really open, and so are closed: a ring above and below, a round on a chain above, panels at three or four. */
function seamPath(
  { size, foundation }: PlanDocument,
  wish: Wish,
  { x, y, w, h }: { x: number; y: number; w: number; h: number },
): string {
  const { mouth, sides } = itemNamed(wish.item);
  const [top, foot] = [`M ${x} ${y} H ${x + w}`, `M ${x} ${y + h} H ${x + w}`];
  const begun = findFoundation(foundation.key);
  if (size.tube) return [mouth ? '' : top, begun && tubeBegins(begun) === 'ring' ? foot : ''].join(' ');
  const edges = `M ${x} ${y} V ${y + h} M ${x + w} ${y} V ${y + h}`;
  if (wish.finish?.flap) return edges;
  return `${edges} ${foot}${sides === 4 ? ` ${top}` : ''}`;
}

/** What lies along the foot of the drawing. */
function footOf({ size, foundation }: PlanDocument, hand: Hand): string {
  if (size.tube) return foundation.circle ? 'on its circle' : 'round 1';
  if (size.shape === 'circle') return 'last round';
  return size.shape === 'diagonal' ? finishSaid.startsInCorner(hand) : 'row 1';
}

/** More of them than this would run together as thick lines. */
const manyEnds = 60;

interface EndMarkProps {
  readonly x: number;
  readonly y: number;
  readonly thin: boolean;
  readonly behind?: boolean | undefined;
  /** At the right edge, at the left, or inside. */
  readonly edge: boolean | undefined;
}

/** An end: a short tail, outwards where it hangs at an edge; on the half behind it starts from a ring. */
function EndMark({ x, y, thin, behind, edge }: EndMarkProps) {
  const tail = edge === undefined ? 'l 5 5' : edge ? 'h 9' : 'h -9';
  return (
    <g className="fill-none stroke-ink" strokeWidth={thin ? 0.8 : 2.5}>
      <path d={`M ${x} ${y} ${tail}`} />
      {behind ? <circle cx={x} cy={y} r="3" strokeWidth="1.2" className="fill-white" /> : null}
    </g>
  );
}

function Label({ x, y, anchor = 'middle', children }: { x: number; y: number; anchor?: string; children: string }) {
  return (
    <text x={x} y={y} textAnchor={anchor as 'middle'} style={{ fill: 'var(--color-soft)', fontSize: 14 }}>
      {children}
    </text>
  );
}
