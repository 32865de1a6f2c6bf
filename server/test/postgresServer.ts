import { execFileSync, type SpawnOptions, spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The folder of the newest PostgreSQL on this machine, or nothing where there is none. */
function programs(): string | undefined {
  const versions = existsSync('/usr/lib/postgresql') ? readdirSync('/usr/lib/postgresql') : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  const folder = newest ? `/usr/lib/postgresql/${newest}/bin` : undefined;
  return folder && existsSync(join(folder, 'initdb')) ? folder : undefined;
}

/** Whether this machine has a PostgreSQL server to try against. */
export const hasPostgres = programs() !== undefined;

/** PostgreSQL refuses to run as root; then another user of the machine runs it. */
function user(): Pick<SpawnOptions, 'uid' | 'gid'> {
  if (process.getuid?.() !== 0) return {};
  const id = (flag: string) => Number(execFileSync('id', [flag, 'nobody'], { encoding: 'utf8' }));
  return { uid: id('-u'), gid: id('-g') };
}

export interface PostgresServer {
  readonly address: string;
  stop(): Promise<void>;
}

/** Starts a PostgreSQL server of a test's own, reached only through a socket in a new folder. */
export async function startPostgres(): Promise<PostgresServer> {
  const bin = programs();
  if (!bin) throw new Error('There is no PostgreSQL on this machine.');
  const folder = mkdtempSync(join(tmpdir(), 'puntada-postgres-'));
  const as = user();
  if (as.uid !== undefined && as.gid !== undefined) chownSync(folder, as.uid, as.gid);
  const data = join(folder, 'data');
  execFileSync(join(bin, 'initdb'), ['-D', data, '-U', 'puntada', '-A', 'trust', '-N', '-E', 'UTF8'], {
    ...as,
    cwd: folder,
    stdio: 'ignore',
  });
  const server = spawn(join(bin, 'postgres'), ['-D', data, '-k', folder, '-c', 'listen_addresses=', '-F'], {
    ...as,
    cwd: folder,
    stdio: 'ignore',
  });
  const ended = new Promise<void>((done) => server.once('exit', () => done()));
  const ready = () => spawnSync(join(bin, 'pg_isready'), ['-q', '-h', folder], { cwd: folder }).status === 0;
  for (let tries = 0; tries < 300 && !ready(); tries++) await new Promise((done) => setTimeout(done, 50));
  return {
    address: `postgres://puntada@/postgres?host=${encodeURIComponent(folder)}`,
    async stop() {
      server.kill('SIGINT');
      await ended;
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
