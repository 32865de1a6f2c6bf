import type { ToldUnit } from '../../craft/units/length.ts';
import { decimal, figure } from '../../craft/values/decimal.ts';
import type { Estimate, Source } from '../../craft/values/estimate.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { Amount, Working, WorkingPart, WorkingUnit } from '../../plan/workings/working.ts';
import { pieceWorkings, sizeWorkings } from '../../plan/workings/workings.ts';
import type { PlanDocument, PrintedWorking } from '../../records/planDocument.ts';
import { chanceText, gramsFigure, hoursText, lengthFigure, metresFigure, sourceWords } from '../figures/figures.ts';
import type { Terms } from '../terms/termed.ts';
import { timeWords } from '../work/pace.ts';
import { workingNames, workingPartText } from './partText.ts';

/** An amount without the mark of where it comes from. */
function amountText(amount: Amount, unit: WorkingUnit, source: Source, units: ToldUnit): string {
  const estimate: Estimate = { ...amount, source };
  switch (unit) {
    case 'mm':
      return lengthFigure(estimate, units).text;
    case 'm':
      return metresFigure(estimate, units).text;
    case 'g':
      return gramsFigure(estimate, units).text;
    case 's':
      // What a clock has told is no estimate.
      return source !== 'typical' && amount.low === amount.high ? timeWords(amount.mid) : hoursText(estimate);
    case 'balls':
      return `${source === 'typical' && !Number.isInteger(amount.mid) ? 'about ' : ''}${figure(amount.mid, 1)}`;
    case 'money':
      return decimal(amount.mid, 2);
    case 'chance':
      return `${Math.round(100 * amount.mid)} %`;
    default:
      return figure(amount.mid);
  }
}

function printedPart(
  part: WorkingPart,
  unit: WorkingUnit,
  units: ToldUnit,
  terms: Terms,
): PrintedWorking['parts'][number] {
  const { amount, source } = part;
  return {
    text: workingPartText(part, units, terms),
    amount: amountText(amount, part.unit ?? unit, source ?? 'typed', units).replace(/^-/, '−'),
    ...(source ? { from: sourceWords[source] } : {}),
    low: amount.low,
    high: amount.high,
  };
}

/** A working in the maker's units and terms. */
export function printedWorking(working: Working, units: ToldUnit, terms: Terms): PrintedWorking {
  const { of, unit, by, parts, total } = working;
  const typical = parts.some(({ source }) => source === 'typical') ? 'typical' : 'typed';
  return {
    of,
    heading: workingNames[of] ?? of,
    by,
    parts: parts.map((part) => printedPart(part, unit, units, terms)),
    total: {
      amount: unit === 'chance' ? chanceText(total.mid) : amountText(total, unit, typical, units),
      low: total.low,
      high: total.high,
    },
  };
}

/** How every number of a plan comes about. */
export function printedWorkings(plan: Plan, terms: Terms): PlanDocument['workings'] {
  const { told } = plan.prepared;
  const print = (working: Working) => printedWorking(working, told, terms);
  const { chains, ...size } = sizeWorkings(plan);
  const { yarn, ends, time } = pieceWorkings(plan.prepared, plan.piece);
  return {
    ...(chains ? { chains: print(chains) } : {}),
    stitches: print(size.stitches),
    rows: print(size.rows),
    width: print(size.width),
    height: print(size.height),
    ends: print(ends),
    time: print(time),
    yarn: yarn.map(({ letter, metres, grams, balls, chance, drawer }) => ({
      letter,
      metres: print(metres),
      grams: print(grams),
      ...(balls ? { balls: print(balls) } : {}),
      ...(chance ? { chance: print(chance) } : {}),
      ...(drawer ? { drawer: print(drawer) } : {}),
    })),
  };
}
