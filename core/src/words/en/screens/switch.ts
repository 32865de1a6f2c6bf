/** What the screens of `switch` say. */
export const switchSaid = {
  practiceClickerAndFoot: 'Practice clicker and foot switch',
  theyStepThroughRow: 'They step through the row open in another window of this browser',
} as const;
