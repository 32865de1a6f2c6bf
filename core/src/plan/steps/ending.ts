import { cellsIn, cellWorked, colourLetter, type Fabric } from '../../craft/fabric/fabric.ts';
import type { BoundPattern } from '../../craft/patterns/bound.ts';
import type { FinishKind, FinishPart } from '../finish/finish.ts';
import { finishParts } from '../finish/finish.ts';
import { finishRequest } from '../piece/piece.ts';
import { lockingStrand } from '../route/lock.ts';
import type { StrandWay } from '../route/strands.ts';
import type { Prepared } from '../wish/prepare.ts';

/** What becomes of the last loop of a cloth, and so of the yarn on the hook. */
export type Ending =
  /** Every row is fastened off as it is done, the last one too. */
  | { readonly kind: 'each-row' }
  /** What comes next is worked on from it: the yarn is not cut. */
  | { readonly kind: 'goes-on'; readonly with: FinishKind; readonly letter: string }
  /** A long end is left, with which the seam is sewn. */
  | { readonly kind: 'long-end'; readonly letter: string }
  /** The second colour is laid across it, and both are cut. */
  | { readonly kind: 'locked'; readonly letter: string; readonly by: string }
  /** The yarn is cut and drawn through. @property unlocked it was to be locked, and no second colour can be brought there */
  | { readonly kind: 'drawn'; readonly letter: string; readonly unlocked: boolean };

/** What an ending is read off. */
interface Ended {
  readonly fabric: Fabric;
  readonly strands: StrandWay;
  readonly bound: BoundPattern;
  /** What is done with the cloth of this piece when it is off the hook. */
  readonly finish: readonly FinishPart[];
  readonly lastLoop?: 'drawn' | 'locked' | undefined;
}

/** How a cloth ends: the one place that knows what is cut after its last row, and what is not. */
export function endingOf({ fabric, strands, bound, finish, lastLoop = 'drawn' }: Ended): Ending {
  if (!fabric.courses || fabric.making === 'right-side') return { kind: 'each-row' };
  const last = fabric.courses - 1;
  const letter = colourLetter(bound, fabric.colours[cellWorked(fabric, last, cellsIn(fabric, last) - 1)] as number);
  const next = finish.find(({ part, goesOn, stitches }) => goesOn !== undefined || (part === 'seam' && stitches > 0));
  if (next?.goesOn) return { kind: 'goes-on', with: next.part, letter };
  if (next?.steps.some(({ code }) => code === 'sew-with-end')) return { kind: 'long-end', letter };
  if (lastLoop !== 'locked') return { kind: 'drawn', letter, unlocked: false };
  const second = lockingStrand(strands);
  if (second === undefined) return { kind: 'drawn', letter, unlocked: true };
  return { kind: 'locked', letter, by: colourLetter(bound, strands.colourOf[second] as number) };
}

/** How the cloth of a plan ends. */
export function endingOfCloth(
  prepared: Prepared,
  cloth: { readonly fabric: Fabric; readonly strands: StrandWay },
): Ending {
  const finish = finishParts(finishRequest(prepared, cloth.fabric));
  return endingOf({ ...cloth, bound: prepared.bound, finish, lastLoop: prepared.wish.lastLoop });
}

/** Whether a strand is left uncut when the last row is done. */
export function staysOn(ending: Ending, letter: string): boolean {
  return (ending.kind === 'goes-on' || ending.kind === 'long-end') && ending.letter === letter;
}
