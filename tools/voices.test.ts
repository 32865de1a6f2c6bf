import './voices/browser.ts';
import { must } from '@puntada/core/craft';
import { planWish } from '@puntada/core/plan';
import fc from 'fast-check';
import { type Contradiction, contradictions } from './voices/facts.ts';
import { showAll } from './voices/surfaces.ts';
import { type Trial, trials } from './voices/wishes.ts';

/** Projects that are heard on every run; 2,000 with PUNTADA_VOICES=2000. */
const heard = Number(process.env.PUNTADA_VOICES ?? 100);

/** The same projects on every run, others each time when their number is named; a named seed wins. */
const seed = process.env.PUNTADA_SEED ?? (process.env.PUNTADA_VOICES ? undefined : '20261202');
const seeded = seed === undefined ? {} : { seed: Number(seed) };

/** Cases that are shown of a kind. */
const mostShown = Number(process.env.PUNTADA_SHOWN ?? 3);

/** One case of each thing that is said, whatever the project. */
function distinct(cases: readonly string[]): string[] {
  const seen = new Map(cases.map((each) => [each.split(' — ')[1]?.replace(/\d+/g, 'n').slice(20, 75), each]));
  return [...seen.values()];
}

function hear({ wish, reading }: Trial): Contradiction[] {
  return contradictions(showAll(must(planWish(wish)), reading), reading);
}

it(
  'every surface says the same of a project',
  () => {
    const kinds = new Map<string, string[]>();
    let count = 0;
    fc.assert(
      fc.property(trials, (trial) => {
        if (!trial || count >= heard) return;
        count++;
        for (const { fact, said } of hear(trial)) {
          const kind = fact.replace(/\d+/g, 'n');
          const { wish, reading } = trial;
          const where = `${wish.item}, ${wish.pattern.key} ${wish.pattern.made ?? ''} ${wish.policy} ${reading.terms} ${reading.units}`;
          kinds.set(kind, [...(kinds.get(kind) ?? []), `${where} — ${said}`]);
        }
      }),
      { numRuns: heard * 6, ...seeded },
    );
    const told = [...kinds].map(
      ([kind, cases]) => `${cases.length} × ${kind}: ${distinct(cases).slice(0, mostShown).join('\n      ')}`,
    );
    expect(told.join('\n')).toBe('');
    expect(count).toBeGreaterThanOrEqual(heard / 2);
  },
  heard * 3000 + 30_000,
);
