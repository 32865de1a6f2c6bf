import type { PatternedRound, WorkStep } from '@puntada/core/plan';
import type { PlanDocument } from '@puntada/core/records';
import type { Hand } from '@puntada/core/words';
import { type Arc, borderArcs, borderRects } from '../cloth/borderLook.ts';
import { endMarks, type Lies, type Side, sheet, sideOf } from './layout.ts';

/** So wide is what a finger finds of a thin line, px. */
const touched = 30;

/** The other panel looks out from under the first. */
export function Behind({ lies: { x, y, w, h } }: { lies: Lies }) {
  const percent = (part: number, whole: number) => `${(100 * part) / whole}%`;
  return (
    <span
      aria-hidden
      className="absolute border border-ink/50 bg-rule"
      style={{
        left: percent(x + 9, sheet.width),
        top: percent(y - 9, sheet.height),
        width: percent(w, sheet.width),
        height: percent(h, sheet.height),
      }}
    />
  );
}

/** The middle of a side, pushed outwards. */
function beside(
  { x, y, w, h }: Lies,
  side: Side,
  off: number,
): { x: number; y: number; anchor: 'start' | 'middle' | 'end' } {
  if (side === 'top') return { x: x + w / 2, y: y - off + 4, anchor: 'middle' };
  if (side === 'bottom') return { x: x + w / 2, y: y + h + off + 9, anchor: 'middle' };
  return side === 'left'
    ? { x: x - off, y: y + h / 2 + 5, anchor: 'end' }
    : { x: x + w + off, y: y + h / 2 + 5, anchor: 'start' };
}

function Counts({ lies, counts, off }: { lies: Lies; counts: Partial<Record<Side, number>>; off: number }) {
  return Object.entries(counts).map(([side, count]) => {
    const at = beside(lies, side as Side, off);
    return (
      <Words key={side} x={at.x} y={at.y} anchor={at.anchor} strong>
        {String(count)}
      </Words>
    );
  });
}

interface BorderProps {
  readonly lies: Lies;
  readonly round: boolean;
  readonly shade: string;
  readonly rounds: number;
  readonly counts: Partial<Record<Side, number>>;
  readonly pattern: { readonly rounds: readonly PatternedRound[]; readonly shade: string } | undefined;
  readonly chosen: boolean;
}

/** A border about the cloth in its colours, with the stitches of its first round on each side. */
export function BorderFrame({ lies, round, shade, rounds, counts, pattern, chosen }: BorderProps) {
  const { x, y, w, h, scale } = lies;
  // A row of sc is some 5.5 mm high.
  const thick = Math.max(5, Math.min(26, rounds * 5.5 * scale));
  const look = { fill: 'none', stroke: shade, strokeWidth: thick };
  const edge = { fill: 'none', className: chosen ? 'stroke-verdigris' : 'stroke-ink/60', strokeWidth: chosen ? 4 : 1 };
  if (round) {
    return (
      <>
        <circle cx={x + w / 2} cy={y + h / 2} r={w / 2 + thick / 2} {...look} />
        {pattern ? (
          <path
            d={borderArcs(pattern.rounds, w / 2, thick)
              .map((arc) => arcPath(x + w / 2, y + h / 2, arc))
              .join('')}
            fill="none"
            stroke={pattern.shade}
            strokeWidth={thick / pattern.rounds.length}
          />
        ) : null}
        <circle cx={x + w / 2} cy={y + h / 2} r={w / 2 + thick} {...edge} />
      </>
    );
  }
  const frame = (out: number) => ({ x: x - out, y: y - out, width: w + 2 * out, height: h + 2 * out });
  return (
    <>
      <rect {...frame(thick / 2)} {...look} stroke="transparent" strokeWidth={Math.max(thick, touched)} />
      <rect {...frame(thick / 2)} {...look} />
      {pattern ? (
        <path
          d={borderRects(pattern.rounds, { x, y, width: w, height: h }, thick)
            .map((at) => `M ${at.x} ${at.y} h ${at.width} v ${at.height} h ${-at.width} z`)
            .join('')}
          fill={pattern.shade}
        />
      ) : null}
      <rect {...frame(thick)} {...edge} />
      <Counts lies={lies} counts={counts} off={thick + 8} />
    </>
  );
}

