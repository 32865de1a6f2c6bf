import {
  ballTyped,
  fibreWords,
  type LengthUnit,
  mainFibre,
  numberOrText,
  type Problem,
  readBlend,
  weightsOrText,
} from '@puntada/core/craft';
import { type DrawerYarn, drawerYarnSchema, readShape } from '@puntada/core/records';
import { problemText } from '@puntada/core/words';

/** A yarn of the drawer as its form holds it: all as typed. */
export interface YarnValues {
  readonly line: string;
  readonly name: string;
  readonly shade: string;
  readonly lot: string;
  readonly weight: string;
  readonly fibre: string;
  /** As its label says it; empty for one fibre. */
  readonly blend: string;
  readonly ballMetres: string;
  readonly ballGrams: string;
  readonly balls: string;
  readonly parts: string;
  readonly price: string;
}

export const emptyYarn: YarnValues = {
  line: '',
  name: '',
  shade: '#8aa39b',
  lot: '',
  weight: '4',
  fibre: 'cotton',
  blend: '',
  ballMetres: '',
  ballGrams: '',
  balls: '1',
  parts: '',
  price: '',
};

export function toValues(yarn: DrawerYarn, units: LengthUnit): YarnValues {
  const text = (value: number | undefined) => (value === undefined ? '' : String(value));
  return {
    line: yarn.line,
    name: yarn.name,
    shade: yarn.shade,
    lot: yarn.lot,
    weight: String(yarn.weight),
    fibre: yarn.fibre,
    blend: yarn.blend ? fibreWords(yarn) : '',
    // Where bare numbers are yards, metres stand with their unit: nothing of them is lost.
    ballMetres: yarn.ballMetres === undefined || units === 'cm' ? text(yarn.ballMetres) : `${yarn.ballMetres} m`,
    ballGrams: text(yarn.ballGrams),
    balls: String(yarn.balls),
    parts: yarn.parts.join(' '),
    price: text(yarn.price),
  };
}

type Read =
  | { readonly yarn: DrawerYarn; readonly wrong?: undefined }
  | { readonly yarn?: undefined; readonly wrong: Readonly<Record<string, string>> };

/** The yarn a form comes to, or a sentence for each field that will not do. */
export function readYarn(values: YarnValues, units: LengthUnit): Read {
  const parts = values.blend.trim() ? readBlend(values.blend) : undefined;
  const read = readShape(drawerYarnSchema, {
    ...values,
    ...(parts ? { fibre: mainFibre(parts) } : {}),
    blend: values.blend.trim() ? (parts ?? values.blend) : undefined,
    weight: numberOrText(values.weight),
    ...ballTyped(values.ballMetres, values.ballGrams, units),
    balls: numberOrText(values.balls) ?? 0,
    parts: weightsOrText(values.parts),
    price: numberOrText(values.price),
  });
  if (read.ok) return { yarn: read.value };
  return {
    wrong: Object.fromEntries(read.problems.map((problem) => [problem.path.split('.')[0], problemText(problem)])),
  };
}

/** Problems of a table that was brought in, shortened to the first few. */
export function firstProblems(problems: readonly Problem[], most = 6): readonly Problem[] {
  return problems.slice(0, most);
}
