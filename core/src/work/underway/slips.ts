/** A slip at work, and its cure. docs/craft.md, “While working”. */
export interface Slip {
  readonly slip: string;
  readonly cure: string;
}

/** The slips that happen to everybody. */
export const slips: readonly Slip[] = [
  {
    slip: 'A stitch was finished in the old colour.',
    cure: 'Undo its last pull-through only, and draw the new colour through.',
  },
  {
    slip: 'The idle strand was not caught, and lies as a loop on the back.',
    cure: 'Draw the loop to its middle with a needle, cut it and pull the tails inside; or work over it in the next row.',
  },
  {
    slip: 'A stitch stands in the wrong column.',
    cure: 'Rip to it. “Rip back” tells how many stitches and metres come free.',
  },
  {
    slip: 'The foundation chain is one short or one too long.',
    cure: 'Too long: undo it from its beginning. One short: take up one loop more at the end of the tail.',
  },
  {
    slip: 'A round was closed with its foundation twisted.',
    cure: 'Within two rounds it can be turned back at the join; later it must come out.',
  },
  {
    slip: 'The strands are twisted round one another.',
    cure: 'Hold the work up and let it turn; then keep A on one side and B on the other, and turn by turns to either side.',
  },
  {
    slip: 'A ball ended in the middle of a row.',
    cure: 'Undo to the beginning of the row and join there, or join here where a run of its colour begins.',
  },
  {
    slip: 'The idle strand puckers the cloth.',
    cure: 'Spread the row to its width after each change before you go on; a tug too little is better than one too much.',
  },
];
