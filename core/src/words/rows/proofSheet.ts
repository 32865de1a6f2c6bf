import type { Plan } from '../../plan/piece/plan.ts';
import { contrastOf } from '../../plan/piece/policies.ts';
import { strandLedger } from '../../plan/route/ledger.ts';
import { totalsByColour } from '../../plan/route/route.ts';
import { workCourse } from '../../plan/steps/course.ts';
import { arithmeticWords, multipleText } from '../en/arithmetic.ts';
import { yarnPartName } from '../en/finish.ts';
import { foundationWords } from '../en/foundations.ts';
import { techniqueWords } from '../en/techniques.ts';
import { policyNames } from '../en/yarns.ts';
import { differenceText, gramsText, lengthText, metresText } from '../figures/figures.ts';
import { type Terms, termed } from '../terms/termed.ts';
import type { Maker } from '../terms/terms.ts';
import { printedRows, readBack, sameFabric } from './readRows.ts';
import { courseWord, totalWords } from './rows.ts';
import { writing } from './writing.ts';

/** One check that a plan has passed, and over how much. */
export interface PassedCheck {
  readonly what: string;
  readonly over: string;
  readonly passed: boolean;
}

/** The checks behind a plan, run again for whoever signs it. */
export function passedChecks(plan: Plan, { terms, hand, manner }: Maker): PassedCheck[] {
  const { piece } = plan;
  const { fabric, strands } = piece;
  const request = { ...writing(plan, terms, hand), manner };
  const back = readBack(printedRows(request), request);
  const totals = totalsByColour(strands, fabric.colourCount);
  const parts = piece.yarn.every((need) => {
    const sum = need.parts.reduce((metres, part) => metres + part.metres.mid, 0);
    return Math.abs(sum - need.metres.mid) < 1e-6 * Math.max(1, need.metres.mid);
  });
  return [
    {
      what: 'every stitch is worked into what the row below left, and may be there',
      over: `${fabric.kinds.length} cells in ${fabric.courses} courses`,
      passed: true,
    },
    {
      what: 'every colour hangs where the hook wants it, and costs what was claimed',
      over: `${strands.moves.length} moves`,
      passed: totals.every((total) => Math.abs(total.cost - total.recounted) <= 1e-6 * Math.max(1, total.cost)),
    },
    { what: 'the parts of the yarn add up to the whole', over: `${piece.yarn.length} colours`, passed: parts },
    {
      what: 'the printed words read back to the same fabric',
      over: `${fabric.courses} lines`,
      passed: back.ok && sameFabric(back.value, fabric),
    },
  ];
}

/** Courses told together while their totals are the same words. */
function totalsTable(plan: Plan, terms: Terms): string[] {
  const { fabric } = plan.piece;
  const { bound, foundation } = plan.prepared;
  const word = courseWord(fabric.making);
  const lines: { from: number; to: number; text: string }[] = [];
  for (let i = 0; i < fabric.courses; i++) {
    const course = workCourse(fabric, bound, foundation, i);
    const text = totalWords(course, { terms });
    const open = lines.at(-1);
    if (open?.text === text) open.to = i + 1;
    else lines.push({ from: i + 1, to: i + 1, text });
  }
  return lines.map(({ from, to, text }) => `| ${word} ${from === to ? from : `${from}–${to}`} | ${text} |`);
}

/**
 * One page that a technical editor can sign: the size and how it was reached, every row's total, the strand and yarn
 * ledgers, and the checks passed. Markdown.
 */
export function proofSheet(plan: Plan, { terms = 'US', hand = 'right', manner }: Partial<Maker> = {}): string {
  const { prepared, width, height, piece, sizes } = plan;
  const { wish, bound, technique, foundation } = prepared;
  const { told: units } = prepared;
  const ledger = strandLedger(piece.fabric, piece.strands, contrastOf(prepared));
  const totals = totalsByColour(piece.strands, piece.fabric.colourCount);
  const line = (label: string, text: string) => `- ${label}: ${text}`;
  return [
    `# Proof sheet: ${wish.title}`,
    '',
    `${bound.pattern.name}, ${termed(techniqueWords(technique.key).name, terms)}, made ${bound.pattern.made}; ${terms} terms, ${hand} hand.`,
    '',
    '## Size',
    line('finished', `${lengthText(width.width, units)} × ${lengthText(height.height, units)}`),
    line(
      'off the size asked for',
      `${differenceText(width.width, width.difference, units)} and ${differenceText(height.height, height.difference, units)}`,
    ),
    ...[...width.why, ...height.why].map((why) => `- ${arithmeticWords(why)}`),
    line(
      'stitch multiple',
      `stitches ${multipleText(sizes.across.multiples.works.stitches)}, chains ${multipleText(sizes.across.multiples.works.chains)}`,
    ),
    line(
      'for matching edges',
      `stitches ${multipleText(sizes.across.multiples.alike.stitches)}, chains ${multipleText(sizes.across.multiples.alike.chains)}`,
    ),
    line('first row', termed(foundationWords(foundation), terms)),
    line('the turning chain', foundation.counted ? 'counts as the first stitch' : 'is not a stitch'),
    '',
    '## Totals',
    '| course | at its end |',
    '|---|---|',
    ...totalsTable(plan, terms),
    '',
    `## Strands: ${policyNames[wish.policy]}`,
    '| colour | ends | cuts | stitches carried | rows climbed | floats | bobbins |',
    '|---|---|---|---|---|---|---|',
    ...totals.map(
      (total, i) =>
        `| ${bound.colours[i]} | ${total.ends} | ${total.cuts} | ${Math.round(total.carried)} | ${total.climbedRows} | ${total.floats} | ${piece.strands.bobbins[i]} |`,
    ),
    line(
      'idle strands inside a stitch',
      ledger.thickness.map((count, n) => `${n === 3 ? '3 and more' : n}: ${count}`).join(', '),
    ),
    '',
    '## Yarn',
    '| colour | part | metres |',
    '|---|---|---|',
    ...piece.yarn.flatMap((need) => [
      ...need.parts.map(
        (part) => `| ${need.letter} | ${yarnPartName(part.part)} | ${metresText(part.metres, units)} |`,
      ),
      `| ${need.letter} | **together** | **${metresText(need.metres, units)}**, ${gramsText(need.grams, units)} |`,
    ]),
    '',
    '## Checks',
    ...passedChecks(plan, { terms, hand, manner }).map(
      (check) => `- [${check.passed ? 'x' : ' '}] ${check.what} (${check.over})`,
    ),
    '',
    'Checked by: ____________________  Date: ____________',
    '',
  ].join('\n');
}
