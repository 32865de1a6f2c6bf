import { must } from '@puntada/core/craft';
import { freeze, planWish } from '@puntada/core/plan';
import { type ArchiveLine, type Wish, wishSchema } from '@puntada/core/records';
import type { Kept } from '../server/src/archive/read.ts';
import { plainYarns } from './plainYarns.ts';

/** Numbers from a seed, always the same. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

/** How much there is on a bench. */
export interface Size {
  readonly works: number;
  readonly steps: number;
  /** Of the one that is worked at most. */
  readonly most: number;
  readonly photos: number;
  readonly yarns: number;
}

export const beginner: Size = { works: 20, steps: 60, most: 60, photos: 10, yarns: 40 };
export const old: Size = { works: 200, steps: 300, most: 100_000, photos: 500, yarns: 2000 };

/** The n-th id of a kind. */
export function idOf(kind: number, n: number): string {
  return `${String(kind).padStart(8, '0')}-0000-4000-8000-${String(n).padStart(12, '0')}`;
}

function wishOf(n: number): Wish {
  return wishSchema.parse({
    title: `Cloth ${n}`,
    item: 'dishcloth',
    width: { by: 'stitches', count: 36 + 8 * (n % 3) },
    height: { by: 'rows', count: 44 },
    pattern: { key: 'block-check' },
    gauge: { from: 'counted', stitches: { count: 16, over: '10 cm' }, rows: { count: 18, over: '10 cm' } },
    yarns: plainYarns(['A', 'B']),
  });
}

const day = 86_400_000;
/** The day on which all of it is. */
export const now = Date.UTC(2026, 10, 29);

/** Steps up and down through 40 rows, a minute or so each, thirty in an evening. */
function stepsOf(work: number, count: number, random: () => number) {
  const evenings = Math.ceil(count / 30);
  return Array.from({ length: count }, (_, n) => {
    const evening = now - (evenings - Math.floor(n / 30)) * day;
    const [row, up] = [n % 80, n % 80 < 40];
    const [from, to] = up ? [row, row + 1] : [80 - row, 79 - row];
    return {
      id: idOf(work + 1, n + 1),
      at: Math.round(evening + (n % 30) * 60_000 + random() * 20_000),
      place: n + 1,
      from: { rows: from, runs: 0 },
      to: { rows: to, runs: 0 },
    };
  });
}

/** A bench as it stands in a file. */
export function benchOf(size: Size): Kept {
  const random = seeded(7);
  const plans = [0, 1, 2].map((n) => {
    const wish = wishOf(n);
    const plan = must(planWish(wish));
    return { wish: { ...wish, choice: { stitches: plan.piece.stitches, rows: plan.piece.rows } }, begun: freeze(plan) };
  });
  const when = new Date(now).toISOString();
  const head = { revision: 2, archived: false, deletedAt: null, notice: null, createdAt: when, changedAt: when };
  const picture = Buffer.alloc(90_000, 0x41);
  picture.writeUInt16BE(0xffd8, 0);
  async function* lines(): AsyncGenerator<ArchiveLine> {
    for (let n = 0; n < size.works; n++) {
      const plan = plans[n % 3] as (typeof plans)[number];
      const due = n % 10 ? null : '2027-03-01';
      // Every tenth is only planned.
      if (n % 10 === 9) {
        const { choice: _choice, ...wish } = plan.wish;
        const wished = { ...head, id: idOf(9, n), state: 'wished' as const, due: null, begun: null, unread: false };
        yield { kind: 'work', ...wished, wish: { ...wish, title: `Cloth ${n}` } };
        continue;
      }
      const work = { ...head, id: idOf(9, n), state: 'begun' as const, due };
      yield { kind: 'work', ...work, wish: { ...plan.wish, title: `Cloth ${n}` }, begun: plan.begun, unread: false };
      const steps = stepsOf(n, n === 0 ? size.most : size.steps, random);
      for (let i = 0; i < steps.length; i += 500) yield { kind: 'ticks', ticks: steps.slice(i, i + 500) };
      const photos = n === 0 ? Math.min(56, size.photos) : Math.ceil((size.photos - 56) / (size.works - 1));
      for (let i = 0; i < photos; i++) {
        const id = idOf(500 + n, i);
        const entry = { format: 'puntada-entry', version: 3, kind: 'photo', id, at: now - i, row: 3 };
        yield { kind: 'entry', id, at: now - i, entry, deletedAt: null, unread: false };
      }
    }
    for (let n = 0; n < size.yarns; n++) {
      const yarn = {
        line: `Line ${n % 40}`,
        name: `Shade ${n}`,
        shade: '#24476b',
        weight: 4,
        fibre: 'cotton',
        balls: 2,
      };
      yield { kind: 'yarn', id: idOf(8, n), revision: 1, yarn, deletedAt: null, unread: false };
    }
  }
  return {
    head: { format: 'puntada-archive', version: 2, holds: 'bench', madeAt: when, stands: '', hanging: [] },
    lines,
    photo: async (_work, _entry, of) => (of === 'image' ? picture : undefined),
    close: async () => undefined,
  };
}
