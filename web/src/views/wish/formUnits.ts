import { withUnit } from '@puntada/core/craft';
import type { Wish } from '@puntada/core/records';
import { get } from 'react-hook-form';
import type { WishFormValues } from './formValues.ts';

/** Metres of a label as its field holds them: where bare numbers are yards, with their unit, so that none is lost. */
export function metresText(metres: number | undefined, units: Wish['units']): string {
  if (metres === undefined) return '';
  return units === 'cm' ? String(metres) : `${metres} m`;
}

/** Where lengths of cloth and of yarn are typed; each yarn has one more. */
const lengthFields = [
  'width.length',
  'height.length',
  'gauge.stitches.over',
  'gauge.rows.over',
  'finish.ring',
  'finish.strap.drop',
  'finish.strap.width',
  'finish.flap',
] as const;

/** What becomes of the fields of a form when bare numbers are to be in other units: each stays as long as it was. */
export function inUnits(form: WishFormValues, units: Wish['units']): [path: string, text: string][] {
  if (form.units === units) return [];
  const yarn = form.units === 'cm' ? 'm' : 'yd';
  return [
    ...lengthFields.map((path): [string, string] => [path, withUnit(String(get(form, path) ?? ''), form.units)]),
    ...form.yarns.map((each, i): [string, string] => [`yarns.${i}.ballMetres`, withUnit(each.ballMetres, yarn)]),
    ['units', units],
  ];
}
