import { type Estimate, times } from '../../craft/values/estimate.ts';
import { yarnFigures } from '../../craft/yarn/yarn.ts';
import { rowsAmong, type Sequence } from '../../plan/steps/sequence.ts';
import { amountOf, exactly, type Working, type WorkingPart } from '../../plan/workings/working.ts';
import type { Position } from '../progress/progress.ts';
import type { ToldSession } from './sessions.ts';
import { type ColourQuestion, lastOfEach } from './weighed.ts';

/** Metres course by course, the finishing last, and how far they are worked. */
export interface UseUpTo {
  readonly metres: readonly number[];
  readonly now: Position;
  /** Of the course in hand, 0 to 1. */
  readonly part: number;
  /** What each of the metres is of, in a whole project; where it is left out all but the last are of rows. */
  readonly units?: Sequence['units'] | undefined;
}

/** Whether metres are of the finishing, and not of the rows and the chain they stand on. */
function isFinish({ metres, units }: UseUpTo, at: number): boolean {
  const unit = units?.[at];
  return unit ? unit.kind === 'step' && unit.step.code !== 'chain' : at === metres.length - 1;
}

/** What is still to be used: for the rows and for the finishing, as much more or less as the balls that were weighed say. */
export function leftWorking(upTo: UseUpTo, left: Estimate): Working | undefined {
  const { metres, now, part } = upTo;
  const toCome = metres.slice(now.rows).map((each, i) => (i === 0 ? (1 - part) * each : each));
  const all = toCome.reduce((sum, each) => sum + each, 0);
  if (all <= 0) return undefined;
  const finish = toCome.reduce((sum, each, i) => sum + (isFinish(upTo, now.rows + i) ? each : 0), 0);
  const parts = [
    { code: 'left-rows', metres: all - finish },
    { code: 'left-finish', metres: finish },
  ].filter((each) => each.metres > 0);
  return {
    of: 'left',
    unit: 'm',
    by: 'sum',
    parts: parts.map(({ code, metres: m }) => ({
      code,
      facts: { planned: m },
      amount: amountOf(times(left, m / all)),
    })),
    total: amountOf(left),
  };
}

/** What was used by the plan: of the rows that are done, and of the row in hand. */
export function predictedWorking({ metres, now, part, units }: UseUpTo): Working {
  const done = metres.slice(0, now.rows).reduce((sum, each) => sum + each, 0);
  const inHand = part * (metres[now.rows] ?? 0);
  const parts: WorkingPart[] = [
    {
      code: 'used-rows',
      facts: { rows: units ? rowsAmong({ units })(now.rows) : now.rows },
      amount: exactly(done),
      source: 'typical',
    },
    ...(inHand > 0 ? [{ code: 'used-in-hand', facts: {}, amount: exactly(inHand), source: 'typical' as const }] : []),
  ];
  return { of: 'used', unit: 'm', by: 'sum', parts, total: exactly(done + inHand) };
}

/** What the balls on the scale say was used, ball by ball. */
export function usedWorking({ weighings, yarn }: Pick<ColourQuestion, 'weighings' | 'yarn'>): Working {
  const { metresPerGram } = yarnFigures(yarn);
  const parts = lastOfEach(weighings).map(
    ({ ball, before, after }): WorkingPart => ({
      code: 'used-ball',
      facts: { ball, before, after, metresPerGram },
      amount: exactly((before - after) * metresPerGram),
      source: 'piece',
    }),
  );
  const total = parts.reduce((sum, { amount }) => sum + amount.mid, 0);
  return { of: 'used', unit: 'm', by: 'sum', parts, total: exactly(total) };
}

/** The time so far, session by session. */
export function timeSoFarWorking(sessions: readonly ToldSession[]): Working {
  const parts = sessions.map(
    ({ seconds, corrected }, i): WorkingPart => ({
      code: 'session',
      facts: { number: i + 1, corrected: corrected === true },
      amount: exactly(seconds),
    }),
  );
  const total = sessions.reduce((sum, { seconds }) => sum + seconds, 0);
  return { of: 'so-far', unit: 's', by: 'sum', parts, total: exactly(total) };
}
