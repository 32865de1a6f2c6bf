import { createHash } from 'node:crypto';
import type { Readable } from 'node:stream';
import { promisify } from 'node:util';
import {
  type ArchiveHead,
  type ArchiveLine,
  anyVersion,
  archiveContentsSchema,
  archiveFiles,
  archiveLineSchema,
  archiveRecord,
  readJson,
} from '@puntada/core/records';
import { type Entry, open, type ZipFile } from 'yauzl';
import type { z } from 'zod';
import { Refusal } from '../http/answers.ts';
import type { Size } from '../photos/queries.ts';
import type { Watch } from './watch.ts';

/** What a file holds, read piece by piece. */
export interface Kept {
  readonly head: ArchiveHead;
  /** Bytes, names and seals are those of the table of contents already; what the lines say is not looked at yet. */
  lines(): AsyncIterable<ArchiveLine>;
  photo(work: string, entry: string, size: Size): Promise<Buffer | undefined>;
  close(): Promise<void>;
}

/** Bytes of each kind of file, at most. */
const most = { head: 500_000, contents: 64_000_000, records: 2_000_000_000, photo: 200_000, line: 32_000_000 };
const mostFiles = 400_000;

export function damaged(facts: object): Refusal {
  return new Refusal(422, [{ code: 'backup-damaged', path: 'contents', facts: { ...facts } }]);
}

function mostOf(name: string): number {
  if (name === archiveFiles.head) return most.head;
  if (name === archiveFiles.contents) return most.contents;
  return name === archiveFiles.records ? most.records : most.photo;
}

const known = /^(puntada\.json|records\.jsonl|contents\.json|photos\/[0-9a-f-]{36}\/[0-9a-f-]{36}(\.small)?\.jpg)$/;

/** The files of a zip by their names, as its directory lists them. */
function directory(zip: ZipFile): Promise<Map<string, Entry>> {
  return new Promise((done, fail) => {
    const found = new Map<string, Entry>();
    zip.on('entry', (entry: Entry) => {
      const name = entry.fileName;
      const bad = !known.test(name) || found.has(name) || entry.uncompressedSize > mostOf(name);
      if (bad || found.size >= mostFiles) {
        fail(damaged({ why: 'file', at: name.slice(0, 80) }));
        return;
      }
      found.set(name, entry);
      zip.readEntry();
    });
    zip.on('end', () => done(found));
    zip.on('error', fail);
    zip.readEntry();
  });
}

async function whole(stream: Readable): Promise<Buffer> {
  const chunks: Buffer[] = [];
  for await (const chunk of stream) chunks.push(chunk as Buffer);
  return Buffer.concat(chunks);
}

async function* linesIn(stream: Readable): AsyncGenerator<string> {
  let rest: Buffer = Buffer.alloc(0);
  for await (const chunk of stream) {
    rest = rest.length ? Buffer.concat([rest, chunk as Buffer]) : (chunk as Buffer);
    for (let end = rest.indexOf(10); end >= 0; end = rest.indexOf(10)) {
      yield rest.subarray(0, end).toString();
      rest = rest.subarray(end + 1);
    }
    if (rest.length > most.line) throw damaged({ why: 'file', at: archiveFiles.records });
  }
  if (rest.length) yield rest.toString();
}

function shaped<S extends z.ZodType>(schema: S, text: string, at: string): z.output<S> {
  const read = readJson(schema, text);
  if (read.ok) return read.value;
  const [first] = read.problems;
  if (first?.code === 'record-newer') throw new Refusal(422, [first]);
  throw damaged({ ...first?.facts, why: first?.code, at: `${at}${first?.path ? `, ${first.path}` : ''}` });
}

/**
 * Opens an archive and compares every file in it with its table of contents.
 * @param known the seal of what was found whole already: then only that it is still the same table
 * @throws Refusal 422 where it is none, was cut short or changed
 */
export async function openArchive(
  path: string,
  { signal, progress }: Watch = {},
  known?: string,
): Promise<Kept & { readonly seal: string }> {
  const zip = await (promisify(open) as (path: string, options: object) => Promise<ZipFile>)(path, {
    lazyEntries: true,
    autoClose: false,
  }).catch(() => {
    throw damaged({ why: 'zip' });
  });
  try {
    const files = await directory(zip);
    const stream = async (name: string): Promise<Readable> => {
      const entry = files.get(name);
      if (!entry) throw damaged({ why: 'missing', at: name });
      return (promisify(zip.openReadStream) as (entry: Entry) => Promise<Readable>).call(zip, entry);
    };
    const text = async (name: string) => (await whole(await stream(name))).toString();
    const head = shaped(anyVersion(archiveRecord), await text(archiveFiles.head), archiveFiles.head);
    const contents = shaped(archiveContentsSchema, await text(archiveFiles.contents), archiveFiles.contents);
    const seal = createHash('sha256').update(JSON.stringify(contents.files)).digest('hex');
    if (seal !== contents.seal || (known && seal !== known)) throw damaged({ why: 'seal' });
    if (contents.files.length !== files.size - 1) throw damaged({ why: 'missing', at: archiveFiles.contents });
    for (const [i, { name, bytes, sha256 }] of (known ? [] : contents.files).entries()) {
      signal?.throwIfAborted();
      progress?.(i, contents.files.length);
      const hash = createHash('sha256');
      let length = 0;
      for await (const chunk of await stream(name)) {
        hash.update(chunk as Buffer);
        length += (chunk as Buffer).length;
      }
      if (length !== bytes || hash.digest('hex') !== sha256) throw damaged({ why: 'seal' });
    }
    return {
      head,
      seal,
      async *lines() {
        let number = 0;
        for await (const line of linesIn(await stream(archiveFiles.records))) {
          yield shaped(archiveLineSchema, line, `${archiveFiles.records}, line ${++number}`);
        }
      },
      async photo(work, entry, size) {
        const name = size === 'small' ? archiveFiles.smallPhoto(work, entry) : archiveFiles.photo(work, entry);
        return files.has(name) ? whole(await stream(name)) : undefined;
      },
      close: async () => zip.close(),
    };
  } catch (error) {
    zip.close();
    if (error instanceof Refusal || signal?.aborted) throw error;
    // Whatever the reader of zips says: the file is not what it was.
    throw damaged({ why: 'zip' });
  }
}
