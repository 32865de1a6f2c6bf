import {
  beginDrawing,
  type Drawing,
  fromTable,
  good,
  patternOf,
  type Result,
  readPattern,
  refused,
  type StitchPattern,
  techniques,
} from '@puntada/core/craft';
import { anyVersion, ownPatternRecord, readPatternJson, readShape } from '@puntada/core/records';
import { csvParseRows } from 'd3-dsv';

/** Letters of a text file at most; a longer one is no pattern. */
const mostLetters = 4_000_000;

/** A pattern out of a file, and the note that came along. */
export interface BroughtIn {
  readonly pattern: StitchPattern;
  readonly note: string;
}

function named(file: string): string {
  return file.replace(/\.[^.]*$/, '').slice(0, 80) || 'Pattern';
}

function fromJson(text: string): Result<BroughtIn> {
  const json: unknown = JSON.parse(text);
  const { format } = (json ?? {}) as { format?: unknown };
  if (format === 'puntada-own-pattern') {
    const own = readShape(anyVersion(ownPatternRecord), json);
    if (!own.ok) return own;
    const read = readPattern(own.value.text);
    return read.ok ? good({ pattern: read.value, note: own.value.note }) : read;
  }
  const read = readPatternJson(text);
  return read.ok ? good({ pattern: read.value, note: '' }) : read;
}

/** The first technique whose cells are colours and may stand anywhere. */
const coloured = techniques.find(({ marks, mostColours, lay }) => !marks && !mostColours && !lay)?.key ?? '';

/** A table becomes a drawing in the technique that takes a colour for every stitch. */
function fromCsv(text: string, name: string): Result<BroughtIn> {
  const drawing = beginDrawing({ key: 'own', name: named(name), technique: coloured, wide: 1, high: 1 });
  const read = fromTable(drawing as Drawing, csvParseRows(text));
  return read.ok ? good({ pattern: patternOf(read.value), note: '' }) : read;
}

/** Reads a pattern out of a text, JSON or CSV file, by what stands in it. @returns it, or what is wrong */
export async function broughtIn(file: File): Promise<Result<BroughtIn>> {
  if (file.size > mostLetters) {
    return refused({
      code: 'picture-too-large',
      path: '',
      facts: { megabytes: Math.round(file.size / 1e6), most: mostLetters / 1e6 },
    });
  }
  const text = (await file.text()).replace(/^\uFEFF/, '');
  const begin = text.trimStart();
  try {
    if (begin.startsWith('{')) return fromJson(text);
  } catch {
    return refused({ code: 'file-unknown-pattern', path: '', facts: { name: file.name } });
  }
  if (/^(#.*\n\s*)*pattern\s/.test(begin)) {
    const read = readPattern(text);
    return read.ok ? good({ pattern: read.value, note: '' }) : read;
  }
  if (!begin) return refused({ code: 'file-unknown-pattern', path: '', facts: { name: file.name } });
  return fromCsv(text, file.name);
}
