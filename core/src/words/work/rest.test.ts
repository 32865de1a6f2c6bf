import { restKinds } from '../../records/restKind.ts';
import { restName } from './rest.ts';

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

  it('says which colours change places', () => {
    expect(restName('swapped', false, 'any', ['B', 'D'])).toBe('Swap B and D from here on');
  });

  it('says of the closing row what would become of it', () => {
    expect(restName('closing', true, 'whole')).toBe('Leave out the closing row');
    expect(restName('closing', false, 'whole')).toBe('Add a closing row of {sc}');
  });
});