function arcPath(x: number, y: number, { radius, from, to }: Arc): string {
  const at = (turn: number) => {
    const angle = 2 * Math.PI * turn;
    return `${x + radius * Math.cos(angle)} ${y + radius * Math.sin(angle)}`;
  };
  // A whole ring has no ends for an arc to lie between: it is two halves.
  const middle = (from + to) / 2;
  return `M ${at(from)} A ${radius} ${radius} 0 0 1 ${at(middle)} A ${radius} ${radius} 0 0 1 ${at(to)}`;
}

interface SideProps {
  readonly lies: Lies;
  readonly step: WorkStep;
  /** Its part in hand, from 0. */
  readonly at: number;
  readonly hand: Hand;
}

/** The side along which is worked now, and which way: a right hand goes round against the clock. */
export function SideInHand({ lies: { x, y, w, h }, step, at, hand }: SideProps) {
  const run = step.runs[at];
  const side = run && sideOf(run);
  if (!side) return null;
  // Outside of the numbers that stand at each side.
  const [over, off] = [34, 46];
  const lines: Readonly<Record<Side, string>> = {
    top: `M ${x + w} ${y - over} H ${x}`,
    left: `M ${x - off} ${y} V ${y + h}`,
    bottom: `M ${x} ${y + h + over} H ${x + w}`,
    right: `M ${x + w + off} ${y + h} V ${y}`,
  };
  return (
    <>
      <defs>
        <marker id="way" viewBox="0 0 10 10" refX="8" refY="5" markerWidth="3.6" markerHeight="3.6" orient="auto">
          <path d="M 0 0 L 10 5 L 0 10 z" className="fill-ochre" />
        </marker>
      </defs>
      <path
        d={lines[side]}
        transform={hand === 'left' ? `translate(${2 * x + w} 0) scale(-1 1)` : undefined}
        fill="none"
        className="stroke-ochre"
        strokeWidth="5"
        markerEnd="url(#way)"
      />
    </>
  );
}

/** Pairs that are joined, a mark every fifth, with their number on each side. */
export function SeamPairs({
  lies,
  sides,
  counts,
  chosen,
}: {
  lies: Lies;
  sides: readonly Side[];
  counts: Partial<Record<Side, number>>;
  chosen: boolean;
}) {
  const { x, y, w, h } = lies;
  const lines: Readonly<Record<Side, [number, number, number, number]>> = {
    top: [x, y, x + w, y],
    right: [x + w, y, x + w, y + h],
    bottom: [x, y + h, x + w, y + h],
    left: [x, y, x, y + h],
  };
  return (
    <>
      {sides.map((side) => {
        const [x1, y1, x2, y2] = lines[side];
        const marks = Math.max(2, Math.round((counts[side] ?? 40) / 5));
        const flat = side === 'top' || side === 'bottom';
        return (
          <g key={side} className="stroke-verdigris" strokeWidth={chosen ? 5 : 3}>
            <path d={`M ${x1} ${y1} L ${x2} ${y2}`} strokeWidth={touched} className="stroke-transparent" />
            <path d={`M ${x1} ${y1} L ${x2} ${y2}`} />
            <path
              strokeWidth={chosen ? 3 : 2}
              d={Array.from({ length: marks + 1 }, (_, i) => {
                const [at, up] = [x1 + ((x2 - x1) * i) / marks, y1 + ((y2 - y1) * i) / marks];
                return flat ? `M ${at} ${up - 5} v 10` : `M ${at - 5} ${up} h 10`;
              }).join(' ')}
            />
          </g>
        );
      })}
      <Counts
        lies={lies}
        counts={Object.fromEntries(sides.flatMap((side) => (counts[side] ? [[side, counts[side]]] : [])))}
        off={12}
      />
    </>
  );
}

