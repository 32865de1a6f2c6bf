import type { Told } from './told.ts';

/** What the screens of `shopping` say. */
export const shoppingSaid = {
  yarnForEveryPlanned: 'Yarn for every planned project you have not started',
  stillToBeCounted: (projects: number) => `${projects} ${projects === 1 ? 'project' : 'projects'} still to be counted…`,
  whatYouHaveTo: 'What you have to buy for your planned projects will stand here, yarn by yarn. None is planned now.',
  metresAddedUp:
    'The metres of all projects that share a yarn are added up before they become balls, so that they share the last one too. Buy one dye lot, all at once.',
  sureForAll: (chance: Told) => `${chance} sure for all of them`,
  youHave: (balls: string) => `You have ${balls}.`,
  firstToRunOut: (project: Told) => `Without buying, “${project}” is the first to run out.`,
} as const;
