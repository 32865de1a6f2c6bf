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
  if (f.why === 'zip') return 'It is no whole archive: it was cut short, or is another kind of file.';
  if (f.why === 'missing') return `“${f.at}” is not in it as its table of contents says.`;
  if (f.why === 'file') return `“${f.at}” does not belong in it, or is too large.`;
  if (f.why === 'id') return `The number ${f.at} stands for two things in it.`;
  if (f.why === 'photo') return `A photo in it is no JPEG (${f.at}).`;
  if (f.why === 'order') return 'Its lines are not in their order.';
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
  'rows-worked': () => [
    'Some of it is worked already, so the start can no longer be taken back.',
    'Step back to the very beginning first, or make another project from this one.',
  ],
  'no-rest': (f) => [
    `This project is ${stateWord(f.state)}: there is no rest to plan.`,
    'Start it first, or make another.',
  ],
  'rows-left': (f) => [
    `Row ${f.row} of ${f.rows}${Number(f.pieces) > 1 ? `, piece ${f.piece} of ${f.pieces},` : ''} is still to be worked.`,
    'Finish the last row first.',
  ],
  'items-begun': (f) => [
    `Of this project ${f.items === 1 ? '1 item is' : `${f.items} items are`} begun by now, so not as many can be planned otherwise.`,
    'Look at the ways again: they are counted from where the project stands.',
  ],
  'only-the-rest': () => [
    'In a started project only size, ending, border and closing row can still be changed.',
    'Make a new project for anything else.',
  ],
  'tick-outside': (f) => [
    `Step ${f.row}, part ${f.run} is not in this project, which has ${f.rows} rows and steps.`,
    'Reload the project; this step belongs to another one.',
  ],
  'set-aside': (f) => [
    `This yarn is set aside for ${f.title}${Number(f.more) ? ` and ${f.more} more` : ''}.`,
    'Choose another yarn in that project first, or keep it in the drawer with 0 balls.',
  ],
  'swatch-in-use': (f) => [`${f.title} uses this swatch.`, 'Give that project another {gauge} first.'],
  'mark-unreadable': () => ['This is no picture that can stand on a label.', 'Choose a PNG or a JPEG.'],
  'mark-gone': () => ['The picture of your mark is not at hand any more.', 'Load the page anew, or choose it again.'],
  'printer-offline': () => ['The label printer does not answer.', 'Look at its cable, or print the labels on a sheet.'],
  'printer-open': () => ['The cover of the label printer is open.', 'Close it and print again.'],
  'printer-no-paper': () => ['The label printer is out of paper.', 'Put a new roll in and print again.'],
  'strip-cut-short': () => ['The strip arrived cut short.', 'Print it again.'],
  'scale-silent': () => ['The scale does not answer: its battery is empty.', 'Type the grams instead.'],
  'file-too-much': (f) => [
    `Looking through this file came no further within ${f.seconds} seconds, or took more memory than there is for it.`,
    'Nothing was changed. Use another copy of it; if this is the only one, put it back with the command that needs no server.',
  ],
  'backup-damaged': (f, told) => [`This file is damaged. ${inside(f, told)}`, `${again} Use another copy of it.`],
  'due-out-of-range': () => ['A project is due between the years 2000 and 2099.', 'Choose another day, or none.'],
  busy: () => ['A copy is being made or put back.', 'Wait until it is done, then try again.'],
  'bench-waits': () => [
    'It was done at another bench than the one that is here now.',
    'Try again to add it here all the same, or save it as a file.',
  ],
  'bench-other': () => [
    'Another bench was put in the place of this one since the page was opened. Nothing was written over it.',
    'Load the page anew.',
  ],
  'too-large': () => ['The file is larger than Puntada can take.', 'Choose another file.'],
  'holds-bench': () => [
    'This file holds a whole bench, not one project.',
    'Put it back in place of everything, or choose another.',
  ],
  'holds-project': () => [
    'This file holds one project, not a whole bench.',
    'Open it as a project; nothing else is changed by it.',
  ],
  'disk-full': () => [
    'The disk is full, so nothing more can be saved. What was saved before is safe.',
    'Make room on the disk, then try again.',
  ],
  'copy-not-made': () => [
    'The copy of the day could not be made.',
    'Open Safe copies and back up everything to a file.',
  ],
  'data-damaged': () => [
    'A part of what Puntada keeps on this disk is damaged and cannot be read. The rest, and every copy, is untouched.',
    'Open Safe copies: save the newest copy as a file, or put it back.',
  ],
  'request-too-large': (f) => [
    `The request is larger than ${f.limit} KiB, more than any plan needs.`,
    'Send a smaller one.',
  ],
  'request-unreadable': () => ['What was sent cannot be read.', `Load the page anew and try again. ${again}`],
  'number-unstorable': () => [
    'A number in it is larger than any that can be stored.',
    `Type that number again. ${again}`,
  ],
  'text-unstorable': () => ['The text has a character that cannot be stored.', `Type that text again. ${again}`],
  'server-broke': () => [
    `Something broke inside Puntada. ${again}`,
    'Try again. If it happens again, look at the log.',
  ],
};
