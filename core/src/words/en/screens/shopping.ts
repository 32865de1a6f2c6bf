/** What the screens of `shopping` say. */
export const shoppingSaid = {
  yarnForEveryPlanned: 'Yarn for every planned project you have not started',
  stillToBeCounted: (projects: number) => `${projects} ${projects === 1 ? 'project' : 'projects'} still to be counted…`,
  whatYouHaveTo: 'What you have to buy for your planned projects will stand here, yarn by yarn. None is planned now.',
  wholeBallsForEach:
    'Whole balls for each project, added up; projects that share a yarn may share a ball too. Buy one dye lot, all at once.',
} as const;
