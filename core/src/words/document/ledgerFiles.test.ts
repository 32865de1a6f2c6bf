import { sampleWeighing } from '../../../test/sampleWeighing.ts';
import { sampleWish } from '../../../test/sampleWish.ts';
import { tellDecimals } from '../../craft/values/decimal.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { entryLabel, type LogEntry } from '../../records/logEntry.ts';
import { logColumns, logTable, yarnColumns, yarnTable } from './ledgerFiles.ts';
import { planDocument } from './planDocument.ts';

/** Each line with its cells by what stands over them. */
function under(columns: readonly string[], table: readonly string[][]): Record<string, string | undefined>[] {
  return table.map((line) => Object.fromEntries(columns.map((column, i) => [column, line[i]])));
}

describe('yarn as a table', () => {
  it('is for other programs, with a point whatever the region; its parts add up to the whole', () => {
    tellDecimals(',');
    const document = planDocument(must(planWish(sampleWish({ closing: true, border: { rounds: 1 } }))));
    const lines = under(yarnColumns, yarnTable(document));
    tellDecimals('.');
    for (const { letter, metres, ends } of document.colours) {
      const own = lines.filter((line) => line.colour === letter && line.unit === 'm');
      const whole = own.find((line) => line.part === 'all');
      const parts = own.filter((line) => line.part !== 'all');
      expect(parts.length).toBeGreaterThan(1);
      // Two digits behind the point: half a hundredth a part.
      expect(Math.abs(parts.reduce((sum, line) => sum + Number(line.middle), 0) - (metres.mid ?? 0))).toBeLessThan(
        0.05,
      );
      expect(Number(whole?.middle)).toBeCloseTo(metres.mid ?? Number.NaN, 2);
      expect(whole?.ends).toBe(String(ends));
      expect(Number(lines.find((line) => line.colour === letter && line.unit === 'g')?.middle)).toBeGreaterThan(0);
    }
  });
});

describe('a log as a table', () => {
  const head = (at: number) => ({ ...entryLabel, id: '00000000-0000-4000-8000-000000000001', at });
  const noon = Date.UTC(2026, 10, 29, 12);
  const entries: LogEntry[] = [
    { ...head(noon + 3), kind: 'note', row: 7, text: '=1+1, tight' },
    sampleWeighing('A', 9, 38.5, { at: noon + 1 }),
    { ...head(noon + 2), kind: 'measure', width: '22 cm', position: { rows: 9, runs: 0 } },
    { ...head(noon + 4), kind: 'pause' },
    { ...head(noon + 5), kind: 'end', height: '25 cm', grams: 51, next: 'A finer hook' },
  ];

  it('tells sessions and entries by when they were, and runs no formula', () => {
    const table = logTable(entries, [{ from: noon, seconds: 150, rows: 2 }], (done) => done - 1);
    const lines = under(logColumns, table);
    expect(lines.map(({ kind }) => kind)).toEqual(['session', 'weigh', 'measure', 'note', 'end']);
    expect(lines[0]).toMatchObject({ when: '2026-11-29T12:00:00.000Z', minutes: '2.5', 'rows done': '2' });
    expect(lines[1]).toMatchObject({ colour: 'A', ball: '1', 'grams before': '50', 'grams after': '38.5' });
    // A chain stands before the rows.
    expect(lines[2]).toMatchObject({ 'rows done': '8', width: '22 cm', height: '' });
    expect(lines[3]).toMatchObject({ 'rows done': '6', text: "'=1+1, tight" });
    expect(lines[4]).toMatchObject({ height: '25 cm', 'grams after': '51', text: 'A finer hook' });
  });
});
