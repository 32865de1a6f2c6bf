import { freeze, planWish, standingAt, thaw, unknownPace } from '@puntada/core/plan';
import { readShape, wishSchema } from '@puntada/core/records';
import { ballsInOrder, costsOfProject, itemsAt, restPlans, sharedNow } from '@puntada/core/work';
import { middle } from './timing.ts';

/*
 * A set of 99 items of 400 rows beside one of 9: what is counted once when it is opened, and at every step. Ratios travel
 * from machine to machine; milliseconds do not. 99 is eleven times 9.
 */

function planned(pieces: number) {
  const wish = readShape(wishSchema, {
    title: 'Set',
    item: 'dishcloth',
    width: { by: 'stitches', count: 40 },
    height: { by: 'rows', count: 400 },
    pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
    gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
    ending: 'any',
    yarns: ['A', 'B'].map((letter) => ({ letter, name: letter, shade: '#888888', weight: 4, fibre: 'cotton' })),
    border: { rounds: 2 },
    pieces,
  });
  if (!wish.ok) throw new Error(JSON.stringify(wish.problems));
  const plan = planWish(wish.value);
  if (!plan.ok) throw new Error(JSON.stringify(plan.problems));
  const cloth = thaw(freeze(plan.value));
  if (!cloth.ok) throw new Error('no cloth');
  return { plan: plan.value, cloth: cloth.value, yarn: wish.value.yarns[0] };
}

function measured(pieces: number): Map<string, number> {
  const { plan, cloth, yarn } = planned(pieces);
  const times = new Map<string, number>();
  const timed = <T>(what: string, work: () => T): T => {
    const all: number[] = [];
    let found = work();
    for (let i = 0; i < 7; i++) {
      const started = performance.now();
      found = work();
      all.push(performance.now() - started);
    }
    times.set(what, middle(all));
    return found;
  };
  const costs = timed('opened: every row and step counted', () => costsOfProject(plan.prepared, cloth));
  const { sequence } = costs;
  const at = Math.floor(sequence.units.length / 2);
  timed('a step: where it stands', () => standingAt(sequence, at));
  timed('the items of the set', () => itemsAt(sequence, { rows: at, runs: 0 }));
  const metres = costs.metres[0] ?? [];
  timed('ball after ball', () => ballsInOrder([{ id: 'a', metres }], 85));
  if (yarn) {
    const need = { id: 'a', metres, now: { rows: at, runs: 0 }, weighings: [] };
    timed('whether the yarn lasts for all', () =>
      sharedNow({ ...yarn, balls: 90, ballGrams: 50, ballMetres: 85 }, { mean: 0, sd: 0.1 }, [need]),
    );
  }
  timed('the rest planned again from the cloth in the middle', () =>
    restPlans({
      ...{ wish: plan.prepared.wish, cloth, stands: { rows: at, runs: 0 } },
      ...{ weighings: [], measures: [], pace: unknownPace },
    }),
  );
  return times;
}

const [few, many] = [measured(9), measured(99)];
console.log('A set of 400 rows an item, ms                9 items 99 items    ratio');
for (const [what, ms] of few) {
  const other = many.get(what) ?? 0;
  console.log(
    `${what.padEnd(42)} ${ms.toFixed(2).padStart(8)} ${other.toFixed(2).padStart(8)} ${(other / ms).toFixed(1).padStart(8)}`,
  );
}
