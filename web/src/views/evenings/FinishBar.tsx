import { type Day, dayAfter, type Finish } from '@puntada/core/work';
import type { ScaleTime } from 'd3-scale';
import { dates } from '../../parts/dates.ts';
import { at, width } from './finishScale.ts';

const height = 34;

/** The days along the rule, over all bars. */
export function RuleOfDays({ scale }: { scale: ScaleTime<number, number> }) {
  return (
    <div aria-hidden className="relative h-6 overflow-x-clip text-[13px] text-soft md:mr-[194px]">
      {scale.ticks(5).map((tick) => (
        <span
          key={tick.getTime()}
          // At the very edge it stands beside its mark, so that nothing of it is cut.
          className={`absolute whitespace-nowrap ${scale(tick) < width / 20 ? '' : '-translate-x-1/2'}`}
          style={{ left: `${(100 * scale(tick)) / width}%` }}
        >
          {dates.tick(tick)}
        </span>
      ))}
    </div>
  );
}

/** One work on the rule of days. What it shows stands in words beside it. */
export function FinishBar({
  finish: { early, likely, late },
  due,
  scale,
}: {
  finish: Finish;
  due: Day | undefined;
  scale: ScaleTime<number, number>;
}) {
  const ticks = scale.ticks(5);
  const end = late ?? (likely && dayAfter(likely, 366));
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      preserveAspectRatio="none"
      className="my-1 block h-[34px] w-full"
      aria-hidden
    >
      <rect x={0} y={12} width={width} height={10} className="fill-sheet" />
      {ticks.map((tick) => (
        <line key={tick.getTime()} x1={scale(tick)} x2={scale(tick)} y1={8} y2={26} className="stroke-rule" />
      ))}
      {early && end ? (
        <rect
          x={scale(at(early))}
          y={10}
          width={Math.max(4, Math.min(width, scale(at(end))) - scale(at(early)))}
          height={14}
          className="fill-verdigris/35 stroke-verdigris"
          vectorEffect="non-scaling-stroke"
        />
      ) : null}
      {likely ? <Mark x={scale(at(likely))} className="stroke-ink stroke-3" /> : null}
      {due ? (
        <>
          <Mark x={scale(at(due))} className="stroke-ink stroke-2 [stroke-dasharray:3_2]" />
          <path d={`M ${scale(at(due))} 2 l 14 5 l -14 5 z`} className="fill-ink" />
        </>
      ) : null}
    </svg>
  );
}

/** A day on the rule. */
function Mark({ x, className }: { x: number; className: string }) {
  return <line x1={x} x2={x} y1={4} y2={30} className={className} vectorEffect="non-scaling-stroke" />;
}
