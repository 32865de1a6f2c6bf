import { chanceFacts } from '../../craft/values/forecast.ts';
import type { YarnNeed } from '../measure/measure.ts';
import { type Amount, amountOf, exactly, type Working, type WorkingPart } from './working.ts';

/** Where the metres of a colour go. @param stitches of this colour, in all pieces */
export function metresWorking(need: YarnNeed, stitches: number): Working {
  const parts = need.parts.map(
    ({ part, metres }): WorkingPart => ({
      code: 'yarn-part',
      facts: {
        part,
        stitches: part === 'stitches' ? stitches : undefined,
        ends: part === 'tails' ? need.ends : undefined,
      },
      amount: amountOf(metres),
      source: metres.source,
    }),
  );
  return { of: 'metres', unit: 'm', by: 'sum', parts, total: amountOf(need.metres) };
}

/** The grams of a colour: its metres by the metres that a gram has. The range is as wide as both are unsure. */
export function gramsWorking(need: YarnNeed): Working {
  const { metresPerGram, meterageFrom } = need.meterage;
  const tails = need.parts.find(({ part }) => part === 'tails')?.metres.mid ?? 0;
  const tailed = tails / metresPerGram;
  const made = need.grams.mid - tailed;
  const wide = (grams: number): Amount => {
    const share = made ? grams / made : 0;
    return { low: share * (need.grams.low - tailed), mid: grams, high: share * (need.grams.high - tailed) };
  };
  const parts = need.parts.map(({ part, metres }): WorkingPart => {
    const grams = metres.mid / metresPerGram;
    return {
      code: 'grams-part',
      facts: { part, metresPerGram },
      amount: part === 'tails' ? exactly(grams) : wide(grams),
      source: meterageFrom,
    };
  });
  return { of: 'grams', unit: 'g', by: 'sum', parts, total: amountOf(need.grams) };
}

/** Balls to buy: what is needed most likely, and so much more that it is enough as often as the maker wishes. */
export function ballsWorking(need: YarnNeed, sure: number): Working | undefined {
  const { balls, question } = need;
  if (!balls || !question) return undefined;
  const needed = need.grams.mid / question.ballGrams;
  const parts: WorkingPart[] = [
    {
      code: 'balls-needed',
      facts: { metres: need.metres, each: question.ballGrams * question.metresPerGram },
      amount: exactly(needed),
      source: balls.source === 'typical' ? 'typical' : need.meterage.meterageFrom,
    },
    { code: 'balls-more', facts: { sure }, amount: exactly(balls.count - needed) },
  ];
  return { of: 'balls', unit: 'balls', by: 'sum', parts, total: exactly(balls.count) };
}

/** The chance that so many balls are enough: what can be used of them, against what is needed and how unsure that is. */
export function chanceWorking(need: YarnNeed, balls: number, part = 0): Working | undefined {
  const { question } = need;
  if (!question) return undefined;
  const { wound, tails, joins, usable, error, chance } = chanceFacts(question, balls, part);
  const each = question.ballGrams * question.metresPerGram;
  const metres = (code: string, amount: number, facts = {}): WorkingPart => ({
    code,
    facts,
    unit: 'm',
    amount: exactly(amount),
  });
  return {
    of: 'chance',
    unit: 'chance',
    by: 'chance',
    parts: [
      { ...metres('yarn-wound', wound, { balls, each, grams: part }), source: need.meterage.meterageFrom },
      metres('less-tails', -tails, { ends: question.ends }),
      metres('less-joins', -joins, { balls }),
      metres('yarn-usable', usable),
      { ...metres('yarn-needed', question.metres), source: need.metres.source },
      { code: 'give-or-take', facts: {}, unit: 'chance', amount: exactly(error) },
    ],
    total: exactly(chance),
  };
}
