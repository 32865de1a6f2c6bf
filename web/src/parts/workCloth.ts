import type { BoundPattern, Fabric, Foundation } from '@puntada/core/craft';
import { clothAt, type Ending, endingOfCloth, planWish, prepareWork, type ThawedWork, thaw } from '@puntada/core/plan';
import type { Work } from '@puntada/core/records';

/** What a work is made of, from its frozen fabric once it is begun, from the plan of its wish before. */
export interface WorkCloth {
  readonly fabric: Fabric;
  readonly strands: ThawedWork['strands'];
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  /** The gauge it was begun with. */
  readonly gauge?: ThawedWork['gauge'];
  /** What becomes of its last loop. */
  readonly ending: Ending;
  /** Its chain is a step of the counter, and the cloths of its project that were made by a plan before. */
  readonly fromChain?: ThawedWork['fromChain'];
  readonly before?: ThawedWork['before'];
  readonly shades: readonly string[];
  /** Stitch width over row height. */
  readonly proportion: number;
}

/** The cloth that one piece of a work is, in its shades. @param piece from 0 */
export function clothOfPiece(cloth: WorkCloth, piece: number): WorkCloth {
  const { shades, proportion, ending } = cloth;
  const own = clothAt<WorkCloth>(cloth, piece);
  return own === cloth ? cloth : { ...own, shades, proportion, ending };
}

/** The cloth of a work; nothing where no size of its wish can be laid. */
export function workCloth(work: Work): WorkCloth | undefined {
  const { wish, begun } = work;
  const prepared = prepareWork(work);
  const proportion = prepared.ok ? prepared.value.gauge.stitchWidth.mid / prepared.value.gauge.rowHeight.mid : 1.1;
  if (begun) {
    const back = thaw(begun);
    if (!back.ok || !prepared.ok) return undefined;
    const { bound } = back.value;
    const shades = bound.colours.map((letter) => wish.yarns.find((y) => y.letter === letter)?.shade ?? '#888888');
    return { ...back.value, shades, proportion, ending: endingOfCloth(prepared.value, back.value) };
  }
  const plan = planWish(wish);
  if (!plan.ok) return undefined;
  const { bound, foundation, yarns } = plan.value.prepared;
  const { fabric, strands } = plan.value.piece;
  const ending = endingOfCloth(plan.value.prepared, { fabric, strands });
  return { fabric, strands, bound, foundation, ending, shades: yarns.map((yarn) => yarn.shade), proportion };
}
