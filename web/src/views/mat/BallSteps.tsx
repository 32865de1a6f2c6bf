import { lengthNumber } from '@puntada/core/craft';
import type { HeightOffer } from '@puntada/core/plan';
import { matSaid } from '@puntada/core/words';
import { scaleLinear } from 'd3-scale';
import { area, curveStepBefore, line } from 'd3-shape';
import { usePreferences } from '../../api/api.ts';
import { useWidth } from '../../parts/useWidth.ts';
import type { PieceFigures } from '../../worker/ofSizes.ts';
import { sizeKey } from '../../worker/useFigures.ts';

interface Props {
  readonly heights: readonly HeightOffer[];
  readonly stitches: number;
  readonly rows: number;
  readonly figures: ReadonlyMap<string, PieceFigures>;
  readonly word: string;
  /** It has one size, across. */
  readonly circle: boolean;
  readonly onChoose: (offer: HeightOffer) => void;
}

interface Step {
  readonly offer: HeightOffer;
  readonly balls: number | undefined;
  /** The last size before one ball more. */
  readonly saves: boolean;
}

function ballsOf(figures: PieceFigures | undefined): number | undefined {
  const counts = figures?.yarn.map((need) => need.balls?.count);
  return counts?.every((count) => count !== undefined)
    ? counts.reduce((sum, count) => sum + (count ?? 0), 0)
    : undefined;
}

const height = 148;
const margin = { top: 22, right: 26, bottom: 40, left: 26 };

/** Whole balls against finished height: where the stair rises, one ball more is needed, and the foot before it is marked. */
export function BallSteps({ heights, stitches, rows, figures, word, circle, onChoose }: Props) {
  const { units, told } = usePreferences();
  const [ref, measured] = useWidth<HTMLElement>();
  const width = measured;
  const title = circle ? matSaid.ballsForEachSize : matSaid.ballsForEachHeight;
  const counted = heights.map((offer) => ({
    offer,
    balls: ballsOf(figures.get(sizeKey({ stitches, rows: offer.rows }))),
  }));
  const steps = counted.map((step, i): Step => {
    const next = counted[i + 1]?.balls;
    return { ...step, saves: step.balls !== undefined && next !== undefined && next > step.balls };
  });
  const known = steps.filter((step): step is Step & { balls: number } => step.balls !== undefined);
  const most = Math.max(...known.map((step) => step.balls));
  const [first, last] = [heights[0], heights.at(-1)];
  if (!first || !last) return null;
  // The frame is there from the start, so that its width is known when the figures come.
  if (!known.length || !measured) return <section ref={ref} aria-label={title} />;
  const x = scaleLinear([first.height.mid, last.height.mid], [margin.left, width - margin.right]);
  const y = scaleLinear([0, most], [height - margin.bottom, margin.top]);
  const stair = line<(typeof known)[number]>(
    (step) => x(step.offer.height.mid),
    (step) => y(step.balls),
  ).curve(curveStepBefore);
  const under = area<(typeof known)[number]>(
    (step) => x(step.offer.height.mid),
    y(0),
    (step) => y(step.balls),
  ).curve(curveStepBefore);
  // A name under every notch would run together; those that save a ball, the chosen one and the ends are named.
  const named = (step: Step) => step.saves || step.offer.rows === rows || step.offer === first || step.offer === last;
  return (
    <section ref={ref} aria-label={title} className="mt-5">
      <h2 className="text-[17px]">{circle ? title : matSaid.ballsForEachHeightAt}</h2>
      <div className="relative" style={{ height }}>
        <svg width={width} height={height} aria-hidden className="absolute inset-0">
          <path d={under(known) ?? ''} className="fill-sheet" />
          <path d={stair(known) ?? ''} className="fill-none stroke-edge" strokeWidth={2} />
          <line x1={margin.left} x2={width - margin.right} y1={y(0)} y2={y(0)} className="stroke-ink" />
          {steps.map((step) => (
            <Notch
              key={step.offer.rows}
              step={step}
              x={x(step.offer.height.mid)}
              y={y}
              here={step.offer.rows === rows}
            />
          ))}
          {thinned(
            steps.filter(named),
            (step) => x(step.offer.height.mid),
            (step) => step.offer.rows === rows,
          ).map((step) => (
            <text
              key={step.offer.rows}
              x={x(step.offer.height.mid)}
              y={height - 20}
              textAnchor="middle"
              className={`count fill-ink text-[13px] ${step.offer.rows === rows ? '' : 'font-normal'}`}
            >
              {lengthNumber(step.offer.height.mid, told)}
            </text>
          ))}
        </svg>
        {steps.map(({ offer, balls, saves }, i) => {
          const at = (n: number) => x(heights[n]?.height.mid ?? offer.height.mid);
          const left = i === 0 ? at(0) - margin.left : (at(i - 1) + at(i)) / 2;
          const right = i === heights.length - 1 ? at(i) + margin.right : (at(i) + at(i + 1)) / 2;
          return (
            <button
              key={offer.rows}
              type="button"
              aria-pressed={offer.rows === rows}
              aria-label={`${offer.rows} ${word}, ${balls ?? matSaid.notWorkedOutYet} balls${saves ? matSaid.largestBeforeAnotherBall : ''}`}
              onClick={() => onChoose(offer)}
              className="absolute inset-y-0 hover:bg-ink/5"
              style={{ left, width: right - left }}
            />
          );
        })}
      </div>
      <p className="-mt-3 text-[14px] text-soft">
        {matSaid.inBelowBallsAbove(circle ? 'Finished size' : 'Finished height', units)}
      </p>
    </section>
  );
}

const apart = 44;

/** Names that do not run into one another; the chosen one always stands. */
function thinned<T>(items: readonly T[], at: (item: T) => number, always: (item: T) => boolean): T[] {
  const fixed = items.filter(always).map(at);
  const kept: T[] = [];
  for (const item of items) {
    const clear =
      fixed.every((x) => Math.abs(x - at(item)) >= apart) && (!kept.length || at(item) - at(kept.at(-1) as T) >= apart);
    if (always(item) || clear) kept.push(item);
  }
  return kept;
}

function Notch({ step, x, y, here }: { step: Step; x: number; y: (balls: number) => number; here: boolean }) {
  const { balls, saves } = step;
  const top = y(balls ?? 0);
  return (
    <g>
      <line x1={x} x2={x} y1={y(0)} y2={y(0) + (saves || here ? 8 : 5)} className="stroke-ink" />
      {balls === undefined ? null : (
        <>
          {here ? <line x1={x} x2={x} y1={y(0)} y2={top} className="stroke-ink" strokeWidth={2} /> : null}
          <circle
            cx={x}
            cy={top}
            r={here ? 5 : saves ? 4.5 : 2.5}
            className={here ? 'fill-ink' : saves ? 'fill-verdigris' : 'fill-edge'}
          />
          {saves || here ? (
            <text x={x} y={top - 9} textAnchor="middle" className="count fill-ink text-[14px]">
              {balls}
            </text>
          ) : null}
        </>
      )}
    </g>
  );
}
