import { good, type Result, refused } from '../values/problem.ts';
import { parseAmount } from './amount.ts';
import type { ToldUnit } from './length.ts';

const yard = 0.9144;
const ounce = 28.349523125;

const metresPer: Readonly<Record<string, number>> = {
  m: 1,
  metre: 1,
  metres: 1,
  meter: 1,
  meters: 1,
  yd: yard,
  yds: yard,
  yard: yard,
  yards: yard,
};
const gramsPer: Readonly<Record<string, number>> = { g: 1, kg: 1000, oz: ounce };

function parseIn(typed: string, table: Readonly<Record<string, number>>, bare: string, what: string): Result<number> {
  const amount = parseAmount(typed);
  if (!amount.ok) return amount;
  const name = amount.value.unit.toLowerCase().replace(/\.$/, '') || bare;
  const factor = table[name];
  if (factor === undefined) {
    return refused({
      code: 'unit-not-of-yarn',
      path: '',
      facts: { unit: amount.value.unit, what, units: Object.keys(table).filter((unit) => unit.length <= 2) },
    });
  }
  return good(amount.value.value * factor);
}

/** Reads a length of yarn (`85 m`, `93 yd`). @returns metres; a bare number is in metres */
export function parseYarnLength(typed: string): Result<number> {
  return parseIn(typed, metresPer, 'm', 'length');
}

/** Reads a mass (`50 g`, `1 3/4 oz`). @returns grams; a bare number is in grams */
export function parseMass(typed: string): Result<number> {
  return parseIn(typed, gramsPer, 'g', 'mass');
}

/** Metres, as the number people read: metres beside centimetres, yards beside inches; no unit. */
export function yarnLengthNumber(metres: number, unit: ToldUnit): string {
  const value = unit === 'cm' ? metres : metres / yard;
  return value < 10 ? value.toFixed(1) : String(Math.round(value));
}

export function yarnLengthUnit(unit: ToldUnit): 'm' | 'yd' {
  return unit === 'cm' ? 'm' : 'yd';
}

export function massNumber(grams: number, unit: ToldUnit): string {
  if (unit === 'cm') return grams < 10 ? grams.toFixed(1) : String(Math.round(grams));
  return (grams / ounce).toFixed(1);
}

export function massUnit(unit: ToldUnit): 'g' | 'oz' {
  return unit === 'cm' ? 'g' : 'oz';
}

/** What a label says of one ball. */
export interface Label {
  /** m */
  readonly metres: number;
  /** g */
  readonly grams: number;
}

/**
 * Reads a label typed in one line, either way round: `100 g = 210 m`, `93 yd / 1.75 oz`. The two parts are told by their
 * units, so both must be there.
 */
export function parseLabel(typed: string): Result<Label> {
  const parts = typed.split(/\s*(?:=|\/(?!\d)|,\s|\bper\b|\bto\b)\s*/).filter((part) => part.trim() !== '');
  const metres = parts.map(parseYarnLength).find((read) => read.ok);
  const withUnit = (part: string, units: RegExp) => units.test(part);
  const length = parts.find((part) => withUnit(part, /(?:m|metres?|meters?|yds?|yards?)\.?\s*$/i));
  const mass = parts.find((part) => withUnit(part, /(?:\dg|\sg|kg|oz)\.?\s*$/i));
  if (!length || !mass || parts.length !== 2) {
    return refused({
      code: 'not-a-label',
      path: '',
      facts: { typed: typed.trim(), lengthOnly: metres !== undefined },
    });
  }
  const [long, heavy] = [parseYarnLength(length), parseMass(mass)];
  if (!long.ok) return long;
  if (!heavy.ok) return heavy;
  return good({ metres: long.value, grams: heavy.value });
}
