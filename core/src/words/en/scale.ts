/** What a kitchen scale comes to, as it is told. */
export const scaleWords = {
  settling: 'The scale is settling…',
  read: 'Done.',
  readBatteryLow: 'Done. The scale’s battery is nearly empty.',
  silent: 'The scale isn’t answering. Type the grams instead.',
  notAnswering: 'The scale isn’t answering.',
  belowZero: 'It shows less than zero. Take everything off, set it to zero and weigh again.',
  nonsense: 'The scale sent no usable weight. Switch it off and on, or type the grams.',
  wavering: 'The scale keeps wavering. Put it on a firm table, or type the grams.',
  tooHeavy: 'The scale takes 0 to 5000 g. Type the grams instead.',
  zeroed: 'It shows 0. Now put the ball on it.',
} as const;
