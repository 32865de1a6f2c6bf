import type { Told } from './told.ts';

/** What the screens of `labels` say. */
export const labelsSaid = {
  bandsTagsCare: 'Labels: bands, tags, care and prices, on sheets or from a label printer',
  howManyTogether: 'How many pieces it goes round',
  yourMark: 'Your mark: initials or a name',
  yourMarkPicture: 'Your mark, as a picture',
  pictureAsMark: 'A picture as your mark',
  anotherPicture: 'Another picture',
  withoutPicture: 'Without the picture',
  priceWithCurrency: 'Price, with its currency',
  howManyLabels: 'How many on the sheets',
  typeCountTo200: 'Type a whole number from 1 to 200.',
  sheetsWithCutMarks: 'Sheets with marks to cut along',
  asStrip: 'As a strip from the label printer',
  practicePrinter: 'Practice printer',
  putRollIn: 'Put a roll in',
  plugItIn: 'Plug its cable in',
  paperLeft: (metres: Told) => `${metres} m of paper left`,
  coverIsOpen: 'its cover is open',
  notConnected: 'not connected',
  outOfPaper: 'out of paper',
  stripThatCame: 'The strip that came out last',
  noStripYet: 'Nothing printed yet.',
  stripPrinted: 'The strip is printed.',
  localLaw: 'For sale, fibre, care and child-product labels follow local law; ask where you sell.',
} as const;
