import type { Told } from './told.ts';

/** What the screens of `open` say. */
export const openSaid = {
  saysWhatItFound: 'Any file that Puntada writes; it says what it found before it does anything',
  dropAnywhere: 'Or drop a file anywhere on this window.',
  lookingInto: (name: Told) => `Looking into ${name}…`,
  foundPattern: (file: Told, name: Told, technique: Told) => `${file} is a pattern, “${name}”, in ${technique}.`,
  addToPatterns: 'Add it to your patterns',
  foundYarns: (file: Told, count: number) =>
    `${file} is a table of ${count} ${count === 1 ? 'yarn' : 'yarns'}. They are added to the drawer; what lies there stays.`,
  addYarns: (count: number) => `Add ${count} ${count === 1 ? 'yarn' : 'yarns'} to the drawer`,
  foundIdea: (file: Told, title: Told) => `${file} is an idea: “${title}”.`,
  startFromIdea: 'Start a project from it',
  foundPicture: (file: Told) => `${file} is a picture. Begin a chart, and open it there under Picture.`,
  beginChart: 'Begin a chart at the desk',
  foundRows: (file: Told, rows: number) =>
    `${file} has ${rows} lines of written rows. The chart desk reads them line by line.`,
  readAtDesk: 'Read them at the chart desk',
  foundOut: {
    runs: 'is a table of runs, written for other programs. Puntada does not open it again.',
    yarn: 'is a table of what a plan takes, written for other programs. Puntada does not open it again.',
    log: 'is the log of a project as a table, written for other programs. A project is opened from its own file.',
    calendar: 'is a calendar. Open it in a program for calendars.',
    document: 'is a document to print. Open it in a program for PDF.',
    drawing: 'is a drawing. To make a chart of it save it as a picture first.',
    plan: 'is a plan for other programs. A project is opened from its own file.',
  },
} as const;
