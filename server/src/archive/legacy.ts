import { readFile } from 'node:fs/promises';
import type { Problem } from '@puntada/core/craft';
import {
  type ArchiveLine,
  anyVersion,
  archiveLineSchema,
  backupRecord,
  type Contents,
  contentsSchema,
  handoverRecord,
  type KeptWork,
  keptWorkSchema,
  type LogEntry,
  readShape,
  setNewerApart,
  ticksOnLine,
  type UnreadWork,
} from '@puntada/core/records';
import { Refusal } from '../http/answers.ts';
import { parted, type Size } from '../photos/queries.ts';
import { damaged, type Kept } from './read.ts';
import { sealOf } from './seal.ts';

/** Pictures that stood inside the log, by project, entry and size. */
type Pictures = Map<string, Buffer>;

function* linesOfWork(work: KeptWork | UnreadWork, unread: boolean, pictures: Pictures): Generator<unknown> {
  const { ticks, log, former, wish, begun, ...rest } = work;
  const { id, state, revision, archived, deletedAt = null, notice, due, createdAt, changedAt } = rest;
  const head = { id, state, revision, archived, deletedAt, notice, due, createdAt, changedAt };
  yield { kind: 'work', ...head, wish, begun, unread };
  for (const plan of former) yield { kind: 'former', ...plan };
  for (let i = 0; i < ticks.length; i += ticksOnLine) yield { kind: 'ticks', ticks: ticks.slice(i, i + ticksOnLine) };
  for (const each of log) {
    const own = { kind: 'entry', id: each.id, at: each.at, deletedAt: null, unread };
    if (unread) {
      yield { ...own, entry: (each as UnreadWork['log'][number]).entry };
      continue;
    }
    const { entry, image, small } = parted(each as LogEntry);
    if (image) pictures.set(`${id} ${each.id} image`, image);
    if (small) pictures.set(`${id} ${each.id} small`, small);
    yield { ...own, entry };
  }
}

function* linesOfBackup(contents: Contents, pictures: Pictures): Generator<unknown> {
  for (const work of contents.works) yield* linesOfWork(work, false, pictures);
  for (const work of contents.unread.works) yield* linesOfWork(work, true, pictures);
  for (const yarn of contents.drawer) yield { kind: 'yarn', ...yarn };
  for (const yarn of contents.unread.drawer) yield { kind: 'yarn', ...yarn, unread: true };
  for (const swatch of contents.swatches) yield { kind: 'swatch', ...swatch };
  for (const swatch of contents.unread.swatches) yield { kind: 'swatch', ...swatch, unread: true };
  for (const draft of contents.drafts) yield { kind: 'draft', ...draft };
  if (contents.evenings) yield { kind: 'evenings', minutes: contents.evenings };
  if (contents.preferences) yield { kind: 'preferences', preferences: contents.preferences };
}

function refuse(problems: readonly Problem[]): never {
  const [first] = problems;
  if (first?.code === 'record-newer') throw new Refusal(422, [first]);
  throw damaged({ ...first?.facts, why: first?.code, at: first?.path });
}

/** What stood in one document, and its pictures once its lines were read. */
interface Document extends Kept {
  pictures(): Promise<{ work: string; entry: string; size: Size; read(): Promise<Buffer> }[]>;
}

/** A backup or a handed-over project as earlier versions wrote them: one JSON document. @throws Refusal 422 */
function openJson(document: unknown): Document {
  const pictures: Pictures = new Map();
  const kept = (holds: 'bench' | 'project', madeAt: string, lines: () => Generator<unknown>): Document => ({
    head: { format: 'puntada-archive', version: 2, holds, madeAt, stands: '', hanging: [] },
    async *lines() {
      for (const line of lines()) yield archiveLineSchema.parse(line) as ArchiveLine;
    },
    photo: async (work, entry, size: Size) => pictures.get(`${work} ${entry} ${size}`),
    pictures: async () =>
      [...pictures].map(([name, bytes]) => {
        const [work, entry, size] = name.split(' ') as [string, string, Size];
        return { work, entry, size, read: async () => bytes };
      }),
    close: async () => undefined,
  });
  const { format } = (document ?? {}) as { format?: unknown };
  if (format === 'puntada-work') {
    const read = readShape(anyVersion(handoverRecord), document);
    if (!read.ok) refuse(read.problems);
    if (sealOf(read.value.work) !== read.value.seal) throw damaged({ why: 'seal' });
    const work = readShape(keptWorkSchema, read.value.work);
    if (!work.ok) refuse(work.problems);
    return kept('project', read.value.madeAt, () => linesOfWork(work.value, false, pictures));
  }
  const read = readShape(anyVersion(backupRecord), document);
  if (!read.ok) refuse(read.problems);
  const { seal, contents: sealed, madeAt } = read.value;
  if (sealOf(sealed) !== seal) throw damaged({ why: 'seal' });
  const contents = readShape(contentsSchema, setNewerApart(sealed));
  if (!contents.ok) refuse(contents.problems);
  return kept('bench', madeAt, () => linesOfBackup(contents.value, pictures));
}

/** The same from a file. */
export async function openJsonFile(path: string): Promise<Document> {
  const text = await readFile(path, 'utf8');
  try {
    return openJson(JSON.parse(text));
  } catch (error) {
    if (error instanceof SyntaxError) throw damaged({ why: 'not-json', found: error.message });
    throw error;
  }
}
