import type { WorkStep } from '@puntada/core/plan';
import type { PlanDocument, Wish } from '@puntada/core/records';
import type { Hand } from '@puntada/core/words';
import { finishSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { usePreferences } from '../../api/api.ts';
import type { WorkCloth } from '../../parts/useWorkCloth.ts';
import { LyingCloth } from './LyingCloth.tsx';
import { countsAt, endMarks, type Lies, layOut, type Side, seamSides, sheet } from './layout.ts';

interface Props {
  readonly document: PlanDocument;
  readonly wish: Wish;
  readonly cloth: WorkCloth | undefined;
  readonly steps: ReadonlyMap<string, readonly WorkStep[]>;
  /** The step that is looked at. */
  readonly shown: string | undefined;
  readonly onShow: (step: string) => void;
}

/** The real cloth laid out as it will be joined: what is done at each place, with its counts. A place tells its step. */
export function FinishDrawing({ document, wish, cloth, steps, shown, onShow }: Props) {
  const { hand } = usePreferences();
  const lies = layOut(document, wish);
  const { x, y, w, h } = lies;
  const has = (...parts: readonly string[]) => document.finish.find(({ part }) => parts.includes(part));
  const shadeOf = (letter: string) => wish.yarns.find((yarn) => yarn.letter === letter)?.shade ?? '#888888';
  const round = document.size.shape === 'circle';
  const place = (part: string, name: string, children: ReactNode) => (
    <Place key={part} name={name} chosen={shown === part} onShow={() => onShow(part)}>
      {children}
    </Place>
  );
  const few = document.endPlaces.length <= numbered;
  const ends = document.endPlaces.length
    ? place(
        'ends',
        finishSaid.ends,
        <Ends document={document} lies={lies} hand={hand} shadeOf={shadeOf} chosen={shown === 'ends'} />,
      )
    : null;
  const border = has('border', 'envelope');
  const [seam, mouth, strap, ring, closing] = (['seam', 'mouth', 'strap', 'ring', 'closing'] as const).map((part) =>
    has(part),
  );
  const panels = seam && !document.size.tube && !wish.finish?.flap;
  return (
    <figure
      aria-label={finishSaid.whereItGoes}
      className="relative overflow-hidden rounded-md bg-sheet"
      style={{ aspectRatio: `${sheet.width} / ${sheet.height}` }}
    >
      {panels ? <Behind lies={lies} /> : null}
      {cloth ? <LyingCloth cloth={cloth} lies={lies} /> : null}
      {/* biome-ignore lint/a11y/noSvgWithoutTitle: the figure about it is named, and so is each place in it */}
      <svg viewBox={`0 0 ${sheet.width} ${sheet.height}`} className="absolute inset-0 block size-full">
        {round ? (
          <circle cx={x + w / 2} cy={y + h / 2} r={w / 2} className="fill-none stroke-ink/60" />
        ) : (
          <rect x={x} y={y} width={w} height={h} className="fill-none stroke-ink/60" />
        )}
        {/* Many of them lie under what runs along the same edges, so that both are found. */}
        {few ? null : ends}
        {strap
          ? place(
              'strap',
              strap.name,
              <StrapLine lies={lies} shade={shadeOf(wish.finish?.strap?.colour ?? 'A')} chosen={shown === 'strap'} />,
            )
          : null}
        {border
          ? place(
              border.part,
              border.name,
              <BorderFrame
                lies={lies}
                round={round}
                shade={shadeOf(wish.border?.colour ?? 'A')}
                rounds={wish.border?.rounds ?? 1}
                counts={countsAt(steps.get('border'))}
                chosen={shown === border.part}
              />,
            )
          : null}
        {mouth
          ? place(
              'mouth',
              mouth.name,
              <MouthBand lies={lies} steps={steps.get('mouth')} shade={shadeOf('A')} chosen={shown === 'mouth'} />,
            )
          : null}
        {seam
          ? place(
              'seam',
              seam.name,
              <SeamPairs
                lies={lies}
                sides={seamSides(document, wish)}
                counts={countsAt(steps.get('seam'))}
                chosen={shown === 'seam'}
              />,
            )
          : null}
        {closing
          ? place(
              'closing',
              closing.name,
              <path
                d={`M ${x} ${y - 3} H ${x + w}`}
                stroke={shadeOf('A')}
                strokeWidth={shown === 'closing' ? 10 : 6}
                className="[paint-order:stroke]"
              />,
            )
          : null}
        {ring
          ? place(
              'ring',
              ring.name,
              <circle
                cx={x + (hand === 'right' ? 0 : w)}
                cy={y - 13}
                r="12"
                fill="none"
                stroke={shadeOf('A')}
                strokeWidth={shown === 'ring' ? 7 : 5}
              />,
            )
          : null}
        {few ? ends : null}
        <Words x={sheet.width / 2} y={sheet.height - 30}>
          {footOf(document, hand)}
        </Words>
        <Words x={sheet.width / 2} y={sheet.height - 11}>
          {seam ? finishSaid.outside(wish.finish?.outside) : finishSaid.touchToSee}
        </Words>
      </svg>
    </figure>
  );
}

/** So wide is what a finger finds of a thin line, px. */
const touched = 30;

/** A place that can be touched, or reached by the keyboard, to see its step. */
function Place({
  name,
  chosen,
  onShow,
  children,
}: {
  name: string;
  chosen: boolean;
  onShow: () => void;
  children: ReactNode;
}) {
  return (
    // biome-ignore lint/a11y/useSemanticElements: a button cannot stand within a drawing
    <g
      role="button"
      tabIndex={0}
      aria-label={finishSaid.showStep(name)}
      aria-pressed={chosen}
      onClick={onShow}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onShow();
      }}
      className="cursor-pointer focus-visible:outline-2 focus-visible:outline-offset-2 focus-visible:outline-ink"
    >
      {children}
    </g>
  );
}

