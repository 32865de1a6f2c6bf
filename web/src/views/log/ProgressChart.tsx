import { reached, type Session, type Tick } from '@puntada/core';
import { scaleLinear } from 'd3-scale';
import { curveStepAfter, line } from 'd3-shape';
import { useMemo } from 'react';
import { useWidth } from '../../parts/useWidth.ts';

const height = 190;
const margin = { top: 12, right: 12, bottom: 28, left: 40 };

/** Rows against hours at work: pauses are left out, so that the slope is the pace. */
export function ProgressChart({
  ticks,
  sessions,
  rows,
}: {
  ticks: readonly Tick[];
  sessions: readonly Session[];
  rows: number;
}) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const points = useMemo(() => pointsOf(ticks, sessions), [ticks, sessions]);
  const last = points.at(-1);
  if (points.length < 2 || !last) return <div ref={ref} />;
  const x = scaleLinear([0, last.hours], [margin.left, width - margin.right]);
  const y = scaleLinear([0, rows], [height - margin.bottom, margin.top]);
  const path = line<(typeof points)[number]>(
    (point) => x(point.hours),
    (point) => y(point.row),
  ).curve(curveStepAfter)(points);
  const label = `${last.row} of ${rows} rows after ${last.hours.toFixed(1)} hours at work`;
  return (
    <div ref={ref}>
      {width > 0 ? (
        <svg width={width} height={height} role="img" aria-label={label}>
          {y.ticks(4).map((row) => (
            <g key={row}>
              <line x1={margin.left} x2={width - margin.right} y1={y(row)} y2={y(row)} className="stroke-rule" />
              <text x={margin.left - 6} y={y(row) + 4} textAnchor="end" className="count fill-soft text-[12px]">
                {row}
              </text>
            </g>
          ))}
          {x.ticks(6).map((hours) => (
            <text key={hours} x={x(hours)} y={height - 10} textAnchor="middle" className="count fill-soft text-[12px]">
              {hours} h
            </text>
          ))}
          <path d={path ?? ''} className="fill-none stroke-ink" strokeWidth={2.5} />
          <circle cx={x(last.hours)} cy={y(last.row)} r={5} className="fill-verdigris" />
        </svg>
      ) : null}
    </div>
  );
}

/** Hours at work up to each tick, pauses left out, and the row the work then stood at. */
function pointsOf(ticks: readonly Tick[], sessions: readonly Session[]): { hours: number; row: number }[] {
  const points = [{ hours: 0, row: 0 }];
  let position = { rows: 0, runs: 0 };
  let before = 0;
  let at = 0;
  for (const session of sessions) {
    for (let tick = ticks[at]; tick && tick.at <= session.to; tick = ticks[++at]) {
      position = reached([tick], position);
      points.push({ hours: (before + (tick.at - session.from)) / 3_600_000, row: position.rows });
    }
    before += session.to - session.from;
  }
  return points;
}
