import type { Fibre } from '../../../craft/gauge/fibres.ts';
import { figure } from '../../../craft/values/decimal.ts';
import { counted, list } from '../lists.ts';
import { techniqueWords } from '../techniques.ts';
import { fibreName } from '../yarns.ts';
import type { Table } from './table.ts';

/** Yarn. */
export const yarn: Table = {
  'ball-impossible': (f) => [
    `A ball of ${f.letter} with ${f.metres} m in ${f.grams} g is thinner than thread or thicker than rope.`,
    'Check the length and the weight on the label.',
  ],
  'wash-unlike-fibre': (f) => [
    `${list(f.yarns, ' and ')} ${(f.yarns as readonly string[]).length === 1 ? 'is' : 'are'} ${fibreName(f.fibre as Fibre)}, which is not usually washed that way.`,
    'Choose the first wash that its label gives, or leave it out.',
  ],
  'colour-unused': (f) => [
    `At this size no stitch is worked in ${list(f.letters, ' or ')}.`,
    'Make it larger, or choose a pattern with fewer colours.',
  ],
  'melts-near-heat': (f) => [
    f.part === undefined
      ? `${f.yarn} is ${f.fibres}, which melts on a hot pan and burns the hand.`
      : `${f.yarn} is ${f.fibres}: ${f.part} % of it melts on a hot pan and burns the hand.`,
    `Make a potholder of cotton or wool only, thick and dry; in a blend less than ${f.most} % may melt.`,
  ],
  'many-ends': (f) => [
    `“Carry where needed” leaves ${counted(Number(f.ends), 'end')} to weave in, ${f.perSquareMetre} per square metre.`,
    `“Carry all the way” leaves ${f.carriedEnds}: it takes about ${f.metres} m more yarn and saves ${f.minutes} minutes.`,
  ],
  'drawer-unknown': () => [
    'Your drawer does not say how much yarn there is.',
    'Say how many balls of each colour you have, or what the part balls weigh.',
  ],
  'drawer-too-little': (f) => [
    `The yarn in the drawer is not enough for one whole repeat: the chance is ${f.chance} %.`,
    'Choose a smaller repeat, or add a ball.',
  ],
  'nothing-worked-between': () => ['No stitches were worked between the two weighings.', 'Work some rows first.'],
  'no-yarn-left-for-stitches': () => [
    'By this weight there is no yarn in the stitches.',
    'Check the weights, and the metres per gram.',
  ],
  'too-light-for-scale': (f) => [
    `${figure(Number(f.grams))} g is too light for a scale that is accurate to ± ${figure(Number(f.scale))} g.`,
    `Weigh ${figure(Number(f.least))} g or more, or use a finer scale.`,
  ],
  'ball-grew': (f) => [
    `The ball weighs ${figure(Number(f.after))} g now, but only ${figure(Number(f.before))} g at the start.`,
    'Check which weight is which.',
  ],
  'swatch-unfinished': (f) => [
    f.weighed ? 'This swatch is not counted yet.' : 'This swatch is not weighed yet.',
    'Count stitches and rows, and weigh it dry before washing.',
  ],
  'swatch-not-counted': (f) => [`${f.title} is not counted yet.`, 'Count stitches and rows on it first.'],
  'one-policy': (f) => [
    `In ${techniqueWords(String(f.technique)).name} there is only one thing to do with the idle yarn.`,
    'There is nothing to compare; make a swatch instead.',
  ],
};
