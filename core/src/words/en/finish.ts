import { printLength, type ToldUnit } from '../../craft/units/length.ts';
import { yarnLengthNumber, yarnLengthUnit } from '../../craft/units/yarn.ts';
import type { Fact, Told } from '../../craft/values/problem.ts';
import type { BorderPatternKey } from '../../plan/finish/borderPattern.ts';
import type { FinishKind } from '../../plan/finish/finish.ts';
import { compress, printCompressed } from '../terms/repeats.ts';
import { list } from './lists.ts';

/** What each part of the finishing is called. */
export const finishNames: Readonly<Record<FinishKind, string>> = {
  closing: 'closing row',
  border: 'border',
  envelope: 'envelope border',
  seam: 'seam',
  mouth: 'mouth edge',
  strap: 'strap',
  ring: 'hanging ring',
};

/** What each pattern of a border is called. */
export const borderPatternNames: Readonly<Record<BorderPatternKey, string>> = {
  bands: 'bands, a colour a round',
  dots: 'dots',
  checks: 'checks, two by two',
  teeth: 'teeth',
};

/**
 * Stitches of a round of a border as runs, what comes again gathered: `1 A, (1 B, 3 A) × 8, 1 B, 1 A`.
 * @param cells `x` is the second colour
 */
export function borderRuns(cells: string, own: string, second: string): string {
  const runs = [...cells.matchAll(/x+|[^x]+/g)].map(([run]) => `${run.length} ${run[0] === 'x' ? second : own}`);
  return printCompressed(compress(runs));
}

/** How the sides are brought to stitches that hold a pattern. */
function fittedWords(f: NonNullable<Told['facts']>): string {
  const side = (from: Fact, to: Fact, where: string) => {
    const more = Number(to) - Number(from);
    if (!more) return [];
    const times = more === 1 ? 'once' : `${more} times`;
    const way = more > 0 ? `work 2 in one stitch ${times}` : `leave out ${-more}`;
    return [`${to} instead of ${from} ${where} (${way}, spread evenly)`];
  };
  const sides = f.circle
    ? side(f.around, f.to, 'round the edge')
    : [...side(f.across, f.acrossTo, 'along top and bottom'), ...side(f.up, f.upTo, 'up each side')];
  const held = f.more && !f.circle ? `a multiple of ${f.multiple} and ${f.more} more` : `a multiple of ${f.multiple}`;
  return `So that each side holds ${held}: ${list(sides)}.`;
}

const yarnParts: Readonly<Record<string, string>> = {
  stitches: 'stitches',
  carried: 'carried inside',
  bridged: 'climbs and floats',
  chains: 'chains',
  tails: 'tails',
};

/** What a part of a colour’s yarn is called. */
export function yarnPartName(part: string): string {
  return yarnParts[part] ?? finishNames[part as FinishKind] ?? part;
}

function holdWords(of: Fact, outside: Fact, ridge: Fact): string {
  if (!outside) return 'First decide which face goes outside.';
  const right = outside === 'RS';
  if (of === 'tube') {
    return right
      ? 'The right side goes outside, as you worked it: fold it flat as it is.'
      : 'The wrong side goes outside: turn the tube inside out first.';
  }
  const [face, inner] = right ? ['right', 'wrong'] : ['wrong', 'right'];
  const held = of === 'panels' ? 'hold the panels with their' : 'fold the fabric with its';
  return `The ${face} side goes outside: ${held} ${inner} sides together.${ridge ? ' The seam then shows as a ridge round the edge.' : ''}`;
}

