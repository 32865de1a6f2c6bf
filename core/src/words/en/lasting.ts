import { placeOfRow, type Sequence } from '../../plan/steps/sequence.ts';
import type { Lasting } from '../../work/underway/lasting.ts';
import type { ColourNow } from '../../work/underway/weighed.ts';
import { placeName } from './steps.ts';

/** The whole on which a yarn lasts or does not. */
export interface LastingOn {
  /** Rows of one cloth. */
  readonly rows: number;
  /** Not known until it is counted. */
  readonly sequence: Sequence | undefined;
  readonly item: string;
}

/**
 * Where a yarn runs out: `between rows 31 and 36`, or with an end that may come only when all rows are worked; in a set
 * with the piece: `between dishcloth 1, row 9, and dishcloth 2, row 4`.
 */
export function endsAtText({ low, high }: NonNullable<ColourNow['endsAt']>, on: LastingOn): string {
  const { rows, sequence, item } = on;
  if (sequence && sequence.pieces > 1) {
    const from = placeName(sequence, low, item);
    const to = high >= sequence.units.length ? 'the end' : placeName(sequence, high, item);
    const between = from.includes(',') ? ', and' : ' and';
    return from === to ? `at ${from}` : `between ${from}${between} ${to}`;
  }
  // A chain that is a step stands before the rows.
  const before = sequence ? placeOfRow(sequence, 0, 0) : 0;
  const [from, to] = [Math.max(0, low - before), Math.max(0, high - before)];
  if (from > rows) return 'in the finishing';
  const word = sequence?.word ?? 'row';
  return to > rows ? `between ${word} ${from} and the end` : `between ${word}s ${from} and ${to}`;
}

/** Where each of some colours runs out: `A runs out between rows 97 and 107; B may not last`. */
export function shortText(short: readonly Lasting[], on: LastingOn): string {
  return short
    .map(({ letter, endsAt, ofSet }) => {
      const whole = ofSet ? ' for the whole set' : '';
      return endsAt ? `${letter} runs out ${endsAtText(endsAt, on)}` : `${letter} may not last${whole}`;
    })
    .join('; ');
}
