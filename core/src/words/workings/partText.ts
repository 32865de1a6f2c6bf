import type { Act } from '../../craft/stitches/acts.ts';
import type { ToldUnit } from '../../craft/units/length.ts';
import { yarnLengthNumber, yarnLengthUnit } from '../../craft/units/yarn.ts';
import { decimal, figure } from '../../craft/values/decimal.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import type { Facts } from '../../craft/values/problem.ts';
import type { WorkingPart } from '../../plan/workings/working.ts';
import { yarnPartName } from '../en/finish.ts';
import { counted, oneOf } from '../en/lists.ts';
import { atHandWords } from '../en/yarns.ts';
import { countOver, metresFigure, spanWords } from '../figures/figures.ts';
import type { Terms } from '../terms/termed.ts';
import { actWords } from '../work/pace.ts';

/** What a working is the working of, as its heading says. */
export const workingNames: Readonly<Record<string, string>> = {
  chains: 'How many chains',
  stitches: 'How wide, in stitches',
  rows: 'How high, in rows',
  width: 'How wide',
  height: 'How high',
  metres: 'How much yarn',
  left: 'How much yarn to go',
  used: 'How much yarn so far',
  'so-far': 'How long so far',
  'rows-left': 'How many are left',
  extra: 'Yarn that is in no stitch',
  grams: 'How heavy',
  balls: 'How many balls',
  chance: 'How likely it is enough',
  time: 'How long',
  ends: 'How many ends',
  price: 'What it costs',
};

/** So many to the span that makers count over: `16 in 10 cm`, `14–18 in 10 cm`, `16.3 in 4 in`. */
function gauge(f: Facts, units: ToldUnit): string {
  const [low, high] = f.typical ? [f.least, f.most] : [f.each, f.each];
  return `${countOver({ low: Number(low), high: Number(high) }, units)} in ${spanWords(units)}`;
}

const across: Readonly<Record<string, string>> = {
  flat: ', half of them on each face',
  around: ', all the way round',
  diameter: ', ÷ π across the circle',
};

/** A word for so many: `1 stitch`, `36 stitches`. */
function so(count: unknown, word: unknown): string {
  return `${count} ${Number(count) === 1 ? oneOf(String(word)) : word}`;
}

function metres(m: unknown, units: ToldUnit): string {
  return `${yarnLengthNumber(Number(m), units)} ${yarnLengthUnit(units)}`;
}

const extraParts: Readonly<Record<string, string>> = {
  carried: 'carried inside stitches',
  bridged: 'carried up the edge and floated behind',
};

const strandActs: Readonly<Record<string, string>> = {
  weave: 'weave in an end',
  carry: 'carry a strand over a stitch',
  cut: 'cut and join',
};

type Tell = (f: Facts, units: ToldUnit, terms: Terms) => string;

