import { cellsIn, type Fabric, facesRight, isRoundMaking } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bind.ts';
import { stitchKind } from '../../craft/stitches/kinds.ts';

/** One thing that a count which is wrong by a few may mean, where to look, and what then. */
export interface LikelyCause {
  readonly cause: string;
  readonly look: string;
  /** Whether it hides, or how far to go back. */
  readonly cure: string;
}

/**
 * What a count that is off at the end of a row may mean, the likeliest first. docs/craft.md, “Slips and cures”.
 * @param number of the row, from 1 @param off stitches too many, or too few where it is under 0
 */
export function oneOff(fabric: Fabric, bound: BoundPattern, number: number, off: number): LikelyCause[] {
  const course = number - 1;
  const count = cellsIn(fabric, course);
  const start = fabric.starts[course] as number;
  const first = stitchKind(fabric.kinds[start] as number);
  const round = isRoundMaking(fabric.making);
  const changes = changesIn(fabric, course);
  const causes: LikelyCause[] = [];
  const turning = first.opens;
  if (off < 0) {
    if (turning || !round) {
      causes.push({
        cause: turning
          ? 'The top of the turning chain was left out at the end.'
          : 'The last stitch of the row below was left out.',
        look: round
          ? 'At the join of the round.'
          : 'At the end of this row: is the very last stitch of the row below empty?',
        cure: 'Work into it now; nothing has to come out.',
      });
    }
    if (changes > 0) {
      causes.push({
        cause: 'A stitch was passed over at a colour change.',
        look: `At each of the ${changes} changes: a gap, or a run one short.`,
        cure: 'Undo to that change; one stitch short in a run shows for good.',
      });
    }
    causes.push({
      cause: 'A stitch was passed over in a long run.',
      look: 'Feel along the top for a hole as wide as a stitch.',
      cure:
        changes > 0
          ? 'Undo to it: the runs above would no longer stand over those below.'
          : 'In one plain colour it hides: work 2 into the next stitch of the next row, and keep the count.',
    });
  } else {
    causes.push({
      cause: turning
        ? 'A stitch was worked beside the turning chain that counts.'
        : 'A stitch was worked into the turning chain, which is none.',
      look: 'At the beginning of this row: two stitches where one belongs.',
      cure: 'Undo to the beginning of the row; at the edge it would lean outwards.',
    });
    causes.push({
      cause: 'Two stitches stand in one.',
      look: changes > 0 ? 'Run by run: one of them is one too long.' : 'Look for a V with two feet in one top.',
      cure:
        changes > 0
          ? 'Undo to it: the figure above would be pushed aside.'
          : 'In one plain colour it hides: take 2 together in the next row.',
    });
  }
  if (Math.abs(off) > 1) {
    causes.unshift({
      cause: `${Math.abs(off)} stitches are a whole run or a repeat rather than a slip.`,
      look: `Compare run by run with the row as written: ${count} in all.`,
      cure: 'Undo to the first run that differs.',
    });
  }
  if (!facesRight(course, fabric.making)) {
    causes.push({
      cause: 'It was counted from the wrong side.',
      look: 'Turn it and count the tops again from the right side.',
      cure: 'If it is right there, go on.',
    });
  }
  const { length } = bound.colours;
  if (length > 2) {
    causes.push({
      cause: 'A run was worked in another colour, and counted to that one.',
      look: 'Count each colour by itself against the sum of the row.',
      cure: 'Undo to that run.',
    });
  }
  return causes;
}

function changesIn(fabric: Fabric, course: number): number {
  let changes = 0;
  for (let i = (fabric.starts[course] as number) + 1; i < (fabric.starts[course + 1] as number); i++) {
    if (fabric.colours[i] !== fabric.colours[i - 1]) changes++;
  }
  return changes;
}
