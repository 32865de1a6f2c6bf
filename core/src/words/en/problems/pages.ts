import { again } from './helps.ts';
import type { Table } from './table.ts';

/** The pages. */
export const pages: Table = {
  away: () => [
    'Puntada’s server does not answer.',
    'If it was stopped, start it again. What you type stays here until then.',
  ],
  'file-unknown': (f) => [
    `${f.name} is no file that Puntada knows, or it was cut short.`,
    'Open a backup or a project (ZIP), a pattern (text, JSON or CSV), a table of yarns (CSV), an idea (JSON) or a picture.',
  ],
  'server-failed': () => ['The server could not do that.', 'Try again.'],
  'not-a-backup': (f) => [
    `${f.file} is not a backup: it cannot be read, or was cut short.`,
    `${again} Choose another file.`,
  ],
  'not-chains': (f) => [
    `“${f.text}” is not a number of chains.`,
    'Type a whole number. A length such as 40 cm does not belong here.',
  ],
  'length-where-count': (f) => [
    `“${f.text}” is a length, but this field counts ${f.counts}.`,
    `Choose “${f.side}” to give a length.`,
  ],
  'no-length': (f) => [`“${f.text}” is not a length.`, 'Type 24, 24,5 cm or 9 1/2 in.'],
};
