import { readdirSync, readFileSync } from 'node:fs';
import { must } from '../craft/values/problem.ts';
import { thaw } from '../plan/begun/frozen.ts';
import { planWish } from '../plan/piece/plan.ts';
import { archiveRecord } from './archive.ts';
import { backupRecord, contentsSchema } from './backup.ts';
import { frozenRecord } from './begun.ts';
import { draftRecord } from './draft.ts';
import { drawerYarnRecord } from './drawerYarn.ts';
import { handoverRecord, keptWorkSchema } from './keptWork.ts';
import { logEntryRecord } from './logEntry.ts';
import { ownPatternRecord } from './ownPattern.ts';
import { patternRecord } from './pattern.ts';
import { preferencesRecord } from './preferences.ts';
import { readShape } from './readJson.ts';
import { anyVersion, newestVersion, type RecordKind } from './record.ts';
import { swatchRecord } from './swatch.ts';
import { wishRecord } from './wish.ts';

const folder = new URL('../../test/samples/', import.meta.url);
const records: readonly RecordKind[] = [
  wishRecord,
  frozenRecord,
  drawerYarnRecord,
  swatchRecord,
  logEntryRecord,
  draftRecord,
  preferencesRecord,
  patternRecord,
  ownPatternRecord,
  handoverRecord,
  backupRecord,
  archiveRecord,
];

function samplesOf(format: string, version: number): Readonly<Record<string, unknown>>[] {
  return JSON.parse(readFileSync(new URL(`${format}-${version}.json`, folder), 'utf8'));
}

const all = records.flatMap((record) =>
  Array.from({ length: newestVersion(record) }, (_, i) => [record.format, i + 1, record] as const),
);

describe('what each version wrote', () => {
  it('is kept: a list for every version of every kind, and no other', () => {
    const kept = readdirSync(folder).filter((name) => name.endsWith('.json'));
    expect(kept.sort()).toEqual(all.map(([format, version]) => `${format}-${version}.json`).sort());
  });

  it.each(all)('is read as today’s: %s of version %i', (format, version, record) => {
    const samples = samplesOf(format, version);
    expect(samples.length).toBeGreaterThan(0);
    for (const sample of samples) {
      const today = must(readShape(anyVersion(record), sample));
      expect(today).toMatchObject({ format, version: newestVersion(record) });
      // What is read today is written with its label, and read as the same again.
      expect(must(readShape(anyVersion(record), JSON.parse(JSON.stringify(today))))).toEqual(today);
      expect(must(readShape(record.schema, today))).toEqual(today);
    }
  });

  it('has kept all it said: what version 1 wrote stands in what is read', () => {
    for (const record of records.filter((each) => newestVersion(each) === 1)) {
      for (const sample of samplesOf(record.format, 1)) {
        expect(must(readShape(anyVersion(record), sample))).toMatchObject(sample);
      }
    }
  });

  it('has not a field that is not known', () => {
    for (const [format, version, record] of all) {
      // What a form holds may be anything while it is typed.
      if (record === draftRecord) continue;
      const [sample] = samplesOf(format, version);
      expect(readShape(anyVersion(record), { ...sample, loft: 3 })).toMatchObject({
        problems: [{ code: 'field-unknown', path: 'loft' }],
      });
    }
  });

  it('lies where today’s form looks for it: a draft of version 1 had its fields side by side', () => {
    const [half, whole] = samplesOf('puntada-draft', 1).map((sample) =>
      must(readShape(anyVersion(draftRecord), sample)),
    );
    expect(half).toEqual({
      format: 'puntada-draft',
      version: 2,
      item: 'cushion cover',
      title: 'Something for the window seat',
      width: { length: '' },
      height: { length: '38' },
    });
    expect(whole).toMatchObject({
      width: { by: 'chain', count: '41' },
      height: { by: 'length', length: '30' },
      pattern: { key: 'houndstooth', stitch: 'sc', made: 'turned-rounds', numbers: {} },
      gauge: { from: 'counted', stitches: { count: '14,5', over: '10 cm' }, rows: { count: '18' } },
      border: { rounds: '2', colour: 'B' },
      finish: { seam: 'sc', strap: { kind: 'sc along', drop: '30 cm', width: '3 cm' } },
      hook: '5',
      yarns: [{ name: 'Oat' }, { name: 'Kelp' }],
    });
  });

  it('still plans and thaws', () => {
    for (const sample of samplesOf('puntada-wish', 1)) {
      expect(must(planWish(must(readShape(anyVersion(wishRecord), sample)))).piece.rows).toBeGreaterThan(0);
    }
    for (const sample of [...samplesOf('puntada-begun', 1), ...samplesOf('puntada-begun', 2)]) {
      expect(must(thaw(must(readShape(anyVersion(frozenRecord), sample)))).fabric.courses).toBeGreaterThan(0);
    }
    // Of version 1 none begins with its chain, and none had a cloth of another plan before it.
    const begins = (version: number) =>
      samplesOf('puntada-begun', version).map((sample) => {
        const { fromChain, before } = must(thaw(must(readShape(anyVersion(frozenRecord), sample))));
        return [fromChain, before?.map(({ pieces }) => pieces)];
      });
    expect(begins(1)).toEqual(samplesOf('puntada-begun', 1).map(() => [undefined, undefined]));
    expect(begins(2)).toEqual([
      [true, undefined],
      [true, [1]],
      [undefined, undefined],
    ]);
  });

  it('is whole in a backup and in a work handed over', () => {
    for (const { contents } of samplesOf('puntada-backup', 1)) {
      const read = must(readShape(contentsSchema, contents));
      expect(read.works.map(({ wish }) => wish.title)).toEqual([
        'Bunk blanket for the upper room by the harbour window',
        'Galley cloth',
        'Bread bag, front panel',
      ]);
      expect(read.works.map(({ ticks }) => ticks.length)).toEqual([31, 23, 0]);
    }
    for (const { work } of samplesOf('puntada-work', 1)) {
      expect(must(readShape(keptWorkSchema, work)).log.map(({ kind }) => kind)).toEqual(['weigh', 'weigh']);
    }
  });
});
