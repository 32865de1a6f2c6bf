import { type ToldUnit, yarnLengthNumber, yarnLengthUnit } from '@puntada/core/craft';
import { logSaid } from '@puntada/core/words';
import type { KnownAt } from '@puntada/core/work';
import { scaleLinear } from 'd3-scale';
import { area, line } from 'd3-shape';
import { useWidth } from '../../parts/useWidth.ts';

const height = 150;
const margin = { top: 24, right: 12, bottom: 24, left: 46 };

interface Props {
  readonly letter: string;
  /** From before any weighing to the last. */
  readonly known: readonly KnownAt[];
  /** m of each course by the rule. */
  readonly metres: readonly number[];
  readonly told: ToldUnit;
}

/** One colour: yarn by the rule, what was weighed, and how the forecast of the whole narrowed with it. */
export function YarnChart(props: Props) {
  const last = props.known.at(-1);
  return last && props.known.length > 1 ? <Drawn {...props} last={last} /> : null;
}

function Drawn({ letter, known, metres, told, last }: Props & { last: KnownAt }) {
  const [ref, width] = useWidth<HTMLDivElement>();
  const most = Math.max(...known.map(({ total }) => total.high));
  const x = scaleLinear([0, metres.length], [margin.left, width - margin.right]);
  const y = scaleLinear([0, most], [height - margin.bottom, margin.top]);
  const rule = [{ row: 0, metres: 0 }];
  metres.forEach((each, i) => {
    rule.push({ row: i + 1, metres: (rule[i]?.metres ?? 0) + each });
  });
  const path = line<(typeof rule)[number]>(
    (point) => x(point.row),
    (point) => y(point.metres),
  )(rule);
  // What is known now holds on to the last row.
  const funnel = area<KnownAt>()
    .x(({ row }) => x(row))
    .y0(({ total }) => y(total.low))
    .y1(({ total }) => y(total.high))([...known, { ...last, row: metres.length }]);
  const number = (value: number) => `${yarnLengthNumber(value, told)}`;
  const label = logSaid.expectedToBeforeAny(
    letter,
    number(known[0]?.total.low ?? 0),
    number(known[0]?.total.high ?? 0),
    yarnLengthUnit(told),
    number(last.total.low),
    number(last.total.high),
  );
  return (
    <div ref={ref} className="pt-1">
      {width > 0 ? (
        <svg width={width} height={height} role="img" aria-label={label}>
          <text x={2} y={12} className="fill-soft text-[12px]">
            {yarnLengthUnit(told)} of {letter}
          </text>
          <text x={2} y={height - 7} className="fill-soft text-[12px]">
            steps
          </text>
          {y.ticks(3).map((value) => (
            <g key={value}>
              <line x1={margin.left} x2={width - margin.right} y1={y(value)} y2={y(value)} className="stroke-rule" />
              <text x={margin.left - 6} y={y(value) + 4} textAnchor="end" className="count fill-soft text-[12px]">
                {value ? number(value) : 0}
              </text>
            </g>
          ))}
          {x.ticks(5).map((row) => (
            <text key={row} x={x(row)} y={height - 7} textAnchor="middle" className="count fill-soft text-[12px]">
              {row}
            </text>
          ))}
          <path d={funnel ?? ''} className="fill-verdigris/20 stroke-verdigris" />
          <path d={path ?? ''} className="fill-none stroke-soft" strokeDasharray="5 4" strokeWidth={1.5} />
          {known.map(({ row, used }) =>
            used === undefined ? null : <circle key={row} cx={x(row)} cy={y(used)} r={5} className="fill-ink" />,
          )}
        </svg>
      ) : null}
      <p className="text-[14px] text-soft">{logSaid.dotsWeighedDashesEstimate}</p>
    </div>
  );
}
