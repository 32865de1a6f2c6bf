import { good, type Problem, type Result, refused } from '../values/problem.ts';

/** A number as typed, with whatever followed it. */
export interface Amount {
  readonly value: number;
  readonly unit: string;
}

const fractions: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅓': '1/3',
  '⅔': '2/3',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const spelled = /^([+\-−]?)\s*(?:(\d+)\s+)?(\d+)\/(\d+)\s*(.*)$/;
const decimal = /^([+\-−]?)\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*(.*)$/;

function unreadable(text: string): Problem {
  return {
    code: 'not-a-number',
    path: '',
    facts: { text },
  };
}

/** The bare number that was typed, or nothing where it is none or has a unit behind. */
export function readNumber(typed: string): number | undefined {
  const read = parseAmount(typed);
  return read.ok && read.value.unit === '' ? read.value.value : undefined;
}

/** The same for a field that may stay empty; what is no number is passed on as typed, for a schema to refuse at its place. */
export function numberOrText(typed: string): number | string | undefined {
  return typed.trim() === '' ? undefined : (readNumber(typed) ?? typed);
}

/**
 * Reads a number the way people type it: `24`, `24,5`, `24.5`, `9 1/2`, `9½`, each with an optional unit behind.
 * @throws nothing; `1,250` is refused as ambiguous, since a comma is a decimal sign to some and a thousands sign to others.
 */
export function parseAmount(typed: string): Result<Amount> {
  const text = typed.trim().replace(/[½¼¾⅓⅔⅛⅜⅝⅞]/g, (sign) => ` ${fractions[sign]}`);
  const fraction = spelled.exec(text.trim());
  if (fraction) {
    const [, sign, whole, over, under, unit] = fraction;
    if (Number(under) === 0) return refused(unreadable(typed.trim()));
    const size = Number(whole ?? 0) + Number(over) / Number(under);
    return good({ value: sign === '-' || sign === '−' ? -size : size, unit: (unit ?? '').trim() });
  }
  const plain = decimal.exec(text.trim());
  if (!plain) return refused(unreadable(typed.trim()));
  const [, sign, digits = '', unit = ''] = plain;
  if (/^[\d/.,]/.test(unit)) return refused(unreadable(typed.trim()));
  if (/^[1-9]\d{0,2},\d{3}$/.test(digits)) {
    return refused({
      code: 'number-ambiguous',
      path: '',
      facts: { digits, whole: digits.replace(',', ''), decimal: digits.replace(',', '.') },
    });
  }
  const size = Number(digits.replace(',', '.'));
  return good({ value: sign === '-' || sign === '−' ? -size : size, unit: unit.trim() });
}
