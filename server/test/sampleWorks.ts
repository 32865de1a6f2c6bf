import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { Position, Tick } from '@puntada/core/work';
import type { Listening } from './listening.ts';

/** The galley cloth of the documents, for the tests: 36 stitches and 44 rows. */
export const galleyCloth = JSON.parse(
  readFileSync(new URL('../../docs/examples/galley-cloth.json', import.meta.url), 'utf8'),
);

/** Before anything is worked. */
export const start: Position = { rows: 0, runs: 0 };

/** After the chain and so many rows of the first cloth. */
export const at = (rows: number, runs = 0): Position => ({ rows: 1 + rows, runs });

export const tick = (from: Position, to: Position, time: number): Tick => ({ id: randomUUID(), at: time, from, to });

/** A cloth begun, and worked so far. @returns its id */
export async function begunCloth(server: Listening, rows = 0, change: object = {}): Promise<string> {
  const { body: made } = await server.ask('POST', '/works', { wish: { ...galleyCloth, ...change } });
  await server.ask('POST', `/works/${made.id}/begin`, { revision: 1, wish: made.wish });
  if (rows) await server.ask('POST', `/works/${made.id}/ticks`, { ticks: [tick(start, at(rows), 5)] });
  return made.id;
}