const table: Readonly<Record<string, Tell>> = {
  'chains-under': (f) =>
    `${so(f.count, f.word)}${Number(f.each) > 1 ? ` × ${f.each} chains` : ''}${Number(f.sides) > 1 ? ', one chain for two of them' : ''}`,
  'chains-beyond': (f) =>
    f.small ? 'begin it at any size' : f.counts ? `more: ${f.skipped} count as the first stitch` : 'more, to turn',
  repeats: (f) => `${so(f.times, f.word)} × ${f.each}`,
  'beyond-repeats': () => 'beyond the repeats',
  'cut-edges': (f) => `cut repeats at the edges, ${f.each} each`,
  'order-opening': () => 'before your order begins to repeat',
  'order-repeats': (f) => `${f.times} × your order of ${f.each}`,
  'order-over': () => 'of the next time through your order',
  'order-closing': () => 'at the end of your order',
  'as-counted': (f) => (f.base ? 'base row and closing row included' : 'as you chose'),
  widths: (f, units) => `${so(f.count, f.word)} at ${gauge(f, units)}${across[String(f.measure)] ?? ''}`,
  heights: (f, units) => `${so(f.count, f.round ? 'rounds' : 'rows')} at ${gauge(f, units)}`,
  'border-sides': (f) => `border, ${counted(Number(f.rounds), 'round')} on both sides`,
  'border-ends': (f) =>
    [f.rounds ? `border, ${counted(Number(f.rounds), 'round')} at both ends` : '', f.closing ? 'closing row' : '']
      .filter(Boolean)
      .join(' and '),
  'yarn-part': (f) =>
    f.stitches
      ? counted(Number(f.stitches), 'stitch', 'stitches')
      : f.ends
        ? `${counted(Number(f.ends), 'end')} of 15 cm to weave in`
        : yarnPartName(String(f.part)),
  'grams-part': (f, units) => `${yarnPartName(String(f.part))}, at ${metres(f.metresPerGram, units)} to a gram`,
  'balls-needed': (f, units) =>
    `${metresFigure(f.metres as Estimate, units).text}, at ${metres(f.each, units)} per ball`,
  'balls-more': (f) => `more, so that it is enough ${Math.round(100 * Number(f.sure))} times in 100`,
  'yarn-wound': (f, units) =>
    [
      Number(f.balls) ? `${counted(Number(f.balls), 'ball')} of ${metres(f.each, units)}` : '',
      Number(f.grams) ? `an opened ball of ${figure(Number(f.grams))} g` : '',
    ]
      .filter(Boolean)
      .join(' and ') || 'no yarn',
  'less-tails': (f) => `less the tails of ${counted(Number(f.ends), 'end')} and of joins`,
  'less-joins': () => 'less what is lost at joins',
  'yarn-usable': () => 'left for stitches',
  'yarn-needed': () => 'most likely needed for stitches',
  'give-or-take': () => 'give or take, 2 times in 3',
  act: (f, _units, terms) =>
    `${actWords(f.act as Act, terms)}, ${Number(f.count) === 1 ? 'once' : `${f.count} times`} at ${figure(Number(f.each), 1)} s`,
  'ends-cloth': (f) => `${f.letter}, ${f.name}${Number(f.pieces) > 1 ? `: ${f.ends} × ${f.pieces} pieces` : ''}`,
  'ends-finish': (f) => `${yarnPartName(String(f.part))}${Number(f.times) > 1 ? `: ${f.ends} × ${f.times}` : ''}`,
  'ends-closed': (f) =>
    `less those at the edges, which the border closes in${Number(f.pieces) > 1 ? `: ${f.ends} × ${f.pieces} pieces` : ''}`,
  extra: (f) =>
    f.part === 'tails' ? `tails of ${counted(Number(f.ends), 'end')}` : (extraParts[String(f.part)] ?? ''),
  'strand-act': (f) =>
    `${strandActs[String(f.does)]}, ${counted(Number(f.count), 'time')} at ${figure(Number(f.each))} s`,
  'as-measured': (f) =>
    `as planned, and ${Math.abs(Math.round(1000 * (Number(f.drift) - 1)) / 10)} % ${Number(f.drift) > 1 ? 'more' : 'less'}, as you measured`,
  'rows-all': () => 'in the whole piece',
  'rows-done': () => 'done',
  'used-rows': (f) => `${counted(Number(f.rows), 'row')} done, by the plan`,
  'used-in-hand': () => 'the row in hand, by the plan',
  'used-ball': (f, units) =>
    `ball ${f.ball}: ${figure(Number(f.before))} g less ${figure(Number(f.after))} g, at ${metres(f.metresPerGram, units)} to a gram`,
  session: (f) => `session ${f.number}${f.corrected ? ', corrected by you' : ''}`,
  'left-rows': (f, units) => `rows to come, ${metres(f.planned, units)} by the plan`,
  'left-finish': (f, units) => `finishing, ${metres(f.planned, units)} by the plan`,
  'pool-need': (f, units) => `${f.work}, ${f.letter}: ${metresFigure(f.metres as Estimate, units).text}`,
  'pool-spare': () => 'to spare',
  'pool-fewer': () => 'fewer, as it need not be so sure',
  'pool-has': (f) => `that you have: ${atHandWords({ balls: Number(f.balls), grams: Number(f.grams) })}`,
  'balls-at': (f) => `${counted(Number(f.buy), 'ball')} at ${decimal(Number(f.price), 2)}`,
};

/** One part of a working, in words. */
export function workingPartText({ code, facts }: WorkingPart, units: ToldUnit, terms: Terms): string {
  return table[code]?.(facts ?? {}, units, terms) ?? code;
}
