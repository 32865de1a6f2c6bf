import { good, type Result, refused } from '../problem.ts';
import type { StitchKey } from '../stitches/kinds.ts';

/**
 * One way to begin: how many chains go with how many stitches, and what the turning chain counts as.
 * docs/craft.md, “From chains to stitches”.
 */
export interface Foundation {
  readonly key: FoundationKey;
  readonly stitch: StitchKey;
  /** Chains of the foundation beyond the stitches: foundation chains = stitches + this. */
  readonly beyond: number;
  /** The chain from the hook into which the first stitch goes. */
  readonly firstInto: number;
  /** Chains made to turn at the start of every later row. */
  readonly turn: number;
  /** Whether the turning chain is the first stitch of the row. */
  readonly counted: boolean;
  readonly name: string;
}

export type FoundationKey = 'sc-2nd' | 'hdc-2nd' | 'hdc-3rd' | 'hdc-3rd-counted';

export const foundations: readonly Foundation[] = [
  { key: 'sc-2nd', stitch: 'sc', beyond: 1, firstInto: 2, turn: 1, counted: false, name: '2nd chain from the hook' },
  {
    key: 'hdc-2nd',
    stitch: 'hdc',
    beyond: 1,
    firstInto: 2,
    turn: 1,
    counted: false,
    name: '2nd chain from the hook, ch 1 to turn (tight)',
  },
  {
    key: 'hdc-3rd',
    stitch: 'hdc',
    beyond: 2,
    firstInto: 3,
    turn: 2,
    counted: false,
    name: '3rd chain from the hook, ch 2 to turn, not a stitch (loose)',
  },
  {
    key: 'hdc-3rd-counted',
    stitch: 'hdc',
    beyond: 1,
    firstInto: 3,
    turn: 2,
    counted: true,
    name: '3rd chain from the hook, ch 2 counts as a stitch',
  },
];

/** The ways to begin a first row in this stitch; the first is the default. */
export function foundationsFor(stitch: StitchKey): readonly Foundation[] {
  return foundations.filter((each) => each.stitch === stitch);
}

/** The foundation the maker chose for a stitch, or the default. */
export function chooseFoundation(stitch: StitchKey, key: string | undefined): Result<Foundation> {
  const offered = foundationsFor(stitch);
  const found = key === undefined ? offered[0] : offered.find((each) => each.key === key);
  if (found) return good(found);
  return refused({
    code: 'foundation-not-offered',
    path: '',
    message: `A first row of ${stitch} cannot begin with “${key}”.`,
    hint: `Choose one of: ${offered.map((each) => each.key).join(', ')}.`,
  });
}
