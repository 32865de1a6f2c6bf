import { restKinds } from '@puntada/core';
import { restName } from './onwardWords.ts';

describe('what a way for the rest is called', () => {
  it('is unlike every other', () => {
    for (const closing of [true, false]) {
      const names = restKinds.map((kind) => restName(kind, closing));
      expect(new Set(names).size).toBe(restKinds.length);
    }
  });

  it('says of the closing row what would become of it', () => {
    expect(restName('closing', true)).toBe('Leave the closing row off');
    expect(restName('closing', false)).toBe('A closing row of sc more');
  });
});