/** One step of the finishing. @param units how its lengths are told */
export function finishStep({ code, facts: f = {} }: Told, units: ToldUnit): string {
  const length = (mm: Fact) => printLength(Number(mm), units);
  switch (code) {
    case 'closing-row':
      return `Close with a plain row of ${f.stitches} {sc}, so that the upper edge becomes as firm as the lower.`;
    case 'go-on':
      return `Go on with ${f.letter}, without cutting it.`;
    case 'join-yarn':
      return `Join ${f.letter}.`;
    case 'border-round-1':
      if (Number(f.all) > 1)
        return `Rounds 1–${f.all}: 1 {sc} in each of the ${f.stitches} stitches of the round below.`;
      return f.on === f.stitches
        ? `Round 1: 1 {sc} in each of the ${f.stitches} stitches of the last round.`
        : `Round 1: ${f.stitches} {sc} in the ${f.on} stitches of the last round.`;
    case 'border-rounds':
      return f.more === undefined
        ? `Further rounds, with what they have more spread evenly so that it stays flat: ${list(f.counts)}.`
        : `Each further round has ${f.more} more, spread evenly so that it stays flat: ${list(f.counts)}.`;
    case 'border-sides':
      return `Round 1: ${f.across} {sc} along the top and the bottom, ${f.up} up each side, ${f.corner} in each corner: ${f.first} in all.`;
    case 'border-more':
      return `Each further round has ${f.more} more, 3 in each corner stitch: ${list(f.counts)}.`;
    case 'border-corners':
      return 'Work the corners in the first and last stitch of the top and the bottom edge. At the foundation edge use the corner stitch or the corner space of the chain, never both.';
    case 'mark-corners':
      return 'Mark the corners.';
    case 'border-fitted':
      return fittedWords(f);
    case 'border-pattern': {
      const carry =
        'Carry the colour you do not work inside the stitches of a round that has both; in a round of one colour leave it at the join.';
      return `Pattern: ${borderPatternNames[f.key as BorderPatternKey]}, in ${f.own} with ${f.second}. ${carry}`;
    }
    case 'border-pattern-round': {
      const [own, second] = [String(f.own), String(f.second)];
      const runs = (cells: Fact) => borderRuns(String(cells), own, second);
      if (!f.up) return `Round ${f.n}: ${runs(f.across)}.`;
      const corner = f.corner === 'x' ? second : own;
      const sides =
        f.up === f.across ? `each side ${runs(f.across)}` : `top and bottom ${runs(f.across)}; sides ${runs(f.up)}`;
      return `Round ${f.n}: ${sides}; 3 ${corner} in each corner.`;
    }
    case 'border-second-layer':
      return 'Work a second layer behind the first, and close both over the ends with the last round.';
    case 'ring':
      return `Chain ${f.chains}, slip stitch into the corner: a ring of ${length(f.inside)} inside. Hang it away from flame.`;
    case 'cut-cord':
      return `Cut the cord ${length(f.wanted)} long: twice the drop and ${length(f.joining)} to sew or knot.`;
    case 'chain-cord':
      return `Chain ${f.chains}: ${length(f.length)} for ${length(f.wanted)} when loaded.`;
    case 'strap-rows':
      return `Strap: ${f.rows} rows of ${f.along} {${f.stitch}}, ${length(f.length)} for ${length(f.wanted)} when loaded.`;
    case 'strap-stretches':
      return 'After a day under load it stretches by up to a third more. Make eyelets narrower than the knot.';
    case 'hold':
      return holdWords(f.of, f.outside, f.ridge);
    case 'join-panels':
      return f.courses2 === undefined
        ? `Join two panels at three sides: 1 stitch per row end (${f.courses} on each side), 1 in each of the ${f.stitches} stitches of the bottom, ${f.corner} in each bottom corner, ${f.all} in all.`
        : `Join front and back at three sides, front facing you: 1 stitch per row end of the front, spreading its ${f.courses} row ends over the ${f.courses2} of the back; along the bottom 1 in each of its ${f.stitches} stitches, over the ${f.stitches2} of the back; ${f.corner} in each bottom corner, ${f.all} in all.`;
    case 'put-insert-in':
      return 'Put the insert in before you close the last end.';
    case 'sew-with-end':
      return `Sew with the long end that the last row left: ${yarnLengthNumber(Number(f.metres), units)} ${yarnLengthUnit(units)}.`;
    case 'fourth-side':
      return `Put the insert in, then close the fourth side: ${f.stitches} pairs and the two corners, ${f.all} in all.`;
    case 'fold-flap':
      return `Fold the fabric ${length(f.face)} from its first row, and lay the flap of ${length(f.flap)} over the opening.`;
    case 'join-sides':
      return `Join the two sides: 1 stitch per row end through both layers, ${f.rows} on each side, ${f.all} in all.`;
    case 'mouth-round':
      return f.side2 === undefined
        ? `Round 1, from a side seam on: 1 {sc} in each of the ${f.side} stitches of either side, ${f.around} in all.`
        : `Round 1, from a side seam on: 1 {sc} in each of the ${f.side} stitches of the front and the ${f.side2} of the back, ${f.around} in all.`;
    case 'mouth-eyelets':
      return `Round 2, ${f.between2 === undefined ? 'each side alike' : `front (back: ${f.between2} {sc} between the eyelets)`}: ${f.before} {sc}, an eyelet (ch ${f.chains}, skip 1), ${f.between} {sc}, an eyelet, ${f.before} {sc}. Keep the eyelets narrower than the knot of the cord.`;
    case 'nothing-to-close':
      return `Nothing to close: the ${f.begins} is its bottom, and the top is its mouth.`;
    case 'close-top':
      return `Close the top through both tops: ${f.pairs} pairs.`;
    case 'close-bottom':
      return `Close the bottom through both edges of the first round: ${f.pairs} pairs.`;
    default:
      return `Cut ${yarnLengthNumber(Number(f.metres), units)} ${yarnLengthUnit(units)} to sew it, or leave a tail of that length.`;
  }
}
