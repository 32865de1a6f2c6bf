import { costsFor } from '../route/costs.ts';
import { chartOf } from '../route/ofFabric.ts';
import { route } from '../route/route.ts';
import { piece } from '../techniques/samplePiece.ts';
import { writeRow } from './rows.ts';
import { StrandBook } from './strandOrders.ts';
import type { Terms } from './terms.ts';

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
  it('wide hdc: the ch 2 is a post, the rest goes between posts', () => {
    const row = rowsOf('spires', 27, 8);
    expect(row(1).start).toBe(
      'chain 28 in A; the first 2 chains count as the first hdc, the next goes into the 3rd chain from the hook',
    );
    expect(row(1).work).toBe('ch 2 A, 12 hdc A, 2 hdc B, 12 hdc A');
    expect(row(2).start).toBe('ch 2 in A (counts as the first hdc), turn');
    expect(row(2).work).toBe('ch 2 A, 11 hdc between posts A, 3 hdc between posts B, 12 hdc between posts A');
  });

  it('teeth that begin with a double crochet begin with ch 3', () => {
    const row = rowsOf('back-teeth', 6, 4);
    expect(row(1).start).toContain('chain 8 in A; the first 3 chains count as the first dc');
    expect(row(1).work).toBe('in A: ch 3, (1 sc, 1 dc) × 2, 1 sc');
    expect(row(1).end).toContain('6 stitches: 3 sc, 3 dc (6 A); last one an sc in A');
  });

  it('linen: in the spaces from row 2, ch 2 for the first stitch and space', () => {
    const row = rowsOf('quay-linen', 6, 4);
    expect(row(1).start).toBe('chain 8 in A; the first 3 chains are the edge; first sc in the 4th chain from the hook');
    expect(row(1).work).toBe('in A: edge ch 2, (1 sc, 1 ch) × 2, 1 sc');
    expect(row(2).start).toBe('ch 2 in A (counts as the first stitch and space), turn');
    expect(row(2).work).toBe('in A: edge ch 2, (1 sc in sp, 1 ch) × 2, 1 sc in sp');
    // Three sc and two chains are five places, and the ch 2 is two more.
    expect(row(2).end).toMatch(/^7 stitches: /);
  });

  it('linen in the round: every round of one colour, and nothing turned', () => {
    const row = rowsOf('coil-linen', 6, 4);
    expect(row(1).start).toBe('chain 6 in A, join to a ring; first sc in the first chain');
    expect(row(2).start).toBe('in B');
    expect(row(2).work).toBe('(1 ch, 1 sc in sp) × 3 B');
    expect(row(1).change).toBe('join the round in B');
  });

  it('step check: blocks change places', () => {
    const row = rowsOf('landing-steps', 9, 4, { numbers: { b: 3 } });
    expect(row(1).work).toBe('in A: 3 sc, 3 dc, 3 sc');
    expect(row(2).start).toBe('ch 3 in B (counts as the first dc), turn');
    expect(row(2).work).toBe('in B: ch 3, 2 dc, 3 sc, 3 dc');
  });

  it('chain-space check: a bridge over the group, dc two rows down, a slip stitch into the edge', () => {
    const row = rowsOf('portholes', 12, 6, { numbers: { g: 4 } });
    expect(row(1).work).toBe('in A: ch 3, 3 dc, 4 ch, 4 dc');
    expect(row(2).start).toBe('turn, bridge the group in B');
    expect(row(2).work).toBe('in B: 4 ch, 4 dc 2 rows down, 4 ch');
    expect(row(2).end).toContain('sl st into the edge stitch');
    expect(row(3).start).toBe('ch 3 in C (counts as the first dc), turn');
    expect(row(3).work).toBe('in C: ch 3, 3 dc 2 rows down, 4 ch, 4 dc 2 rows down');
    expect(row(6).work).toBe('in A: 4 sc, 4 dc 2 rows down, 4 sc');
  });

  it('granny rows: the first cluster and the edges are opened by chains', () => {
    const row = rowsOf('net-floats', 4, 4, { way: 'granny-4th' });
    expect(row(1).start).toBe(
      'chain 13 in A; the first 3 chains open the first cluster, whose 2 dc go into the 4th chain from the hook',
    );
    expect(row(1).work).toBe('ch 3 and 2 dc A, 1 cluster B, 1 cluster A, 1 cluster B');
    expect(row(2).work).toBe('edge ch 3 A, 1 cluster in sp B, 1 cluster in sp A, 1 cluster in sp B, 1 edge dc A');
    expect(row(2).end).toContain('11 stitches: 3 clusters, 2 edge dc');
  });

  it('overlay mosaic: every row joined anew from the right side, drops over the back-loop ground', () => {
    const row = rowsOf('tide-marks', 9, 10);
    expect([row(3).side, row(4).side]).toEqual(['RS', 'RS']);
    expect(row(4).start).toBe('join B at the first stitch, ch 1');
    expect(row(4).work).toBe('in B: 1 sc, 3 sc blo, 1 drop dc, 3 sc blo, 1 sc');
  });

  it('interlocked mesh: two rows each way, posts in front and behind', () => {
    const row = rowsOf('two-nets', 4, 4);
    expect(row(1).work).toBe('in A: 1 sc, (1 fpdc, 1 ch) × 2, (1 bpdc, 1 ch) × 2, 1 fpdc, 1 sc');
    expect(row(2).start).toBe('ch 1 in B, do not turn');
    expect(row(2).work).toBe('in B: 1 sc, (1 ch, 1 bpdc) × 2, 1 ch, (1 fpdc, 1 ch) × 2, 1 sc');
    expect([1, 2, 3, 4].map((n) => row(n).side)).toEqual(['RS', 'RS', 'WS', 'WS']);
  });

  it('corner to corner: ch 6 where the side grows, 4 slip stitches where it shrinks', () => {
    const row = rowsOf('signal-flag', 3, 2);
    expect(row(1).start).toContain('chain 6 in A');
    expect([row(2).start, row(2).work]).toEqual(['turn; ch 6 in A', 'in A: block on ch 6, 1 block']);
    expect([row(3).start, row(3).work]).toEqual(['turn; 4 sl st, ch 3 in A', 'in A: block after 4 sl st, 1 block']);
    expect([row(4).start, row(4).work]).toEqual(['turn; 4 sl st, ch 3 in B', 'block after 4 sl st B']);
    expect(rowsOf('signal-flag', 3, 2, { terms: 'UK' })(3).start).toBe('turn; 4 ss, ch 3 in A');
  });

  it('a wedge circle: the increase first in each wedge', () => {
    const row = rowsOf('windlass', 6, 4, { numbers: { n: 6 } });
    expect(row(1).start).toBe('magic ring in A; the first round goes into it');
    expect(row(2).start).toBe('ch 3 in A (counts as the first dc)');
    expect(row(2).work).toBe('ch 3 and dc in same A, (1 inc B, 1 inc A) × 2, 1 inc B');
    expect(row(2).end).toContain('12 stitches: 6 inc (6 A, 6 B)');
  });

  it('flecks and tubes', () => {
    expect(rowsOf('salt-spray', 7, 4)(1).work).toBe('5 sc A, 1 fleck B, 1 sc A');
    const row = rowsOf('sea-chest', 8, 4, { numbers: { b: 2 } });
    expect(row(1).start).toBe(
      'chain 5 in A; first sc in the 2nd chain from the hook, then along the other side of the chain',
    );
    expect(row(1).work).toBe('(2 sc A, 2 sc B) × 2');
  });

  it('UK terms tell the same stitches by their other names', () => {
    expect(rowsOf('portholes', 12, 6, { numbers: { g: 4 }, terms: 'UK' })(3).work).toBe(
      'in C: ch 3, 3 tr 2 rows down, 4 ch, 4 tr 2 rows down',
    );
    expect(rowsOf('tide-marks', 9, 10, { terms: 'UK' })(4).work).toBe(
      'in B: 1 dc, 3 dc blo, 1 drop tr, 3 dc blo, 1 dc',
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
    const mesh = rowsOf('two-nets', 4, 8);
    expect(mesh(3).end).toContain('A at this edge, B at the far edge');
  });
});
