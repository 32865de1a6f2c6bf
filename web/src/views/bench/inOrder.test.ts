import type { WorkSummary } from '@puntada/core/records';
import { has, inOrder } from './inOrder.ts';

const work = (title: string, more: Partial<WorkSummary> = {}) =>
  ({
    due: null,
    notice: null,
    wish: { title, yarns: [{ name: 'Foam' }, { name: 'Harbour night' }] },
    ...more,
  }) as WorkSummary;
const titles = (works: readonly WorkSummary[]) => works.map(({ wish }) => wish.title);

describe('projects on the bench', () => {
  const works = [
    work('Basin'),
    work('Anchor', { notice: 'The swatch was counted anew.' }),
    work('Dune', { due: '2026-12-24' }),
    work('Cove', { due: '2026-11-30' }),
    work('Ebb'),
  ];

  it('stand with what is due first, then what was changed from elsewhere, then the latest worked', () => {
    expect(titles(inOrder(works, 'need'))).toEqual(['Cove', 'Dune', 'Anchor', 'Basin', 'Ebb']);
    expect(titles(inOrder(works, 'latest'))).toEqual(['Basin', 'Anchor', 'Dune', 'Cove', 'Ebb']);
    expect(titles(inOrder(works, 'name'))).toEqual(['Anchor', 'Basin', 'Cove', 'Dune', 'Ebb']);
  });

  it('are found by name, by yarn and by what they are', () => {
    const [basin] = works as [WorkSummary];
    expect(['bAS', ' harbour ', 'blanket', 'cove'].map((text) => has(basin, text, 'blanket'))).toEqual([
      true,
      true,
      true,
      false,
    ]);
  });
});
