import { piece } from '../../../test/samplePiece.ts';
import { costsFor } from '../route/costs.ts';
import { chartOf } from '../route/ofFabric.ts';
import { route } from '../route/route.ts';
import { measureParts } from './parts.ts';

/** Parts in mm of a small piece, its stitches 5 × 5 mm of a 2 mm yarn, so that a chain takes 17 and an sc 38. */
function partsOf(key: string, count: number, rows: number, numbers: Record<string, number> = {}) {
  const made = piece(key, count, rows, undefined, { numbers });
  const policy = made.technique.policy ?? 'cut-always';
  const costs = costsFor(policy, false, { stitchWidth: 5, rowHeight: 5 });
  const strands = route(chartOf(made.fabric), costs, policy === 'carry-always' ? policy : 'least-cost');
  const diameters = made.bound.colours.map(() => 2);
  const parts = measureParts({ ...made, strands, stitchWidth: 5, rowHeight: 5, diameters });
  const mm = (metres: number) => Math.round(metres * 10_000) / 10;
  return parts.map((part) => ({ stitches: mm(part.stitches), chains: mm(part.chains), tails: mm(part.tails) }));
}

describe('small pieces, summed up by hand', () => {
  it('linen, two rows of three sc', () => {
    // Row 1: ch 2 of the edge 34, 3 sc of 38, 2 ch of 17: 182. Row 2: 34, 3 sc in spaces of 44, 34: 200.
    // 8 foundation chains, 2 of which are the edge: 6 × 17.
    expect(partsOf('quay-linen', 6, 2)[0]).toEqual({ stitches: 382, chains: 102, tails: 300 });
  });

  it('chain-space check, one gap, its bridge and its closing row', () => {
    const [a, b, c] = partsOf('portholes', 12, 4, { g: 4 });
    // A: ch 3 of 51, 7 dc of 10 + 36.5 + 16, 4 ch; closing 8 sc of 38, 4 dc down of 10 + 40 + 22, begun with ch 1.
    expect(a).toMatchObject({ stitches: 51 + 7 * 62.5 + 68 + 304 + 288, chains: 11 * 17 + 17 });
    // B: 8 ch, 4 dc down, and a slip stitch of 15 + 6 into the edge.
    expect(b).toMatchObject({ stitches: 8 * 17 + 4 * 72, chains: 21 });
    expect(c).toMatchObject({ stitches: 51 + 7 * 72 + 68, chains: 0 });
  });

  it('mesh, four windows: base row, two rows of A, one of B, closing row', () => {
    const [a, b] = partsOf('two-nets', 4, 5);
    // A: 11 sc of the base; 2 sc, 5 dc of 10 + 36.5 + 16, 4 ch; 2 sc, 5 posts of 10 + 45 + 25, 4 ch; 12 chains, ch 1 twice.
    expect(a).toMatchObject({ stitches: 418 + (76 + 312.5 + 68) + (76 + 400 + 68), chains: 204 + 34 });
    // B: 2 sc, 4 dc into the base of 10 + 40 + 16, 5 ch; closing 2 sc, 5 sc around posts of 10 + 25 + 14 and 4 dc around
    // posts of 10 + 45 + 22; ch 1 before each.
    expect(b).toMatchObject({ stitches: 76 + 264 + 85 + (76 + 245 + 308), chains: 34 });
  });

  it('a wedge circle of six, two rounds with strands carried all round', () => {
    const [a] = partsOf('windlass', 6, 2, { n: 6 });
    // Round 1: ch 3 of 51 and 2 dc in the ring of 10 + 20 + 22; round 2: ch 3 and dc of 55 + 20 + 22, 2 inc of
    // 20 + 40 + 32. B lies inside all six: 2 mm for the ch 3, for each dc, and for each of the two dc of an inc.
    expect(a?.stitches).toBe(51 + 2 * 52 + 97 + 2 * 92 + (3 + 1 + 4) * 2);
    // Two joins of 10 + 6; the ring has no chain.
    expect(a?.chains).toBe(32);
  });

  it('flecks: legs in B, closed in A, B carried between its flecks', () => {
    const [a, b] = partsOf('salt-spray', 7, 2);
    // Row 1: 6 sc of 38 with B inside, 2 mm each; the fleck is closed with 3 · 5 + 4 less the run of 5.2 that is
    // counted as carried. Row 2: 7 sc of 38, for B is not needed again.
    expect(a?.stitches).toBe(6 * 40 + 15 + 4 - 5.2 + 7 * 38);
    // B: 5 + 10 + 4, and the A that lies inside it, 2 mm.
    expect(b?.stitches).toBe(21);
  });

  it('a tube of eight: chain 5, and a join each round', () => {
    const [a, b] = partsOf('sea-chest', 8, 2, { b: 2 });
    // Round 1 in A: 5 chains of 17 and a join of 16; round 2 begins at the other end, in B: ch 1 and a join.
    expect([a?.chains, b?.chains]).toEqual([85 + 16, 17 + 16]);
  });
});
