import { findPattern, lengthReads, type Wish, wishSchema } from '@puntada/core';
import { z } from 'zod';

/** The items that this screen asks for: flat pieces. */
export const shownItems = ['dishcloth', 'blanket', 'bag panel', 'scarf', 'mat'] as const;
export type ShownItem = (typeof shownItems)[number];

/** A wish as its form holds it: every number still a text as typed. */
export interface WishFormValues {
  title: string;
  item: ShownItem;
  units: Wish['units'];
  widthBy: 'length' | 'chain' | 'stitches' | 'repeats';
  width: string;
  heightBy: 'length' | 'rows' | 'repeats';
  height: string;
  pattern: string;
  stitch: string;
  foundation: string;
  numbers: Record<string, string>;
  gaugeFrom: 'typical' | 'counted';
  stitchCount: string;
  stitchSpan: string;
  rowCount: string;
  rowSpan: string;
  yarns: {
    letter: string;
    name: string;
    shade: string;
    weight: string;
    fibre: 'cotton' | 'acrylic' | 'wool';
    ballMetres: string;
    ballGrams: string;
  }[];
}

/** What each item usually is, in the units of the maker. */
export const usualSizes: Readonly<Record<ShownItem, Readonly<Record<Wish['units'], readonly [string, string]>>>> = {
  dishcloth: { cm: ['24', '24'], in: ['9 1/2', '9 1/2'] },
  blanket: { cm: ['100', '150'], in: ['40', '60'] },
  'bag panel': { cm: ['34', '38'], in: ['13 1/2', '15'] },
  scarf: { cm: ['20', '160'], in: ['8', '63'] },
  mat: { cm: ['40', '30'], in: ['16', '12'] },
};

export function newWish(units: Wish['units']): WishFormValues {
  const [width, height] = usualSizes.dishcloth[units];
  return {
    title: 'New cloth',
    item: 'dishcloth',
    units,
    widthBy: 'length',
    width,
    heightBy: 'length',
    height,
    pattern: 'block-check',
    stitch: 'sc',
    foundation: '',
    numbers: { b: '4', r: '4' },
    gaugeFrom: 'typical',
    stitchCount: '16',
    stitchSpan: units === 'cm' ? '10 cm' : '4 in',
    rowCount: '18',
    rowSpan: units === 'cm' ? '10 cm' : '4 in',
    yarns: [
      { letter: 'A', name: 'Oat', shade: '#e9dfc4', weight: '4', fibre: 'cotton', ballMetres: '', ballGrams: '' },
      {
        letter: 'B',
        name: 'Ferry blue',
        shade: '#24476b',
        weight: '4',
        fibre: 'cotton',
        ballMetres: '',
        ballGrams: '',
      },
    ],
  };
}

function number(text: string): number | string | undefined {
  const trimmed = text.trim().replace(',', '.');
  if (trimmed === '') return undefined;
  const value = Number(trimmed);
  return Number.isFinite(value) ? value : text;
}

function dropEmpty<T extends object>(value: T): T {
  return Object.fromEntries(Object.entries(value).filter(([, part]) => part !== undefined)) as T;
}

/** The wish a form comes to; what cannot be a number is passed on as typed, for the schema to refuse at its place. */
export function toWish(form: WishFormValues, before?: Wish): unknown {
  const pattern = findPattern(form.pattern);
  const known = pattern.ok ? pattern.value : undefined;
  // A pattern that is not made in the stitch chosen for another falls back to its own.
  const stitch = known?.stitches.find((each) => each === form.stitch) ?? known?.stitches[0];
  const numbers = Object.fromEntries(
    (known?.numbers ?? []).map((each) => [each.name, number(form.numbers[each.name] ?? '')]),
  );
  // What this screen does not ask for stays as it was; only a chosen size is given up.
  const { choice: _given, ...kept } = before ?? {};
  const otherItem = before && !shownItems.some((item) => item === before.item);
  // One rule and an even, strong cloth for what is scrubbed with; thinner and softer for all else.
  const policy = before?.policy ?? (form.item === 'dishcloth' ? 'carry-always' : 'as-needed');
  return dropEmpty({
    ...kept,
    title: form.title,
    item: otherItem ? before.item : form.item,
    units: form.units,
    width:
      form.widthBy === 'length'
        ? { by: 'length', length: form.width }
        : { by: form.widthBy, count: number(form.width) },
    height:
      form.heightBy === 'length'
        ? { by: 'length', length: form.height }
        : { by: form.heightBy, count: number(form.height) },
    pattern: before?.pattern.text === undefined ? dropEmpty({ key: form.pattern, stitch, numbers }) : before.pattern,
    foundation: stitch === 'hdc' && form.foundation ? form.foundation : undefined,
    gauge:
      form.gaugeFrom === 'typical'
        ? { from: 'typical' }
        : {
            from: 'counted',
            stitches: { count: number(form.stitchCount), over: form.stitchSpan },
            rows: { count: number(form.rowCount), over: form.rowSpan },
          },
    yarns: form.yarns.map((yarn) =>
      dropEmpty({
        ...before?.yarns.find(({ letter }) => letter === yarn.letter),
        ...yarn,
        weight: Number(yarn.weight),
        ballMetres: number(yarn.ballMetres),
        ballGrams: number(yarn.ballGrams),
      }),
    ),
    policy,
  });
}

