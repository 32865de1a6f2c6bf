import type { Fibre } from '@puntada/core/craft';
import type { borderPatternKeys, Item, Wish } from '@puntada/core/records';
import type { Day } from '@puntada/core/work';

export type CountedGauge = Extract<Wish['gauge'], { from: 'counted' }>;

/** A size as it is typed: a length or a count, each kept while the other is looked at. */
export interface SizeValues<By extends string> {
  by: 'length' | By;
  length: string;
  count: string;
}

type Standing = NonNullable<Wish['placed']>[number]['across'];

/** A figure as the form holds it. */
export interface PlacedValues {
  text: string;
  across: Standing;
  up: Standing;
}

/** A yarn as the form holds it. */
export interface YarnValues {
  letter: string;
  name: string;
  shade: string;
  weight: string;
  fibre: Fibre;
  /** As a label says it; empty for one fibre. */
  blend: string;
  ballMetres: string;
  ballGrams: string;
  balls: string;
  partGrams: string;
  /** The yarn of the drawer; empty for one that is not in it. */
  drawer: string;
}

/**
 * A wish as its form holds it: the fields stand at the paths of the wish, so that what is wrong with it finds its field.
 * Every number is still a text as typed.
 */
export interface WishFormValues {
  title: string;
  item: Item;
  units: Wish['units'];
  width: SizeValues<'chain' | 'stitches' | 'repeats'>;
  height: SizeValues<'rows' | 'repeats'>;
  /** The last day on which it may be finished; empty where none is due. It is no part of the plan. */
  due: Day | '';
  /** The height is the most it may become. */
  open: boolean;
  pattern: {
    key: string;
    stitch: string;
    /** Made in rounds where the pattern is not written so; empty as it is written. */
    made: '' | NonNullable<Wish['pattern']['made']>;
    /** Colours row by row; empty in the order of the pattern. */
    order: string;
    loops: NonNullable<Wish['pattern']['loops']>;
    numbers: Record<string, string>;
  };
  /** Figures put on the pattern once. */
  placed: PlacedValues[];
  foundation: string;
  /** What the width of a tube means; empty as the item is usually measured. */
  across: '' | NonNullable<Wish['across']>;
  into: Wish['into'];
  /** Increases a round of the circle under sides; empty for the flattest. */
  increases: string;
  ending: Wish['ending'];
  weaving: NonNullable<Wish['weaving']>;
  gauge: {
    from: 'typical' | 'counted' | 'swatch';
    stitches: { count: string; over: string };
    rows: { count: string; over: string };
    /** The gauge of the swatch that was taken, whole. */
    taken: CountedGauge | undefined;
  };
  /** mm; empty while it is not chosen. */
  hook: string;
  yarns: YarnValues[];
  pieces: string;
  /** Further yarns of a set, and which yarn each item takes for each colour; no items as long as all are alike. `apart`: each a project of its own. */
  set: { yarns: YarnValues[]; items: number[][]; apart: boolean };
  /** What the other side of a bag or cover is: `twin` or `plain`, or a pattern of the book; empty for a panel of the same project. */
  back: string;
  /** Empty or 0 rounds for none. `as`: plain rounds, an envelope, or a pattern, whose second colour is `second`. */
  border: {
    rounds: string;
    colour: string;
    by: 'gauge' | 'rule';
    as: 'plain' | 'envelope' | (typeof borderPatternKeys)[number];
    second: string;
  };
  closing: boolean;
  wash: '' | NonNullable<Wish['wash']>;
  fold: boolean;
  smallChildren: boolean;
  finish: {
    /** Inside length of a hanging ring; empty for none. */
    ring: string;
    strap: {
      kind: '' | 'chain cord' | 'sc along' | 'sc across' | 'hdc' | 'dc' | 'bought';
      drop: string;
      width: string;
    };
    /** Of a cover in one cloth; empty for none. */
    flap: string;
    /** Letters of the yarns of the closing row, the seam and the ring. */
    closingColour: string;
    seamColour: string;
    ringColour: string;
    /** A seam is sewn with a long end of the last row. */
    longEnd: boolean;
    /** The edge of flat panels that is the mouth. */
    mouthEdge: 'last' | 'foundation';
    seam: '' | 'whipped' | 'mattress' | 'slip stitch' | 'sc';
    /** Rounds about the mouth of a bag: none, one, or a second with eyelets. */
    mouth: '' | 'plain' | 'eyelets';
  };
}
