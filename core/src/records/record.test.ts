import fc from 'fast-check';
import { z } from 'zod';
import { must } from '../craft/values/problem.ts';
import { readShape } from './readJson.ts';
import { anyVersion, labelOf, newestVersion, type RecordKind } from './record.ts';

// A mat as three versions wrote it: with a name, then with a title, then with its width as a number.
const mat = {
  format: 'puntada-mat',
  schema: z.strictObject({ ...labelOf('puntada-mat', 3), title: z.string(), width: z.number() }),
  steps: [
    ({ name, ...rest }) => ({ ...rest, title: name }),
    ({ width, ...rest }) => ({ ...rest, width: Number(String(width).replace(' cm', '')) * 10 }),
  ],
} satisfies RecordKind;
const read = (value: unknown) => readShape(anyVersion(mat), value);
const today = { format: 'puntada-mat', version: 3, title: 'Door', width: 400 };

describe('a record of any version', () => {
  it.each([
    ['of the first, which bore no label', { name: 'Door', width: '40 cm' }],
    ['of the first, with its label', { format: 'puntada-mat', version: 1, name: 'Door', width: '40 cm' }],
    ['of the second', { format: 'puntada-mat', version: 2, title: 'Door', width: '40 cm' }],
    ['of today', today],
  ])('%s is read as today’s', (_name, document) => {
    const before = structuredClone(document);
    expect(must(read(Object.freeze(document)))).toEqual(today);
    expect(document).toEqual(before);
  });

  it('newer than is known is told as such, with both versions, whatever else stands in it', () => {
    expect(read({ format: 'puntada-mat', version: 4, loft: 'high' })).toEqual({
      ok: false,
      problems: [{ code: 'record-newer', path: 'version', facts: { format: 'puntada-mat', version: 4, newest: 3 } }],
    });
  });

  it('of another kind is told as such', () => {
    expect(read({ format: 'puntada-swatch', version: 1 })).toEqual({
      ok: false,
      problems: [
        { code: 'record-other', path: 'format', facts: { format: 'puntada-swatch', expected: 'puntada-mat' } },
      ],
    });
  });

  it.each([0, -1, 1.5, '2', null])('with the version %p is refused', (version) => {
    expect(read({ ...today, version }).ok).toBe(false);
  });

  it.each([undefined, null, 'Door', 7, [today]])('is not %p', (value) => {
    expect(read(value).ok).toBe(false);
  });

  it('tells where it is wrong from the document that holds it', () => {
    const shelf = z.strictObject({ mats: z.array(anyVersion(mat)) });
    const told = readShape(shelf, { mats: [today, { ...today, width: 'wide' }, { ...today, version: 9 }] });
    expect(told).toMatchObject({
      problems: [
        { code: 'field-wrong', path: 'mats.1.width' },
        { code: 'record-newer', path: 'mats.2.version' },
      ],
    });
  });

  it('that was read and written is read as the same again', () => {
    const anyMat = fc.oneof(
      fc.record({ name: fc.string(), width: fc.integer({ min: 1, max: 99 }).map((cm) => `${cm} cm`) }),
      fc.record({
        version: fc.constant(2),
        title: fc.string(),
        width: fc.integer({ min: 1, max: 99 }).map((cm) => `${cm} cm`),
      }),
    );
    fc.assert(
      fc.property(anyMat, (document) => {
        const once = must(read(document));
        expect(must(read(JSON.parse(JSON.stringify(once))))).toEqual(once);
        expect(once.width % 10).toBe(0);
      }),
    );
  });

  it('is written in the version that its steps lead to', () => {
    expect(newestVersion(mat)).toBe(3);
    expect(mat.schema.parse({ title: 'Door', width: 400 })).toEqual(today);
  });
});
