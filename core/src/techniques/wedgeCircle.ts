import { assemble, type Cells, type Fabric, stitchesMade } from '../lay/fabric.ts';
import { type LayRequest, spreadRow, turnRows, unitWidth } from '../lay/rows.ts';
import { codeOf, stitchKind } from '../stitches/kinds.ts';
import { keyAt } from './rules.ts';
import type { CourseView, Technique } from './technique.ts';

/** Lays rounds of wedges; `j` is the stitches of a wedge in the round below. */
function layRounds(request: LayRequest): Fabric {
  const { bound, stitches: wedges, courses } = request;
  const rows: Cells[] = [];
  let wedge = 1;
  for (const [course, turned] of turnRows(bound, courses).entries()) {
    const numbers = { i: course + 1, j: wedge };
    const unit = unitWidth({ ...bound, numbers: { ...bound.numbers, ...numbers } }, turned.row);
    const inUnit = turned.row.unit.filter((run) => run.stitch === 'inc' || run.place === 'ring').length;
    const perUnit = Math.max(1, inUnit || turned.row.unit.length);
    const cells = spreadRow(bound, turned, (unit * wedges) / perUnit, 0, numbers);
    const opening = stitchKind(cells.kinds[0] as number).key;
    cells.kinds[0] = codeOf(opening === 'inc' ? 'inc-ch3' : 'dc-ch3');
    rows.push(cells);
    wedge = stitchesMade(cells) / wedges;
  }
  return assemble('rounds', wedges, rows, bound.colours.length);
}

/** Wedges that curl as the circle grows. docs/craft.md, “Wedge circle”. */
export const wedgeCircle: Technique = {
  key: 'wedge-circle',
  name: 'wedge circle',
  words: {
    change:
      'The new colour enters with the last pull-through of the stitch before; the round joins in the next colour.',
    lookOver: 'The increase is the first stitch of each wedge; count the wedge, not the round.',
    height: 'Every round is as tall as its stitch.',
    idle: 'The idle strands are carried all round inside the stitches.',
  },
  step: 2,
  kinds: ['dc@ring', 'dc-ch3', 'dc', 'inc', 'inc-ch3'],
  width: { word: 'wedges', stitches: (count) => count, widths: (count) => count },
  gaugeKey: () => 'dc',
  foundations: () => ['magic-ring', 'chain-ring'],
  opening: (kind) => kind,
  lay: layRounds,
  heights: (rounds) => 2 * rounds,
  policy: 'carry-always',
  prove(view) {
    const { kinds, course } = view;
    for (let x = 0; x < kinds.length; x++) {
      const key = keyAt(kinds, x);
      const opens = key === 'inc-ch3' || key === 'dc-ch3';
      if ((x === 0) !== opens) view.refuse(x, 'ch 3 stands for the first stitch of a round and for no other');
      else if (course > 0 && key === 'dc@ring') view.refuse(x, 'only the first round goes into the ring');
      else if (course === 0 && x > 0 && key !== 'dc@ring') view.refuse(x, 'the first round goes into the ring');
    }
    if (course > 0 && view.below) proveWedges(view);
  },
};

/** Each wedge stands on the wedge of its colour below, and takes one increase in its first stitch, or none in any. */
function proveWedges(view: CourseView): void {
  const { kinds, colours, below } = view;
  const under: number[] = [];
  below?.kinds.forEach((code, x) => {
    for (let n = stitchKind(code).makes; n > 0; n--) under.push(below.colours[x] as number);
  });
  const plain = !kinds.some((code) => stitchKind(code).makes === 2);
  for (let x = 0; x < kinds.length; x++) {
    if (under[x] !== colours[x]) view.refuse(x, 'a wedge stands on the wedge of its own colour');
    const starts = x === 0 || colours[x] !== colours[x - 1];
    const increases = stitchKind(kinds[x] as number).makes === 2;
    if (!plain && starts !== increases)
      view.refuse(x, 'the first stitch of each wedge takes the increase, and no other');
  }
}
