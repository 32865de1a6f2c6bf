import { piece } from '../../../test/samplePiece.ts';
import { costsFor } from '../../plan/route/costs.ts';
import { chartOf } from '../../plan/route/ofFabric.ts';
import { route } from '../../plan/route/route.ts';
import { StrandBook } from '../../plan/steps/strandBook.ts';
import type { Terms } from '../terms/termed.ts';
import { writeRow } from './rows.ts';

/** Rows of a small piece in words; every sentence below was written out by hand from the craft. */
function rowsOf(
  key: string,
  count: number,
  rows: number,
  { way, numbers = {}, terms = 'US' }: { way?: string; numbers?: Record<string, number>; terms?: Terms } = {},
) {
  const { fabric, bound, foundation, technique } = piece(key, count, rows, way, { numbers });
  const policy = technique.policy ?? 'as-needed';
  const costs = costsFor(policy, false, { stitchWidth: 5, rowHeight: 5 });
  const strands = route(chartOf(fabric), costs, policy === 'carry-always' ? policy : 'least-cost');
  const request = { fabric, bound, foundation, strands: new StrandBook(strands, bound), terms, hand: 'right' } as const;
  return (row: number) => writeRow(request, row);
}

describe('rows of each technique, as a maker reads them', () => {
  it('wide hdc: the ch 2 is a post and no stitch, the rest goes between posts', () => {
    const row = rowsOf('spires', 27, 8);
    expect(row(1).start).toBe('chain 28 in A; first hdc in the 3rd chain from the hook');
    expect(row(1).work).toBe('2 skipped chains (the edge post) A, 12 hdc A, 2 hdc B, 12 hdc A');
    expect(row(2).start).toBe('turn');
    expect(row(2).work).toBe(
      'ch 2 (the edge post) A, 11 hdc between posts A, 3 hdc between posts B, 12 hdc between posts A',
    );
    // 27 posts leave 26 gaps, each of which takes a stitch.
    expect(row(2).end).toMatch(/^26 stitches and the edge post /);
  });

  it('teeth that begin with a double crochet begin with ch 3, told once', () => {
    const row = rowsOf('back-teeth', 6, 4);
    expect(row(1).start).toBe('chain 8 in A; first sc in the 4th chain from the hook');
    expect(row(1).work).toBe('in A: 3 skipped chains (the first dc), (1 sc, 1 dc) × 2, 1 sc');
    expect([row(2).start, row(2).work]).toEqual([
      'turn',
      'in A: ch 3 (counts as the first dc), (1 sc, 1 dc) × 2, 1 sc',
    ]);
    expect(row(1).end).toContain('6 stitches: 3 sc, 3 dc (6 A); last one an sc in A');
  });

  it('linen: in the spaces from row 2, each chain passing over what it skips', () => {
    const row = rowsOf('quay-linen', 6, 4);
    expect(row(1).start).toBe('chain 8 in A; first sc in the 4th chain from the hook');
    expect(row(1).work).toBe(
      'in A: 3 skipped chains (the first stitch and space), (1 sc, ch 1 (skip 1 chain)) × 2, 1 sc',
    );
    expect(row(2).start).toBe('turn');
    expect(row(2).work).toBe(
      'in A: ch 2 (the first stitch and space), (1 sc in sp, ch 1 (skip 1 stitch)) × 2, 1 sc in sp',
    );
    // Three sc and two chains are five places, and the ch 2 is two more.
    expect(row(2).end).toMatch(/^7 stitches: 3 sc, 2 ch, the ch 2 of the edge /);
    expect(row(2).change).toBe('finish the last sc in B');
  });

  it('linen in the round: every round of one colour, joined in the next, and nothing turned', () => {
    const row = rowsOf('coil-linen', 6, 4);
    expect(row(1).start).toBe(
      'chain 6 in A, join to a ring with a sl st without twisting it; ch 1, first sc in the first chain',
    );
    expect(row(1).close).toBe('sl st in the first sc, drawn through in B');
    expect(row(2).start).toBe('go on in B');
    expect(row(2).work).toBe('(ch 1 (skip 1 stitch), 1 sc in sp) × 3 B');
    expect(row(1).change).toBe('draw the joining sl st through in B');
    expect(row(4).close).toBe('sl st in the first chain');
  });

  it('step check: blocks change places', () => {
    const row = rowsOf('landing-steps', 9, 4, { numbers: { b: 3 } });
    expect(row(1).work).toBe('in A: 3 sc, 3 dc, 3 sc');
    expect(row(2).start).toBe('turn');
    expect(row(2).work).toBe('in B: ch 3 (counts as the first dc), 2 dc, 3 sc, 3 dc');
  });

  it('chain-space check: a bridge over the group, dc two rows down, a slip stitch into the edge', () => {
    const row = rowsOf('portholes', 12, 6, { numbers: { g: 4 } });
    expect(row(1).work).toBe('in A: 3 skipped chains (the first dc), 3 dc, ch 4 (skip 4 chains), 4 dc');
    expect(row(2).start).toBe('turn; the first chains bridge the group');
    expect(row(2).work).toBe('in B: ch 4 (skip 4 stitches), 4 dc 2 rows down, ch 4 (skip 4 stitches)');
    // The colour changes in the slip stitch, and no chain is the last stitch.
    expect(row(2).close).toBe('sl st into the edge stitch, drawn through in C');
    expect(row(2).change).toBe('draw the sl st into the edge stitch through in C');
    expect(row(2).end).not.toContain('last one');
    expect(row(3).start).toBe('turn');
    expect(row(3).work).toBe(
      'in C: ch 3 (counts as the first dc), 3 dc 2 rows down, ch 4 (skip 4 stitches), 4 dc 2 rows down',
    );
    expect(row(6).work).toBe('in A: 4 sc, 4 dc 2 rows down, 4 sc');
  });

  it('granny rows: the first cluster and the edges are opened by chains', () => {
    const row = rowsOf('net-floats', 4, 4, { way: 'granny-4th' });
    expect(row(1).start).toBe(
      'chain 13 in A; the first 2 dc go into the 4th chain from the hook; skip 2 chains before every other cluster',
    );
    expect(row(1).work).toBe('3 skipped chains and 2 dc (the first cluster) A, 1 cluster B, 1 cluster A, 1 cluster B');
    expect(row(2).work).toBe(
      'ch 3 (the edge stitch) A, 1 cluster in sp B, 1 cluster in sp A, 1 cluster in sp B, 1 edge dc A',
    );
    expect(row(2).end).toContain('11 stitches: 3 clusters, 2 edge dc');
    expect(rowsOf('net-floats', 4, 4, { way: 'granny-3rd' })(1).start).toBe(
      'chain 15 in A; the first 2 dc go into the 3rd chain from the hook; skip 2 chains before every other cluster, and before the last dc',
    );
  });

  it('overlay mosaic: every row joined anew from the right side and fastened off', () => {
    const row = rowsOf('tide-marks', 9, 10);
    expect([row(3).side, row(4).side]).toEqual(['RS', 'RS']);
    expect(row(4).start).toBe('join B with a sl st in the first stitch, ch 1');
    expect(row(4).work).toBe('in B: 1 sc, 3 sc blo, 1 dc flo 2 below, 3 sc blo, 1 sc');
    expect(row(4).close).toBe('fasten off B');
    expect(row(4).strands).toEqual([]);
  });

  it('interlocked mesh: a base row, two first rows, pairs of rows each way, a closing row', () => {
    const row = rowsOf('two-nets', 4, 9);
    expect(row(1).start).toBe('chain 12 in A; skip 1 chain, first sc in the 2nd chain from the hook');
    expect(row(1).work).toBe('11 sc A');
    expect(row(2).start).toBe('turn; ch 1 in A');
    expect(row(2).work).toBe('in A: 1 sc, (1 dc, ch 1 (skip 1 stitch)) × 4, 1 dc, 1 sc');
    expect(row(2).close).toBe('put the loop of A on a marker');
    expect(row(3).start).toBe(
      'do not turn; join B with a sl st in the first stitch of A; ch 1, and work the sc at both edges into those of A',
    );
    // Drawn as two behind and two in front on the right side; this row is of the wrong side, where they change places and
    // the order is mirrored: from the other end two behind come first again.
    expect(row(3).work).toBe(
      'in B: 1 sc, (ch 1 (skip 1 stitch), 1 dc behind into the base row) × 2, ch 1 (skip 1 stitch), (1 dc in front into the base row, ch 1 (skip 1 stitch)) × 2, 1 sc',
    );
    expect(row(4).start).toBe('turn; take up the loop of A, ch 1');
    expect(row(5).start).toBe('do not turn; take up the loop of B, ch 1');
    expect(row(9).work).toBe('in B: 1 sc, (1 fpsc, 1 fpdc around the B post) × 4, 1 fpsc, 1 sc');
    expect([row(8).close, row(9).close]).toEqual(['fasten off A', '']);
    expect([1, 2, 3, 4, 5, 6].map((n) => row(n).side)).toEqual(['RS', 'WS', 'WS', 'RS', 'RS', 'WS']);
  });

  it('corner to corner: ch 6 where the side grows, 4 slip stitches where it shrinks', () => {
    const row = rowsOf('signal-flag', 3, 2);
    expect([row(1).start, row(1).work]).toEqual(['begin in A', 'block on ch 6 A']);
    expect([row(2).start, row(2).work]).toEqual(['turn', 'in A: block on ch 6, 1 block']);
    expect([row(3).start, row(3).work]).toEqual(['turn', 'in A: block after 4 sl st, 1 block']);
    expect([row(4).start, row(4).work]).toEqual(['turn', 'block after 4 sl st B']);
    expect(row(3).change).toBe('open the next diagonal with its chain in B');
    expect(row(2).end).toContain('2 blocks (2 A)');
    expect(rowsOf('signal-flag', 3, 2, { terms: 'UK' })(3).work).toBe('in A: block after 4 ss, 1 block');
  });

  it('a wedge circle: the increase first in each wedge, joined in the next colour', () => {
    const row = rowsOf('windlass', 6, 4, { numbers: { n: 6 } });
    expect(row(1).start).toBe('magic ring in A');
    expect(row(1).work).toBe('ch 3 (counts as the first dc) A, (1 dc in ring B, 1 dc in ring A) × 2, 1 dc in ring B');
    expect(row(1).close).toBe('sl st in the top of the first ch 3, drawn through in A');
    expect(row(2).start).toBe('go on in A');
    expect(row(2).work).toBe('ch 3 and 1 dc in the same stitch A, (1 inc B, 1 inc A) × 2, 1 inc B');
    expect(row(2).end).toContain('12 stitches: 6 inc (6 A, 6 B)');
  });

  it('flecks and tubes', () => {
    const fleck = rowsOf('salt-spray', 7, 4)(1);
    expect(fleck.work).toBe('5 sc A, 1 fleck B, 1 sc A');
    // A fleck is drawn up in B and closed in A: no stitch is finished in another colour.
    expect(fleck.change).toBe('');
    const row = rowsOf('sea-chest', 8, 4, { numbers: { b: 2 } });
    expect(row(1).start).toBe(
      'chain 5 in A; skip 1 chain, first sc in the 2nd chain from the hook; 4 stitches along the chain, then 4 along its other side, the first of them in the last chain again',
    );
    expect(row(1).work).toBe('(2 sc A, 2 sc B) × 2');
    expect(row(1).close).toBe('sl st in the first sc');
  });

  it('sides on a circle: a ring, rounds of increases, then straight', () => {
    // 16 on 6 a round: 6, 12, and 4 more in one more round, one after every third stitch.
    const row = rowsOf('mast-rings', 16, 6, { way: 'circle-sc' });
    expect([row(1).start, row(1).work, row(1).close]).toEqual([
      'magic ring in A; ch 1',
      '6 sc in ring A',
      'sl st in the first sc',
    ]);
    expect(row(2).work).toBe('6 sc inc A');
    expect(row(3).work).toBe('in A: (2 sc, 1 sc inc) × 4');
    expect(row(3).end).toContain('16 stitches: 8 sc, 4 sc inc (16 A)');
    expect(row(4).work).toBe('3 sc A, 2 sc B, 6 sc A, 2 sc B, 3 sc A');
  });

  it('UK terms tell the same stitches by their other names', () => {
    expect(rowsOf('portholes', 12, 6, { numbers: { g: 4 }, terms: 'UK' })(3).work).toBe(
      'in C: ch 3 (counts as the first tr), 3 tr 2 rows down, ch 4 (skip 4 stitches), 4 tr 2 rows down',
    );
    expect(rowsOf('tide-marks', 9, 10, { terms: 'UK' })(4).work).toBe(
      'in B: 1 dc, 3 dc blo, 1 tr flo 2 below, 3 dc blo, 1 dc',
    );
  });
});

describe('where strands hang, in each construction', () => {
  it('in rounds at the seam, in a pair of meshes at either edge', () => {
    const round = rowsOf('coil-linen', 6, 4);
    expect(round(2).end).toContain('A and B at the seam');
    expect(round(2).strands).toEqual(['A climbs the seam']);
    // On the diagonal blocks are counted, in granny rows clusters.
    expect(rowsOf('storm-lantern', 9, 11)(4).end).toMatch(/B waiting after block \d/);
    expect(rowsOf('net-floats', 4, 4)(1).strands).toEqual([
      'carry A inside between its own clusters, on to the end of the row',
      'carry B inside between its own clusters',
    ]);
    // Both nets are worked the same way: both loops wait at the edge where the rows end.
    const mesh = rowsOf('two-nets', 4, 9);
    expect(mesh(3).end).toContain('A and B at this edge');
  });
});
