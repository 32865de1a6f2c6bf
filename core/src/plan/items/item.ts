import type { Use } from '../../craft/technique/technique.ts';
import type { Problem } from '../../craft/values/problem.ts';
import type { Wish, WishInput } from '../../records/wish.ts';
import type { TubeMeasure } from '../fit/across.ts';
import type { Caution } from './caution.ts';

/** What an item may ask for beside size, pattern and yarn. */
export type Question = 'border' | 'ring' | 'strap' | 'seam' | 'flap' | 'insert' | 'drop' | 'bed';

/** One kind of thing that is made: what it asks, how it is drawn and put together, and what it warns of. */
export interface ItemKind {
  readonly item: string;
  /** cm; in rounds of a circle both are the diameter. */
  readonly width: number;
  readonly height: number;
  /** Least and greatest side that is still one, cm. */
  readonly limits: readonly [least: number, most: number];
  /** What the width of the item is the width of, where it is worked in rounds. */
  readonly measure: TubeMeasure;
  /** Its second side is told as a length. */
  readonly long?: true;
  /** It is so narrow that blocks are small. */
  readonly narrow?: true;
  /** What it is used as: it is offered the techniques that share a use with it. */
  readonly uses: readonly Use[];
  readonly asks: readonly Question[];
  /** Its upper end stays open: things go in there. */
  readonly mouth?: true;
  /** Cloths that make one of it, where it is worked flat. */
  readonly panels?: 2;
  /** It is said how many panels there are, not how many pieces. */
  readonly countsPanels?: true;
  /** Sides at which its panels are joined. */
  readonly sides?: 3 | 4;
  /** It is made in rounds where its technique can be. */
  readonly rounds?: true;
  /** The way it is begun, where it is in rounds. */
  readonly begin?: 'ring' | 'chain' | 'circle';
  /** How often it is folded for a shelf or a band; not at all where it is left out. */
  readonly folds?: { readonly across: number; readonly up: number };
  /** A cloth so large that the ends of one-row stripes would have no end. */
  readonly large?: true;
  /** What it warns of. */
  cautions?(wish: Wish): readonly Caution[];
  /** What would be dangerous: it stops the plan. */
  refuses?(wish: Wish): readonly Problem[];
  /** The rest of the wish, as far as it is not what every wish has. */
  readonly wish: Partial<
    Pick<
      WishInput,
      'edges' | 'ending' | 'policy' | 'pieces' | 'border' | 'finish' | 'across' | 'closing' | 'smallChildren'
    >
  >;
}
