import { fieldName, fieldWords } from '../fields.ts';
import { list, lower, upper } from '../lists.ts';
import type { Table } from './table.ts';

const recordNames: Readonly<Record<string, string>> = {
  'puntada-wish': 'a project',
  'puntada-begun': 'a project',
  'puntada-work': 'a project',
  'puntada-swatch': 'a swatch',
  'puntada-yarn': 'a yarn',
  'puntada-entry': 'an entry of the log',
  'puntada-preferences': 'a list of settings',
  'puntada-pattern': 'a pattern',
  'puntada-plan': 'a printed plan',
  'puntada-backup': 'a backup',
};

/** A kind of document, as a maker calls it. */
function recordName(format: unknown): string {
  return recordNames[String(format)] ?? 'a file of another program';
}

/** Records. */
export const records: Table = {
  'field-unknown': (f) => [`There is no field “${f.key}” here.`, 'Leave it out, or check how it is spelled.'],
  'field-missing': (f) => [`${upper(fieldName(String(f.field)))} is missing.`, `Add ${fieldName(String(f.field))}.`],
  'field-wrong': fieldWords,
  'not-json': (f) => [`The text is not JSON: ${f.found}.`, 'Check brackets, commas and quotes near that place.'],
  'table-cell': (f) => [
    `Line ${f.line}, column “${f.column}”${f.typed ? `, “${f.typed}”` : ''}: ${lower(fieldWords({ ...f, value: undefined })[0])}`,
    `${fieldWords(f)[1]} Nothing of the table was taken yet.`,
  ],
  'table-columns': (f) => [
    `The first line has no column ${list(f.missing)}.`,
    `The columns are: ${list(f.columns)}; “label” can replace metres and grams.`,
  ],
  'record-newer': (f) => [
    `This is ${recordName(f.format)} of a newer Puntada: it is of version ${f.version}, and this one reads up to ${f.newest}.`,
    'Nothing of it was changed. Open it with the newer version.',
  ],
  'record-other': (f) => [
    `This is ${recordName(f.format)}, not ${recordName(f.expected)}.`,
    `Choose a file whose format is ${f.expected}.`,
  ],
  'page-older': () => [
    'This page is older than the Puntada that runs on your computer.',
    'Reload the page. What you typed and counted here is kept.',
  ],
  'answer-unread': () => [
    'Puntada’s server answered something that this page cannot read.',
    'Reload the page. If it happens again, restart Puntada.',
  ],
  'cannot-be-read': (f, told) =>
    f.why === 'record-newer'
      ? [told({ code: f.why, facts: f })[0], 'It is kept as it is, in every backup too. The newer version reads it.']
      : [
          `This version of Puntada cannot read it${f.field ? ` (at ${f.field})` : ''}.${f.why ? ` ${told({ code: String(f.why), facts: f })[0]}` : ''}`,
          'It is kept as it is, in every backup too. A newer version may read it.',
        ],
};
