import { lengthNumber, type ToldUnit, unitWord } from '../../craft/units/length.ts';
import { massNumber, massUnit, yarnLengthNumber, yarnLengthUnit } from '../../craft/units/yarn.ts';
import { decimal, figure } from '../../craft/values/decimal.ts';
import {
  type Estimate,
  markedText,
  type Printed,
  printed,
  printRange,
  type Source,
} from '../../craft/values/estimate.ts';

/** The small constant mark of where a figure comes from. */
export const sourceWords: Readonly<Record<Source, string>> = {
  typical: 'typical',
  label: 'label',
  typed: 'your count',
  swatch: 'your swatch',
  piece: 'this piece',
};

/** A length of cloth: `22.5 cm`, or typical `20.1–24.6 cm`. @param estimate mm @param of what it is the length of, behind its unit */
export function lengthFigure(estimate: Estimate, units: ToldUnit, of = ''): Printed {
  return printed(estimate, (mm) => lengthNumber(mm, units), `${unitWord(units)}${of && ` ${of}`}`, 'single');
}

/** The same in one text. */
export function lengthText(estimate: Estimate, units: ToldUnit): string {
  return markedText(lengthFigure(estimate, units));
}

/** The widths of a tube: as it lies flat and all the way round, or across its circle. */
interface TubeWidths {
  readonly flat: Estimate;
  readonly around: Estimate;
  readonly diameter: Estimate;
}

const tubeWords = { flat: 'flat', around: 'around', diameter: 'across' } as const;

/** Both widths of a tube: `30.0 cm flat, 60.0 cm around`. @param measure which of them is told first */
export function tubeText(tube: TubeWidths, measure: keyof TubeWidths, units: ToldUnit): string {
  const second = measure === 'around' ? 'flat' : 'around';
  const first = lengthFigure(tube[measure], units, tubeWords[measure]);
  return `${first.text}, ${markedText(lengthFigure(tube[second], units, tubeWords[second]))}`;
}

/** Width and height without their unit, both as ranges where one of them is typical: `22.5` and `24.4`. */
export function sizeNumbers(width: Estimate, height: Estimate, units: ToldUnit): [width: string, height: string] {
  const write = (mm: number) => lengthNumber(mm, units);
  const typical = width.source === 'typical' || height.source === 'typical';
  const one = ({ mid, low, high }: Estimate) => (typical ? printRange(low, high, write) : write(mid));
  return [one(width), one(height)];
}

/** Width × height with one unit: `22.5 × 24.4 cm`. */
export function sizeFigure(width: Estimate, height: Estimate, units: ToldUnit): Printed {
  const typical = width.source === 'typical' || height.source === 'typical';
  const bare = sizeNumbers(width, height, units).join(' × ');
  return { text: `${bare} ${unitWord(units)}`, bare, typical };
}

/** The same in one text. */
export function sizeText(width: Estimate, height: Estimate, units: ToldUnit): string {
  return markedText(sizeFigure(width, height, units));
}

/** One figure for a circle, `24.8 cm across`; else width × height. @param round whether it is a circle */
export function finishedFigure(width: Estimate, height: Estimate, units: ToldUnit, round: boolean): Printed {
  return round ? lengthFigure(width, units, 'across') : sizeFigure(width, height, units);
}

/** The same in one text. */
export function finishedText(width: Estimate, height: Estimate, units: ToldUnit, round: boolean): string {
  return markedText(finishedFigure(width, height, units, round));
}

function signed(mm: number, units: ToldUnit): string {
  const text = lengthNumber(mm, units);
  return mm > 0 && /[1-9]/.test(text) ? `+${text}` : text;
}

/** How far a size is from the wish: `−1.5 cm`, or typical `−3.9 to +0.6 cm`. @param offer finished size and its difference, mm */
export function differenceFigure(size: Estimate, difference: number, units: ToldUnit): Printed {
  const typical = size.source === 'typical';
  const wished = size.mid - difference;
  const bare = typical
    ? `${signed(size.low - wished, units)} to ${signed(size.high - wished, units)}`
    : signed(difference, units);
  return { text: `${bare} ${unitWord(units)}`, bare, typical };
}

/** The same in one text. */
export function differenceText(size: Estimate, difference: number, units: ToldUnit): string {
  return markedText(differenceFigure(size, difference, units));
}

