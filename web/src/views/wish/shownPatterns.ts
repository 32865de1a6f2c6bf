import { patternBook } from '@puntada/core';

/** The patterns that this screen can draw and plan: flat pieces in two colours, one stitch a cell. */
export const shownPatterns = patternBook.filter(
  ({ technique, made, mostColours }) =>
    (technique === 'carried' || technique === 'stripes') && made === 'flat' && mostColours === 2,
);
