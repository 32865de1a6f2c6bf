import type { Count } from './count.ts';
import type { RowOrder } from './order.ts';

/** Key of a technique: one of the register. */
export type TechniqueKey = string;

/**
 * How a piece is made: it decides the direction of each course. Two nets are `netted`: a base row, then pairs of rows;
 * `paired` are those begun before base rows were known, which go on as they were begun.
 */
export const makings = ['flat', 'right-side', 'rounds', 'turned-rounds', 'diagonals', 'paired', 'netted'] as const;
export type Making = (typeof makings)[number];

/** A stitch pattern as data: everything a person wrote in the notation, and nothing computed from it. */
export interface StitchPattern {
  readonly key: string;
  readonly name: string;
  /** One sentence for the maker. */
  readonly about: string;
  readonly technique: TechniqueKey;
  readonly made: Making;
  /** The main stitch: what a run without a stitch of its own is worked in; the first is the default. */
  readonly stitches: readonly string[];
  /** Letters of the colours; A is the lighter of two unless the maker says otherwise. */
  readonly colours: readonly string[];
  /** How few and how many colours the maker may choose; rows in the colour `*` take them by turns. */
  readonly fewestColours: number;
  readonly mostColours: number;
  readonly numbers: readonly PatternNumber[];
  /** The widths: stitches that can be worked, and those whose two edges look alike. */
  readonly across: Extent;
  /** The heights: courses that end a whole block, and those that end in the colour they began with. */
  readonly up: Extent;
  /** `seen`: a row is written as it lies, from the edge where row 1 begins. `worked`: each row in its own direction. */
  readonly read: 'seen' | 'worked';
  readonly rows: readonly PatternRow[];
  /** A drawn chart, the last-worked row on top; rows of cells with one mark each. */
  readonly chart: readonly string[];
  /** Colours row by row, where the maker has an order of their own. */
  readonly order?: RowOrder | undefined;
  /** What ends the cloth well, and who should be careful with it; a sentence each, or nothing. */
  readonly ends: string;
  readonly careful: string;
}

/** A number the maker may choose, such as the width of a block. */
export interface PatternNumber {
  readonly name: string;
  readonly usual: number;
  readonly least: number;
  readonly most: number;
  readonly meaning: string;
}

/** `multiple · k + extra`, as it can be worked and as it looks whole. */
export interface Extent {
  /** What the multiple counts, in the plural: blocks, bands, pairs. */
  readonly word: string;
  readonly works: Multiple;
  readonly alike: Multiple;
}

export interface Multiple {
  readonly multiple: Count;
  readonly extra: Count;
}

export interface PatternRow {
  /** A set-up row is worked once at the beginning, a closing row once at the end, the others by turns. */
  readonly role: 'setup' | 'row' | 'close';
  /** How many courses in a stretch are worked from this line. */
  readonly courses: Count;
  /** The colour of the whole row where its runs name none; `*` is the next colour in turn. */
  readonly colour?: string;
  readonly start: readonly Run[];
  readonly unit: readonly Run[];
  readonly end: readonly Run[];
}

/** So many stitches of one kind in one colour. */
export interface Run {
  readonly count: Count;
  readonly stitch?: string;
  /** Where the stitches are worked, when not into the top of the course below. */
  readonly place?: string;
  readonly colour?: string;
}
