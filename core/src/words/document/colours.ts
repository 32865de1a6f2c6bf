import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { metresByCourse } from '../../plan/measure/byCourse.ts';
import { ballEnds } from '../../plan/measure/runsOut.ts';
import { handBelief } from '../../plan/piece/piece.ts';
import type { Plan } from '../../plan/piece/plan.ts';
import type { PlanDocument } from '../../records/planDocument.ts';
import { ballsFigure, ballsText } from '../figures/figures.ts';
import { rounded, tellers } from './figures.ts';

/** What each colour takes, by part, in balls and their chances, and where each ball ends. */
export function coloursOf(plan: Plan): PlanDocument['colours'] {
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
      closedIn: need.closedIn,
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
