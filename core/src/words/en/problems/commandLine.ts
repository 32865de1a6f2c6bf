import type { Table } from './table.ts';

/** The command line. */
export const commandLine: Table = {
  'file-unreadable': (f) => [
    `The file cannot be read: ${f.found}.`,
    'Give the path of a JSON file, or - for standard input.',
  ],
  'option-unknown': (f) => [`There is no option ${f.option}.`, String(f.usage)],
  'no-file': (f) => ['No project was given.', `${f.usage} docs/plan-format.md shows what goes in it.`],
};
