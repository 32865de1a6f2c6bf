import { baseFor, usualIncrease } from '../../craft/fabric/base.ts';
import { printOrder } from '../../craft/patterns/order.ts';
import { stitchKind } from '../../craft/stitches/kinds.ts';
import type { Estimate } from '../../craft/values/estimate.ts';
import { markedText, type Printed } from '../../craft/values/estimate.ts';
import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { endsOnPiece } from '../../plan/finish/endsOnPiece.ts';
import { foldedBand } from '../../plan/finish/finish.ts';
import { itemsIn, measureOf } from '../../plan/items/items.ts';
import { itemNamed } from '../../plan/items/register.ts';
import { trueRepeat } from '../../plan/lay/repeat.ts';
import { metresByCourse } from '../../plan/measure/byCourse.ts';
import { measureNext } from '../../plan/measure/next.ts';
import { ballEnds } from '../../plan/measure/runsOut.ts';
import { hookAdvice } from '../../plan/piece/hookAdvice.ts';
import { handBelief } from '../../plan/piece/piece.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import { comparePolicies, contrastOf } from '../../plan/piece/policies.ts';
import { savings } from '../../plan/piece/stash.ts';
import { strandLedger } from '../../plan/route/ledger.ts';
import { halfTwists } from '../../plan/route/twists.ts';
import { cautionsFor } from '../../plan/wish/cautions.ts';
import type { Prepared } from '../../plan/wish/prepare.ts';
import type { Figure, PlanDocument } from '../../records/planDocument.ts';
import { hookWords, nextMeasureWords, savingWords, untwistWords } from '../en/advice.ts';
import { arithmeticWords, multipleText } from '../en/arithmetic.ts';
import { cautionWords } from '../en/cautions.ts';
import { finishNames, finishStep } from '../en/finish.ts';
import { beginningAdvice, foundationWords } from '../en/foundations.ts';
import { problemWords } from '../en/problems.ts';
import { techniqueWords } from '../en/techniques.ts';
import { policyNames } from '../en/yarns.ts';
import {
  ballsFigure,
  ballsText,
  differenceText,
  gramsFigure,
  hoursText,
  lengthFigure,
  metresFigure,
  sizeFigure,
  tubeText,
} from '../figures/figures.ts';
import { rowAdvice } from '../rows/advice.ts';
import { groupRows } from '../rows/groups.ts';
import { courseWord, rowBody, rowLine, writeRow } from '../rows/rows.ts';
import { writing } from '../rows/writing.ts';
import { type Terms, termed } from '../terms/termed.ts';
import { legend, type Maker } from '../terms/terms.ts';
import { printedWorkings } from '../workings/printed.ts';

function rounded(value: number, digits = 3): number {
  return Math.round(value * 10 ** digits) / 10 ** digits;
}

function figure(estimate: Estimate, unit: Figure['unit'], shown: Printed): Figure {
  const range = { low: rounded(estimate.low), high: rounded(estimate.high) };
  const mid = estimate.source === 'typical' ? {} : { mid: rounded(estimate.mid) };
  return { ...range, ...mid, unit, source: estimate.source, text: markedText(shown), short: shown.text };
}

/** How lengths and yarn of a plan are told: in the units it was planned for. */
function tellers(plan: Plan) {
  const { told: units } = plan.prepared;
  return {
    mm: (estimate: Estimate) => figure(estimate, 'mm', lengthFigure(estimate, units)),
    m: (estimate: Estimate) => figure(estimate, 'm', metresFigure(estimate, units)),
    g: (estimate: Estimate) => figure(estimate, 'g', gramsFigure(estimate, units)),
    off: (size: Estimate, difference: number) => differenceText(size, difference, units),
  };
}

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

function headOf(plan: Plan, terms: Terms): Pick<PlanDocument, 'pattern' | 'foundation' | 'hook' | 'technique'> {
  const { prepared, sizes, width } = plan;
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
      firstInto: foundation.firstInto,
      turningChains: foundation.turn,
      turningChainCounts: foundation.counted,
      ...(foundation.circle ? { circle: circleOf(plan) } : {}),
    },
    hook: hookOf(prepared, terms),
    technique: { change: told(change), lookOver: told(lookOver), height: told(height), idle: told(idle) },
  };
}