/** A stored wish as its form holds it. */
export function toForm(wish: Wish): WishFormValues {
  const { gauge, width, height } = wish;
  const usual = newWish(wish.units);
  return {
    ...usual,
    title: wish.title,
    item: shownItems.find((item) => item === wish.item) ?? 'mat',
    units: wish.units,
    widthBy: width.by,
    width: width.by === 'length' ? width.length : String(width.count),
    heightBy: height.by,
    height: height.by === 'length' ? height.length : String(height.count),
    pattern: wish.pattern.key ?? usual.pattern,
    stitch: wish.pattern.stitch ?? usual.stitch,
    foundation: wish.foundation ?? '',
    numbers: Object.fromEntries(
      Object.entries(wish.pattern.numbers ?? usual.numbers).map(([name, n]) => [name, String(n)]),
    ),
    gaugeFrom: gauge.from,
    ...(gauge.from === 'counted'
      ? {
          stitchCount: String(gauge.stitches.count),
          stitchSpan: gauge.stitches.over,
          rowCount: String(gauge.rows.count),
          rowSpan: gauge.rows.over,
        }
      : {}),
    yarns: wish.yarns.map((yarn) => ({
      letter: yarn.letter,
      name: yarn.name,
      shade: yarn.shade,
      weight: String(yarn.weight),
      fibre: yarn.fibre,
      ballMetres: yarn.ballMetres === undefined ? '' : String(yarn.ballMetres),
      ballGrams: yarn.ballGrams === undefined ? '' : String(yarn.ballGrams),
    })),
  };
}

/** The field of the form that a path of a wish stands for. */
export function fieldOf(path: string): string {
  const fields: Readonly<Record<string, string>> = {
    'width.length': 'width',
    'width.count': 'width',
    width: 'width',
    'height.length': 'height',
    'height.count': 'height',
    height: 'height',
    'gauge.stitches.count': 'stitchCount',
    'gauge.stitches.over': 'stitchSpan',
    'gauge.stitches': 'stitchCount',
    'gauge.rows.count': 'rowCount',
    'gauge.rows.over': 'rowSpan',
    'gauge.rows': 'rowCount',
    'pattern.key': 'pattern',
    'pattern.stitch': 'stitch',
  };
  return fields[path] ?? path.replace(/^pattern\./, '');
}

/** The schema that the form is checked against while it is filled in: only that lengths can be read. */
export const formSchema = z.custom<WishFormValues>().superRefine((form, context) => {
  const read = wishSchema.safeParse(toWish(form));
  if (!read.success) {
    for (const issue of read.error.issues) {
      context.addIssue({ code: 'custom', path: fieldOf(issue.path.join('.')).split('.'), message: issue.message });
    }
  }
  const lengths = [
    ['width', form.widthBy === 'length' ? form.width : '1'],
    ['height', form.heightBy === 'length' ? form.height : '1'],
  ] as const;
  for (const [field, text] of lengths) {
    if (text.trim() === '' || lengthReads(text, form.units)) continue;
    context.addIssue({
      code: 'custom',
      path: [field],
      message: `“${text}” is not a length. Type 24, 24,5 cm or 9 1/2 in.`,
    });
  }
});
