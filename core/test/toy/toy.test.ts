import { addTechnique } from '../../src/craft/techniques/register.ts';
import { must } from '../../src/craft/values/problem.ts';
import { freeze, thaw } from '../../src/plan/begun/frozen.ts';
import { endsOnPiece } from '../../src/plan/finish/endsOnPiece.ts';
import { techniquesFor } from '../../src/plan/items/items.ts';
import { addItem } from '../../src/plan/items/register.ts';
import { planWish } from '../../src/plan/piece/plan.ts';
import { workCourse } from '../../src/plan/steps/course.ts';
import { planDocument } from '../../src/words/document/planDocument.ts';
import { proofSheet } from '../../src/words/rows/proofSheet.ts';
import { printedRows, readBack, sameFabric } from '../../src/words/rows/readRows.ts';
import { writing } from '../../src/words/rows/writing.ts';
import { cellsWorked } from '../../src/work/underway/inHand.ts';
import { sampleWish } from '../sampleWish.ts';
import { bricks } from './bricks.ts';
import { flag } from './flag.ts';

const text = `
pattern toy-wall "Toy wall"
about "Bricks of two, each row half a stitch beside the last."
technique toy-bricks
made flat
stitch sc
colours A B
across 4 "bricks"
up 2 "courses"
read worked
ends "Finish after any row."
careful "Count each row."
row 1: | 2A 2B |
row 2: | 2B 2A |
`;

const wish = () =>
  sampleWish({
    item: 'signal flag',
    pattern: { text },
    width: { by: 'stitches', count: 20 },
    height: { by: 'rows', count: 8 },
    edges: 'centred',
    ...flag.wish,
    ending: 'any',
  });

describe('a technique and an item that are added from outside', () => {
  it('are refused before they are added, with what to do', () => {
    const plan = planWish(wish());
    expect(plan.ok).toBe(false);
  });

  describe('once each is added in one line', () => {
    beforeAll(() => {
      addTechnique(bricks);
      addItem(flag);
    });

    it('are offered together, since they share a use', () => {
      expect(techniquesFor('signal flag')).toContain('toy-bricks');
      expect(techniquesFor('dishcloth')).not.toContain('toy-bricks');
    });

    it('plan: 20 stitches on 21 chains, its border counted round it', () => {
      const plan = must(planWish(wish()));
      const document = planDocument(plan);
      expect(document.foundation.chains).toBe(21);
      expect(document.rows).toHaveLength(8);
      expect(document.cautions.map(({ code }) => code)).toContain('strap-and-child');
      expect(document.finish.map(({ part }) => part)).toContain('border');
      // Half of 160 stitches in each colour.
      expect(document.colours.map(({ stitches }) => stitches)).toEqual([80, 80]);
    });

    it('print in both manners and in both terms, and read back', () => {
      const plan = must(planWish(wish()));
      for (const terms of ['US', 'UK'] as const) {
        for (const manner of ['compact', 'printed'] as const) {
          const request = { ...writing(plan, terms, 'right'), manner };
          const lines = printedRows(request);
          expect(lines[0]).toContain(terms === 'US' ? '2 sc' : '2 dc');
          expect(sameFabric(must(readBack(lines, request)), plan.piece.fabric)).toBe(true);
        }
      }
      expect(proofSheet(plan)).not.toContain('- [ ]');
    });

    it('draw: each row lies half a stitch beside the last, and every end has its place', () => {
      const { piece, prepared } = must(planWish(wish()));
      expect([0, 1, 2].map((course) => prepared.technique.offset?.(course))).toEqual([0, 0.5, 0]);
      const places = endsOnPiece(piece.fabric, prepared.technique, piece.strands);
      expect(places).toHaveLength(piece.ends);
      for (const { across, up } of places) {
        expect([across >= 0, across <= 1, up >= 0, up <= 1]).toEqual([true, true, true, true]);
      }
    });

    it('work: frozen and thawed it is the same cloth, run by run', () => {
      const plan = must(planWish(wish()));
      const thawed = must(thaw(JSON.parse(JSON.stringify(freeze(plan)))));
      expect(sameFabric(thawed.fabric, plan.piece.fabric)).toBe(true);
      const { runs } = workCourse(thawed.fabric, thawed.bound, thawed.foundation, 0);
      expect(runs.map(({ count, colour }) => `${count}${colour}`).join(' ')).toBe('2A 2B 2A 2B 2A 2B 2A 2B 2A 2B');
      expect(cellsWorked(thawed, { rows: 1, runs: 1 })).toBe(2);
    });
  });
});
