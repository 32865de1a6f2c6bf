import type { Told } from './told.ts';

/** What the screens of `onward` say. */
export const onwardSaid = {
  /** @param piece the one in hand, from 0 */
  holdsFrom: (name: string, piece: number, pieces: number) => {
    const made =
      piece === 0 ? '' : piece === 1 ? 'The first stays as it is. ' : `The first ${piece} stay as they are. `;
    const after = pieces - piece - 1;
    if (after < 1) return `${made}What you choose holds for this ${name}.`;
    return `${made}What you choose holds for this ${name} and the ${after === 1 ? 'one' : after} after it.`;
  },
  /** @param piece the one in hand, from 0 */
  matched: (name: string, piece: number) =>
    `This ${name} is joined to ${name} ${piece}, which is made: it stays as large, and only its colours can change.`,
  allRowsDone: 'All rows are worked: what is left is its finishing.',
  planYouLookingAt: 'The plan you are looking at',
  pieceInRowsThem: (rows: Told, stays: Told) => `The piece in ${rows} rows, ${stays} of them done`,
  endsToWeaveIn: 'Ends to weave in',
  stitchesAboutMinWork: (stitches: Told, minutes: Told) => `${stitches} stitches, about ${minutes} min of work`,
  thisYourCurrentPlan: 'This is your current plan. Look at the others and switch if one suits you better.',
  switchToThisPlan: 'Switch to this plan',
  someStepsStillBeing: 'Some steps are still being saved. Wait a moment, then switch.',
  yourCurrentPlanKept: 'Your current plan is kept below, so you can look at it again.',
  planRestAgainWhat: 'Plan the rest again: what you have made stays',
  thisProjectFinishedNothing: 'This project is finished: nothing is left to plan.',
  workingOutWaysTo: 'Working out the ways to go on…',
  sizesUseWhatYou: ' Sizes use what you measured.',
  toSeeWhetherYarn: 'To see whether the yarn lasts, add the balls you have on the Idea page; a ball weighed in the',
  givesBetterAnswer: 'gives a better answer.',
  waysToFinishThis: 'Ways to finish this project',
} as const;
