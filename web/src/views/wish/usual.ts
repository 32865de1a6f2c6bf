import { type Item, presetOf, type Wish } from '@puntada/core';
import type { WishFormValues } from './formValues.ts';

/** What each item usually is, in the units of the maker; inches to the half. */
export function usualSize(item: Item, units: Wish['units']): readonly [width: string, height: string] {
  const { width, height } = presetOf(item);
  if (units === 'cm') return [String(width), String(height)];
  const inches = (cm: number) => {
    const halves = Math.max(1, Math.round((cm / 2.54) * 2));
    const whole = halves >> 1;
    return halves % 2 ? `${whole ? `${whole} ` : ''}1/2` : String(whole);
  };
  return [inches(width), inches(height)];
}

/** What an item asks for beside its size, as its form holds it. */
export function usualFinish(item: Item, units: Wish['units']): FinishValues {
  const { wish } = presetOf(item);
  const long = (cm: number, inch: string) => (units === 'cm' ? `${cm} cm` : inch);
  return {
    pieces: String(wish.pieces ?? 1),
    border: String(wish.border?.rounds ?? 0),
    closing: wish.closing ?? false,
    ring: wish.finish?.ring ? long(6, '2 1/2 in') : '',
    strapKind: wish.finish?.strap?.kind ?? '',
    strapDrop: long(28, '11 in'),
    strapWidth: long(3, '1 1/4 in'),
    seam: wish.finish?.seam ?? '',
  };
}

type FinishValues = Pick<
  WishFormValues,
  'pieces' | 'border' | 'closing' | 'ring' | 'strapKind' | 'strapDrop' | 'strapWidth' | 'seam'
>;

/** Yarns to begin with, as many as a pattern has colours. */
const usualYarns = [
  ['A', 'Oat', '#e9dfc4'],
  ['B', 'Ferry blue', '#24476b'],
  ['C', 'Rope', '#c08a4a'],
  ['D', 'Kelp', '#2f5a45'],
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
    ballMetres: '',
    ballGrams: '',
    balls: '',
    partGrams: '',
    drawer: '',
  };
}
