import type { Told } from './told.ts';

/** What the screens of `evenings` say. */
export const eveningsSaid = {
  itemsDone: (done: number, of: number) => `${done} of ${of} done`,
  whatToMakeThis: 'What to make this evening, and when each project will be finished',
  saveAsCalendar: 'Save as a calendar',
  fourWeeksEveningsLikely: ': four weeks of evenings, likely finishing days and due dates.',
  addingUpHours: 'Adding up the hours…',
  noTimeSetAside: 'No time set aside for today. Enjoy the rest.',
  whatToMakeOn:
    'What to make on each evening will stand here, and when it will be finished. No project is waiting now.',
  restYourHandsMinutes: (restFor: number, restAfter: number, pauses: number) =>
    `Rest your hands ${restFor} minutes after every ${restAfter}: ${pauses} ${pauses === 1 ? 'pause' : 'pauses'}. `,
  ifPainStaysStop: (rests: Told) => `${rests}If pain stays, stop and see a doctor or physiotherapist.`,
  oneProjectAfterAnother:
    'One project after another, earliest due date first. Bar: the range, right 9 times in 10. Line: the likely day. Flag: the due date.',
  withTheseMinutesThere: 'With these minutes there is no finishing date.',
  addPlannedProject: 'Add a planned project',
  minutesWeek: 'Minutes of the week',
  typeWholeMinutes0: 'Type whole minutes, 0 to 1440.',
} as const;
