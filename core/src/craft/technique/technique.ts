import type { Cells, Fabric } from '../fabric/fabric.ts';
import type { RowColours } from '../fabric/rowColours.ts';
import type { LayRequest } from '../fabric/rows.ts';
import type { Foundation, FoundationKey } from '../foundation/foundation.ts';
import type { GaugeKey } from '../gauge/typical.ts';
import type { BoundPattern } from '../patterns/bound.ts';
import type { Making, TechniqueKey } from '../patterns/model.ts';
import type { StitchKey } from '../stitches/kinds.ts';
import type { Facts } from '../values/problem.ts';
import type { YarnPath } from '../yarn/yarnPerStitch.ts';
import type { Policy } from './policy.ts';

/** One course as the proof sees it, with the two below it. All arrays are in column order. */
export interface CourseView extends Cells {
  /** From 0. */
  readonly course: number;
  readonly courses: number;
  /** What the pattern's widths count. */
  readonly count: number;
  readonly forward: boolean;
  readonly making: Making;
  readonly below?: Cells | undefined;
  readonly below2?: Cells | undefined;
  readonly bound: BoundPattern;
  readonly foundation: Foundation;
  /** Says that the cell in this column cannot be, and why: a key of `words/en/proof.ts`. */
  refuse(column: number, code: string, facts?: Facts): void;
}

/** Rows that are `step · k + offset`. */
interface Multiple {
  readonly step: number;
  readonly offset: number;
}

/** Row counts that end a cloth, from the least on. */
export interface Endings {
  readonly least: number;
  readonly any: Multiple;
  readonly whole: Multiple;
}

/** How the pattern's widths are counted in a technique, and what one of them is. */
export interface WidthCount {
  /** In the plural: stitches, clusters, windows, blocks, wedges. */
  readonly word: string;
  /** Stitches of a whole course for so many. */
  stitches(count: number, foundation: Foundation): number;
  /** Stitch widths (of the gauge) across so many. */
  widths(count: number): number;
}

/** What a piece is used as. */
export type Use = 'small cloth' | 'large cloth' | 'long cloth' | 'mat' | 'panel' | 'tube' | 'circle';

/** What a pattern looks like at first sight. */
export type Look = 'blocks' | 'lines' | 'figures' | 'texture';

/** What one technique of the craft knows of itself: asked by `lay`, `check`, `fit`, `gauge`, `measure` and `write`. */
export interface Technique {
  readonly key: TechniqueKey;
  /** How it can be made, the usual way first. */
  readonly makings: readonly Making[];
  /** What it is good for: an item is offered the techniques that share a use with it. */
  readonly uses: readonly Use[];
  /** What its patterns look like, for one who looks through the book. */
  readonly looks: readonly Look[];
  /** Fewest of the count by which a width can grow when a repeat may be cut at the edges. */
  readonly step: number;
  /** What a run that names no stitch is worked as, where that is not the main stitch. */
  readonly cell?: StitchKey;
  /** Colours that it can take at most. */
  readonly mostColours?: number;
  /** What is counted along a row, where that is not stitches. */
  readonly cellWord?: 'cluster' | 'block';
  /** Stitches in one width of its gauge, where that is not one. */
  readonly perWidth?: number;
  /** How far the cells of a course lie beside a common edge, in cells. @param course from 0 */
  offset?(course: number): number;
  /** Yarn that is not in use never lies inside its stitches. */
  readonly neverCarried?: true;
  /** Its rows have not all the same number of cells. */
  readonly unevenRows?: true;
  /** In rounds that are not turned it does not lean. */
  readonly upright?: true;
  /** The chains that begin a row are part of its first cell. */
  readonly chainsInCells?: true;
  /** A row that begins with a bridge of chains ends with a slip stitch into the edge stitch. */
  readonly slipsOntoEdge?: true;
  /** What is to be marked at the end of its rows, where that is not told by how a row begins. */
  readonly marker?: 'turning space' | 'other net' | 'none';
  /** A smaller cloth is a part of a larger one, cell for cell. */
  readonly nested?: true;
  /** About how many of its count, and courses, show what it is: 24 of each unless said; 0 for one whole round. */
  readonly sample?: readonly [wide: number, high: number];
  /** It grows on the diagonal, from one corner to the other. */
  readonly diagonal?: true;
  /** Any stitch may stand at an edge, so that a repeat may be cut there. */
  readonly cuts?: true;
  readonly kinds: readonly StitchKey[];
  readonly width: WidthCount;
  /** Yarn paths of stitches that are made otherwise here than elsewhere. */
  readonly paths?: Partial<Record<StitchKey, YarnPath>>;
  /** Which column of the typical table sizes this cloth. */
  gaugeKey(bound: BoundPattern): GaugeKey;
  /** The ways to begin, the usual one first. */
  foundations(bound: BoundPattern): readonly FoundationKey[];
  /** What the first cell worked in a course is made as. */
  opening(kind: StitchKey, request: LayRequest): StitchKey;
  /** What stitches are in the first course, which goes into the chain. */
  readonly inChain?: ReadonlyMap<StitchKey, StitchKey>;
  /** Cells by which every row is begun further on in its repeat. */
  shift?(request: LayRequest): number;
  /** Its rows are of one colour each, so that the maker may order their colours. */
  readonly ordered?: true;
  /** It is worked in rows of its own, from the middle outwards: a circle. */
  readonly circle?: true;
  /** Its stitches may go into one loop of the row below. */
  readonly loops?: true;
  /** Which rows end it, where its pattern's own multiples do not say: all of them from `least` on by `step`. */
  endings?(bound: BoundPattern): Endings | undefined;
  /** The colours of its rows, where they are not what its pattern writes. */
  bands?(bound: BoundPattern, rows: number): RowColours[];
  /** Lays courses that are not a plain grid. */
  lay?(request: LayRequest): Fabric;
  /** Courses that are worked for so many rows of the pattern, where the two are not the same. */
  courses?(count: number, rows: number): number;
  /** Row heights (of the gauge) in so many rows, where it is not one each. */
  heights?(rows: number): number;
  /** What a cell of a drawing is, where it is a stitch and not only a colour, as the notation writes it. */
  readonly marks?: readonly string[];
  /** The marks nearest to a picture of wanted colours that can be worked, where not every colour may stand everywhere. */
  pictured?(wanted: readonly (readonly string[])[]): string[][];
  /**
   * The marks that its cloth was drawn with, the first drawn row first, where a cell of the cloth is not one of the drawing.
   * `?` where the cloth does not tell.
   */
  undrawn?(courses: readonly Cells[], making: Making): string[][];
  /** Rows, and cells of a row, that it lays by itself beside what is drawn. */
  readonly ownRows?: number;
  readonly ownEdge?: number;
  /** How far the cells of a drawn row stand beside those of the row below, where that is not `offset`. @param row from 0 */
  drawnOffset?(row: number): number;
  /** Where a cell of the cloth is drawn: its row, counted from the first drawn one, and its cell in that row. */
  drawnAt?(course: number, column: number, making: Making): { readonly row: number; readonly cell: number };
  /** The only policy for idle strands that the technique can be worked with. */
  readonly policy?: Policy;
  /** Cells that a course must have, where it is not told by what the course below left. */
  cells?(course: number, count: number, courses: number, foundation: Foundation): number;
  /** Works the course stitch by stitch and refuses what cannot be. */
  prove(view: CourseView): void;
}

/** The count of a technique that counts stitches. */
export const plainStitches: WidthCount = {
  word: 'stitches',
  stitches: (count) => count,
  widths: (count) => count,
};
