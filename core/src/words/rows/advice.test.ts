import { sampleWish } from '../../../test/sampleWish.ts';
import { bodyOf, ungroupRows } from '../../../test/ungroupRows.ts';
import { must } from '../../craft/values/problem.ts';
import { planWish } from '../../plan/piece/plan.ts';
import { beginningAdvice } from '../en/foundations.ts';
import { rowAdvice } from './advice.ts';
import { type GroupedRow, groupRows } from './groups.ts';
import { passedChecks, proofSheet } from './proofSheet.ts';
import { printedRows } from './readRows.ts';
import { writing } from './writing.ts';

function planned(change: Parameters<typeof sampleWish>[0] = {}) {
  const plan = must(planWish(sampleWish(change)));
  return { plan, request: { ...writing(plan, 'US', 'right'), technique: plan.prepared.technique } };
}

const asRow = (line: string): GroupedRow => ({ line, body: bodyOf(line) });

describe('what is told beside a row', () => {
  const { plan, request } = planned();
  it('each change one stitch early, on the stitch that finishes in the new colour', () => {
    // Row 1 is 4 A, 4 B by turns over 36 stitches: it changes at 4, 8 … 32, and row 2 begins in A again.
    expect(rowAdvice(request, 1).changes).toEqual(
      [4, 8, 12, 16, 20, 24, 28, 32].map((n, i) => `finish stitch ${n} in ${i % 2 ? 'A' : 'B'}`),
    );
    // Row 4 ends in A and row 5 begins in B: the last stitch is finished in B.
    expect(rowAdvice(request, 4).changes.at(-1)).toBe('finish the last sc in B');
  });

  it('markers at the edges of row 1, and on a turning chain that counts', () => {
    expect(rowAdvice(request, 1).markers).toEqual(['Mark the first and the last stitch: the edges stay straight.']);
    expect(rowAdvice(request, 2).markers).toEqual([]);
    const counted = planned({ pattern: { key: 'block-check', stitch: 'hdc' }, foundation: 'hdc-3rd-counted' });
    expect(rowAdvice(counted.request, 2).markers[0]).toContain('top of the turning chain');
  });

  it('of two nets the live loop of the other one, from the row in which both are there to the last in which they are', () => {
    const nets = planned({
      pattern: { key: 'two-nets' },
      edges: 'whole',
      ending: 'whole',
      width: { by: 'stitches', count: 4 },
    });
    const held = 'Hold the live loop of the other net with a marker.';
    const { rows } = nets.plan.piece;
    const told = Array.from({ length: rows }, (_, i) => rowAdvice(nets.request, i + 1).markers.includes(held));
    // Base row, first row of A, then both; in the closing row A is fastened off.
    expect(told).toEqual([false, false, ...Array(rows - 3).fill(true), false]);
  });

  it('one row ahead the end, and the last place where a colour is needed', () => {
    const { rows } = plan.piece;
    expect(rowAdvice(request, rows - 1).ahead[0]).toBe('One row to go. Finish after a whole band.');
    // Row 44, of 36 stitches, comes back: its last B is in stitches 29–32 and its last A in 33–36.
    expect(rowAdvice(request, rows).ahead).toEqual([
      'A is needed for the last time in the last sc.',
      'B is needed for the last time at stitch 32.',
      'Fasten off: cut A and pull the end through the last loop.',
    ]);
    expect(rowAdvice(request, 7).ahead).toEqual([]);
  });

  it('a long chain: markers, some to spare, and where to work into it', () => {
    const words = beginningAdvice(plan.prepared.foundation, 120, 'back bump').join(' ');
    expect(words).toContain('every 20th chain');
    expect(words).toContain('back bump');
    expect(beginningAdvice(plan.prepared.foundation, 10, 'one loop')).toHaveLength(1);
  });
});

describe('grouping rows', () => {
  it('tells rows that come again once', () => {
    expect(
      groupRows(
        [
          'Row 1 (RS): a',
          'Row 2 (WS): b',
          'Row 3 (RS): c',
          'Row 4 (WS): d',
          'Row 5 (RS): c',
          'Row 6 (WS): d',
          'Row 7 (RS): c',
        ].map(asRow),
        'Row',
      ),
    ).toEqual(['Row 1 (RS): a', 'Row 2 (WS): b', 'Row 3 (RS): c', 'Row 4 (WS): d', 'Rows 5–7: as rows 3–4.']);
    expect(groupRows(['Row 1 (RS): a', 'Row 2 (RS): a', 'Row 3 (RS): b', 'Row 4 (RS): a'].map(asRow), 'Row')).toEqual([
      'Row 1 (RS): a',
      'Row 2: as row 1.',
      'Row 3 (RS): b',
      'Row 4: as row 2.',
    ]);
  });

  it.each([
    {},
    { pattern: { key: 'buoys' } },
    { pattern: { key: 'houndstooth' } },
    { pattern: { key: 'quay-linen' } },
    { policy: 'bobbins' as const },
  ])('spelled out again they are the same rows: %j', (change) => {
    const rows = printedRows(planned(change).request);
    const grouped = groupRows(rows.map(asRow), 'Row');
    expect(grouped.length).toBeLessThan(rows.length);
    expect(must(ungroupRows(grouped))).toEqual(rows);
  });

  it('a group that names rows which are not there is refused with its line', () => {
    const back = ungroupRows(['Row 1 (RS): a', 'Rows 2–5: as rows 1–3.']);
    expect(back.ok ? '' : back.problems[0]?.path).toBe('line 2');
  });
});

describe('the proof sheet', () => {
  const { plan } = planned();
  const sheet = proofSheet(plan);
  it('has every total, both multiples, the ledgers, and a line to sign', () => {
    expect(sheet).toContain('| Row 1–4 | 36 sc (20 A, 16 B); last one an sc in A |');
    expect(sheet).toContain('stitches a multiple of 4, chains a multiple of 4 + 1');
    expect(sheet).toContain('stitches a multiple of 8 + 4, chains a multiple of 8 + 5');
    expect(sheet).toContain('| A | 2 |');
    expect(sheet).toContain('Checked by:');
    expect(sheet.match(/- \[x\]/g)).toHaveLength(4);
  });

  it('does not tick what does not hold', () => {
    const broken = {
      ...plan,
      piece: { ...plan.piece, yarn: plan.piece.yarn.map((need) => ({ ...need, parts: need.parts.slice(1) })) },
    };
    expect(passedChecks(broken, { terms: 'US', hand: 'right' }).map((check) => check.passed)).toEqual([
      true,
      true,
      false,
      true,
    ]);
  });
});
