import { randomUUID } from 'node:crypto';
import { mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { open } from 'node:fs/promises';
import { join } from 'node:path';
import { z } from 'zod';
import { Refusal } from '../http/answers.ts';

/** A file may be so large, bytes. */
export const mostBytes = 20_000_000_000;
const old = 2 * 86_400_000;

const id = z.uuid();

/** Files on their way in, piece by piece; one that was broken off goes on where it stood. */
export class Incoming {
  private readonly folder: string;

  constructor(folder: string) {
    this.folder = folder;
    mkdirSync(folder, { recursive: true, mode: 0o700 });
  }

  /** Room for a file; what others have left lying for two days is cleared away. */
  async begin(): Promise<string> {
    for (const name of readdirSync(this.folder)) {
      const path = join(this.folder, name);
      if (Date.now() - statSync(path).mtimeMs > old) rmSync(path, { force: true });
    }
    const own = randomUUID();
    await (await open(join(this.folder, own), 'wx', 0o600)).close();
    return own;
  }

  /** @throws Refusal 404 where there is no such file */
  pathOf(name: string): string {
    const path = join(this.folder, id.safeParse(name).success ? name : 'none');
    if (!statSync(path, { throwIfNoEntry: false })?.isFile()) {
      throw new Refusal(404, [{ code: 'not-found', path: 'id', facts: { what: 'file' } }]);
    }
    return path;
  }

  at(name: string): number {
    return statSync(this.pathOf(name)).size;
  }

  /** Adds a piece where the file ends. @returns where it ends now @throws Refusal 409 where it ends elsewhere */
  async add(name: string, at: number, piece: Buffer): Promise<number> {
    const path = this.pathOf(name);
    const ends = statSync(path).size;
    if (ends !== at) throw new Refusal(409, [{ code: 'stale', path: 'at', facts: { what: 'file' } }], { at: ends });
    if (ends + piece.length > mostBytes) throw new Refusal(413, [{ code: 'too-large', path: '' }]);
    const file = await open(path, 'a');
    await file.write(piece);
    await file.close();
    return ends + piece.length;
  }

  remove(name: string): void {
    rmSync(this.pathOf(name), { force: true });
  }
}
