import {
  bindPattern,
  fibreWords,
  findPattern,
  isRoundMaking,
  lettersIn,
  mainFibre,
  numberOrText,
  type Result,
  readBlend,
  readOrder,
  type StitchPattern,
  techniqueNamed,
  techniqueOf,
} from '@puntada/core/craft';
import { itemKinds, itemNamed, policyOf, techniquesFor } from '@puntada/core/plan';
import { lengthReads, readShape, type Wish, wishSchema } from '@puntada/core/records';
import { problemText, upper } from '@puntada/core/words';
import { z } from 'zod';
import type { WishFormValues } from './formValues.ts';
import { upWord, usualFinish, usualMade, usualNumbers, usualSize, usualTitle, usualYarn } from './usual.ts';

export type { WishFormValues } from './formValues.ts';

export function newWish(units: Wish['units'], patternKey?: string): WishFormValues {
  if (patternKey) return wishIn(patternKey, units);
  const [width, height] = usualSize('dishcloth', units);
  return {
    title: usualTitle('dishcloth'),
    item: 'dishcloth',
    units,
    widthBy: 'length',
    width,
    heightBy: 'length',
    height,
    pattern: 'block-check',
    stitch: 'sc',
    foundation: '',
    made: '',
    across: '',
    order: '',
    loops: 'both',
    into: 'one loop',
    increases: '',
    ending: itemNamed('dishcloth').wish.ending ?? 'as-begun',
    weaving: 'usual',
    numbers: { b: '4', r: '4' },
    gaugeFrom: 'typical',
    swatchGauge: undefined,
    hook: '',
    stitchCount: '16',
    stitchSpan: units === 'cm' ? '10 cm' : '4 in',
    rowCount: '18',
    rowSpan: units === 'cm' ? '10 cm' : '4 in',
    yarns: [usualYarn('A'), usualYarn('B')],
    ...usualFinish('dishcloth', units),
    borderColour: 'A',
    wash: '',
    smallChildren: false,
    open: false,
    due: '',
  };
}

/** A new wish in a pattern: the first item that is made in it, with its usual numbers and yarns. */
function wishIn(key: string, units: Wish['units']): WishFormValues {
  const found = findPattern(key);
  if (!found.ok) return newWish(units);
  const pattern = found.value;
  const item = itemKinds.find(({ item: key }) => techniquesFor(key).includes(pattern.technique))?.item ?? 'mat';
  const [width, height] = usualSize(item, units);
  return {
    ...newWish(units),
    ...usualFinish(item, units),
    title: usualTitle(item),
    item,
    width,
    height,
    pattern: key,
    made: usualMade(item, pattern),
    ending: itemNamed(item).wish.ending ?? 'as-begun',
    stitch: pattern.stitches[0] ?? 'sc',
    numbers: usualNumbers(item, pattern),
    yarns: pattern.colours.map(usualYarn),
  };
}

function dropEmpty<T extends object>(value: T): T {
  return Object.fromEntries(Object.entries(value).filter(([, part]) => part !== undefined)) as T;
}

/** Whether a pattern is worked as a circle, whose size is one figure. */
export function isCircle(pattern: string): boolean {
  const found = findPattern(pattern);
  return found.ok && techniqueNamed(found.value.technique)?.circle === true;
}

/** Whether the piece is a tube, by its pattern or by the maker's choice; a circle is none. */
export function isTubeForm({ pattern, made }: Pick<WishFormValues, 'pattern' | 'made'>): boolean {
  const found = findPattern(pattern);
  return found.ok && !isCircle(pattern) && isRoundMaking(made || found.value.made);
}

/** Whether it stands on a round bottom, by its item or by the beginning that was chosen. */
export function isOnCircle(form: Pick<WishFormValues, 'pattern' | 'made' | 'item' | 'foundation'>): boolean {
  if (!isTubeForm(form)) return false;
  return form.foundation ? form.foundation.startsWith('circle') : itemNamed(form.item).begin === 'circle';
}

/** The colours that an order names, once it can be read. */
export function lettersOf(order: string): string[] | undefined {
  const read = order.trim() ? readOrder(order) : undefined;
  return read?.ok ? lettersIn(read.value) : undefined;
}

/** A circle is as wide as it is high: its one size stands in the height. */
function wholeSize(form: WishFormValues): WishFormValues {
  if (!isCircle(form.pattern)) return form;
  if (form.heightBy === 'length') return { ...form, widthBy: 'length', width: form.height };
  return { ...form, widthBy: 'repeats', width: '1' };
}

