import { ninety } from '@puntada/core/craft';
import type { OwnPace } from '@puntada/core/plan';
import { logSaid } from '@puntada/core/words';
import type { LogTimes } from '@puntada/core/work';
import { scaleLinear, scalePoint } from 'd3-scale';
import { line } from 'd3-shape';
import { dates } from '../../parts/dates.ts';
import { useWidth } from '../../parts/useWidth.ts';

const height = 130;
const margin = { top: 24, right: 16, bottom: 24, left: 40 };

interface Props {
  readonly sessions: LogTimes['sessions'];
  readonly pace: OwnPace;
}

interface Told {
  readonly from: number;
  readonly ratio: number;
}

const percent = (ratio: number) => `${Math.round(ratio * 100)} %`;

/** So many sessions are told apart in the width of a page: the latest. */
const most = 60;

/** Each of the latest sessions against a steady hand, and between what the hand is known to be by all of them. */
export function PaceChart({ sessions, pace }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const told = sessions
    .flatMap(({ from, ratio }): Told[] => (ratio === undefined ? [] : [{ from, ratio }]))
    .slice(-most);
  if (told.length < 2) return <div ref={ref} />;
  const known = [pace.ratio * Math.exp(-ninety * pace.sd), pace.ratio * Math.exp(ninety * pace.sd)] as const;
  const all = [...told.map(({ ratio }) => ratio), ...known, 1];
  const x = scalePoint(
    told.map(({ from }) => from),
    [margin.left, width - margin.right],
  ).padding(0.4);
  const y = scaleLinear([Math.min(...all), Math.max(...all)], [height - margin.bottom, margin.top]).nice(4);
  const path = line<Told>(
    ({ from }) => x(from) ?? 0,
    ({ ratio }) => y(ratio),
  )(told);
  const [first, last] = [told[0] as Told, told.at(-1) as Told];
  const label = logSaid.timeSessionsComparedWith(told.length, told.map(({ ratio }) => percent(ratio)).join(', '));
  return (
    <div ref={ref} className="pt-3">
      {width > 0 ? (
        <svg width={width} height={height} role="img" aria-label={label}>
          <rect
            x={margin.left}
            width={width - margin.left - margin.right}
            y={y(known[1])}
            height={y(known[0]) - y(known[1])}
            className="fill-verdigris/20"
          />
          <text x={2} y={12} className="fill-soft text-[12px]">
            {logSaid.averagePace}
          </text>
          {y.ticks(3).map((ratio) => (
            <g key={ratio}>
              <line x1={margin.left} x2={width - margin.right} y1={y(ratio)} y2={y(ratio)} className="stroke-rule" />
              <text x={margin.left - 6} y={y(ratio) + 4} textAnchor="end" className="count fill-soft text-[12px]">
                {Math.round(ratio * 100)}
              </text>
            </g>
          ))}
          <line
            x1={margin.left}
            x2={width - margin.right}
            y1={y(1)}
            y2={y(1)}
            className="stroke-soft"
            strokeDasharray="5 4"
            strokeWidth={1.5}
          />
          <path d={path ?? ''} className="fill-none stroke-ink" strokeWidth={2} />
          {told.map(({ from, ratio }) => (
            <circle key={from} cx={x(from)} cy={y(ratio)} r={4.5} className="fill-ink" />
          ))}
          {[first, last].map(({ from }) => (
            <text
              key={from}
              x={x(from)}
              y={height - 7}
              textAnchor={from === first.from ? 'start' : 'end'}
              className="fill-soft text-[12px]"
            >
              {dates.short(from)}
            </text>
          ))}
        </svg>
      ) : null}
      <p className="text-[14px] text-soft">{logSaid.dotsEachSessionsTime}</p>
    </div>
  );
}
