import { isRoundMaking } from '../../craft/fabric/fabric.ts';
import { times } from '../../craft/values/estimate.ts';
import type { Facts, Told } from '../../craft/values/problem.ts';
import { isTube, type TubeMeasure, type WidthOffer } from '../fit/across.ts';
import type { HeightOffer } from '../fit/up.ts';
import { measureOf } from '../items/items.ts';
import { acrossRequest, upRequest } from '../sizes/sizes.ts';
import type { Prepared } from '../wish/prepare.ts';
import { amountOf, exactly, type Working, type WorkingPart } from './working.ts';

/** A part that is counted; left out where there is nothing of it. */
function counted(code: string, amount: number, facts: Facts): WorkingPart[] {
  return amount ? [{ code, facts, amount: exactly(amount) }] : [];
}

/** Foundation chains: those under the stitches, and those beyond them. Nothing where it begins without a chain. */
export function chainsWorking({ foundation, technique }: Prepared, width: WidthOffer): Working | undefined {
  if (!width.chains) return undefined;
  const { each, sides, beyond, counted: counts, firstInto } = foundation;
  const { word } = technique.width;
  const under = (width.stitches * each) / sides;
  return {
    of: 'chains',
    unit: 'count',
    by: 'sum',
    parts: [
      ...counted('chains-under', under, { count: width.stitches, word, each, sides }),
      ...counted('chains-beyond', beyond, { small: each === 0, counts, skipped: firstInto - 1 }),
    ],
    total: exactly(width.chains),
  };
}

/** What the steps of the arithmetic add to a count. */
function countParts([step]: readonly Told[], total: number): WorkingPart[] {
  const f = (step?.facts ?? {}) as Record<string, number>;
  const whole = { times: f.repeats, word: f.word, each: f.multiple } as Facts;
  switch (step?.code) {
    case 'repeats':
      return [
        ...counted('repeats', Number(f.repeats) * Number(f.multiple), whole),
        ...counted('beyond-repeats', Number(f.extra), { unit: f.unit }),
      ];
    case 'cut':
      return [
        ...counted('repeats', Number(f.repeats) * Number(f.multiple), whole),
        ...counted('cut-edges', 2 * Number(f.cut), { each: f.cut }),
      ];
    case 'order':
      return [
        ...counted('order-opening', Number(f.opening), {}),
        ...counted('order-repeats', Number(f.times) * Number(f.repeat), { times: f.times, each: f.repeat }),
        ...counted('order-over', Number(f.over), {}),
        ...counted('order-closing', Number(f.closing), {}),
      ];
    default:
      return counted('as-counted', total, { base: step?.code === 'rows-with-base' });
  }
}

/** Stitches of a row, or whatever the widths of the pattern count. */
export function stitchesWorking(width: WidthOffer): Working {
  const parts = countParts(width.why, width.stitches);
  return { of: 'stitches', unit: 'count', by: 'sum', parts, total: exactly(width.stitches) };
}

/** Rows or rounds. */
export function rowsWorking(height: HeightOffer): Working {
  const parts = countParts(height.why, height.rows);
  return { of: 'rows', unit: 'count', by: 'sum', parts, total: exactly(height.rows) };
}

const partsOfRound = { whole: 1, flat: 1 / 2, around: 1, diameter: 1 / Math.PI } as const;

/** The cloth across: so many stitches at the gauge, or what a tube's width is of them. */
function clothAcross(
  { technique, finished }: Prepared,
  count: number,
  measure: keyof typeof partsOfRound,
): WorkingPart {
  const widths = technique.width.widths(count);
  const { stitchWidth } = finished;
  return {
    code: 'widths',
    facts: {
      count,
      word: technique.width.word,
      measure,
      each: stitchWidth.mid,
      least: stitchWidth.low,
      most: stitchWidth.high,
      typical: stitchWidth.source === 'typical',
    },
    amount: amountOf(times(stitchWidth, widths * partsOfRound[measure])),
    source: stitchWidth.source,
  };
}

/** The width: so many stitches at the gauge, and what a border adds. A circle is as wide as it is high. */
export function widthWorking(prepared: Prepared, width: WidthOffer, height: HeightOffer): Working {
  const { technique, finish, wish } = prepared;
  if (technique.circle) return { ...heightWorking(prepared, height), of: 'width' };
  const { beside } = acrossRequest(prepared);
  const cloth = clothAcross(prepared, width.stitches, isTube(prepared) ? measureOf(wish) : 'whole');
  const border: WorkingPart[] = beside
    ? [
        {
          code: 'border-sides',
          facts: { rounds: finish.border?.rounds },
          amount: amountOf(beside),
          source: beside.source,
        },
      ]
    : [];
  return { of: 'width', unit: 'mm', by: 'sum', parts: [cloth, ...border], total: amountOf(width.width) };
}

/** Another width of a tube: as it lies flat, all the way round, or across its circle. */
export function tubeWorking(
  prepared: Prepared,
  { stitches, tube }: WidthOffer,
  measure: TubeMeasure,
): Working | undefined {
  if (!tube) return undefined;
  const cloth = clothAcross(prepared, stitches, measure);
  return { of: 'width', unit: 'mm', by: 'sum', parts: [cloth], total: amountOf(tube[measure]) };
}

/** The height: so many rows at the gauge, and what border and closing row add. */
export function heightWorking(prepared: Prepared, height: HeightOffer): Working {
  const { technique, finished, finish, bound } = prepared;
  const { beside } = upRequest(prepared);
  const heights = technique.heights?.(height.rows) ?? height.rows;
  const { rowHeight } = finished;
  const round = isRoundMaking(bound.pattern.made);
  const cloth: WorkingPart = {
    code: 'heights',
    facts: {
      count: height.rows,
      round,
      heights,
      each: rowHeight.mid,
      least: rowHeight.low,
      most: rowHeight.high,
      typical: rowHeight.source === 'typical',
    },
    amount: amountOf(times(rowHeight, heights)),
    source: rowHeight.source,
  };
  const rest: WorkingPart[] = beside
    ? [
        {
          code: 'border-ends',
          facts: { rounds: finish.border?.rounds, closing: finish.closing },
          amount: amountOf(beside),
          source: beside.source,
        },
      ]
    : [];
  return { of: 'height', unit: 'mm', by: 'sum', parts: [cloth, ...rest], total: amountOf(height.height) };
}

/** Rows or rounds still to be worked of so many. */
export function rowsLeftWorking(rows: number, done: number): Working {
  const parts = [...counted('rows-all', rows, {}), ...counted('rows-done', -done, {})];
  return { of: 'rows-left', unit: 'count', by: 'sum', parts, total: exactly(rows - done) };
}
