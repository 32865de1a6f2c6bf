import type { Told } from './told.ts';

/** What the screens of `drawer` say. */
export const drawerSaid = {
  inDrawer: (name: Told) => `${name} is in the drawer.`,
  yourYarnWillLie:
    'Your yarn will lie here, with what is left of each. Type what stands on a label, here beside, or import a table (CSV).',
  addToDrawer: 'Add to the drawer',
  yarnsBallsAndOpened: (yarns: Told, balls: Told, opened: Told) =>
    `${yarns} yarns · ${balls} balls and ${opened} opened`,
  oneBallLess: (name: Told) => `One ball less of ${name}`,
  oneBallMore: (name: Told) => `One ball more of ${name}`,
  moreSetAsideThan: (balls: Told) => `✕ ${balls} more set aside than you have`,
  labelInOneLine: 'Label in one line',
} as const;