/** The other panel looks out from under the first. */
function Behind({ lies: { x, y, w, h } }: { lies: Lies }) {
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
  readonly chosen: boolean;
}

/** A border about the cloth in its colour, with the stitches of its first round on each side. */
function BorderFrame({ lies, round, shade, rounds, counts, chosen }: BorderProps) {
  const { x, y, w, h, scale } = lies;
  // A row of sc is some 5.5 mm high.
  const thick = Math.max(5, Math.min(26, rounds * 5.5 * scale));
  const look = { fill: 'none', stroke: shade, strokeWidth: thick };
  const edge = { fill: 'none', className: chosen ? 'stroke-verdigris' : 'stroke-ink/60', strokeWidth: chosen ? 4 : 1 };
  if (round) {
    return (
      <>
        <circle cx={x + w / 2} cy={y + h / 2} r={w / 2 + thick / 2} {...look} />
        <circle cx={x + w / 2} cy={y + h / 2} r={w / 2 + thick} {...edge} />
      </>
    );
  }
  const frame = (out: number) => ({ x: x - out, y: y - out, width: w + 2 * out, height: h + 2 * out });
  return (
    <>
      <rect {...frame(thick / 2)} {...look} stroke="transparent" strokeWidth={Math.max(thick, touched)} />
      <rect {...frame(thick / 2)} {...look} />
      <rect {...frame(thick)} {...edge} />
      <Counts lies={lies} counts={counts} off={thick + 8} />
    </>
  );
}

/** Pairs that are joined, a mark every fifth, with their number on each side. */
function SeamPairs({
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
function MouthBand({
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

function StrapLine({ lies: { x, y, w, scale, drop }, shade, chosen }: { lies: Lies; shade: string; chosen: boolean }) {
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
const numbered = 24;

interface EndsProps {
  readonly document: PlanDocument;
  readonly lies: Lies;
  readonly hand: Hand;
  readonly shadeOf: (letter: string) => string;
  readonly chosen: boolean;
}

/** Ends where they hang, in their colours, numbered in the order in which they are woven in; a broken ring where one hangs behind. */
function Ends({ document, lies, hand, shadeOf, chosen }: EndsProps) {
  const few = document.endPlaces.length <= numbered;
  return endMarks(document.endPlaces, lies, hand === 'right', few ? 17 : 8).map(
    ({ number, letter, behind, at, tip }) => (
      <g key={number}>
        <circle cx={tip[0]} cy={tip[1]} r={touched} className="fill-transparent" />
        <path d={`M ${at.join(' ')} L ${tip.join(' ')}`} className="stroke-ink" strokeWidth={few ? 4 : 1.6} />
        <path d={`M ${at.join(' ')} L ${tip.join(' ')}`} stroke={shadeOf(letter)} strokeWidth={few ? 2 : 0.8} />
        {few ? (
          <>
            <circle
              cx={tip[0]}
              cy={tip[1]}
              r="9"
              className={`fill-paper ${chosen ? 'stroke-verdigris' : 'stroke-ink'}`}
              strokeWidth={chosen ? 3 : 1.2}
              strokeDasharray={behind ? '2 2' : undefined}
            />
            <text x={tip[0]} y={tip[1] + 4} textAnchor="middle" className="fill-ink text-[11px] font-semibold">
              {number}
            </text>
          </>
        ) : null}
      </g>
    ),
  );
}

/** What lies along the foot of the drawing. */
function footOf({ size, foundation }: PlanDocument, hand: Hand): string {
  if (size.tube) return foundation.circle ? 'on its circle' : 'round 1 below';
  if (size.shape === 'circle') return 'last round outside';
  return size.shape === 'diagonal' ? finishSaid.startsInCorner(hand) : 'row 1 below';
}

interface WordsProps {
  readonly x: number;
  readonly y: number;
  readonly anchor?: 'start' | 'middle' | 'end';
  readonly strong?: boolean;
  readonly children: string;
}

/** Words on the sheet, to be read over cloth and border alike. */
function Words({ x, y, anchor = 'middle', strong = false, children }: WordsProps) {
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
