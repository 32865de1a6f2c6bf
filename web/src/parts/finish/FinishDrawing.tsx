import type { WorkStep } from '@puntada/core/plan';
import type { PlanDocument, Wish } from '@puntada/core/records';
import type { Hand } from '@puntada/core/words';
import { finishSaid } from '@puntada/core/words';
import type { ReactNode } from 'react';
import { usePreferences } from '../../api/api.ts';
import type { WorkCloth } from '../useWorkCloth.ts';
import { LyingCloth } from './LyingCloth.tsx';
import { countsAt, layOut, patternAt, seamSides, sheet } from './layout.ts';
import { Behind, BorderFrame, Ends, MouthBand, numbered, SeamPairs, SideInHand, StrapLine, Words } from './Marks.tsx';

interface Props {
  readonly document: PlanDocument;
  readonly wish: Wish;
  readonly cloth: WorkCloth | undefined;
  readonly steps: ReadonlyMap<string, readonly WorkStep[]>;
  /** The step that is looked at. */
  readonly shown: string | undefined;
  /** Where a place leads; without it the drawing is but looked at. */
  readonly onShow?: (step: string) => void;
  /** The step that is worked, and which of its parts is in hand: told on its side, at its end. */
  readonly now?: { readonly step: WorkStep; readonly at: number } | undefined;
}

/** The real cloth laid out as it will be joined: what is done at each place, with its counts. A place tells its step. */
export function FinishDrawing({ document, wish, cloth, steps, shown, onShow, now }: Props) {
  const { hand } = usePreferences();
  const lies = layOut(document, wish);
  const { x, y, w, h } = lies;
  const has = (...parts: readonly string[]) => document.finish.find(({ part }) => parts.includes(part));
  const shadeOf = (letter: string) => wish.yarns.find((yarn) => yarn.letter === letter)?.shade ?? '#888888';
  const round = document.size.shape === 'circle';
  const place = (part: string, name: string, children: ReactNode) => (
    <Place key={part} name={name} chosen={shown === part} onShow={onShow && (() => onShow(part))}>
      {children}
    </Place>
  );
  // Of several rounds those counts that are worked now.
  const stepsOf = (part: string) => (now?.step.code === part ? [now.step] : steps.get(part));
  const few = document.endPlaces.length <= numbered;
  const ends = document.endPlaces.length
    ? place(
        'ends',
        finishSaid.ends,
        <Ends
          document={document}
          lies={lies}
          hand={hand}
          shadeOf={shadeOf}
          chosen={shown === 'ends'}
          now={now?.step.code === 'ends' ? endNow(now) : undefined}
        />,
      )
    : null;
  const border = has('border', 'envelope');
  const pattern = patternAt(steps.get('border'));
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
                counts={countsAt(stepsOf(border.part))}
                pattern={pattern && { rounds: pattern.rounds, shade: shadeOf(pattern.second) }}
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
        {now && !round ? <SideInHand lies={lies} step={now.step} at={now.at} hand={hand} /> : null}
        {/* At work the lower line alone: the way along the foot stands where the upper one would. */}
        {onShow ? (
          <Words x={sheet.width / 2} y={sheet.height - 30}>
            {footOf(document, hand)}
          </Words>
        ) : null}
        <Words x={sheet.width / 2} y={sheet.height - 11}>
          {seam ? finishSaid.outside(wish.finish?.outside) : onShow ? finishSaid.touchToSee : footOf(document, hand)}
        </Words>
      </svg>
    </figure>
  );
}

/** The end of the cloth that is in hand, from 1; behind all of them once those of the finishing are. */
function endNow({ step, at }: NonNullable<Props['now']>): number {
  return step.runs[at]?.facts?.row === undefined ? Number.POSITIVE_INFINITY : at + 1;
}

/** A place that can be touched, or reached by the keyboard, to see its step. */
function Place({
  name,
  chosen,
  onShow,
  children,
}: {
  name: string;
  chosen: boolean;
  onShow: (() => void) | undefined;
  children: ReactNode;
}) {
  if (!onShow) return <g>{children}</g>;
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

/** What lies along the foot of the drawing. */
function footOf({ size, foundation }: PlanDocument, hand: Hand): string {
  if (size.tube) return foundation.circle ? 'on its circle' : 'round 1 below';
  if (size.shape === 'circle') return 'last round outside';
  return size.shape === 'diagonal' ? finishSaid.startsInCorner(hand) : 'row 1 below';
}