function sizesOf(plan: Plan): Pick<PlanDocument, 'gauge' | 'size' | 'widths' | 'heights'> {
  const { prepared, sizes, width, height, piece } = plan;
  const { gauge, technique, wish } = prepared;
  const { mm, off } = tellers(plan);
  return {
    gauge: { stitchWidth: mm(gauge.stitchWidth), rowHeight: mm(gauge.rowHeight) },
    size: {
      stitches: width.stitches,
      counts: technique.width.word,
      shape: technique.circle ? 'circle' : technique.diagonal ? 'diagonal' : width.tube ? 'tube' : 'flat',
      stitchesInRow: width.inRow,
      rows: height.rows,
      courses: piece.fabric.courses,
      pieces: wish.pieces,
      items: itemsIn(wish, width.tube !== undefined),
      width: mm(width.width),
      ...(width.tube
        ? {
            tube: {
              flat: mm(width.tube.flat),
              around: mm(width.tube.around),
              diameter: mm(width.tube.diameter),
              text: tubeText(width.tube, measureOf(wish), prepared.told),
            },
          }
        : {}),
      height: mm(height.height),
      differenceWidth: off(width.width, width.difference),
      differenceHeight: off(height.height, height.difference),
      edgesAlike: width.alike,
      endsAsBegun: height.asBegun,
      why: [...width.why, ...height.why].map(arithmeticWords),
    },
    widths: sizes.across.offers.map((offer) => ({
      stitches: offer.stitches,
      chains: offer.chains,
      width: mm(offer.width),
      difference: off(offer.width, offer.difference),
      edgesAlike: offer.alike,
    })),
    heights: sizes.up.offers.map((offer) => ({
      rows: offer.rows,
      height: mm(offer.height),
      difference: off(offer.height, offer.difference),
      whole: offer.whole,
      endsAsBegun: offer.asBegun,
    })),
  };
}

function coloursOf(plan: Plan): PlanDocument['colours'] {
  const { prepared, piece } = plan;
  const { gauge, technique, foundation, yarns } = prepared;
  const { m, g } = tellers(plan);
  const figures = yarns.map(yarnFigures);
  const metres = metresByCourse({
    fabric: piece.fabric,
    strands: piece.strands,
    foundation,
    technique,
    stitchWidth: gauge.stitchWidth.mid,
    rowHeight: gauge.rowHeight.mid,
    diameters: figures.map((each) => each.diameter),
  });
  return piece.yarn.map((need, i) => {
    const yarn = yarns[i];
    const ends =
      need.balls && yarn?.ballGrams
        ? ballEnds({
            metres: metres[i] as Float64Array,
            belief: handBelief(prepared),
            ballGrams: yarn.ballGrams,
            metresPerGram: figures[i]?.metresPerGram ?? 1,
            // A set is worked one piece after another, so only the balls of one are placed in its rows.
            balls: Math.ceil(need.balls.count / prepared.wish.pieces),
          })
        : [];
    return {
      letter: need.letter,
      name: yarn?.name ?? '',
      stitches: piece.share[i] ?? 0,
      metres: m(need.metres),
      grams: g(need.grams),
      parts: Object.fromEntries(need.parts.map((part) => [part.part, m(part.metres)])),
      ends: need.ends,
      ...(need.balls
        ? {
            balls: {
              count: need.balls.count,
              text: ballsText(need.balls),
              short: ballsFigure(need.balls).text,
              chance: rounded(need.balls.chance),
            },
          }
        : {}),
      chances: (need.chances ?? []).map((each) => ({ balls: each.balls, chance: rounded(each.chance) })),
      ...(need.drawer ? { drawer: { chance: rounded(need.drawer.chance) } } : {}),
      ballEnds: ends
        .filter((end) => end.low < piece.fabric.courses)
        .map(({ ball, low, high, joinAfter }) => ({ ball, between: [low, high], joinAfter })),
    };
  });
}

function strandsOf(plan: Plan): Pick<PlanDocument, 'strands' | 'policies'> {
  const { prepared, piece } = plan;
  const { wish } = prepared;
  const ledger = strandLedger(piece.fabric, piece.strands, contrastOf(prepared));
  const twists = halfTwists(piece.strands).at(-1) ?? 0;
  return {
    strands: {
      policy: wish.policy,
      floats: wish.floats,
      ends: piece.ends,
      carriedStitches: Math.round(ledger.carried),
      rowsClimbed: ledger.climbedRows,
      bobbins: ledger.bobbins,
      thickness: [...ledger.thickness],
      showThrough: rounded(ledger.show, 1),
      halfTwists: twists,
      untwist: untwistWords(twists),
    },
    policies: comparePolicies(prepared, piece.fabric).map((each) => ({
      policy: each.policy,
      name: policyNames[each.policy],
      ends: each.ends,
      carriedStitches: Math.round(each.carried),
      extraMetres: rounded(each.extraMetres, 1),
      minutes: Math.round(each.minutes),
      thickness: [...each.thickness],
      showThrough: rounded(each.show, 1),
      ...(each.sameAs ? { sameAs: policyNames[each.sameAs] } : {}),
    })),
  };
}

