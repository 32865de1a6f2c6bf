import type { WorkStep } from '@puntada/core/plan';
import { workSaid } from '@puntada/core/words';

/** px of one chain. */
const [wide, high] = [24, 26];
/** Stretches that are in sight before the one in hand, and after it. */
const [before, after] = [3, 8];

interface Props {
  readonly runs: WorkStep['runs'];
  /** The stretch in hand, from 0. */
  readonly at: number;
  readonly shade: string;
}

/** The chain as it lies, by twenties: what is made is filled, what is in hand stands on its ground, each with its marker. */
export function ChainDrawing({ runs, at, shade }: Props) {
  const first = Math.max(0, at - before);
  const made = Number(runs[at - 1]?.facts?.upTo ?? 0);
  const most = Number(runs[0]?.facts?.count ?? 0);
  const all = Number(runs.at(-1)?.facts?.upTo ?? 0);
  const more = all - Number(runs[Math.min(runs.length, at + after) - 1]?.facts?.upTo ?? all);
  return (
    <div role="img" aria-label={workSaid.chainsMade(made, all)} className="-mx-2.5 flex flex-wrap gap-x-4 gap-y-1 pt-3">
      {runs.slice(first, at + after).map(({ facts }, i) => (
        <Stretch
          key={Number(facts?.upTo)}
          chains={Number(facts?.count)}
          most={most}
          upTo={Number(facts?.upTo)}
          marked={Number(facts?.upTo) < all}
          state={first + i < at ? 'made' : first + i === at ? 'in hand' : 'to come'}
          shade={shade}
        />
      ))}
      {more > 0 ? <span className="self-center text-[17px] text-soft">{workSaid.chainsMore(more)}</span> : null}
    </div>
  );
}

interface StretchProps {
  readonly chains: number;
  /** Chains of the longest: all are drawn to one measure. */
  readonly most: number;
  readonly upTo: number;
  readonly marked: boolean;
  readonly state: 'made' | 'in hand' | 'to come';
  readonly shade: string;
}

const strokes = { made: 'stroke-ink', 'in hand': 'stroke-ink', 'to come': 'stroke-edge' } as const;

function Stretch({ chains, most, upTo, marked, state, shade }: StretchProps) {
  return (
    <span
      className={`inline-flex max-w-full items-center gap-2 rounded-md border-2 px-2 py-1.5 ${state === 'in hand' ? 'border-ink bg-sheet' : 'border-transparent'}`}
    >
      <svg
        width={most * wide}
        height={high}
        viewBox={`0 0 ${most * wide} ${high}`}
        aria-hidden
        className="h-auto min-w-0 max-w-full overflow-visible"
      >
        {Array.from({ length: chains }, (_, chain) => (
          <ellipse
            // biome-ignore lint/suspicious/noArrayIndexKey: chains are told apart by nothing but their place
            key={chain}
            cx={(chain + 0.5) * wide}
            cy={high / 2}
            rx={wide / 2}
            ry={high / 2 - 5}
            fill={state === 'made' ? shade : 'none'}
            strokeWidth={state === 'in hand' ? 2 : 1.25}
            className={strokes[state]}
          />
        ))}
        {marked ? (
          <circle
            cx={(chains - 0.5) * wide}
            cy={high / 2}
            r={high / 2 - 1}
            strokeWidth={state === 'to come' ? 1.25 : 2.5}
            className={`fill-none ${state === 'to come' ? 'stroke-edge' : 'stroke-ochre'}`}
          />
        ) : null}
      </svg>
      <span className={`count min-w-10 text-[18px] ${state === 'in hand' ? 'font-bold' : 'text-soft'}`}>{upTo}</span>
    </span>
  );
}
