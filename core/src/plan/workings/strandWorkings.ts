import { typicalPace } from '../pace/hours.ts';
import type { PolicyFigures } from '../piece/policies.ts';
import type { Prepared } from '../wish/prepare.ts';
import { exactly, type Working, type WorkingPart } from './working.ts';

/** How the figures of one way with the idle yarn come about. */
export interface PolicyWorkings {
  readonly extra: Working;
  readonly ends: Working;
  readonly time: Working;
}

/** Yarn that is in no stitch, ends, and the time for both, of one piece. */
export function policyWorkings({ yarns }: Prepared, figures: PolicyFigures): PolicyWorkings {
  const extra = (['carried', 'bridged', 'tails'] as const).map((part) => ({
    code: 'extra',
    facts: { part, ends: figures.ends },
    amount: exactly(figures.extra[part]),
    source: 'typical' as const,
  }));
  const ends = yarns.map(({ letter, name }, colour) => ({
    code: 'ends-cloth',
    facts: { letter, name, ends: figures.endsOf[colour] ?? 0, pieces: 1 },
    amount: exactly(figures.endsOf[colour] ?? 0),
  }));
  const { closedIn } = figures;
  const hidden = { code: 'ends-closed', facts: { ends: closedIn, pieces: 1 }, amount: exactly(-closedIn) };
  const { end, carry, join } = typicalPace;
  const timed = [
    ['weave', figures.ends - closedIn, end],
    ['carry', figures.carried, carry],
    ['cut', figures.cuts, join],
  ] as const;
  const time = timed.map(([does, count, each]) => ({
    code: 'strand-act',
    facts: { does, count, each },
    amount: exactly(count * each),
    source: 'typical' as const,
  }));
  return {
    extra: summed('extra', 'm', extra),
    ends: summed('ends', 'count', [...ends, hidden]),
    time: summed('time', 's', time),
  };
}

/** What comes to nothing is left out, unless all of it does. */
function summed(of: string, unit: Working['unit'], all: readonly WorkingPart[]): Working {
  const some = all.filter(({ amount }) => amount.mid !== 0);
  const total = all.reduce((sum, { amount }) => sum + amount.mid, 0);
  return { of, unit, by: 'sum', parts: some.length ? some : all.slice(0, 1), total: exactly(total) };
}
