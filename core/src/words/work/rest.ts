import type { Exchanged, RestKind } from '../../records/restKind.ts';
import type { Wish } from '../../records/wish.ts';

/**
 * What each way for the rest of a work is called. @param closing whether the plan has a closing row now
 * @param ending of the way itself @param exchanged letters of colours that change places, where that is known
 */
export function restName(kind: RestKind, closing: boolean, ending: Wish['ending'], exchanged?: Exchanged): string {
  if (kind === 'swapped' && exchanged) return `Swap ${exchanged[0]} and ${exchanged[1]} from here on`;
  if (kind === 'closing') return closing ? 'Leave out the closing row' : 'Add a closing row of {sc}';
  return kind === 'ending' ? endings[ending] : names[kind];
}

const endings: Readonly<Record<Wish['ending'], string>> = {
  any: 'End after any row',
  whole: 'End after a whole repeat',
  'as-begun': 'End as you began',
};

const names: Readonly<Record<Exclude<RestKind, 'closing' | 'ending'>, string>> = {
  planned: 'Go on as planned',
  enough: 'As long as the yarn lasts',
  shorter: 'End one step sooner',
  soonest: 'End at the next good place',
  ripped: 'Rip back to a good place, end there',
  longer: 'End one step later',
  swapped: 'Swap two colours from here on',
  thinner: 'A border one round thinner',
  bare: 'No border',
  shrink: 'Start to shrink sooner',
  measured: 'As tall as planned, by what you measured',
  'ripped-swapped': 'Rip back to the last whole repeat, then swap A and B',
};
