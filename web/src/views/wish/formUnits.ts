import { withUnit } from '@puntada/core/craft';
import type { Wish } from '@puntada/core/records';
import { get } from 'react-hook-form';
import type { WishFormValues } from './formValues.ts';
import { usualFinish } from './usual.ts';

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
  // What was only offered, and not typed, is offered in the units of the maker.
  const [offered, instead] = [usualFinish(form.item, form.units), usualFinish(form.item, units)];
  const textOf = (path: string) => {
    const text = String(get(form, path) ?? '');
    return text && text === get(offered, path) ? String(get(instead, path)) : withUnit(text, form.units);
  };
  return [
    ...lengthFields.map((path): [string, string] => [path, textOf(path)]),
    ...form.yarns.map((each, i): [string, string] => [`yarns.${i}.ballMetres`, withUnit(each.ballMetres, yarn)]),
    ['units', units],
  ];
}
