import {
  ballTyped,
  bindPattern,
  fibreWords,
  findFoundation,
  findPattern,
  gramsOrText,
  hookOrText,
  isRoundMaking,
  isWritten,
  lettersIn,
  mainFibre,
  numberOrText,
  type Result,
  readBlend,
  readOrder,
  type StitchPattern,
  sourceOf,
  techniqueNamed,
  techniqueOf,
} from '@puntada/core/craft';
import { itemKinds, itemNamed, policyOf, techniquesFor } from '@puntada/core/plan';
import { lengthReads, readShape, type Wish, wishSchema, withUnitsTyped } from '@puntada/core/records';
import { upper } from '@puntada/core/words';
import { z } from 'zod';
import { worded } from '../../parts/wording.ts';
import { metresText } from './formUnits.ts';
import type { SizeValues, WishFormValues, YarnValues } from './formValues.ts';
import { upWord, usualFinish, usualMade, usualNumbers, usualSize, usualTitle, usualYarn } from './usual.ts';

export type { WishFormValues } from './formValues.ts';

export function newWish(units: Wish['units'], patternKey?: string): WishFormValues {
  if (patternKey) return wishIn(patternKey, units);
  const [width, height] = usualSize('dishcloth', units);
  return {
    title: usualTitle('dishcloth'),
    item: 'dishcloth',
    units,
    width: { by: 'length', length: width, count: '' },
    height: { by: 'length', length: height, count: '' },
    pattern: { key: 'block-check', stitch: 'sc', made: '', order: '', loops: 'both', numbers: { b: '4', r: '4' } },
    placed: [],
    foundation: '',
    across: '',
    into: 'one loop',
    increases: '',
    ending: itemNamed('dishcloth').wish.ending ?? 'as-begun',
    weaving: 'usual',
    gauge: {
      from: 'typical',
      stitches: { count: '16', over: units === 'cm' ? '10 cm' : '4 in' },
      rows: { count: '18', over: units === 'cm' ? '10 cm' : '4 in' },
      taken: undefined,
    },
    hook: '',
    yarns: [usualYarn('A'), usualYarn('B')],
    set: { yarns: [], items: [], apart: false },
    back: '',
    ...usualFinish('dishcloth', units),
    wash: '',
    fold: false,
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
  const usual = newWish(units);
  return {
    ...usual,
    ...usualFinish(item, units),
    title: usualTitle(item),
    item,
    width: { ...usual.width, length: width },
    height: { ...usual.height, length: height },
    pattern: {
      ...usual.pattern,
      key,
      made: usualMade(item, pattern),
      stitch: pattern.stitches[0] ?? 'sc',
      numbers: usualNumbers(item, pattern),
    },
    ending: itemNamed(item).wish.ending ?? 'as-begun',
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
export function isTubeForm({ pattern: { key, made } }: Pick<WishFormValues, 'pattern'>): boolean {
  const found = findPattern(key);
  return found.ok && !isCircle(key) && isRoundMaking(made || found.value.made);
}

/** Whether it stands on a round bottom, by its item or by the beginning that was chosen. */
export function isOnCircle(form: Pick<WishFormValues, 'pattern' | 'item' | 'foundation'>): boolean {
  if (!isTubeForm(form)) return false;
  return form.foundation ? findFoundation(form.foundation)?.circle === true : itemNamed(form.item).begin === 'circle';
}

/** The colours that an order names, once it can be read. */
export function lettersOf(order: string): string[] | undefined {
  const read = order.trim() ? readOrder(order) : undefined;
  return read?.ok ? lettersIn(read.value) : undefined;
}

/** A circle is as wide as it is high: its one size stands in the height. */
function wholeSize(form: WishFormValues): WishFormValues {
  if (!isCircle(form.pattern.key)) return form;
  const { height } = form;
  const width =
    height.by === 'length'
      ? { by: 'length' as const, length: height.length, count: '' }
      : { by: 'repeats' as const, length: '', count: '1' };
  return { ...form, width };
}

/** The field of a size that is looked at, and what is typed in it. */
export function typedSize<By extends string>({
  by,
  length,
  count,
}: SizeValues<By>): {
  field: 'length' | 'count';
  text: string;
} {
  return by === 'length' ? { field: 'length', text: length } : { field: 'count', text: count };
}

function wishedSize<By extends string>({ by, length, count }: SizeValues<By>): unknown {
  return by === 'length' ? { by, length } : { by, count: numberOrText(count) };
}

/** The wish a form comes to; what cannot be a number is passed on as typed, for the schema to refuse at its place. */
export function toWish(typed: WishFormValues, stored?: Wish): unknown {
  const form = wholeSize(typed);
  const before = stored && stored.units !== form.units ? withUnitsTyped(stored) : stored;
  const pattern = findPattern(form.pattern.key);
  const known = pattern.ok ? pattern.value : undefined;
  // A pattern that is not made in the stitch chosen for another falls back to its own.
  const stitch = known?.stitches.find((each) => each === form.pattern.stitch) ?? known?.stitches[0];
  const numbers = dropEmpty(
    Object.fromEntries(
      (known?.numbers ?? []).map((each) => [each.name, numberOrText(form.pattern.numbers[each.name] ?? '')]),
    ),
  );
  // What this screen does not ask for stays as it was; only a chosen size is given up.
  const {
    choice: _given,
    open: _open,
    border: _border,
    finish: _finish,
    wash: _wash,
    fold: _fold,
    hook: _hook,
    across: _across,
    placed: _placed,
    increases: _increases,
    weaving: _weaving,
    ...kept
  } = before ?? {};
  const preset = itemNamed(form.item).wish;
  // One rule and an even, strong cloth for what is scrubbed with; thinner and softer for all else.
  const policy = before?.policy ?? usualPolicy(form, known);
  const chosen = {
    made: form.pattern.made || undefined,
    order: form.pattern.order.trim() || undefined,
    loops: form.pattern.loops === 'both' ? undefined : form.pattern.loops,
  };
  return dropEmpty({
    ...kept,
    title: form.title,
    item: form.item,
    units: form.units,
    width: wishedSize(form.width),
    height: wishedSize(form.height),
    pattern: dropEmpty(
      isWritten(form.pattern.key)
        ? { key: known?.key, text: form.pattern.key, stitch, numbers, ...chosen }
        : { key: form.pattern.key, stitch, numbers, ...chosen },
    ),
    placed: form.placed.length ? form.placed : undefined,
    foundation: form.foundation || undefined,
    into: form.into,
    increases: isOnCircle(form) ? numberOrText(form.increases) : undefined,
    across: isTubeForm(form) ? form.across || undefined : undefined,
    weaving: form.weaving === 'usual' ? undefined : form.weaving,
    gauge: gaugeOf(form, before),
    hook: hookOrText(form.hook),
    yarns: form.yarns.map((yarn) =>
      yarnTyped(
        yarn,
        form.units,
        before?.yarns.find(({ letter }) => letter === yarn.letter),
      ),
    ),
    policy,
    edges: before?.edges ?? preset.edges,
    ending: form.ending,
    pieces: numberOrText(form.pieces) ?? 1,
    border: bordered(form, before),
    closing: form.closing,
    wash: form.wash || undefined,
    fold: form.fold || undefined,
    smallChildren: form.smallChildren,
    open: form.open || undefined,
    finish: finishOf(form, before),
  });
}

/** What is done with the idle strands of a new wish, by its item and its stripes. */
function usualPolicy({ item, pattern: { order } }: WishFormValues, pattern: StitchPattern | undefined): Wish['policy'] {
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

function gaugeOf({ gauge }: WishFormValues, before: Wish | undefined): unknown {
  const { from, stitches, rows, taken } = gauge;
  if (from === 'typical') return { from: 'typical' };
  if (from === 'swatch' && taken) return taken;
  const kept = before?.gauge.from === 'counted' && before.gauge.swatch === undefined ? before.gauge : {};
  return {
    ...kept,
    from: 'counted',
    stitches: { ...stitches, count: numberOrText(stitches.count) },
    rows: { ...rows, count: numberOrText(rows.count) },
  };
}

function bordered(form: WishFormValues, before: Wish | undefined): unknown {
  const { colour, by, as, second } = form.border;
  const rounds = numberOrText(form.border.rounds);
  if (rounds === undefined || rounds === 0) return undefined;
  const pattern = as === 'plain' || as === 'envelope' ? undefined : { key: as, colour: second };
  return { ...before?.border, rounds, colour, by, envelope: as === 'envelope', pattern };
}

/** Whether a seam is sewn, and not crocheted. */
export function isSewn(seam: WishFormValues['finish']['seam']): boolean {
  return seam === 'whipped' || seam === 'mattress';
}

function finishOf(form: WishFormValues, before: Wish | undefined): unknown {
  const { ring, seam, strap, flap, mouth, closingColour, seamColour, ringColour, longEnd, mouthEdge } = form.finish;
  // A is what is meant where nothing is said, and a yarn that is gone is none.
  const chosen = (letter: string) =>
    letter !== 'A' && form.yarns.some((yarn) => yarn.letter === letter) ? letter : undefined;
  const foundation = mouthEdge === 'foundation' && !isTubeForm(form) ? { edge: mouthEdge } : {};
  const flapped = itemNamed(form.item).asks.includes('flap') && !isTubeForm(form);
  const finish = dropEmpty({
    ring: ring || undefined,
    strap: strap.kind ? { ...before?.finish?.strap, ...strap } : undefined,
    seam: seam || undefined,
    flap: (flapped && flap) || undefined,
    outside: seam ? before?.finish?.outside : undefined,
    mouth: mouth && itemNamed(form.item).mouth ? { eyelets: mouth === 'eyelets', ...foundation } : undefined,
    closingColour: form.closing ? chosen(closingColour) : undefined,
    seamColour: seam ? chosen(seamColour) : undefined,
    ringColour: ring ? chosen(ringColour) : undefined,
    longEnd: longEnd && isSewn(seam) ? true : undefined,
  });
  return Object.keys(finish).length ? finish : undefined;
}

/** A yarn of a wish as it was typed, whatever it is. @param before what is known of it that this screen does not ask */
export function yarnTyped(yarn: YarnValues, units: Wish['units'], before?: Wish['yarns'][number]): unknown {
  return dropEmpty({
    ...before,
    ...yarn,
    weight: Number(yarn.weight),
    ...blendOf(yarn),
    ...ballTyped(yarn.ballMetres, yarn.ballGrams, units),
    balls: numberOrText(yarn.balls),
    partGrams: gramsOrText(yarn.partGrams),
    drawer: yarn.drawer || undefined,
  });
}

/** A form with what is known of another laid over it, field by field; lists are taken whole. */
export function laidOver<T>(under: T, over: unknown): T {
  if (over === undefined) return under;
  const isFields = (value: unknown): value is Record<string, unknown> =>
    typeof value === 'object' && value !== null && !Array.isArray(value);
  if (!isFields(under) || !isFields(over)) return over as T;
  const fields = new Set([...Object.keys(under), ...Object.keys(over)]);
  return Object.fromEntries([...fields].map((field) => [field, laidOver(under[field], over[field])])) as T;
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
    width: sizeForm(width, usual.width),
    height: sizeForm(height, usual.height),
    pattern: {
      key: sourceOf(wish.pattern) || usual.pattern.key,
      stitch: wish.pattern.stitch ?? usual.pattern.stitch,
      made: wish.pattern.made ?? '',
      order: wish.pattern.order ?? '',
      loops: wish.pattern.loops ?? 'both',
      numbers: Object.fromEntries(
        Object.entries(wish.pattern.numbers ?? usual.pattern.numbers).map(([name, n]) => [name, String(n)]),
      ),
    },
    placed: wish.placed ?? [],
    foundation: wish.foundation ?? '',
    across: wish.across ?? '',
    into: wish.into,
    increases: wish.increases === undefined ? '' : String(wish.increases),
    ending: wish.ending,
    weaving: wish.weaving ?? 'usual',
    gauge: gaugeForm(gauge, usual.gauge),
    hook: wish.hook === undefined ? '' : String(wish.hook),
    yarns: wish.yarns.map((yarn) => ({
      letter: yarn.letter,
      name: yarn.name,
      shade: yarn.shade,
      weight: String(yarn.weight),
      fibre: yarn.fibre,
      blend: yarn.blend ? fibreWords(yarn) : '',
      ballMetres: metresText(yarn.ballMetres, wish.units),
      ballGrams: yarn.ballGrams === undefined ? '' : String(yarn.ballGrams),
      balls: yarn.balls === undefined ? '' : String(yarn.balls),
      partGrams: yarn.partGrams === undefined ? '' : String(yarn.partGrams),
      drawer: yarn.drawer ?? '',
    })),
    pieces: String(wish.pieces),
    border: {
      rounds: String(wish.border?.rounds ?? 0),
      colour: wish.border?.colour ?? 'A',
      by: wish.border?.by ?? 'gauge',
      as: wish.border?.envelope ? 'envelope' : (wish.border?.pattern?.key ?? 'plain'),
      second: wish.border?.pattern?.colour ?? 'B',
    },
    closing: wish.closing,
    wash: wish.wash ?? '',
    fold: wish.fold ?? false,
    smallChildren: wish.smallChildren,
    open: wish.open ?? false,
    finish: {
      ring: wish.finish?.ring ?? '',
      strap: {
        kind: wish.finish?.strap?.kind ?? '',
        drop: wish.finish?.strap?.drop ?? usual.finish.strap.drop,
        width: wish.finish?.strap?.width ?? usual.finish.strap.width,
      },
      flap: wish.finish?.flap ?? '',
      closingColour: wish.finish?.closingColour ?? 'A',
      seamColour: wish.finish?.seamColour ?? 'A',
      ringColour: wish.finish?.ringColour ?? 'A',
      longEnd: wish.finish?.longEnd ?? false,
      mouthEdge: wish.finish?.mouth?.edge ?? 'last',
      seam: wish.finish?.seam ?? '',
      mouth: wish.finish?.mouth ? (wish.finish.mouth.eyelets ? 'eyelets' : 'plain') : '',
    },
  };
}

function sizeForm<By extends string>(
  size: { by: 'length'; length: string } | { by: By; count: number },
  usual: SizeValues<By>,
): SizeValues<By> {
  return 'length' in size ? { ...usual, ...size } : { ...usual, by: size.by, count: String(size.count) };
}

function gaugeForm(gauge: Wish['gauge'], usual: WishFormValues['gauge']): WishFormValues['gauge'] {
  if (gauge.from === 'typical') return { ...usual, from: 'typical' };
  return {
    from: gauge.swatch ? 'swatch' : 'counted',
    stitches: { count: String(gauge.stitches.count), over: gauge.stitches.over },
    rows: { count: String(gauge.rows.count), over: gauge.rows.over },
    taken: gauge.swatch ? gauge : undefined,
  };
}

/** The wish a form comes to, or what in it cannot be read. */
export function readWish(form: WishFormValues, before?: Wish): Result<Wish> {
  return readShape(wishSchema, toWish(form, before));
}

const countedWords = { chain: 'chains', stitches: 'stitches', repeats: 'repeats', rows: 'rows' } as const;

/** The schema that the form is checked against while it is filled in; with the words of problems taken in before. */
export const formSchema = z.custom<WishFormValues>().superRefine((typed, context) => {
  const form = wholeSize(typed);
  // A length in a field for counts is a slip of its own kind, and told as one.
  for (const side of ['width', 'height'] as const) {
    const { by, count } = form[side];
    if (by === 'length' || !/[a-z"”]\s*$/i.test(count) || !lengthReads(count, form.units)) continue;
    context.addIssue({
      code: 'custom',
      path: [side, 'count'],
      message: worded({
        code: 'length-where-count',
        facts: { text: count, counts: countedWords[by], side: side === 'height' ? upper(upWord(form.item)) : 'Width' },
      }),
    });
  }
  const read = readShape(wishSchema, toWish(form));
  for (const problem of read.ok ? [] : read.problems) {
    context.addIssue({ code: 'custom', path: problem.path.split('.'), message: worded(problem) });
  }
  for (const side of ['width', 'height'] as const) {
    const { by, length } = form[side];
    if (by !== 'length' || length.trim() === '' || lengthReads(length, form.units)) continue;
    context.addIssue({
      code: 'custom',
      path: [side, 'length'],
      message: worded({ code: 'no-length', facts: { text: length } }),
    });
  }
});