/** The wish a form comes to; what cannot be a number is passed on as typed, for the schema to refuse at its place. */
export function toWish(typed: WishFormValues, before?: Wish): unknown {
  const form = wholeSize(typed);
  const pattern = findPattern(form.pattern);
  const known = pattern.ok ? pattern.value : undefined;
  // A pattern that is not made in the stitch chosen for another falls back to its own.
  const stitch = known?.stitches.find((each) => each === form.stitch) ?? known?.stitches[0];
  const numbers = dropEmpty(
    Object.fromEntries((known?.numbers ?? []).map((each) => [each.name, numberOrText(form.numbers[each.name] ?? '')])),
  );
  // What this screen does not ask for stays as it was; only a chosen size is given up.
  const {
    choice: _given,
    open: _open,
    border: _border,
    finish: _finish,
    wash: _wash,
    hook: _hook,
    across: _across,
    increases: _increases,
    weaving: _weaving,
    ...kept
  } = before ?? {};
  const preset = itemNamed(form.item).wish;
  // One rule and an even, strong cloth for what is scrubbed with; thinner and softer for all else.
  const policy = before?.policy ?? usualPolicy(form, known);
  const chosen = {
    made: form.made || undefined,
    order: form.order.trim() || undefined,
    loops: form.loops === 'both' ? undefined : form.loops,
  };
  return dropEmpty({
    ...kept,
    title: form.title,
    item: form.item,
    units: form.units,
    width:
      form.widthBy === 'length'
        ? { by: 'length', length: form.width }
        : { by: form.widthBy, count: numberOrText(form.width) },
    height:
      form.heightBy === 'length'
        ? { by: 'length', length: form.height }
        : { by: form.heightBy, count: numberOrText(form.height) },
    pattern: dropEmpty(
      before?.pattern.text === undefined
        ? { key: form.pattern, stitch, numbers, ...chosen }
        : { ...before.pattern, ...chosen },
    ),
    foundation: form.foundation || undefined,
    into: form.into,
    increases: isOnCircle(form) ? numberOrText(form.increases) : undefined,
    across: isTubeForm(form) ? form.across || undefined : undefined,
    weaving: form.weaving === 'usual' ? undefined : form.weaving,
    gauge: gaugeOf(form, before),
    hook: numberOrText(form.hook),
    yarns: form.yarns.map((yarn) =>
      dropEmpty({
        ...before?.yarns.find(({ letter }) => letter === yarn.letter),
        ...yarn,
        weight: Number(yarn.weight),
        ...blendOf(yarn),
        ballMetres: numberOrText(yarn.ballMetres),
        ballGrams: numberOrText(yarn.ballGrams),
        balls: numberOrText(yarn.balls),
        partGrams: numberOrText(yarn.partGrams),
        drawer: yarn.drawer || undefined,
      }),
    ),
    policy,
    edges: before?.edges ?? preset.edges,
    ending: form.ending,
    pieces: numberOrText(form.pieces) ?? 1,
    border: bordered(form, before),
    closing: form.closing,
    wash: form.wash || undefined,
    smallChildren: form.smallChildren,
    open: form.open || undefined,
    finish: finishOf(form, before),
  });
}

/** What is done with the idle strands of a new wish, by its item and its stripes. */
function usualPolicy({ item, order }: WishFormValues, pattern: StitchPattern | undefined): Wish['policy'] {
  if (!pattern) return 'as-needed';
  const read = order.trim() ? readOrder(order) : undefined;
  const bound = bindPattern(read?.ok ? { ...pattern, order: read.value } : pattern);
  const technique = techniqueOf(pattern);
  return bound.ok && technique.ok ? policyOf(item, bound.value, technique.value) : 'as-needed';
}

/** A blend that can be read decides the fibre; one that cannot is passed on as typed. */
function blendOf({ fibre, blend }: WishFormValues['yarns'][number]): object {
  // A wish kept half done by an earlier version has no blend.
  if (!blend?.trim()) return { fibre, blend: undefined };
  const parts = readBlend(blend);
  return parts ? { fibre: mainFibre(parts), blend: parts } : { fibre, blend };
}

function gaugeOf(form: WishFormValues, before: Wish | undefined): unknown {
  if (form.gaugeFrom === 'typical') return { from: 'typical' };
  if (form.gaugeFrom === 'swatch' && form.swatchGauge) return form.swatchGauge;
  const kept = before?.gauge.from === 'counted' && before.gauge.swatch === undefined ? before.gauge : {};
  return {
    ...kept,
    from: 'counted',
    stitches: { count: numberOrText(form.stitchCount), over: form.stitchSpan },
    rows: { count: numberOrText(form.rowCount), over: form.rowSpan },
  };
}

function bordered(form: WishFormValues, before: Wish | undefined): unknown {
  const rounds = numberOrText(form.border);
  return rounds === undefined || rounds === 0 ? undefined : { ...before?.border, rounds, colour: form.borderColour };
}

