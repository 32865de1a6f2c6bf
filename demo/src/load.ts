import { randomUUID } from 'node:crypto';
import { type DemoWork, scenario } from './scenario.ts';

/** Lays out the demo through the public API, as a maker would: wish, begin, work. */
async function ask<T>(base: string, path: string, body: unknown): Promise<T> {
  const response = await fetch(`${base}/api${path}`, {
    method: 'POST',
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
}

async function layOut(base: string, { wish, rowsWorked, runsWorked = 0 }: DemoWork): Promise<void> {
  const work = await ask<Work>(base, '/works', { wish });
  if (rowsWorked === undefined) return;
  await ask(base, `/works/${work.id}/begin`, { revision: work.revision, wish: work.wish });
  const now = Date.now();
  const rowTime = 4 * 60_000;
  const rows = Array.from({ length: rowsWorked }, (_, row) => ({
    id: randomUUID(),
    at: now - (rowsWorked - row + 1) * rowTime,
    from: { rows: row, runs: 0 },
    to: { rows: row + 1, runs: 0 },
  }));
  const runs = Array.from({ length: runsWorked }, (_, run) => ({
    id: randomUUID(),
    at: now - (runsWorked - run) * 20_000,
    from: { rows: rowsWorked, runs: run },
    to: { rows: rowsWorked, runs: run + 1 },
  }));
  await ask(base, `/works/${work.id}/ticks`, { ticks: [...rows, ...runs] });
}

const [base = ''] = process.argv.slice(2);
for (const work of scenario) await layOut(base, work);
