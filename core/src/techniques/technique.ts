import type { GaugeKey } from '../gauge/typical.ts';
import type { BoundPattern } from '../patterns/bind.ts';
import type { TechniqueKey } from '../patterns/model.ts';
import type { StitchKey } from '../stitches/kinds.ts';

/** What one technique of the craft knows of itself: asked by `fit`, `gauge`, `check` and `write`. */
export interface Technique {
  readonly key: TechniqueKey;
  readonly name: string;
  /** Fewest stitches by which a width can grow when a repeat may be cut at the edges. */
  readonly step: number;
  readonly stitches: readonly StitchKey[];
  /** Which column of the typical table sizes this cloth. */
  gaugeKey(bound: BoundPattern): GaugeKey;
  /** Why `stitch` cannot stand on `below` in this technique, or nothing when it can. Row 1 stands on the chain. */
  refuses(stitch: StitchKey, below: StitchKey | undefined): string | undefined;
}
