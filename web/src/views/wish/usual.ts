import { isRoundMaking, makingsOf, type StitchPattern } from '@puntada/core/craft';
import { itemNamed } from '@puntada/core/plan';
import type { Item, Wish } from '@puntada/core/records';
import type { WishFormValues } from './formValues.ts';

/** Stitches and rows of a block on what is narrow, at most. */
const smallBlock = 2;

/** The numbers that a pattern leaves open, as an item usually has them: blocks of a strap are small, to fit it at all. */
export function usualNumbers(item: Item, pattern: StitchPattern): Record<string, string> {
  const of = ({ usual, least }: StitchPattern['numbers'][number]) =>
    itemNamed(item).narrow ? Math.min(usual, Math.max(least, smallBlock)) : usual;
  return Object.fromEntries(pattern.numbers.map((each) => [each.name, String(of(each))]));
}

/** How an item is made in a pattern: what lies double is made in rounds where it can be. Empty as it is written. */
export function usualMade(
  item: Item,
  { technique, made }: Pick<StitchPattern, 'technique' | 'made'>,
): WishFormValues['pattern']['made'] {
  if (!itemNamed(item).rounds || isRoundMaking(made)) return '';
  const round = makingsOf(technique).find((each) => each === 'rounds' || each === 'turned-rounds');
  return (round as WishFormValues['pattern']['made'] | undefined) ?? '';
}

/**
 * How many pieces a form says, where it changes between rows and rounds: two panels are one bag in rounds.
 * @param tube whether it is in rounds after the change
 */
export function piecesOf(item: Item, pieces: string, tube: boolean): string {
  const { panels, countsPanels } = itemNamed(item);
  const count = Number(pieces);
  if (!panels || !countsPanels || !Number.isInteger(count) || count < 1) return pieces;
  return String(tube ? Math.max(1, Math.round(count / panels)) : count * panels);
}

/** What a wish is called before it has a name. */
export function usualTitle(item: Item): string {
  return `New ${item}`;
}

/** What each item usually is, in the units of the maker; inches to the half. */
export function usualSize(item: Item, units: Wish['units']): readonly [width: string, height: string] {
  const { width, height } = itemNamed(item);
  return [inUnits(width, units), inUnits(height, units)];
}

/** What a blanket lies on, and how big it usually is then, cm. */
export const beds = [
  { bed: 'a baby’s pram', width: 75, height: 90 },
  { bed: 'a baby’s cot', width: 90, height: 120 },
  { bed: 'a bunk', width: 100, height: 150 },
  { bed: 'a sofa', width: 130, height: 170 },
  { bed: 'a bed', width: 150, height: 200 },
] as const;
type Bed = (typeof beds)[number]['bed'];

/** What only a small child lies in. */
export const forSmallChildren: readonly Bed[] = ['a baby’s pram', 'a baby’s cot'];

/** What its second size is called. */
export function upWord(item: Item): 'height' | 'length' {
  return itemNamed(item).long ? 'length' : 'height';
}

/** The size of a blanket for a bed, in the units of the maker. */
export function bedSize(wanted: Bed, units: Wish['units']): readonly [width: string, height: string] {
  const { width, height } = beds.find(({ bed }) => bed === wanted) as (typeof beds)[number];
  return [inUnits(width, units), inUnits(height, units)];
}

/** The bed that a typed size is meant for, or none. */
export function bedOf(units: Wish['units'], width: string, height: string): Bed | '' {
  const found = beds.find(({ bed }) => {
    const [wide, high] = bedSize(bed, units);
    return wide === width.trim() && high === height.trim();
  });
  return found?.bed ?? '';
}

/** A length in the units of the maker; inches to the half. @param cm */
function inUnits(cm: number, units: Wish['units']): string {
  if (units === 'cm') return String(cm);
  const halves = Math.max(1, Math.round((cm / 2.54) * 2));
  const whole = halves >> 1;
  return halves % 2 ? `${whole ? `${whole} ` : ''}1/2` : String(whole);
}

/** What an item asks for beside its size, as its form holds it. */
export function usualFinish(item: Item, units: Wish['units']): FinishValues {
  const { wish } = itemNamed(item);
  const long = (cm: number, inch: string) => (units === 'cm' ? `${cm} cm` : inch);
  return {
    pieces: String(wish.pieces ?? 1),
    border: { rounds: String(wish.border?.rounds ?? 0), colour: 'A', by: 'gauge', as: 'plain', second: 'B' },
    closing: wish.closing ?? false,
    finish: {
      ring: wish.finish?.ring ? long(6, '2 1/2 in') : '',
      strap: { kind: wish.finish?.strap?.kind ?? '', drop: long(28, '11 in'), width: long(3, '1 1/4 in') },
      flap: '',
      closingColour: 'A',
      seamColour: 'A',
      ringColour: 'A',
      longEnd: false,
      mouthEdge: 'last',
      seam: wish.finish?.seam ?? '',
      mouth: '',
    },
  };
}

type FinishValues = Pick<WishFormValues, 'pieces' | 'border' | 'closing' | 'finish'>;

/** Yarns to begin with, as many as a pattern has colours. */
const usualYarns = [
  ['A', 'Oat', '#e9dfc4'],
  ['B', 'Ferry blue', '#24476b'],
  ['C', 'Rope', '#c08a4a'],
  ['D', 'Kelp', '#2f5a45'],
  ['E', 'Signal red', '#b2452f'],
  ['F', 'Slate', '#5b6b75'],
  ['G', 'Sea pink', '#d9a0a8'],
  ['H', 'Peat', '#4a3a2c'],
] as const;

/** One yarn as a new form holds it. */
export function usualYarn(letter: string): WishFormValues['yarns'][number] {
  const [, name, shade] = usualYarns.find(([own]) => own === letter) ?? [letter, `Yarn ${letter}`, '#888888'];
  return {
    letter,
    name,
    shade,
    weight: '4',
    fibre: 'cotton',
    blend: '',
    ballMetres: '',
    ballGrams: '',
    balls: '',
    partGrams: '',
    drawer: '',
  };
}
