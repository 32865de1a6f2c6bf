/** The terms on the screens, each in a sentence or two. */
export const glossary: readonly {
  /** In US terms, as its help is asked for. */
  readonly term: string;
  readonly means: string;
  /** What it is called in the terms of the UK, where that is another word. */
  readonly uk?: string;
}[] = [
  {
    term: 'foundation chain',
    means: 'The chains you make before row 1. Puntada always shows their number beside the stitches.',
  },
  {
    term: 'turning chain',
    means: 'Chains that reach the height of the next row. Some count as its first stitch, some do not.',
  },
  { term: 'repeat', means: 'The stitches, or the rows, after which a pattern starts again.' },
  { term: 'true repeat', means: 'The rows after which stitch, colour and working direction have all come back.' },
  { term: 'matching edges', means: 'The row reads the same from both ends, so both side edges look alike.' },
  {
    term: 'same first and last',
    means: 'The last row has the colour of the first, and the last band is as high as the first.',
  },
  {
    term: 'RS and WS',
    means: 'Right side, the face that shows, and wrong side. Row 1 is RS unless a pattern says otherwise.',
  },
  { term: 'gauge', uk: 'tension', means: 'How many stitches and rows fit into a measured span, such as 10 cm.' },
  {
    term: 'typical',
    means: 'From a table of yarn weights, not measured by you. Figures that use it are shown as a range.',
  },
  {
    term: 'carry',
    means: 'Lay the idle yarn along the row below and work over it, so that it lies inside the stitches.',
  },
  { term: 'climb', means: 'Take the idle yarn up the side edge to the row where you need it next.' },
  { term: 'float', means: 'Yarn that lies loose across the back. Not for small children.' },
  { term: 'bobbin', means: 'A small ball for each figure, so that nothing has to be carried between them.' },
  { term: 'end', means: 'A cut end of yarn to weave in. Every cut and every join leaves one.' },
  { term: 'drop', means: 'A tall stitch worked into a row further down, in front of the stitch between.' },
  {
    term: 'chance',
    means: 'How often this many balls would be enough, from all that Puntada knows of the yarn and your hand.',
  },
];
