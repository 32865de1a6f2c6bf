import type { RestKind } from '@puntada/core';

/** What each way for the rest of a work is called. @param closing whether the plan has a closing row now */
export function restName(kind: RestKind, closing: boolean): string {
  if (kind === 'closing') return closing ? 'Leave the closing row off' : 'A closing row of sc more';
  return names[kind];
}

const names: Readonly<Record<Exclude<RestKind, 'closing'>, string>> = {
  planned: 'Go on as planned',
  enough: 'As long as the yarn lasts',
  shorter: 'End one step sooner',
  soonest: 'End at the next good place',
  ripped: 'Rip back to a good place, end there',
  longer: 'End one step later',
  swapped: 'Colours changed about from here',
  thinner: 'Border a round thinner',
  bare: 'No border',
};
