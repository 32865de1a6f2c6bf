import { nameOf, outlived, type Reason, readName } from './names.ts';

const at = (day: string, reason: Reason) => {
  const name = nameOf(new Date(`${day}T10:00:00.000Z`), reason);
  return readName(name) ?? { name, reason, madeAt: new Date(0) };
};

describe('the names of copies', () => {
  it('say when and why, and are read back; what is no copy is none', () => {
    expect(at('2026-11-29', 'before-restore')).toEqual({
      name: 'puntada-2026-11-29T10-00-00.000Z-before-restore.zip',
      reason: 'before-restore',
      madeAt: new Date('2026-11-29T10:00:00.000Z'),
    });
    const none = ['puntada-2026-11-29T10-00-00.000Z-day.zip.part', '../x', 'puntada-2026-13-45T99-00-00.000Z-day.zip'];
    for (const name of [...none, 'puntada-2026-11-29T10-00-00.000Z-song.zip']) expect(readName(name)).toBeUndefined();
  });
});

describe('how long copies stay', () => {
  const now = new Date('2026-11-29T12:00:00.000Z');

  it('the seven newest of the daily ones, and the newest of each month for a year', () => {
    // One a day from 1 October 2025 on: 425 days.
    const daily = Array.from({ length: 425 }, (_, i) =>
      at(new Date(Date.UTC(2025, 9, 1 + i)).toISOString().slice(0, 10), 'day'),
    );
    const gone = new Set(outlived(daily, now).map(({ name }) => name));
    const stay = daily.filter(({ name }) => !gone.has(name)).map(({ madeAt }) => madeAt.toISOString().slice(0, 10));
    // The year before goes back to December; of November the newest is among the seven.
    const months = ['2025-12-31', '2026-01-31', '2026-02-28', '2026-03-31', '2026-04-30', '2026-05-31', '2026-06-30'];
    const later = ['2026-07-31', '2026-08-31', '2026-09-30', '2026-10-31'];
    const week = ['2026-11-23', '2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27', '2026-11-28', '2026-11-29'];
    expect(stay).toEqual([...months, ...later, ...week]);
  });

  it('those before something was replaced for 30 days, and the three newest that were asked for', () => {
    const copies = [
      at('2026-10-29', 'before-restore'),
      at('2026-10-31', 'before-restore'),
      at('2026-10-31', 'before-import'),
      ...['2026-01-01', '2026-01-02', '2026-01-03', '2026-01-04'].map((day) => at(day, 'asked')),
    ];
    expect(outlived(copies, now).map(({ name }) => name)).toEqual([
      'puntada-2026-10-29T10-00-00.000Z-before-restore.zip',
      'puntada-2026-01-01T10-00-00.000Z-asked.zip',
    ]);
  });
});
