/** What the screens of `words` say. */
export const wordsSaid = {
  stitchNamesInUs: 'Stitch names in US and UK terms, and what each word means',
  stitchesAndWhereTo: 'Stitches and where to work them',
} as const;
