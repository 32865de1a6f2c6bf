import type { YarnParts } from '../measure/parts.ts';
import { typicalPace } from '../pace/hours.ts';
import type { StrandLedger } from '../route/ledger.ts';
import type { Strands } from '../route/strands.ts';
import type { Prepared } from '../wish/prepare.ts';
import { endsOfCloth } from './handWorkings.ts';
import { exactly, type Working, type WorkingPart } from './working.ts';

/** How the figures of one way with the idle yarn come about. */
export interface PolicyWorkings {
  readonly extra: Working;
  readonly ends: Working;
  readonly time: Working;
}

/** Yarn that is in no stitch, ends, and the time for both, of one piece. @param parts what each strand takes, m */
export function policyWorkings(
  { yarns }: Prepared,
  strands: Strands,
  ledger: StrandLedger,
  parts: readonly YarnParts[],
): PolicyWorkings {
  const extra = (['carried', 'bridged', 'tails'] as const).map((part) => ({
    code: 'extra',
    facts: { part, ends: ledger.ends },
    amount: exactly(parts.reduce((sum, each) => sum + each[part], 0)),
    source: 'typical' as const,
  }));
  const { end, carry, join } = typicalPace;
  const timed = [
    ['weave', ledger.ends, end],
    ['carry', ledger.carried, carry],
    ['cut', ledger.cuts, join],
  ] as const;
  const time = timed.map(([does, count, each]) => ({
    code: 'strand-act',
    facts: { does, count, each },
    amount: exactly(count * each),
    source: 'typical' as const,
  }));
  return {
    extra: summed('extra', 'm', extra),
    ends: summed('ends', 'count', endsOfCloth(yarns, strands, 1)),
    time: summed('time', 's', time),
  };
}

/** What comes to nothing is left out, unless all of it does. */
function summed(of: string, unit: Working['unit'], all: readonly WorkingPart[]): Working {
  const some = all.filter(({ amount }) => amount.mid !== 0);
  const total = all.reduce((sum, { amount }) => sum + amount.mid, 0);
  return { of, unit, by: 'sum', parts: some.length ? some : all.slice(0, 1), total: exactly(total) };
}
