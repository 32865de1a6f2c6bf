import type { Told } from './told.ts';

/** What the screens of `book` say. */
export const bookSaid = {
  severalColours: 'several colours',
  colours: (count: number) => `${count} ${count === 1 ? 'colour' : 'colours'}`,
  thereNoSuchPattern: 'There is no such pattern in the book, or it was deleted.',
  openPatternBook: 'Open the pattern book',
  stitchPatternsInTechniques: (patterns: number, techniques: number, own: number) =>
    `${patterns} stitch patterns in ${techniques} techniques${own ? `, and ${own} of your own` : ''}`,
  noPatternMatchesClear: 'No pattern matches. Clear the search or choose any technique.',
  makeCopyToChange: 'Make a copy to change',
  makeCopyToRewrite: 'Make a copy to rewrite',
  rowsBeforeStitchColour: 'rows before stitch, colour and direction all repeat',
  forSameFirstAnd: '; for the same first and last',
  checkAsYouGo: 'Check as you go',
  goodPlacesToEnd: 'Good places to end',
  startProjectWithIt: 'Start a project with it',
  howToWorkOne: 'How to work one repeat',
  earlier: (name: Told) => `Earlier: ${name}`,
  later: (name: Told) => `Later: ${name}`,
  rehearseRows: 'Rehearse the first rows',
} as const;
