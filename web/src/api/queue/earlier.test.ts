import { leftByEarlier, placesOfEarlier } from './earlier.ts';

const [a, b] = ['a', 'b'].map((end) => `00000000-0000-4000-8000-00000000000${end}`) as [string, string];

/** A browser's storage as an earlier version left it. */
function storageOf(entries: Readonly<Record<string, string>>) {
  const keys = Object.keys(entries);
  return { length: keys.length, key: (i: number) => keys[i] ?? null, getItem: (key: string) => entries[key] ?? null };
}

describe('what an earlier version left waiting in the browser', () => {
  const tick = { id: a, at: 1000, from: { rows: 0, runs: 0 }, to: { rows: 1, runs: 0 } };
  const entry = { kind: 'note', id: b, at: 1000, row: 3, text: 'Kettle.' };
  const storage = storageOf({
    [`puntada.tick.w.0000000000001000.${a}`]: JSON.stringify(tick),
    'puntada.tick.w.0000000000001001.x': '{"id":"x"',
    [`puntada.entry.v.0000000000001000.${b}`]: JSON.stringify(entry),
    'puntada.entry.v.0000000000000001.torn': '{"kind":"pa',
    'puntada.clock.w': '1700',
    'something else': 'not ours',
  });

  it('is read with the work it belongs to; what is damaged stays where it is', () => {
    expect(leftByEarlier(storage)).toEqual({
      waiting: [
        { id: a, workId: 'w', kind: 'tick', tick },
        { id: b, workId: 'v', kind: 'entry', entry: { format: 'puntada-entry', version: 5, ...entry } },
      ],
      keys: [`puntada.tick.w.0000000000001000.${a}`, `puntada.entry.v.0000000000001000.${b}`],
    });
  });

  it('goes on at the time it had given last', () => {
    expect([...placesOfEarlier(storage)]).toEqual([['w', 1700]]);
  });
});
