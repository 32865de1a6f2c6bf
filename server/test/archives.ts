import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import type { ArchiveHead } from '@puntada/core/records';
import { ZipFile } from 'yazl';
import { openArchive } from '../src/archive/read.ts';
import { openKept } from '../src/archive/restore.ts';
import type { Job } from '../src/copies/jobs.ts';
import type { Listening } from './listening.ts';

// biome-ignore lint/suspicious/noExplicitAny: the tests read whatever is on a line
export type Line = any;

/** Waits for what goes on with copies. */
export async function ended(server: Listening, started: Job): Promise<Job> {
  for (;;) {
    const { body } = await server.ask('GET', `/copies/jobs/${started.id}`);
    if (body.state !== 'running') return body;
    await new Promise((done) => setTimeout(done, 10));
  }
}

/** Does something that takes a while, to its end. */
export async function job(server: Listening, path: string): Promise<Job> {
  const { status, body } = await server.ask('POST', path);
  return status === 202 ? ended(server, body) : { ...body, state: 'failed' };
}

async function bytesAt(server: Listening, path: string): Promise<Buffer> {
  const response = await fetch(`http://127.0.0.1:${server.port}/api${path}`);
  if (!response.ok) throw new Error(`${path}: ${await response.text()}`);
  return Buffer.from(await response.arrayBuffer());
}

/** A whole backup, as a maker gets it. */
export async function backUp(server: Listening): Promise<Buffer> {
  const made = await job(server, '/copies');
  return bytesAt(server, `/copies/${(made.result as { name: string }).name}`);
}

/** One project, as a maker gives it to another. */
export function handOver(server: Listening, id: string): Promise<Buffer> {
  return bytesAt(server, `/handover/${id}`);
}

/** Gives a file to the server in pieces. @returns its id there */
export async function give(server: Listening, file: Buffer | string): Promise<string> {
  const bytes = Buffer.from(file);
  const { body } = await server.ask('POST', '/incoming');
  const size = 100_000;
  for (let at = 0; at < bytes.length; at += size) {
    const piece = bytes.subarray(at, at + size);
    const response = await fetch(`http://127.0.0.1:${server.port}/api/incoming/${body.id}?at=${at}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/octet-stream' },
      body: new Uint8Array(piece),
    });
    if (!response.ok) throw new Error(await response.text());
  }
  return body.id;
}

/** Puts a file in place of everything that is there. */
export async function putBack(server: Listening, file: Buffer | string): Promise<Job> {
  return job(server, `/incoming/${await give(server, file)}/restore`);
}

/** Takes the project of a file in. */
export async function takeOver(server: Listening, file: Buffer | string): Promise<Job> {
  return job(server, `/incoming/${await give(server, file)}/take-in`);
}

async function inFile<T>(file: Buffer, work: (path: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'puntada-archive-'));
  try {
    const path = join(folder, 'archive.zip');
    writeFileSync(path, file);
    return await work(path);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

/** What an archive says of itself. */
export function headOf(file: Buffer): Promise<ArchiveHead> {
  return inFile(file, async (path) => {
    const kept = await openKept(path);
    await kept.close();
    return kept.head;
  });
}

/** What the lines of an archive say. */
export function linesOf(file: Buffer): Promise<Line[]> {
  return inFile(file, async (path) => {
    const kept = await openKept(path);
    const lines: Line[] = [];
    for await (const line of kept.lines()) lines.push(line);
    await kept.close();
    return lines;
  });
}

/** An archive of these lines and pictures, sealed as it ought to be. */
export function sealed(head: object, lines: readonly unknown[], more: Record<string, Buffer> = {}): Promise<Buffer> {
  const files: Record<string, Buffer> = {
    'puntada.json': Buffer.from(JSON.stringify(head)),
    'records.jsonl': Buffer.from(
      lines.map((line) => (typeof line === 'string' ? line : JSON.stringify(line))).join('\n'),
    ),
    ...more,
  };
  const sha = (bytes: Buffer | string) => createHash('sha256').update(bytes).digest('hex');
  const listed = Object.entries(files).map(([name, bytes]) => ({ name, bytes: bytes.length, sha256: sha(bytes) }));
  const zip = new ZipFile();
  for (const [name, bytes] of Object.entries(files)) zip.addBuffer(bytes, name);
  zip.addBuffer(Buffer.from(JSON.stringify({ files: listed, seal: sha(JSON.stringify(listed)) })), 'contents.json');
  zip.end();
  return buffer(zip.outputStream);
}

/** The same archive with other lines, sealed anew as somebody who means it would. */
export function rewritten(file: Buffer, change: (lines: Line[]) => unknown[]): Promise<Buffer> {
  return inFile(file, async (path) => {
    const kept = await openArchive(path);
    const lines: Line[] = [];
    for await (const line of kept.lines()) lines.push(line);
    const { head } = kept;
    await kept.close();
    return sealed(head, change(lines));
  });
}

/** Everything that a bench holds, as it would be written. */
export async function everything(server: Listening): Promise<Line[]> {
  return linesOf(await backUp(server));
}
