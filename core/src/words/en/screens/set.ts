import { counted, ordinal } from '../lists.ts';
import type { Told } from './told.ts';

/** What the page of a set says, and what an idea asks of one. */
export const setSaid = {
  whatPageTells: 'Each one of the set: how far it is, whom it is for, and what became of it',
  countingSet: 'Counting every item and its yarn…',
  /** 3 of 5 done; the 4th at row 12 */
  stands: (done: number, items: number, inHand: { item: number; rows: number; rowsOf: number } | undefined) => {
    if (!inHand) return `${done} of ${items} done`;
    const { item, rows, rowsOf } = inHand;
    return `${done} of ${items} done; the ${ordinal(item)} ${rows < rowsOf ? `at row ${rows + 1}` : 'in its finishing'}`;
  },
  weighs: (each: Told, all: Told, items: number) => `${each} each, ${all} for all ${items}`,
  weighsOne: (each: Told) => `${each} in all`,
  leftForAll: (hours: Told) => `${hours} left for all`,
  nothingLeft: 'Nothing left to make',
  rowOf: (row: number, of: number) => `row ${row} of ${of}`,
  finishing: 'finishing',
  states: { 'to come': 'not started', 'in hand': 'in hand', done: 'done' },
  sizeApart: 'Not all of this set are of one size: what was started keeps its own.',
  whom: 'For whom',
  by: 'By when',
  fates: { none: 'with you', kept: 'kept', given: 'given away', sold: 'sold' },
  became: 'What became of it',
  price: 'Sold for',
  typePrice: 'Type an amount, such as 14.50.',
  typeDay: 'Type a day, such as 2026-12-24.',
  tell: (name: Told) => `Change what is told of ${name}`,
  told: 'Saved.',
  forWhom: (whom: Told) => `for ${whom}`,
  byDay: (day: Told) => `by ${day}`,
  earned: (money: Told, sold: number) => `${counted(sold, 'item')} sold for ${money} in all`,
  yarnOfSet: 'Yarn of the whole set',
  yarnHint:
    'Taken ball by ball, in the order above. A ball that is weighed in one project tells of the hand in all that share the yarn.',
  ball: (number: number) => `Ball ${number}`,
  ballPart: (work: Told, yarn: Told) => `${work} ${yarn}`,
  endsIn: (place: Told) => `ends in ${place}`,
  leftOver: (yarn: Told) => `${yarn} left`,
  labelUnknown: 'No label yet, so balls cannot be counted.',
  balls: (number: number) => counted(number, 'ball'),
  goOn: (title: Told) => `Go on with ${title}`,
  makeFirst: (title: Told) => `Make ${title}`,
  planAgain: (title: Told) => `Plan the rest of ${title} again`,
  runsShort: (name: Told, chance: Told) => `${name} may not last for the whole set: ${chance} sure with what you have.`,
  byScale: (work: Told, chance: Told) => `By the ball weighed in ${work}: ${chance} sure for the whole set.`,
  mayEndIn: (place: Told) => `It may end in ${place}.`,
  coloursOfEach: 'Colours of each',
  coloursHint:
    'Each one may have its own yarns. Those in the same colours are made as one project; all are planned in one size.',
  fillings: {
    alike: 'All alike',
    swap: 'Swap every other',
    rotate: 'Rotate all',
    'rotate-others': 'Rotate all but A',
  },
  item: (number: number) => `Item ${number}`,
  yarnFor: (letter: Told, item: number) => `Yarn for ${letter} of item ${item}`,
  furtherYarn: 'Add another yarn',
  removeYarn: (name: Told) => `Remove ${name}`,
  nameOfFurther: (number: number) => `Name of yarn ${number}`,
  yarnNumber: (number: number) => `yarn ${number}`,
  shadeOfFurther: (number: number) => `Shade of yarn ${number}`,
  oneYarnTwice: (items: Told) => `Two colours of ${items} are the same yarn. Choose another for one of them.`,
  projects: (ways: number, items: number, apart: boolean, backs: boolean) => {
    const all = counted(items, 'item');
    if (apart && items > 1) return `${all}, each${backs ? ', front and back,' : ''} a project of its own in one set.`;
    const sides = backs ? ', fronts and backs' : '';
    if (ways > 1) return `${all} in ${ways} colourways: ${backs ? 2 * ways : ways} projects of one set${sides}.`;
    return backs ? `${all}, all alike: two projects${sides}.` : `${all}, all alike: one project.`;
  },
  apart: 'Each one a project of its own, to be worked by turns',
  isOfSet: (title: Told) =>
    `One of the set “${title}”: what you change here is changed in all of it that is not started.`,
  backIs: 'Back',
  backs: { same: 'like the front', twin: 'like the front, worked by turns', plain: 'plain, in A' },
  parts: { front: 'Front', back: 'Back' },
  joined: (front: number, back: number, rows: number, other: number) =>
    `The sides have ${rows} rows in front and ${other} behind: join ${front} of the front to ${back} of the back, all the way up.`,
  openSet: 'Open the set',
  forWholeSet: ', for the whole set',
  waysOn: 'Ways to finish the set',
  waysHint: 'What is on the hook stays as it is. Everything not started can still be planned otherwise, all at once.',
  way: {
    planned: 'As planned',
    shorter: 'Make those not started shorter',
  },
  exchange: (one: string, other: string) => `Exchange ${one} and ${other} in those not started`,
  wayHead: 'The rest of the set',
  wayItems: 'Items',
  wayRows: 'Rows',
  waySize: 'Size of each',
  wayLasts: 'Yarn lasts',
  wayTime: 'Time left',
  take: 'Plan it so',
  taking: 'Planning…',
  takenNow: 'The set is planned so.',
  takeWay: (way: Told) => `Plan it so: ${way}`,
  buyMore: (bought: readonly { readonly name: string; readonly balls: number }[]) =>
    `Buy ${bought.map(({ name, balls }) => `${counted(balls, 'more ball')} of ${name}`).join(', ')}`,
  leaveOut: (items: number) => `Leave out ${counted(items, 'item')}`,
  restTitle: (title: string) => `${title.slice(0, 70)}, the rest`,
  lookingForWays: 'Working out ways…',
} as const;
