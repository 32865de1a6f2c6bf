import type { Facts } from '../../../craft/values/problem.ts';
import { lower } from '../lists.ts';
import { proof } from '../proof.ts';
import type { Table, Tell } from './table.ts';

const fromBackup = 'Put the project back from a backup.';
const report = 'Report this plan: it should not have been printed.';

/** Why a begun project does not hold together. */
function damage(f: Facts, told: Tell): string {
  if (f.what === 'foundation') return `Puntada does not know the way this project begins, “${f.foundation}”.`;
  if (f.what === 'row') return `Row ${f.row} of this project cannot be read.`;
  if (f.what === 'moves') return 'The way of the yarns in this project is cut short, or leaves the piece.';
  if (f.what === 'bobbins') return 'The bobbins of this project are not those of its rows.';
  if (f.what === 'size') return `This project has ${f.stitches} stitches, more than Puntada can lay.`;
  const fault = f.proof ? ` ${told({ code: String(f.proof), facts: f })[0]}` : '';
  return `The project does not hold together.${fault}`;
}

function strandFault(f: Facts): string {
  const colour = `colour ${f.colour}`;
  switch (f.what) {
    case 'hangs-elsewhere':
      return `${colour} is needed at boundary ${f.wanted} but hangs at ${f.at}`;
    case 'moved-unjoined':
      return `${colour} is moved before it is joined`;
    case 'moved-from-elsewhere':
      return `${colour} is moved from boundary ${f.from} but hangs at ${f.at}`;
    case 'carried-back':
      return `${colour} is carried against the row, from ${f.from} to ${f.to}`;
    default:
      return `${colour} goes up at boundary ${f.from} in the wrong way`;
  }
}

/** Proofs. */
export const proofs: Table = {
  'stitch-cannot-be': (f) => [
    `Row ${f.row}, stitch ${f.stitch}: ${proof[String(f.why)]?.(f) ?? f.why}.`,
    `Change the chart there. If you did not write it, ${lower(report)}`,
  ],
  'row-takes-other-count': (f) => [
    `Row ${f.row} makes ${f.made} ${f.word} where ${typeof f.below === 'number' ? `row ${f.below}` : `the ${f.below}`} left ${f.left}.`,
    'Every row must take exactly the stitches that the row below left.',
  ],
  'fabric-count': (f) => [
    `${f.pattern}: ${f.stitches} stitches in ${f.rows} rows that take ${f.wanted}.`,
    'Every row must take exactly the stitches that the row below left.',
  ],
  'strand-misplaced': (f) => [`Row ${f.row}: ${strandFault(f)}.`, report],
  'strand-not-there': (f) => [
    `Row ${f.row}, stitch ${f.stitch}: no strand of colour ${f.colour} reaches this stitch.`,
    'Change the colour there, or plan the yarns again.',
  ],
  'strand-cost': (f) => [`Colour ${f.colour}: the moves cost ${f.recounted}, not ${f.cost}.`, report],
  'begun-damaged': (f, told) => [damage(f, told), fromBackup],
  'kept-outside': (f) => [
    f.what === 'step'
      ? `A step of “${f.title}” leads outside the piece.`
      : `An entry in the log of “${f.title}” is of a row it does not have.`,
    fromBackup,
  ],
  'kept-twice': (f) => [`Two parts of “${f.title}” have the same number.`, fromBackup],
  'kept-not-begun': (f) => [`“${f.title}” has rows, but was never begun.`, fromBackup],
  'rest-not-whole': () => ['The project does not hold together, so its rest cannot be planned.', fromBackup],
  'onward-broken': (f) => [
    f.what === 'row'
      ? `Row ${f.row} is worked already, and the other plan changes it.`
      : f.what === 'moves'
        ? 'The other plan moves a strand that has been worked in already.'
        : f.what === 'matched'
          ? 'The other plan makes this piece larger or smaller than the one it is joined to.'
          : 'The other plan begins in another way than the project did.',
    'Look at the rest of the project again and choose anew.',
  ],
  'no-rows-to-come': () => [
    'Every row of this project is worked, so there is no rest to plan.',
    'What is left is its finishing: see the Finishing page.',
  ],
  'text-unreadable': (f) => [`Line ${f.line} cannot be read back: ${f.why}.`, 'Compare it with the printed plan.'],
};
