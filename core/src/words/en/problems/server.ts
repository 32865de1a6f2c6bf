import type { Fact, Facts } from '../../../craft/values/problem.ts';
import { again } from './helps.ts';
import type { Table, Tell } from './table.ts';

const states: Readonly<Record<string, string>> = { wished: 'only planned', begun: 'started', finished: 'finished' };

/** How far a project has come, as it is said: `started`. */
export function stateWord(state: Fact): string {
  return states[String(state)] ?? String(state);
}

/** What is wrong inside a file. */
function inside(f: Facts, told: Tell): string {
  if (f.why === 'seal') return 'Its seal does not fit: it was cut short or changed.';
  if (f.why === 'cloth') return `The project ${f.title} does not hold together.`;
  return f.why ? `At ${f.at}: ${told({ code: String(f.why), facts: f })[0]}` : '';
}

/** The server. */
export const server: Table = {
  'not-found': (f) => [`There is no such ${f.what} here.`, 'Go back and open it from its list.'],
  'no-address': () => ['There is nothing at this address.', 'Go back to the bench and open it from there.'],
  stale: (f) => [
    `This ${f.what} was changed elsewhere in the meantime. Nothing was overwritten.`,
    'Look at the new version, then make your change again.',
  ],
  'already-begun': (f) => [
    `This project is already ${stateWord(f.state)}, so its plan can no longer be changed here.`,
    'Make another from it, or go on working.',
  ],
  'not-begun': () => ['This project is not started, so it has no row to work.', 'Start it from See sizes first.'],
  'rows-worked': (f) => [
    `Row ${Number(f.rows) + 1} is begun, so the start can no longer be taken back.`,
    'Go back to the first stitch first, or make another project from this one.',
  ],
  'no-rest': (f) => [
    `This project is ${stateWord(f.state)}: there is no rest to plan.`,
    'Start it first, or make another.',
  ],
  'rows-left': (f) => [`Row ${f.row} of ${f.rows} is still to be worked.`, 'Finish the last row first.'],
  'only-the-rest': () => [
    'In a started project only size, ending, border and closing row can still be changed.',
    'Make a new project for anything else.',
  ],
  'tick-outside': (f) => [
    `Row ${f.row}, run ${f.run} is not in this project, which has ${f.rows} rows.`,
    'Reload the project; this step belongs to another one.',
  ],
  'set-aside': (f) => [
    `This yarn is set aside for ${f.title}${Number(f.more) ? ` and ${f.more} more` : ''}.`,
    'Choose another yarn in that project first, or keep it in the drawer with 0 balls.',
  ],
  'swatch-in-use': (f) => [`${f.title} uses this swatch.`, 'Give that project another {gauge} first.'],
  'scale-silent': () => ['The scale does not answer: its battery is empty.', 'Type the grams instead.'],
  'backup-damaged': (f, told) => [`This backup is damaged. ${inside(f, told)}`, `${again} Use another backup.`],
  'handover-damaged': (f, told) => [`This file is damaged. ${inside(f, told)}`, `${again} Ask for the file once more.`],
  'request-too-large': (f) => [
    `The request is larger than ${f.limit} KiB, more than any plan needs.`,
    'Send a smaller one.',
  ],
  'text-unstorable': () => ['The text has a character that cannot be stored.', `Type that text again. ${again}`],
  'server-broke': () => [
    `Something broke inside Puntada. ${again}`,
    'Try again. If it happens again, look at the log.',
  ],
};
