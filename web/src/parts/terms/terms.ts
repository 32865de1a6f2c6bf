/** The terms that stand on the screens, each in a sentence or two. */
export const terms: readonly {
  /** In US terms, as all sentences are written. */
  readonly term: string;
  readonly means: string;
  /** What it is called in the terms of the UK, where that is another word. */
  readonly uk?: string;
}[] = [
  {
    term: 'foundation chain',
    means: 'The chains that are made before row 1. Their number is always told beside the stitches.',
  },
  {
    term: 'turning chain',
    means: 'Chains made to reach the height of the next row; they count as its first stitch or they do not.',
  },
  { term: 'repeat', means: 'The stitches, or the rows, after which a pattern begins anew.' },
  { term: 'true repeat', means: 'The rows after which stitch, colour and working direction have all come back.' },
  { term: 'edges alike', means: 'The row reads the same from both ends, so both side edges end in the same way.' },
  { term: 'as begun', means: 'The last row is in the colour, and ends the block, that the work began with.' },
  {
    term: 'RS and WS',
    means: 'Right side, the face that is shown, and wrong side. Row 1 is RS unless a pattern says otherwise.',
  },
  { term: 'gauge', uk: 'tension', means: 'How many stitches and rows there are to a measured span.' },
  { term: 'typical', means: 'From a table of yarn weights, not from your hands. What rests on it is told as a range.' },
  {
    term: 'carry',
    means: 'To lay the idle strand along the row below and work over it, so that it lies inside the stitches.',
  },
  { term: 'climb', means: 'To take the idle strand up the side edge to the row in which it is next needed.' },
  { term: 'float', means: 'A strand that lies loose across the back. Not for small children.' },
  { term: 'bobbin', means: 'A strand of its own for each figure, so that nothing has to be carried between them.' },
  { term: 'end', means: 'A cut strand of yarn that must be woven in; every cut and every join leaves one.' },
  { term: 'drop', means: 'A tall stitch worked into a row further down, hiding the stitch between.' },
  {
    term: 'chance',
    means: 'How often balls of this number would be enough, by all that is known of the yarn and the hand.',
  },
];
