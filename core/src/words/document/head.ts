import { baseFor, usualIncrease } from '../../craft/fabric/base.ts';
import { beginColour } from '../../craft/fabric/onHook.ts';
import { printOrder } from '../../craft/patterns/order.ts';
import { trueRepeat } from '../../plan/lay/repeat.ts';
import { hookAdvice } from '../../plan/piece/hookAdvice.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { hookWords } from '../en/advice.ts';
import { multipleText } from '../en/arithmetic.ts';
import { beginningAdvice, foundationWords } from '../en/foundations.ts';
import { techniqueWords } from '../en/techniques.ts';
import { type Terms, termed } from '../terms/termed.ts';

function circleOf({ prepared, width }: Plan) {
  const { increases, foundation } = prepared;
  const { rounds, adjusting, ...base } = baseFor(width.stitches, increases ?? usualIncrease(foundation.stitch));
  return { increases: base.increases, rounds: [...rounds], adjusting };
}

function hookOf(prepared: Prepared, terms: Terms): PlanDocument['hook'] {
  const advice = hookAdvice(prepared);
  const { usual, used } = advice;
  return {
    usual,
    ...(used === undefined ? {} : { used }),
    advice: hookWords(advice).map((text) => termed(text, terms)),
  };
}

/** The pattern with its numbers, the beginning, the hook, and what the technique is told by. */
export function headOf(plan: Plan, terms: Terms): Pick<PlanDocument, 'pattern' | 'foundation' | 'hook' | 'technique'> {
  const { prepared, sizes, width, piece } = plan;
  const { bound, foundation, technique, wish } = prepared;
  const { pattern } = bound;
  const told = (text: string) => termed(text, terms);
  const { works, alike } = sizes.across.multiples;
  const { change, lookOver, height, idle } = techniqueWords(technique.key);
  return {
    pattern: {
      key: pattern.key,
      name: told(pattern.name),
      technique: pattern.technique,
      stitch: bound.stitch,
      numbers: { ...bound.numbers },
      made: pattern.made,
      colours: [...bound.colours],
      trueRepeat: trueRepeat(bound, technique),
      ...(pattern.order ? { order: printOrder(pattern.order) } : {}),
      loops: bound.loops,
      ends: told(pattern.ends),
      careful: told(pattern.careful),
      multiple: { stitches: multipleText(works.stitches), chains: multipleText(works.chains) },
      alike: { stitches: multipleText(alike.stitches), chains: multipleText(alike.chains) },
    },
    foundation: {
      key: foundation.key,
      name: told(foundationWords(foundation)),
      into: wish.into,
      advice: beginningAdvice(foundation, width.stitches, wish.into).map(told),
      chains: width.chains,
      colour: bound.colours[beginColour(piece.fabric)] ?? 'A',
      firstInto: foundation.firstInto,
      turningChains: foundation.turn,
      turningChainCounts: foundation.counted,
      ...(foundation.circle ? { circle: circleOf(plan) } : {}),
    },
    hook: hookOf(prepared, terms),
    technique: { change: told(change), lookOver: told(lookOver), height: told(height), idle: told(idle) },
  };
}
