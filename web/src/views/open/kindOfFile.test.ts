import { readFileSync } from 'node:fs';
import { must, printPattern } from '@puntada/core/craft';
import { planWish } from '@puntada/core/plan';
import { planDocument, runColumns, runTable, yarnColumns, yarnTable } from '@puntada/core/words';
import { drawerColumns } from '@puntada/core/work';
import { csvFormatRows } from 'd3-dsv';
import fc from 'fast-check';
import { sampleWish } from '../../../../core/test/sampleWish.ts';
import { kindOfFile } from './kindOfFile.ts';

const file = (content: string | Uint8Array<ArrayBuffer>, name = 'a file.bin') => new File([content], name);
const found = async (content: string | Uint8Array<ArrayBuffer>) => must(await kindOfFile(file(content)));
const codes = async (content: string | Uint8Array<ArrayBuffer>) => {
  const read = await kindOfFile(file(content));
  return read.ok ? read.value : read.problems.map(({ code }) => code);
};
/** The first of the stored documents of a kind and version. */
function sample(name: string): string {
  const stored: unknown = JSON.parse(
    readFileSync(new URL(`../../../../core/test/samples/${name}.json`, import.meta.url), 'utf8'),
  );
  return JSON.stringify(Array.isArray(stored) ? stored[0] : stored);
}

describe('what a file is, whatever its name', () => {
  const plan = must(planWish(sampleWish()));
  const document = planDocument(plan);

  it('every file that is opened again is known', async () => {
    expect(await found(printPattern(plan.prepared.bound.pattern))).toMatchObject({ kind: 'pattern' });
    expect(await found(sample('puntada-own-pattern-1'))).toMatchObject({ kind: 'pattern' });
    expect(await found('A,B,A\nB,A,B\n')).toMatchObject({ kind: 'pattern' });
    expect(await found(sample('puntada-wish-1'))).toMatchObject({ kind: 'idea' });
    expect(await found(sample('puntada-wish-2'))).toMatchObject({ kind: 'idea' });
    const line = { line: 'Skerry cotton', shade: 'Oat', colour: '#e9dfc4', fibre: 'cotton', weight: '4', balls: '2' };
    const yarns = csvFormatRows([
      [...drawerColumns],
      drawerColumns.map((column) => (line as Record<string, string>)[column] ?? ''),
    ]);
    expect(await found(`\uFEFF${yarns}`)).toMatchObject({ kind: 'yarns', yarns: [{ name: 'Oat', balls: 2 }] });
    expect(await found('PK\u0003\u0004rest of an archive')).toEqual({ kind: 'archive' });
    expect(await found(' {"format": "puntada-backup", "version": 1, "works": []}')).toEqual({ kind: 'archive' });
    expect(await found(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10]))).toEqual({ kind: 'picture' });
    expect(await found(new Uint8Array([0xff, 0xd8, 0xff, 0xe0]))).toEqual({ kind: 'picture' });
    expect(await found('RIFF1234WEBPVP8 ')).toEqual({ kind: 'picture' });
    expect(await found('Ch 21\nRow 1 (RS): 4 A, *3 B, 3 A; rep from * to end.\n')).toMatchObject({ kind: 'rows' });
  });

  it('what is written for other programs is told as such', async () => {
    const out = async (text: string) => {
      const what = await found(text);
      return what.kind === 'only-out' ? what.what : what.kind;
    };
    expect(await out(csvFormatRows([[...runColumns], ...runTable(plan, 'US')]))).toBe('runs');
    expect(await out(csvFormatRows([[...yarnColumns], ...yarnTable(document)]))).toBe('yarn');
    expect(await out(JSON.stringify(document))).toBe('plan');
    expect(await out('BEGIN:VCALENDAR\r\nEND:VCALENDAR')).toBe('calendar');
    expect(await out('%PDF-1.7\n')).toBe('document');
    expect(await out('<svg xmlns="http://www.w3.org/2000/svg"></svg>')).toBe('drawing');
  });

  it('what is broken, or of nobody, is refused and says why', async () => {
    expect(await codes('')).toEqual(['file-unknown']);
    expect(await codes('{"format": "puntada-wish", "ver')).toEqual(['file-unknown']);
    expect(await codes('[1, 2]')).toEqual(['file-unknown']);
    expect(await codes('{"format": "song", "version": 1}')).toEqual(['file-unknown']);
    expect(await codes(new Uint8Array([0, 1, 2, 3, 255, 254]))).toEqual(['file-unknown']);
    // A pattern of ours with one row too short: where, and what to do.
    const text = printPattern(plan.prepared.bound.pattern).replace(/\n( +\S+)\S\n/, '\n$1\n');
    expect(JSON.stringify(await codes(text))).not.toContain('file-unknown');
  });

  it('nothing breaks it', async () => {
    await fc.assert(
      fc.asyncProperty(fc.oneof(fc.string({ maxLength: 300 }), fc.json()), async (text) => {
        const read = await kindOfFile(file(text));
        expect(read.ok || read.problems.length > 0).toBe(true);
      }),
      { numRuns: 150 },
    );
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 200 }), async (bytes) => {
        const read = await kindOfFile(file(Uint8Array.from(bytes)));
        expect(read.ok || read.problems.length > 0).toBe(true);
      }),
      { numRuns: 150 },
    );
  });
});
