import { lengthNumber, type ToldUnit, unitWord } from '../../craft/units/length.ts';
import { massNumber, massUnit, yarnLengthNumber, yarnLengthUnit } from '../../craft/units/yarn.ts';
import { type Estimate, printEstimate, printRange, type Source } from '../../craft/values/estimate.ts';

/** The small constant mark of where a figure comes from. */
export const sourceWords: Readonly<Record<Source, string>> = {
  typical: 'typical',
  label: 'label',
  typed: 'your count',
  swatch: 'your swatch',
  piece: 'this piece',
};

/** A length of cloth: `22.5 cm`, or `20.1–24.6 cm typical`. @param estimate mm */
export function lengthText(estimate: Estimate, units: ToldUnit): string {
  return printEstimate(estimate, (mm) => lengthNumber(mm, units), unitWord(units), 'single');
}

/** The widths of a tube: as it lies flat and all the way round, or across its circle. */
interface TubeWidths {
  readonly flat: Estimate;
  readonly around: Estimate;
  readonly diameter: Estimate;
}

/** Both widths of a tube: `30.0 cm flat, 60.0 cm around`. @param measure which of them is told first */
export function tubeText(tube: TubeWidths, measure: keyof TubeWidths, units: ToldUnit): string {
  const word = { flat: 'flat', around: 'around', diameter: 'across' };
  const told = (each: keyof TubeWidths) => lengthText(tube[each], units).replace(/( typical)?$/, ` ${word[each]}$1`);
  const second = measure === 'around' ? 'flat' : 'around';
  return `${told(measure).replace(/ typical$/, '')}, ${told(second)}`;
}

/** Width × height with one unit: `22.5 × 24.4 cm`. */
export function sizeText(width: Estimate, height: Estimate, units: ToldUnit): string {
  const write = (mm: number) => lengthNumber(mm, units);
  const typical = width.source === 'typical' || height.source === 'typical';
  if (!typical) return `${write(width.mid)} × ${write(height.mid)} ${unitWord(units)}`;
  return `${printRange(width.low, width.high, write)} × ${printRange(height.low, height.high, write)} ${unitWord(units)} typical`;
}

/** One figure for a circle, `24.8 cm across`; else width × height. @param round whether it is a circle */
export function finishedText(width: Estimate, height: Estimate, units: ToldUnit, round: boolean): string {
  if (!round) return sizeText(width, height, units);
  return lengthText(width, units).replace(/( typical)?$/, ' across$1');
}

function signed(mm: number, units: ToldUnit): string {
  const text = lengthNumber(mm, units);
  return mm > 0 && Number(text) !== 0 ? `+${text}` : text;
}

/** How far a size is from the wish: `−1.5 cm`, or `−3.9 to +0.6 cm typical`. @param offer finished size and its difference, mm */
export function differenceText(size: Estimate, difference: number, units: ToldUnit): string {
  if (size.source !== 'typical') return `${signed(difference, units)} ${unitWord(units)}`;
  const wished = size.mid - difference;
  return `${signed(size.low - wished, units)} to ${signed(size.high - wished, units)} ${unitWord(units)} typical`;
}

/** Yarn is always a range until it has been weighed: `34–40 m`. @param estimate m */
export function metresText(estimate: Estimate, units: ToldUnit): string {
  return printEstimate(estimate, (metres) => yarnLengthNumber(metres, units), yarnLengthUnit(units), 'range');
}

/** @param estimate g */
export function gramsText(estimate: Estimate, units: ToldUnit): string {
  return printEstimate(estimate, (grams) => massNumber(grams, units), massUnit(units), 'range');
}

/**
 * Hours as they are told: `6–9 h`, `2.6–3.2 h` where whole hours would be alike, or in minutes where the least is under
 * an hour. @param seconds
 */
export function hoursText({ low, high }: Estimate): string {
  const inHours = low >= 3600;
  const written = (each: number, digits: number) => (each / (inHours ? 3600 : 60)).toFixed(digits);
  const word = inHours ? 'h' : 'min';
  const finest = inHours ? 1 : 0;
  for (let digits = 0; digits <= finest; digits++) {
    const [from, to] = [written(low, digits), written(high, digits)];
    if (from !== to) return `${from}–${to} ${word}`;
  }
  return `about ${written(low, finest)} ${word}`;
}

/** A chance as it is told; what is nearly certain or nearly hopeless is never told as either. @param chance 0 to 1 */
export function chanceText(chance: number): string {
  if (chance >= 0.995) return 'over 99 %';
  return chance < 0.01 ? 'under 1 %' : `${Math.floor(chance * 100)} %`;
}

/** Balls to buy: `2 balls`, or from typical figures the most it may take, `up to 2 balls typical`. */
export function ballsText(balls: { readonly count: number; readonly source: Source }): string {
  const word = balls.count === 1 ? 'ball' : 'balls';
  return balls.source === 'typical' ? `up to ${balls.count} ${word} typical` : `${balls.count} ${word}`;
}
