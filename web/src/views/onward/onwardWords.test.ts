import { restKinds } from '@puntada/core/work';
import { restName } from './onwardWords.ts';

describe('what a way for the rest is called', () => {
  it('is unlike every other', () => {
    for (const closing of [true, false]) {
      const names = restKinds.flatMap((kind) =>
        (['any', 'whole', 'as-begun'] as const).map((ending) => restName(kind, closing, ending)),
      );
      // Only another ending is named by what it is.
      expect(new Set(names).size).toBe(restKinds.length + 2);
    }
  });

  it('says of the closing row what would become of it', () => {
    expect(restName('closing', true, 'whole')).toBe('Leave the closing row off');
    expect(restName('closing', false, 'whole')).toBe('A closing row of sc more');
  });
});
