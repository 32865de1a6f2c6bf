import type { Fibre } from '@puntada/core/craft';
import type { Item, Wish } from '@puntada/core/records';
import type { Day } from '@puntada/core/work';

export type CountedGauge = Extract<Wish['gauge'], { from: 'counted' }>;

/** A wish as its form holds it: every number still a text as typed. */
export interface WishFormValues {
  title: string;
  item: Item;
  units: Wish['units'];
  widthBy: 'length' | 'chain' | 'stitches' | 'repeats';
  width: string;
  heightBy: 'length' | 'rows' | 'repeats';
  height: string;
  /** The last day on which it may be finished; empty where none is due. It is no part of the plan. */
  due: Day | '';
  /** The height is the most it may become. */
  open: boolean;
  pattern: string;
  stitch: string;
  foundation: string;
  /** Made in rounds where the pattern is not written so; empty as it is written. */
  made: '' | NonNullable<Wish['pattern']['made']>;
  /** What the width of a tube means; empty as the item is usually measured. */
  across: '' | NonNullable<Wish['across']>;
  /** Colours row by row; empty in the order of the pattern. */
  order: string;
  loops: NonNullable<Wish['pattern']['loops']>;
  into: Wish['into'];
  /** Increases a round of the circle under sides; empty for the flattest. */
  increases: string;
  ending: Wish['ending'];
  weaving: NonNullable<Wish['weaving']>;
  numbers: Record<string, string>;
  gaugeFrom: 'typical' | 'counted' | 'swatch';
  /** The gauge of the swatch that was taken, whole. */
  swatchGauge: CountedGauge | undefined;
  /** mm; empty while it is not chosen. */
  hook: string;
  stitchCount: string;
  stitchSpan: string;
  rowCount: string;
  rowSpan: string;
  yarns: {
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
  }[];
  pieces: string;
  /** Rounds of border; empty or 0 for none. */
  border: string;
  borderColour: string;
  closing: boolean;
  wash: '' | NonNullable<Wish['wash']>;
  smallChildren: boolean;
  /** Inside length of a hanging ring; empty for none. */
  ring: string;
  strapKind: '' | 'chain cord' | 'sc along' | 'sc across' | 'hdc' | 'dc' | 'bought';
  strapDrop: string;
  strapWidth: string;
  /** Of a cover in one cloth; empty for none. */
  flap: string;
  seam: '' | 'whipped' | 'mattress' | 'slip stitch' | 'sc';
}
