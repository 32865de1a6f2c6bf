import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { startingWords } from '@puntada/core/words';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { lookApart } from './archive/apart.ts';
import { emptyBin } from './bin/queries.ts';
import { Copies } from './copies/copies.ts';
import { openDatabase, openShared } from './db/open.ts';
import { count, isUncounted, tidy } from './db/tidy.ts';
import { inThisThread, inThreads } from './heavy/heavy.ts';
import { withoutText } from './http/withoutText.ts';
import { reckoningFrom } from './schedule/reckoning.ts';
import { inOwnThread } from './schedule/thread.ts';

const folder = resolve(process.env.PUNTADA_DATA ?? '.data/own');
const port = Number(process.env.PUNTADA_PORT ?? 4310);
const pages = process.env.PUNTADA_PAGES;
const log = pino({ level: process.env.PUNTADA_LOG ?? 'warn' });

function stop(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

const shared = process.env.PUNTADA_DATABASE;
const database = await (shared ? openShared(shared) : openDatabase(folder)).catch((error: unknown) => {
  stop(error instanceof Error ? error.message : String(error));
});

await emptyBin(database);
const tasks = new URL('./tasks.mjs', import.meta.url);
const heavy = existsSync(tasks) ? inThreads(tasks) : inThisThread;
const thread = new URL('./reckoning.mjs', import.meta.url);
const reckoner = existsSync(thread) ? inOwnThread(thread) : undefined;
const reckoning = reckoner?.from(database) ?? reckoningFrom(database);
const looking = new URL('./look.mjs', import.meta.url);
const apart = existsSync(looking) ? lookApart(looking) : undefined;
const copies = new Copies(database, join(folder, 'copies'), () => new Date(), apart);
/** The copy of the day: soon after the start, and once the day has changed. */
const copyOfDay = async () => {
  // Once a day, too, the database is tidied.
  if (await copies.makeOfDay()) await tidy(database);
};
const daily = () => void copyOfDay().catch((error: unknown) => log.error({ err: withoutText(error) }, 'day-copy'));
// Beside the files as the older version left them: a copy that is put back from a page.
if ('takenOver' in database && database.takenOver) {
  await copies
    .makeBefore('before-migration')
    .catch((error: unknown) => log.error({ err: withoutText(error) }, 'migration-copy'));
}
const lookAtPhotos = () =>
  void copies.lookAtPhotos().catch((error: unknown) => log.error({ err: withoutText(error) }, 'photos'));
setTimeout(lookAtPhotos, 10_000).unref();
setTimeout(daily, 60_000).unref();
// A bench of an earlier version was never counted.
const countOnce = async () => {
  if (await isUncounted(database)) await count(database);
};
setTimeout(
  () => void countOnce().catch((error: unknown) => log.error({ err: withoutText(error) }, 'count')),
  3000,
).unref();
setInterval(daily, 30 * 60_000).unref();
const server = createApp({
  db: database,
  log,
  pages,
  heavy,
  reckoning,
  copies,
  incoming: join(folder, 'incoming'),
}).listen(port, '127.0.0.1', (error?: Error) => {
  if (error) {
    const busy = (error as NodeJS.ErrnoException).code === 'EADDRINUSE';
    stop(busy ? startingWords.portTaken(port) : error.message);
  }
  const address = server.address();
  const at = typeof address === 'object' && address ? address.port : port;
  process.stdout.write(`${startingWords.ready(`http://127.0.0.1:${at}`)}\n`);
});

async function close(): Promise<void> {
  server.closeAllConnections();
  server.close();
  await heavy.close();
  await reckoner?.close();
  apart?.close();
  await database.close();
  process.exit(0);
}
process.on('SIGINT', close);
process.on('SIGTERM', close);
