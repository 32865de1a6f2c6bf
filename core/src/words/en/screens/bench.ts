import type { Told } from './told.ts';

/** What the screens of `bench` say. */
export const benchSaid = {
  yourProjectsWillStand: 'Your projects will stand here',
  noProjectHasIn: (find: Told) => `No project has “${find}” in its name, its yarns or what it is.`,
  noSuchProject: 'No project of this kind stands here.',
  yarnDrawer: 'a yarn of the drawer',
  patternYourOwn: 'a pattern of your own',
  whatHereDeletedFor: 'What is here is deleted for good after 30 days.',
  exampleCheckedDishcloth: 'Example: a checked dishcloth',
  sayWhatYouWant:
    'Say what you want to crochet in two or more colours and how big, and Puntada works out the chains, the rows, every colour change and the yarn. Then it keeps your place while you make it.',
  twoQuestionsWhatIt: 'Two questions: what it is, and how big. The rest has a usual answer that you can change.',
  lookAtExample: 'Look at an example',
  smallDishclothToLook: 'A small dishcloth to look round in. Delete it whenever you like.',
  addYarnFromLabel: 'Add yarn from a label',
  withItsMetresAnd: 'With its metres and grams you also learn how many balls to use.',
  backToBench: 'Back to the bench',
  inBin: (title: Told) => `“${title}” is in the bin.`,
} as const;
