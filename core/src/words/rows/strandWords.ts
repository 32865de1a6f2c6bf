import type { ToldUnit } from '../../craft/units/length.ts';
import type { Fact, Facts, Told } from '../../craft/values/problem.ts';
import type { HangingPlace, StrandBook, StrandOrder } from '../../plan/steps/strandBook.ts';

function plural(cell: Fact): string {
  return cell === 'stitch' ? 'stitches' : `${cell}s`;
}

/** From where a strand is carried: the start of the row, or the stitch at which it hangs. */
function fromWords({ cell, course }: Facts, first: Fact): string {
  return Number(first) === 1 ? `from the start of the ${course}` : `from ${cell} ${Number(first) - 1}, where it hangs,`;
}

/** Carried before its own stitches, between them and behind them. */
function carryWords(f: Facts): string {
  const words: string[] = [];
  if (f.before !== undefined) words.push(fromWords(f, f.before));
  if (f.between) words.push(f.between === 'all' ? `between its own ${plural(f.cell)}` : 'where it is next needed');
  for (const to of f.after as readonly (string | number)[]) {
    words.push(to === 'end' ? `on to the end of the ${f.course}` : `on to ${f.cell} ${to} and leave it there`);
  }
  if (!words.length) {
    const ends = f.stretches as readonly number[];
    const stretches = ends.flatMap((from, i) => (i % 2 ? [] : [`${plural(f.cell)} ${from}–${ends[i + 1]}`]));
    words.push(stretches.join(' and '));
  }
  return `carry ${f.letter} inside ${words.join(', ').replaceAll(',,', ',').replace(/,$/, '')}`;
}

/** A tail that is left where a strand is cut, in the units of the maker. */
function tailWords(units: ToldUnit): string {
  return units === 'cm' ? '15 cm' : '6 in';
}

const acts: Readonly<Record<string, (f: Facts, units: ToldUnit) => string>> = {
  'carry-whole': (f) => `carry ${f.letter} inside the whole ${f.course}`,
  'carry-to-end': (f) => `carry ${f.letter} inside ${fromWords(f, f.from)} to the end of the ${f.course}`,
  'carry-and-leave': (f) => `carry ${f.letter} inside ${plural(f.cell)} ${f.from}–${f.to} and leave it there`,
  carry: carryWords,
  climb: (f) => `${f.letter} climbs the ${f.seam ? 'seam' : 'edge'}`,
  hang: (f) => `let ${f.letter} hang on the back after ${f.cell} ${f.from}`,
  float: (f) => `bring ${f.letter} across the back from ${f.cell} ${f.from} to ${f.cell} ${f.to}`,
  cut: (f, units) =>
    `cut ${f.letter} after ${f.cell} ${f.from}, leave ${tailWords(units)}, join it again ${f.again === undefined ? `at its next ${f.cell} of this ${f.course}` : `in ${f.course} ${f.again}`}`,
  'fasten-off': (f) => `fasten off ${f.letter} after its last ${f.cell}`,
};

function actWords({ code, facts }: Told, units: ToldUnit): string {
  return acts[code]?.(facts ?? {}, units) ?? code;
}

/** What is done with one idle colour in a row: `carry A inside the whole row`. @param units in which tails are measured */
export function orderWords(order: StrandOrder, units: ToldUnit = 'cm'): string {
  return [...(order.carry ? [order.carry] : []), ...order.acts].map((act) => actWords(act, units)).join('; ');
}

/** What is done with it beside carrying: climbing, floating, cutting, fastening off. */
export function besideCarrying(order: StrandOrder, units: ToldUnit = 'cm'): string[] {
  return order.acts.map((act) => actWords(act, units));
}

const places: Readonly<Record<Exclude<HangingPlace['place'], 'inside'>, string>> = {
  'row end': 'at this edge',
  'row start': 'at the far edge',
  seam: 'at the seam',
};

/** Strands that wait at one place, and the place: `A and B`, `at this edge`. This edge is where the row ends. */
export function hangingPlaceWords({ colours, place, afterStitch, cell }: HangingPlace): {
  readonly colours: string;
  readonly place: string;
} {
  return {
    colours: andList(colours),
    place: place === 'inside' ? `waiting after ${cell} ${afterStitch}` : places[place],
  };
}

/** Where the strands hang when a row is done: `A and B at this edge`. @param row from 0 */
export function hangingWords(strands: StrandBook, row: number): string[] {
  return strands.places(row).map((each) => {
    const { colours, place } = hangingPlaceWords(each);
    return `${colours} ${place}`;
  });
}

/** `A`, `A and B`, `A, B and C`. */
function andList(words: readonly string[]): string {
  return words.length < 3 ? words.join(' and ') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