/** The rounds about the mouth, with an eyelet at its place near each end. */
export function MouthBand({
  lies,
  steps,
  shade,
  chosen,
}: {
  lies: Lies;
  steps: readonly WorkStep[] | undefined;
  shade: string;
  chosen: boolean;
}) {
  const { x, y, w } = lies;
  const side = Number(steps?.[0]?.runs[0]?.facts?.count ?? 1);
  const eyelets = (steps?.length ?? 1) > 1;
  const high = eyelets ? 14 : 8;
  // Two stitches in from each end.
  const at = (stitch: number) => x + (w * (stitch + 0.5)) / side;
  return (
    <>
      <rect
        x={x}
        y={y - high}
        width={w}
        height={high}
        fill={shade}
        className={chosen ? 'stroke-verdigris' : 'stroke-ink/60'}
        strokeWidth={chosen ? 4 : 1}
      />
      {eyelets
        ? [2, side - 3].map((stitch) => (
            <circle key={stitch} cx={at(stitch)} cy={y - high + 5} r="3.5" className="fill-ink stroke-paper" />
          ))
        : null}
      <Words x={x + w / 2} y={y - high - 6} strong>
        {`2 × ${side}`}
      </Words>
    </>
  );
}

export function StrapLine({
  lies: { x, y, w, scale, drop },
  shade,
  chosen,
}: {
  lies: Lies;
  shade: string;
  chosen: boolean;
}) {
  // The bend of such a curve stands at three quarters of its handles.
  const top = y - drop / 0.75;
  const path = `M ${x + w * 0.08} ${y} C ${x + w * 0.08} ${top}, ${x + w * 0.92} ${top}, ${x + w * 0.92} ${y}`;
  const thick = Math.max(6, 30 * scale);
  return (
    <>
      <path
        d={path}
        fill="none"
        className={chosen ? 'stroke-verdigris' : 'stroke-ink/60'}
        strokeWidth={thick + (chosen ? 6 : 2)}
      />
      <path d={path} fill="none" stroke={shade} strokeWidth={thick} />
    </>
  );
}

/** More of them than this are marks without numbers. */
export const numbered = 24;

interface EndsProps {
  readonly document: PlanDocument;
  readonly lies: Lies;
  readonly hand: Hand;
  readonly shadeOf: (letter: string) => string;
  readonly chosen: boolean;
  /** The one in hand, from 1; those before it are woven in. */
  readonly now?: number | undefined;
}

/** Ends where they hang, in their colours, numbered in the order in which they are woven in; a broken ring where one hangs behind. */
export function Ends({ document, lies, hand, shadeOf, chosen, now }: EndsProps) {
  const few = document.endPlaces.length <= numbered;
  return endMarks(document.endPlaces, lies, hand === 'right', few ? 17 : 8, few ? undefined : 0).map(
    ({ number, letter, behind, at, tip }) => (
      <g key={number} opacity={now !== undefined && number < now ? 0.35 : 1}>
        {number === now ? (
          <circle cx={tip[0]} cy={tip[1]} r="15" className="fill-ochre-pale stroke-ochre" strokeWidth="3" />
        ) : null}
        <circle cx={tip[0]} cy={tip[1]} r={touched} className="fill-transparent" />
        <path d={`M ${at.join(' ')} L ${tip.join(' ')}`} className="stroke-ink" strokeWidth={few ? 4 : 1.6} />
        <path d={`M ${at.join(' ')} L ${tip.join(' ')}`} stroke={shadeOf(letter)} strokeWidth={few ? 2 : 0.8} />
        {few ? (
          <>
            <circle
              cx={tip[0]}
              cy={tip[1]}
              r="10"
              className={`fill-paper ${chosen ? 'stroke-verdigris' : 'stroke-ink'}`}
              strokeWidth={chosen ? 3 : 1.2}
              strokeDasharray={behind ? '2 2' : undefined}
            />
            <text x={tip[0]} y={tip[1] + 5} textAnchor="middle" className="fill-ink text-[14px] font-semibold">
              {number}
            </text>
          </>
        ) : null}
      </g>
    ),
  );
}

interface WordsProps {
  readonly x: number;
  readonly y: number;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly strong?: boolean;
  readonly children: string;
}

/** Words on the sheet, to be read over cloth and border alike. */
export function Words({ x, y, anchor = 'middle', strong = false, children }: WordsProps) {
  return (
    <text
      x={x}
      y={y}
      textAnchor={anchor}
      strokeWidth="4"
      className={`pointer-events-none stroke-sheet text-[14px] [paint-order:stroke] ${strong ? 'count fill-ink font-semibold' : 'fill-soft'}`}
    >
      {children}
    </text>
  );
}
