import type { Estimate } from '../../craft/values/estimate.ts';
import { stepsOfPart, yarnsOfPart } from '../../plan/finish/finish.ts';
import { endsOfPlan } from '../../plan/measure/measure.ts';
import { measureNext } from '../../plan/measure/next.ts';
import { handBelief } from '../../plan/piece/piece.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import { savings } from '../../plan/piece/stash.ts';
import { endingOf } from '../../plan/steps/ending.ts';
import { cautionsFor } from '../../plan/wish/cautions.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { nextMeasureWords, savingWords } from '../en/advice.ts';
import { cautionWords } from '../en/cautions.ts';
import { endingWords } from '../en/ending.ts';
import { finishNames, finishStep } from '../en/finish.ts';
import { placedWords } from '../en/placed.ts';
import { problemWords } from '../en/problems.ts';
import { hoursText } from '../figures/figures.ts';
import { termed } from '../terms/termed.ts';
import type { Maker } from '../terms/terms.ts';
import { printedWorkings } from '../workings/printed.ts';
import { coloursOf } from './colours.ts';
import { endPlacesOf } from './endPlaces.ts';
import { rounded } from './figures.ts';
import { foldedOf } from './folded.ts';
import { headOf } from './head.ts';
import { rowsOf } from './rows.ts';
import { sizesOf } from './sizes.ts';
import { strandsOf } from './strands.ts';

function timeOf(time: Estimate): PlanDocument['time'] {
  return { hours: [rounded(time.low / 3600, 1), rounded(time.high / 3600, 1)], text: hoursText(time) };
}

/** A plan as an open document: every figure with unit, range and source, every row in words. */
export function planDocument(plan: Plan, maker: Partial<Maker> = {}): PlanDocument {
  const { terms = 'US' } = maker;
  const { prepared, width, height, piece } = plan;
  const { wish, bound, gauge } = prepared;
  const grams = piece.yarn.reduce((sum, need) => sum + need.grams.mid, 0);
  const ending = endingOf({ ...piece, bound, lastLoop: wish.lastLoop });
  const told = (text: string) => termed(text, terms);
  return {
    format: 'puntada-plan',
    version: 1,
    title: wish.title,
    item: wish.item,
    ...headOf(plan, terms),
    ...sizesOf(plan),
    colours: coloursOf(plan),
    ...strandsOf(plan, terms),
    ends: endsOfPlan(piece.yarn),
    finish: piece.finish.map((made) => {
      const { part, stitches, times } = made;
      const steps = stepsOfPart(made, bound.colours);
      const yarns = yarnsOfPart(made);
      return {
        part,
        name: finishNames[part],
        colour: yarns.map(({ colour }) => bound.colours[colour] ?? '').join(', '),
        stitches,
        rounds: [...(made.rounds ?? [])],
        ends: yarns.reduce((sum, { ends }) => sum + ends, 0),
        times,
        steps: steps.map((step) => told(finishStep(step, prepared.told))),
      };
    }),
    ending: endingWords(ending),
    endingOpen: ending.kind === 'drawn' || ending.kind === 'locked',
    time: timeOf(piece.time),
    measureNext: measureNext(grams, gauge.source === 'typical' ? 'typical' : 'measured', handBelief(prepared)).map(
      (next) => ({
        what: nextMeasureWords(next),
        within: `± ${Math.round(next.within * 100)} %`,
      }),
    ),
    savings: savings(prepared, width, height, piece).map(savingWords),
    endPlaces: endPlacesOf(plan),
    folded: foldedOf(plan),
    placed: placedWords(prepared, width.stitches, piece.rows, maker.hand ?? 'right'),
    cautions: cautionsFor(wish).map((caution) => ({ ...caution, text: told(cautionWords[caution.code]) })),
    ...rowsOf(plan, maker),
    workings: printedWorkings(plan, terms),
    warnings: plan.warnings.map((problem) => {
      const { facts: _facts, ...rest } = problem;
      return { ...rest, ...problemWords(problem, terms) };
    }),
  };
}
