import { decimal } from '../values/decimal.ts';
import { good, type Result, refused } from '../values/problem.ts';
import { parseAmount, readNumber } from './amount.ts';

/** The units people measure cloth in. */
export type LengthUnit = 'cm' | 'in';

/** How lengths are told: in centimetres, in inches and quarters, or in inches with decimals. */
export type ToldUnit = LengthUnit | 'in-decimals';

/** The unit that stands behind a told number. */
export function unitWord(unit: ToldUnit): LengthUnit {
  return unit === 'cm' ? 'cm' : 'in';
}

const inch = 25.4;
const millimetresPer: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: inch,
  inch: inch,
  inches: inch,
  '"': inch,
  '”': inch,
  '″': inch,
  ft: 12 * inch,
  "'": 12 * inch,
};

/**
 * Reads a length of cloth as people type it (`9 1/2 in`, `24cm`, `24,5`).
 * @param unit what a bare number is in
 * @returns millimetres
 */
export function parseLength(typed: string, unit: LengthUnit): Result<number> {
  const amount = parseAmount(typed);
  if (!amount.ok) return amount;
  const name = amount.value.unit.toLowerCase().replace(/\.$/, '');
  const factor = name === '' ? millimetresPer[unit] : millimetresPer[name];
  if (factor === undefined) {
    return refused({
      code: 'unit-not-of-length',
      path: '',
      facts: { unit: amount.value.unit },
    });
  }
  return good(amount.value.value * factor);
}

/** What is typed, with its unit: a bare number gets the one it was typed in, so that it stays what it is in any other. */
export function withUnit(typed: string, unit: LengthUnit | 'm' | 'yd'): string {
  return readNumber(typed) === undefined ? typed : `${typed.trim()} ${unit}`;
}

const quarters = ['', '1/4', '1/2', '3/4'] as const;

/** A signed number without `-0`, with a true minus sign. */
export function signless(value: number, digits: number): string {
  const zero = Number(value.toFixed(digits)) === 0;
  return decimal(zero ? 0 : value, digits).replace('-', '−');
}

/** The number of a length in the fraction people use: tenths of a centimetre, quarters or hundredths of an inch; no unit. */
export function lengthNumber(mm: number, unit: ToldUnit): string {
  if (unit === 'cm') return signless(mm / 10, 1);
  if (unit === 'in-decimals') return signless(mm / inch, 2);
  const steps = Math.round((Math.abs(mm) / inch) * 4);
  const whole = Math.floor(steps / 4);
  const part = quarters[steps % 4];
  const size = part ? (whole ? `${whole} ${part}` : part) : String(whole);
  return mm < 0 && steps > 0 ? `−${size}` : size;
}

/** A length to read: `24.4 cm`, `9 1/2 in`. */
export function printLength(mm: number, unit: ToldUnit): string {
  return `${lengthNumber(mm, unit)} ${unitWord(unit)}`;
}
