import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, rename, rm } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { type ArchiveHead, archiveFiles } from '@puntada/core/records';
import { ZipFile } from 'yazl';
import type { Database } from '../db/database.ts';
import { breathing } from '../http/breathing.ts';
import { photoOf, type Size } from '../photos/queries.ts';
import { linesOfBench, photosOf, settledWork } from './lines.ts';
import { openArchive } from './read.ts';
import type { Watch } from './watch.ts';

interface Listed {
  readonly name: string;
  readonly bytes: number;
  readonly sha256: string;
}

/** Passes bytes on, and tells what they were once they are through. */
function counted(name: string, told: (listed: Listed) => void): Transform {
  const hash = createHash('sha256');
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk);
      bytes += chunk.length;
      done(null, chunk);
    },
    flush(done) {
      told({ name, bytes, sha256: hash.digest('hex') });
      done();
    },
  });
}

async function* asText(lines: AsyncIterable<unknown>, signal: AbortSignal | undefined): AsyncGenerator<string> {
  const breathe = breathing();
  for await (const line of lines) {
    signal?.throwIfAborted();
    yield `${JSON.stringify(line)}\n`;
    await breathe();
  }
}

/** The ids of the photos that records tell of. */
async function toldIn(records: string): Promise<Set<string>> {
  const told = new Set<string>();
  for await (const line of createInterface({ input: createReadStream(records) })) {
    if (!line.startsWith('{"kind":"entry"')) continue;
    const { id, entry } = JSON.parse(line) as { id: string; entry?: { kind?: unknown } };
    if (entry?.kind === 'photo') told.add(id);
  }
  return told;
}

/** A picture on its way into an archive. */
interface Picture {
  readonly work: string;
  readonly entry: string;
  readonly size: Size;
  read(): Promise<Buffer | undefined>;
}

/** What becomes an archive. */
interface Packed {
  readonly head: ArchiveHead;
  readonly lines: AsyncIterable<unknown>;
  /** Asked once the lines are written. @param told the ids of the photos that they tell of */
  pictures(told: ReadonlySet<string>): Promise<readonly Picture[]>;
}

/**
 * Writes a bench or one project into a file, never whole in memory, and reads it back before it counts as made. Each
 * project is of one plan; photos are never changed, so that they may be read afterwards while others use the bench.
 * @param only the id of the one project @throws what went wrong, or the reason of the signal; nothing is left of it then
 */
export function writeArchive(
  db: Database,
  path: string,
  head: ArchiveHead,
  only?: string,
  watch: Watch = {},
): Promise<void> {
  const picture = (work: string, entry: string, size: Size): Picture => ({
    ...{ work, entry, size },
    read: () => photoOf(db, work, entry, size),
  });
  const packed: Packed = {
    head,
    lines: only ? settledWork(db, only) : linesOfBench(db),
    async pictures(told) {
      // A photo taken meanwhile, of which the records tell nothing, is left for the next copy.
      const photos = (await photosOf(db, only)).filter(({ entry }) => told.has(entry));
      return photos.flatMap(({ work, entry, small }) => [
        picture(work, entry, 'image'),
        ...(small ? [picture(work, entry, 'small')] : []),
      ]);
    },
  };
  return pack(path, packed, watch);
}

/** Writes what is given into a file, as {@link writeArchive} does. */
export async function pack(
  path: string,
  { head, lines, pictures }: Packed,
  { progress, signal }: Watch = {},
): Promise<void> {
  const [records, part] = [`${path}.records`, `${path}.part`];
  try {
    await pipeline(Readable.from(asText(lines, signal)), createWriteStream(records, { mode: 0o600 }));
    const photos = await pictures(await toldIn(records));
    await pipeline(zipped(), createWriteStream(part, { mode: 0o600 }), { ...(signal ? { signal } : {}) });
    await onDisk(part);
    const archive = await openArchive(part, { signal });
    await archive.close();
    await rename(part, path);

    function zipped(): NodeJS.ReadableStream {
      const zip = new ZipFile();
      const listed: Listed[] = [];
      const add = (name: string, made: () => Promise<Readable>, compress = true) =>
        zip.addReadStreamLazy(name, { compress }, (done) => {
          made().then(
            (stream) => {
              const through = counted(name, (each) => listed.push(each));
              stream.on('error', (error) => through.destroy(error));
              done(null, stream.pipe(through));
            },
            (error: unknown) => done(error, undefined as never),
          );
        });
      add(archiveFiles.head, async () => Readable.from([JSON.stringify(head)]));
      add(archiveFiles.records, async () => createReadStream(records));
      photos.forEach(({ work, entry, size, read }, i) => {
        const name = size === 'small' ? archiveFiles.smallPhoto(work, entry) : archiveFiles.photo(work, entry);
        const picture = async () => {
          progress?.(i, photos.length);
          return Readable.from([(await read()) ?? Buffer.alloc(0)]);
        };
        add(name, picture, false);
      });
      zip.addReadStreamLazy(archiveFiles.contents, { compress: true }, (done) => {
        const seal = createHash('sha256').update(JSON.stringify(listed)).digest('hex');
        done(null, Readable.from([JSON.stringify({ files: listed, seal })]));
      });
      zip.end();
      return zip.outputStream;
    }
  } finally {
    await rm(records, { force: true });
    await rm(part, { force: true });
  }
}

/** Makes sure that a file is on the disk, not on its way there. */
async function onDisk(path: string): Promise<void> {
  const file = await open(path, 'r+');
  await file.sync();
  await file.close();
}
