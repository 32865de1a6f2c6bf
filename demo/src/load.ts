import { randomUUID } from 'node:crypto';
import type { DrawerYarn, Swatch } from '@puntada/core/records';
import { entryLabel } from '@puntada/core/records';
import { dayAfter, swatchGauge } from '@puntada/core/work';
import { ownPatterns } from './patterns.ts';
import { type DemoWork, scenario } from './scenario.ts';
import { drawer, halfTyped, swatches } from './shelves.ts';

/** Lays out the demo through the public API, as a maker would: drawer, swatches, wish, begin, work. */
async function ask<T>(base: string, path: string, body: unknown, method = 'POST'): Promise<T> {
  const response = await fetch(`${base}/api${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  });
  const answer = await response.json();
  if (!response.ok) throw new Error(`${path}: ${JSON.stringify(answer)}`);
  return answer as T;
}

interface Work {
  readonly id: string;
  readonly revision: number;
  readonly wish: unknown;
  /** Its chain is a step before its first row. */
  readonly fromChain?: boolean;
}

interface StoredYarn {
  readonly id: string;
  readonly yarn: DrawerYarn;
}

interface StoredSwatch {
  readonly id: string;
  readonly swatch: Swatch;
}

interface Shelves {
  readonly yarns: readonly StoredYarn[];
  readonly swatches: readonly StoredSwatch[];
}

async function fillShelves(base: string): Promise<Shelves> {
  const yarns: StoredYarn[] = [];
  for (const yarn of drawer) yarns.push(await ask<StoredYarn>(base, '/drawer', { yarn }));
  const made: StoredSwatch[] = [];
  // The last one put in stands first in the book.
  for (const { yarns: names, ...swatch } of swatches.toReversed()) {
    const own = names.map((name, i) => {
      const { id, yarn } = found(yarns, name);
      const { shade, weight, fibre, ballMetres, ballGrams } = yarn;
      return { letter: 'ABCDEFGH'[i], name, shade, weight, fibre, ballMetres, ballGrams, drawer: id };
    });
    made.push(await ask<StoredSwatch>(base, '/swatches', { swatch: { ...swatch, yarns: own } }));
  }
  for (const each of ownPatterns(randomUUID)) await ask(base, '/patterns', each);
  await ask(base, `/drafts/${randomUUID()}`, halfTyped, 'PUT');
  return { yarns, swatches: made };
}

function found(yarns: readonly StoredYarn[], name: string): StoredYarn {
  const yarn = yarns.find((each) => each.yarn.name === name);
  if (!yarn) throw new Error(`no ${name} lies in the drawer`);
  return yarn;
}

/** The wish with its yarns out of the drawer and the gauge of its swatch, where it has them. */
function withShelves({ wish, swatch: title, fromDrawer }: DemoWork, shelves: Shelves): unknown {
  const yarns = fromDrawer
    ? wish.yarns.map((yarn) => ({ ...yarn, drawer: found(shelves.yarns, yarn.name).id }))
    : wish.yarns;
  const stored = shelves.swatches.find((each) => each.swatch.title === title);
  if (title && !stored) throw new Error(`no swatch ${title}`);
  if (!stored) return { ...wish, yarns };
  return { ...wish, yarns, gauge: swatchGauge(stored.id, stored.swatch), hook: stored.swatch.hook };
}

/** Ticks that the server takes at a time. */
const most = 400;

/** What was logged, told by rows. @param before steps before the first row */
async function keepLog(base: string, id: string, { log = [] }: DemoWork, before = 0): Promise<void> {
  for (const [i, entry] of log.entries()) {
    const at = Date.now() - (log.length - i) * 60_000;
    const { row, position } = entry;
    const placed = {
      ...(row === undefined ? {} : { row: before + row }),
      ...(position ? { position: { ...position, rows: before + position.rows } } : {}),
    };
    await ask(base, `/works/${id}/log`, { entry: { ...entryLabel, ...entry, ...placed, id: randomUUID(), at } });
  }
}

async function layOut(base: string, demo: DemoWork, shelves: Shelves): Promise<void> {
  const { rowsWorked, runsWorked = 0, rowMinutes = 4, dueIn } = demo;
  const work = await ask<Work>(base, '/works', { wish: withShelves(demo, shelves) });
  if (dueIn !== undefined) {
    const due = dayAfter(new Date().toLocaleDateString('sv-SE'), dueIn);
    await ask(base, `/schedule/due/${work.id}`, { due }, 'PUT');
  }
  if (rowsWorked === undefined) {
    await keepLog(base, work.id, demo);
    return;
  }
  const { fromChain } = await ask<Work>(base, `/works/${work.id}/begin`, {
    revision: work.revision,
    wish: work.wish,
  });
  const before = fromChain ? 1 : 0;
  const now = Date.now();
  const rowTime = rowMinutes * 60_000;
  const evening = 22 * 3_600_000;
  const done = before + rowsWorked;
  const rows = Array.from({ length: done }, (_, row) => ({
    id: randomUUID(),
    // An evening ends after every tenth row.
    at: now - (done - row + 1) * rowTime - Math.floor((done - row) / 10) * evening,
    from: { rows: row, runs: 0 },
    to: { rows: row + 1, runs: 0 },
  }));
  const runs = Array.from({ length: runsWorked }, (_, run) => ({
    id: randomUUID(),
    at: now - (runsWorked - run) * 20_000,
    from: { rows: done, runs: run },
    to: { rows: done, runs: run + 1 },
  }));
  const ticks = [...rows, ...runs];
  for (let i = 0; i < ticks.length; i += most) {
    await ask(base, `/works/${work.id}/ticks`, { ticks: ticks.slice(i, i + most) });
  }
  await keepLog(base, work.id, demo, before);
  if (demo.finished) await ask(base, `/works/${work.id}/finish`, { revision: 2 });
}

const [base = ''] = process.argv.slice(2);
const shelves = await fillShelves(base);
for (const work of scenario) await layOut(base, work, shelves);