function finishOf(form: WishFormValues, before: Wish | undefined): unknown {
  const strap = form.strapKind
    ? { ...before?.finish?.strap, kind: form.strapKind, drop: form.strapDrop, width: form.strapWidth }
    : undefined;
  const flap = itemNamed(form.item).asks.includes('flap') && !isTubeForm(form) ? form.flap || undefined : undefined;
  const outside = form.seam ? before?.finish?.outside : undefined;
  const finish = dropEmpty({ ring: form.ring || undefined, strap, seam: form.seam || undefined, flap, outside });
  return Object.keys(finish).length ? finish : undefined;
}

/** A stored wish as its form holds it. */
export function toForm(wish: Wish): WishFormValues {
  const { gauge, width, height } = wish;
  const usual = newWish(wish.units);
  return {
    ...usual,
    title: wish.title,
    item: wish.item,
    units: wish.units,
    widthBy: width.by,
    width: width.by === 'length' ? width.length : String(width.count),
    heightBy: height.by,
    height: height.by === 'length' ? height.length : String(height.count),
    pattern: wish.pattern.key ?? usual.pattern,
    stitch: wish.pattern.stitch ?? usual.stitch,
    foundation: wish.foundation ?? '',
    made: wish.pattern.made ?? '',
    across: wish.across ?? '',
    order: wish.pattern.order ?? '',
    loops: wish.pattern.loops ?? 'both',
    into: wish.into,
    increases: wish.increases === undefined ? '' : String(wish.increases),
    ending: wish.ending,
    weaving: wish.weaving ?? 'usual',
    numbers: Object.fromEntries(
      Object.entries(wish.pattern.numbers ?? usual.numbers).map(([name, n]) => [name, String(n)]),
    ),
    gaugeFrom: gauge.from === 'counted' && gauge.swatch ? 'swatch' : gauge.from,
    swatchGauge: gauge.from === 'counted' && gauge.swatch ? gauge : undefined,
    hook: wish.hook === undefined ? '' : String(wish.hook),
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
      blend: yarn.blend ? fibreWords(yarn) : '',
      ballMetres: yarn.ballMetres === undefined ? '' : String(yarn.ballMetres),
      ballGrams: yarn.ballGrams === undefined ? '' : String(yarn.ballGrams),
      balls: yarn.balls === undefined ? '' : String(yarn.balls),
      partGrams: yarn.partGrams === undefined ? '' : String(yarn.partGrams),
      drawer: yarn.drawer ?? '',
    })),
    pieces: String(wish.pieces),
    border: String(wish.border?.rounds ?? 0),
    borderColour: wish.border?.colour ?? 'A',
    closing: wish.closing,
    wash: wish.wash ?? '',
    smallChildren: wish.smallChildren,
    open: wish.open ?? false,
    ring: wish.finish?.ring ?? '',
    strapKind: wish.finish?.strap?.kind ?? '',
    strapDrop: wish.finish?.strap?.drop ?? usual.strapDrop,
    strapWidth: wish.finish?.strap?.width ?? usual.strapWidth,
    flap: wish.finish?.flap ?? '',
    seam: wish.finish?.seam ?? '',
  };
}

/** The wish a form comes to, or what in it cannot be read. */
export function readWish(form: WishFormValues, before?: Wish): Result<Wish> {
  return readShape(wishSchema, toWish(form, before));
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
    'border.rounds': 'border',
    'finish.ring': 'ring',
    'finish.flap': 'flap',
    'finish.strap.drop': 'strapDrop',
    'finish.strap.width': 'strapWidth',
    'pattern.key': 'pattern',
    'pattern.stitch': 'stitch',
  };
  return fields[path] ?? path.replace(/^pattern\./, '');
}

const countedWords = { chain: 'chains', stitches: 'stitches', repeats: 'repeats', rows: 'rows' } as const;

/** The schema that the form is checked against while it is filled in: only that lengths can be read. */
export const formSchema = z.custom<WishFormValues>().superRefine((typed, context) => {
  const form = wholeSize(typed);
  // A length in a field for counts is a slip of its own kind, and told as one.
  for (const [field, by] of [
    ['width', form.widthBy],
    ['height', form.heightBy],
  ] as const) {
    const text = form[field];
    if (by === 'length' || !/[a-z"”]\s*$/i.test(text) || !lengthReads(text, form.units)) continue;
    context.addIssue({
      code: 'custom',
      path: [field],
      message: problemText({
        code: 'length-where-count',
        facts: { text, counts: countedWords[by], side: field === 'height' ? upper(upWord(form.item)) : 'Width' },
      }),
    });
  }
  const read = readShape(wishSchema, toWish(form));
  for (const problem of read.ok ? [] : read.problems) {
    context.addIssue({ code: 'custom', path: fieldOf(problem.path).split('.'), message: problemText(problem) });
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
      message: problemText({ code: 'no-length', facts: { text } }),
    });
  }
});