/** Yarn is always a range until it has been weighed: `34–40 m`. @param estimate m */
export function metresFigure(estimate: Estimate, units: ToldUnit): Printed {
  return printed(estimate, (metres) => yarnLengthNumber(metres, units), yarnLengthUnit(units), 'range');
}

/** The same in one text. */
export function metresText(estimate: Estimate, units: ToldUnit): string {
  return markedText(metresFigure(estimate, units));
}

/** @param estimate g */
export function gramsFigure(estimate: Estimate, units: ToldUnit): Printed {
  return printed(estimate, (grams) => massNumber(grams, units), massUnit(units), 'range');
}

/** The same in one text. @param estimate g */
export function gramsText(estimate: Estimate, units: ToldUnit): string {
  return markedText(gramsFigure(estimate, units));
}

/**
 * Hours as they are told: `6–9 h`, `2.6–3.2 h` where whole hours would be alike, or in minutes where the least is under
 * an hour. @param seconds
 */
export function hoursText(time: Estimate): string {
  return hoursFigure(time).text;
}

/** The same, also without its unit: hours bare, minutes with theirs. @param seconds */
export function hoursFigure({ low, high }: Estimate): Pick<Printed, 'text' | 'bare'> {
  const inHours = low >= 3600;
  const written = (each: number, digits: number) => decimal(each / (inHours ? 3600 : 60), digits);
  const word = inHours ? 'h' : 'min';
  const finest = inHours ? 1 : 0;
  for (let digits = 0; digits <= finest; digits++) {
    const [from, to] = [written(low, digits), written(high, digits)];
    if (from !== to) return timed(`${from}–${to}`, word);
  }
  return timed(`about ${written(low, finest)}`, word);
}

function timed(bare: string, word: string) {
  const text = `${bare} ${word}`;
  return { text, bare: word === 'h' ? bare : text };
}

/** A chance as it is told; what is nearly certain or nearly hopeless is never told as either. @param chance 0 to 1 */
export function chanceText(chance: number): string {
  if (chance >= 0.995) return 'over 99 %';
  return chance < 0.01 ? 'under 1 %' : `${Math.floor(chance * 100)} %`;
}

/** Whether yarn is enough, in everyday words first and the number second. @param chance 0 to 1 */
export function enoughText(chance: number): string {
  return `${enoughWords(chance)} (${chanceText(chance)})`;
}

/** The words alone: `very likely enough`. */
export function enoughWords(chance: number): string {
  return words.find(([, least]) => chance >= least)?.[0] ?? 'not enough';
}

const words = [
  ['almost certainly enough', 0.99],
  ['very likely enough', 0.95],
  ['probably enough', 0.75],
  ['possibly enough', 0.25],
  ['probably not enough', 0.01],
] as const;

/** How many balls to buy, under a heading that names them: `2`, or `up to 2`. */
export function ballsCount(balls: { readonly count: number; readonly source: Source }): string {
  return balls.source === 'typical' ? `up to ${balls.count}` : String(balls.count);
}

/** Balls to buy: `2 balls`, or from typical figures the most it may take, `up to 2 balls typical`. */
export function ballsFigure(balls: { readonly count: number; readonly source: Source }): Printed {
  const bare = ballsCount(balls);
  return { text: `${bare} ${balls.count === 1 ? 'ball' : 'balls'}`, bare, typical: balls.source === 'typical' };
}

/** The same in one text. */
export function ballsText(balls: { readonly count: number; readonly source: Source }): string {
  return markedText(ballsFigure(balls));
}

/** The span that makers count over. */
const spans = { cm: { mm: 100, words: '10 cm' }, in: { mm: 101.6, words: '4 in' } } as const;

/** The same in words: `10 cm`, `4 in`. */
export function spanWords(units: ToldUnit): string {
  return spans[unitWord(units)].words;
}

/** How many go into that span: `16`, `14–18`, `16.3`. @param each how wide or high one is, mm */
export function countOver({ low, high }: Pick<Estimate, 'low' | 'high'>, units: ToldUnit): string {
  const count = (mm: number) => figure(spans[unitWord(units)].mm / mm, 1);
  return printRange(high, low, count);
}
