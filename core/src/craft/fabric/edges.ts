import type { BoundPattern } from '../patterns/bound.ts';
import { isRoundMaking } from './fabric.ts';

/** How the two side edges are to look. */
export type EdgeRule = 'whole' | 'mirrored' | 'centred';

/** What is asked of a technique. */
interface Cuts {
  readonly cuts?: true;
}

/** Whether whole repeats are not yet alike at both edges, so that there is something to choose. */
export function edgesDiffer({ across: { works, alike } }: BoundPattern): boolean {
  return works.multiple !== alike.multiple || works.extra !== alike.extra;
}

/** Whether a cloth may be centred: where its repeats may be cut. Blocks in steps, windows, flecks and rounds must stand whole. */
export function mayBeCentred(bound: BoundPattern, technique: Cuts): boolean {
  return technique.cuts === true && edgesDiffer(bound) && !isRoundMaking(bound.pattern.made);
}

/** The edges that a pattern can have: alike where they were to be centred and its repeats cannot be cut. */
export function edgesFor(wished: EdgeRule, bound: BoundPattern, technique: Cuts): EdgeRule {
  return wished === 'centred' && !mayBeCentred(bound, technique) ? 'mirrored' : wished;
}