function rowsOf(
  plan: Plan,
  { terms = 'US', hand = 'right', manner }: Partial<Maker>,
): Pick<PlanDocument, 'rows' | 'grouped' | 'legend'> {
  const request = { ...writing(plan, terms, hand), manner, technique: plan.prepared.technique };
  const { fabric } = plan.piece;
  const word = courseWord(fabric.making);
  const written = Array.from({ length: fabric.courses }, (_, i) => writeRow(request, i + 1));
  const rows = written.map((row, i) => {
    const { changes, markers, ahead } = rowAdvice(request, i + 1);
    return {
      number: row.number,
      side: row.side,
      text: rowLine(row, word, manner),
      strands: [...row.strands],
      changes: [...changes],
      markers: [...markers],
      ahead: [...ahead],
    };
  });
  const kinds = [...new Set(fabric.kinds)].map((code) => stitchKind(code).key);
  return {
    rows,
    grouped: groupRows(
      written.map((row) => ({
        line: rowLine(row, word, manner),
        body: [rowBody(row, manner), ...row.strands].join('\n'),
      })),
      word,
    ),
    legend: legend(kinds, terms),
  };
}

/** How a piece or a set is folded for a drawer or a stall: cloths in four, blankets in twelve. */
function foldedOf(plan: Plan): PlanDocument['folded'] {
  const { width, height, prepared } = plan;
  const folds = itemNamed(prepared.wish.item).folds ?? { across: 2, up: 2 };
  const diameter = Math.max(...prepared.yarns.map((yarn) => yarnFigures(yarn).diameter));
  const { mm } = tellers(plan);
  const of = (size: 'low' | 'mid' | 'high') =>
    foldedBand(
      { width: (width.tube?.flat ?? width.width)[size], height: height.height[size] },
      folds,
      prepared.wish.pieces,
      diameter,
    );
  const [low, mid, high] = [of('low'), of('mid'), of('high')];
  const told = (part: 'width' | 'height' | 'band') =>
    mm({ low: low[part], mid: mid[part], high: high[part], source: width.width.source });
  const folded = (part: 'width' | 'height') => ({
    low: low[part],
    mid: mid[part],
    high: high[part],
    source: width.width.source,
  });
  return {
    width: told('width'),
    height: told('height'),
    band: told('band'),
    short: sizeFigure(folded('width'), folded('height'), prepared.told).text,
  };
}

/** More than so many ends are no longer told apart on a drawing. */
const mostEnds = 400;

function endPlacesOf({ piece, prepared }: Plan): PlanDocument['endPlaces'] {
  const { strands } = piece;
  return endsOnPiece(piece.fabric, prepared.technique, strands)
    .slice(0, mostEnds)
    .map(({ strand, across, up, behind }) => ({
      letter: prepared.bound.colours[strands.colourOf[strand] ?? 0] ?? '',
      across: rounded(across, 4),
      up: rounded(up, 4),
      ...(behind ? { behind } : {}),
    }));
}

function timeOf(time: Estimate): PlanDocument['time'] {
  return { hours: [rounded(time.low / 3600, 1), rounded(time.high / 3600, 1)], text: hoursText(time) };
}

/** A plan as an open document: every figure with unit, range and source, every row in words. */
export function planDocument(plan: Plan, maker: Partial<Maker> = {}): PlanDocument {
  const { terms = 'US' } = maker;
  const { prepared, width, height, piece } = plan;
  const { wish, bound, gauge } = prepared;
  const grams = piece.yarn.reduce((sum, need) => sum + need.grams.mid, 0);
  const told = (text: string) => termed(text, terms);
  return {
    format: 'puntada-plan',
    version: 1,
    title: wish.title,
    item: wish.item,
    ...headOf(plan, terms),
    ...sizesOf(plan),
    colours: coloursOf(plan),
    ...strandsOf(plan),
    finish: piece.finish.map(({ part, colour, stitches, ends, times, steps }) => ({
      part,
      name: finishNames[part],
      colour: bound.colours[colour] ?? '',
      stitches,
      ends,
      times,
      steps: steps.map((step) => told(finishStep(step, prepared.told))),
    })),
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
    cautions: cautionsFor(wish).map((caution) => ({ ...caution, text: told(cautionWords[caution.code]) })),
    ...rowsOf(plan, maker),
    workings: printedWorkings(plan, terms),
    warnings: plan.warnings.map((problem) => {
      const { facts: _facts, ...rest } = problem;
      return { ...rest, ...problemWords(problem, terms) };
    }),
  };
}
