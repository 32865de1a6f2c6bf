import fc from 'fast-check';
import { beginWheel, patternOfWheel, wheelProblems, withWedges } from '../../craft/desk/wheel.ts';
import { chooseFoundation } from '../../craft/foundation/foundation.ts';
import { bindPattern } from '../../craft/notation/bind.ts';
import { printPattern } from '../../craft/notation/print.ts';
import { readPattern } from '../../craft/notation/read.ts';
import { coursesFor } from '../../craft/technique/courses.ts';
import { techniqueOf } from '../../craft/techniques/register.ts';
import { must } from '../../craft/values/problem.ts';
import { checkFabric } from '../check/fabric.ts';
import { lay } from '../lay/lay.ts';

describe('a wheel that has nothing in its way', () => {
  it('passes the proof at twenty sizes', () => {
    const wheels = fc.record({
      wedges: fc.array(fc.constantFrom('A', 'B', 'C'), { minLength: 2, maxLength: 6 }),
      grows: fc.array(fc.boolean(), { minLength: 1, maxLength: 5 }),
    });
    let worked = 0;
    fc.assert(
      fc.property(wheels, ({ wedges, grows }) => {
        const wheel = withWedges({ ...beginWheel('own', 'Own'), grows }, wedges);
        if (wheelProblems(wheel).length) return;
        worked++;
        const pattern = must(readPattern(printPattern(patternOfWheel(wheel))));
        const technique = must(techniqueOf(pattern));
        for (let n = 0; n < 20; n++) {
          const around = wheel.around.least + wedges.length * (n % 5);
          if (around > wheel.around.most) continue;
          const bound = must(bindPattern(pattern, { numbers: { n: around } }));
          const foundation = must(chooseFoundation(technique.foundations(bound), undefined));
          const courses = coursesFor({ technique, foundation }, around, 2 + Math.floor(n / 5) * 3);
          const fabric = lay({ bound, foundation, edges: 'whole', stitches: around, courses });
          must(checkFabric(fabric, { bound, technique, foundation }));
        }
      }),
      { numRuns: process.env.PUNTADA_LONG ? 300 : 40 },
    );
    expect(worked).toBeGreaterThan(3);
  });
});
