import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { createApp } from '../src/app.ts';
import { look } from '../src/archive/look.ts';
import { Copies } from '../src/copies/copies.ts';
import type { Database } from '../src/db/database.ts';
import { openDatabase } from '../src/db/open.ts';
import { inThisThread } from '../src/heavy/heavy.ts';
import { reckoningFrom } from '../src/schedule/reckoning.ts';
import { freshFolder } from './freshFolder.ts';

/** What the server answered. */
export interface Answer {
  readonly status: number;
  // biome-ignore lint/suspicious/noExplicitAny: the tests read whatever was answered
  readonly body: any;
}

/** A whole server on a folder of its own, for the tests to ask. */
export interface Listening {
  readonly folder: string;
  readonly port: number;
  readonly database: Database;
  ask(method: string, path: string, body?: unknown, headers?: Record<string, string>): Promise<Answer>;
  /** Ends it and removes its folder. */
  close(): Promise<void>;
}

/**
 * Starts a server with a real PGlite in a folder of its own. @param opened on this database instead
 * @param heavy what does the long work
 * @param through looks through what is put back
 */
export async function listen(opened?: Database, heavy = inThisThread, through = look): Promise<Listening> {
  const folder = opened ? undefined : await freshFolder();
  const own = folder ?? mkdtempSync(join(tmpdir(), 'puntada-copies-'));
  const database = opened ?? (await openDatabase(folder as string));
  const app = createApp({
    db: database,
    log: pino({ level: 'silent' }),
    heavy,
    reckoning: reckoningFrom(database),
    copies: new Copies(database, join(own, 'copies'), () => new Date(), through),
    incoming: join(own, 'incoming'),
  });
  const server = await new Promise<Server>((done) => {
    const listening = app.listen(0, '127.0.0.1', () => done(listening));
  });
  const { port } = server.address() as AddressInfo;
  return {
    folder: folder ?? '',
    port,
    database,
    async ask(method, path, body, headers = {}) {
      const text = typeof body === 'string' ? body : JSON.stringify(body);
      const response = await fetch(`http://127.0.0.1:${port}/api${path}`, {
        method,
        headers: { 'content-type': 'application/json', ...headers },
        ...(body === undefined ? {} : { body: text }),
      });
      return { status: response.status, body: await response.json() };
    },
    async close() {
      const closed = new Promise((done) => server.close(done));
      server.closeAllConnections();
      await closed;
      await database.close();
      rmSync(own, { recursive: true, force: true });
    },
  };
}
