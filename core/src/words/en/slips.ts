import type { LikelyCause } from '../../work/underway/oneOff.ts';

/** A slip at work, and its cure. docs/craft.md, “While working”. */
export interface Slip {
  readonly slip: string;
  readonly cure: string;
}

/** The slips that happen to everybody. */
export const slips: readonly Slip[] = [
  {
    slip: 'You finished a stitch in the old colour.',
    cure: 'Undo its last pull-through only, and draw the new colour through.',
  },
  {
    slip: 'You missed the idle yarn, and it hangs as a loop at the back.',
    cure: 'Draw the loop to its middle with a needle, cut it and pull the tails inside; or work over it in the next row.',
  },
  {
    slip: 'A stitch is in the wrong column.',
    cure: 'Rip back to it. “Rip back” shows how many stitches and how much yarn come free.',
  },
  {
    slip: 'The foundation chain is one short or one too long.',
    cure: 'Too long: undo it from its beginning. One short: make one more loop at the end of the tail.',
  },
  {
    slip: 'You joined a round on a twisted foundation.',
    cure: 'Within two rounds you can turn it back at the join; later it must come out.',
  },
  {
    slip: 'The yarns are twisted round each other.',
    cure: 'Let the work hang and spin freely. Then keep A on one side and B on the other, and turn to alternate sides.',
  },
  {
    slip: 'A ball ran out in the middle of a row.',
    cure: 'Undo to the beginning of the row and join there, or join here where a run of its colour begins.',
  },
  {
    slip: 'The idle yarn puckers the fabric.',
    cure: 'Spread the row to its full width after each change. Too loose is better than too tight.',
  },
];

/** One thing that a wrong count may mean, where to look, and what then. */
export interface CauseWords {
  readonly cause: string;
  readonly look: string;
  readonly cure: string;
}

/** A likely cause in words. */
export function causeWords({ code, facts = {} }: LikelyCause): CauseWords {
  const changes = Number(facts.changes ?? 0);
  switch (code) {
    case 'left-out-turning':
    case 'left-out-last':
      return {
        cause:
          code === 'left-out-turning'
            ? 'You left out the top of the turning chain at the end.'
            : 'You left out the last stitch of the row below.',
        look: facts.round
          ? 'Look at the join of the round.'
          : 'At the end of this row: is the very last stitch of the row below empty?',
        cure: 'Work into it now; nothing has to come out.',
      };
    case 'passed-over-at-change':
      return {
        cause: 'You skipped a stitch at a colour change.',
        look: `At each of the ${changes} changes: a gap, or a run one short.`,
        cure: 'Undo to that change; one stitch short in a run always shows.',
      };
    case 'passed-over-in-run':
      return {
        cause: 'You skipped a stitch in a long run.',
        look: 'Feel along the top for a hole as wide as a stitch.',
        cure: changes
          ? 'Undo to it: the runs above would no longer match those below.'
          : 'In one plain colour it hides: work 2 into the next stitch of the next row, and keep the count.',
      };
    case 'beside-turning':
    case 'into-turning':
      return {
        cause:
          code === 'beside-turning'
            ? 'You worked a stitch beside the turning chain, which counts as one.'
            : 'You worked a stitch into the turning chain, which does not count.',
        look: 'At the beginning of this row: two stitches where one belongs.',
        cure: 'Undo to the beginning of the row; the edge would lean outwards.',
      };
    case 'two-in-one':
      return {
        cause: 'You worked two stitches into one.',
        look: changes ? 'Run by run: one of them is one too long.' : 'Look for a V with two feet in one top.',
        cure: changes
          ? 'Undo to it: the figure above would be pushed aside.'
          : 'In one plain colour it hides: work 2 together in the next row.',
      };
    case 'whole-run':
      return {
        cause: `${facts.off} stitches are more likely a whole run or a repeat than a slip.`,
        look: `Compare run by run with the row as written: ${facts.count} in all.`,
        cure: 'Undo to the first run that differs.',
      };
    case 'wrong-side':
      return {
        cause: 'You counted from the wrong side.',
        look: 'Turn it and count the tops again from the right side.',
        cure: 'If it is right there, go on.',
      };
    default:
      return {
        cause: 'You worked a run in another colour, and counted it as that one.',
        look: 'Count each colour by itself against the total of the row.',
        cure: 'Undo to that run.',
      };
  }
}
