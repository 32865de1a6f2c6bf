import { entryLabel, type Weighing } from '../src/records/logEntry.ts';

/** A ball of 50 g as the tests weigh it, to a tenth of a gram. @param rows worked, which also order the weighings in time */
export function sampleWeighing(letter: string, rows: number, after: number, change: Partial<Weighing> = {}): Weighing {
  return {
    ...entryLabel,
    id: `00000000-0000-4000-8000-00000000${letter.charCodeAt(0)}${String(rows).padStart(2, '0')}`,
    at: rows,
    kind: 'weigh',
    letter,
    ball: 1,
    before: 50,
    beforeIsLabel: false,
    after,
    scale: 0.1,
    position: { rows, runs: 0 },
    ...change,
  };
}
