import { decimal } from '../values/decimal.ts';
import { good, type Result, refused } from '../values/problem.ts';
import { parseAmount, readNumber } from './amount.ts';
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

/** Reads a length of yarn (`85 m`, `93 yd`). @param bare what a bare number is in @returns metres */
export function parseYarnLength(typed: string, bare: 'm' | 'yd' = 'm'): Result<number> {
  return parseIn(typed, metresPer, bare, 'length');
}

/** Reads a mass (`50 g`, `1 3/4 oz`). @returns grams; a bare number is in grams */
export function parseMass(typed: string): Result<number> {
  return parseIn(typed, gramsPer, 'g', 'mass');
}

/** Of a field that may stay empty: what cannot be read is passed on as typed, for a schema to refuse at its place. */
function orText(typed: string, parse: (text: string) => Result<number>): number | string | undefined {
  if (typed.trim() === '') return undefined;
  const read = parse(typed);
  return read.ok ? read.value : typed;
}

/** Metres of yarn as typed in a field. @param units of a bare number: metres beside centimetres, yards beside inches */
export function metresOrText(typed: string, units: ToldUnit): number | string | undefined {
  return orText(typed, (text) => parseYarnLength(text, yarnLengthUnit(units)));
}

/** Grams as typed in a field; a bare number is in grams. */
export function gramsOrText(typed: string): number | string | undefined {
  return orText(typed, parseMass);
}

/** Several weights in one field: `31 12.5`, `31, 12.5`, `31 g; 1 oz`. @returns grams, or the part as typed where it cannot be read */
export function weightsOrText(typed: string): (number | string)[] {
  return typed
    .trim()
    .replace(/\s+(g|kg|oz)\b/gi, '$1')
    .split(/\s*;\s*|,\s+|\s+/)
    .filter((part) => part !== '')
    .map((part) => gramsOrText(part) ?? part);
}

/** A hook as typed in a field: millimetres, with or without their unit. */
export function hookOrText(typed: string): number | string | undefined {
  return orText(typed.replace(/\s*mm\.?\s*$/i, ''), (text) => {
    const read = readNumber(text);
    return read === undefined ? refused({ code: 'not-a-number', path: '', facts: { text } }) : good(read);
  });
}

/** Metres, as the number people read: metres beside centimetres, yards beside inches; no unit. */
export function yarnLengthNumber(metres: number, unit: ToldUnit): string {
  const value = unit === 'cm' ? metres : metres / yard;
  return value < 10 ? decimal(value, 1) : String(Math.round(value));
}

export function yarnLengthUnit(unit: ToldUnit): 'm' | 'yd' {
  return unit === 'cm' ? 'm' : 'yd';
}

export function massNumber(grams: number, unit: ToldUnit): string {
  if (unit === 'cm') return grams < 10 ? decimal(grams, 1) : String(Math.round(grams));
  return decimal(grams / ounce, 1);
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
  const parts = typed.split(/\s*(?:=|(?<=[a-z.]\s*)\/|,\s|\bper\b|\bto\b)\s*/i).filter((part) => part.trim() !== '');
  const metres = parts.map((part) => parseYarnLength(part)).find((read) => read.ok);
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

/**
 * One ball as typed in two fields; a whole label in either of them fills both.
 * @param units of a bare length @returns metres and grams, or what cannot be read as it was typed
 */
export function ballTyped(length: string, mass: string, units: ToldUnit) {
  const label = [length, mass].map(parseLabel).find((read) => read.ok)?.value;
  const own = (typed: string) => typed.trim() !== '' && !parseLabel(typed).ok;
  return {
    ballMetres: label && !own(length) ? label.metres : metresOrText(length, units),
    ballGrams: label && !own(mass) ? label.grams : gramsOrText(mass),
  };
}
