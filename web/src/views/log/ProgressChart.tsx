import type { Estimate } from '@puntada/core/craft';
import { decimal } from '@puntada/core/craft';
import { logSaid, timeWords } from '@puntada/core/words';
import type { RowsAfter } from '@puntada/core/work';
import { scaleLinear } from 'd3-scale';
import { curveStepAfter, line } from 'd3-shape';
import { useWidth } from '../../parts/useWidth.ts';

const height = 190;
const margin = { top: 24, right: 12, bottom: 28, left: 40 };

interface Props {
  /** Up to the last step. */
  readonly points: readonly RowsAfter[];
  /** Hours that the plan foretold up to the end of each row, 0 first. */
  readonly foretold: readonly number[];
  /** Seconds still to be worked, by the pace of now. */
  readonly left: Estimate;
}

/**
 * Rows against hours: pauses are left out, so that the slope is the pace. Beside it what the plan foretold, and
 * between what hours the rest will end.
 */
export function ProgressChart({ points, foretold, left }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const last = points.at(-1);
  if (points.length < 2 || !last) return <div ref={ref} />;
  const rows = foretold.length - 1;
  const ends = last.row < rows ? [left.low, left.high].map((seconds) => last.hours + seconds / 3600) : [];
  const most = Math.max(last.hours, foretold.at(-1) ?? 0, ...ends);
  const x = scaleLinear([0, most], [margin.left, width - margin.right]);
  const y = scaleLinear([0, rows], [height - margin.bottom, margin.top]);
  const path = line<RowsAfter>(
    (point) => x(point.hours),
    (point) => y(point.row),
  ).curve(curveStepAfter)(points);
  const plan = line<number>(
    (hours) => x(hours),
    (_, row) => y(row),
  )(foretold);
  const cone = [`${x(last.hours)},${y(last.row)}`, ...ends.map((hours) => `${x(hours)},${y(rows)}`)].join(' ');
  const label = logSaid.rowsAndStepsAfter(last.row, rows, decimal(last.hours, 1));
  return (
    <div ref={ref}>
      {width > 0 ? (
        <svg width={width} height={height} role="img" aria-label={label}>
          <text x={2} y={12} className="fill-soft text-[12px]">
            rows and steps
          </text>
          {y.ticks(4).map((row) => (
            <g key={row}>
              <line x1={margin.left} x2={width - margin.right} y1={y(row)} y2={y(row)} className="stroke-rule" />
              <text x={margin.left - 6} y={y(row) + 4} textAnchor="end" className="count fill-soft text-[12px]">
                {row}
              </text>
            </g>
          ))}
          {x.ticks(width < 420 ? 3 : 6).map((hours) => (
            <text key={hours} x={x(hours)} y={height - 10} textAnchor="middle" className="count fill-soft text-[12px]">
              {hours} h
            </text>
          ))}
          {ends.length ? <polygon points={cone} className="fill-verdigris/20 stroke-verdigris" /> : null}
          <path d={plan ?? ''} className="fill-none stroke-soft" strokeDasharray="5 4" strokeWidth={1.5} />
          <path d={path ?? ''} className="fill-none stroke-ink" strokeWidth={2.5} />
          <circle cx={x(last.hours)} cy={y(last.row)} r={5} className="fill-verdigris" />
        </svg>
      ) : null}
      <p className="text-[14px] text-soft">
        {logSaid.lineRowsAndSteps(
          timeWords((foretold[last.row] ?? 0) * 3600),
          ends.length ? logSaid.bandWhenItWill : '',
        )}
      </p>
    </div>
  );
}
